/** What fills a set, and in which direction it goes. */
export const WORK_KINDS = ['repetitions', 'time', 'breaths'] as const;
/** What a set is counted in. */
export type WorkKind = (typeof WORK_KINDS)[number];

/** Units in which work is counted and recorded. */
export const SET_UNITS = ['repetitions', 'seconds', 'breaths'] as const;
/** The unit of a set’s amount. */
export type SetUnit = (typeof SET_UNITS)[number];

/** The unit of each kind of work. */
export const UNIT_OF = { repetitions: 'repetitions', time: 'seconds', breaths: 'breaths' } as const satisfies Record<
  WorkKind,
  SetUnit
>;
/** What stands behind an amount: “3x30s”, “3x5br”; repetitions need no letter. */
export const UNIT_LETTERS = { repetitions: '', seconds: 's', breaths: 'br' } as const satisfies Record<SetUnit, string>;
/** The same in a record: “6 of 8”, “20 of 30 s”, “4 of 5 breaths”. */
export const UNIT_BEHIND = { repetitions: '', seconds: ' s', breaths: ' breaths' } as const satisfies Record<
  SetUnit,
  string
>;

/** Which of a movement's two directions are done: `none` for a movement that has no directions. */
export const DIRECTION_PLANS = ['none', 'first', 'second', 'each'] as const;
/** Which of a movement’s two directions a dose goes. */
export type DirectionPlan = (typeof DIRECTION_PLANS)[number];
