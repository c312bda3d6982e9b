/** What fills a set, and in which direction it goes. */
export const WORK_KINDS = ['repetitions', 'time', 'breaths', 'distance'] as const;
/** What a set is counted in. */
export type WorkKind = (typeof WORK_KINDS)[number];

/** Units in which work is counted and recorded. */
export const SET_UNITS = ['repetitions', 'seconds', 'breaths', 'metres'] as const;
/** The unit of a set’s amount. */
export type SetUnit = (typeof SET_UNITS)[number];

/** The unit of each kind of work. */
export const UNIT_OF = {
  repetitions: 'repetitions',
  time: 'seconds',
  breaths: 'breaths',
  distance: 'metres',
} as const satisfies Record<WorkKind, SetUnit>;
/** The suffix of an amount: “3x30s”, “3x5br”, “3x40m”; repetitions need no letter. */
export const UNIT_LETTERS = { repetitions: '', seconds: 's', breaths: 'br', metres: 'm' } as const satisfies Record<SetUnit, string>;
/** The same in a record: “6 of 8”, “20 of 30 s”, “4 of 5 breaths”, “30 of 40 m”. */
export const UNIT_BEHIND = {
  repetitions: '',
  seconds: ' s',
  breaths: ' breaths',
  metres: ' m',
} as const satisfies Record<SetUnit, string>;

/** What ends an open set before its ceiling: the form that fails, or the stretch that eases. */
export const OPEN_ENDS = ['form', 'ease'] as const;
/** What ends an open set. */
export type OpenEnd = (typeof OPEN_ENDS)[number];
/** The word of the shorthand for each: “1xmax”, “1xease90s”. */
export const OPEN_WORDS = { form: 'max', ease: 'ease' } as const satisfies Record<OpenEnd, string>;

/** Which of a movement's two directions are done: `none` for a movement that has no directions. */
export const DIRECTION_PLANS = ['none', 'first', 'second', 'each'] as const;
/** Which of a movement’s two directions a dose goes. */
export type DirectionPlan = (typeof DIRECTION_PLANS)[number];
