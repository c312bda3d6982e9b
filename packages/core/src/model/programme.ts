import { addDays, daysBetween, weekdayOf } from '../vocabulary/days.js';
import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { Limit } from '../vocabulary/limit.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { day, idOf, kind, kinds, list, type Of, oneOf, optional, orNull, record, text, timeOfDay, bounded } from '../vocabulary/schema.js';
import { BLOCK_LIMITS } from './block-limits.js';
import { DOSE } from './dose.js';
import { BLOCK, SEQUENCE_LIMITS } from './sequence.js';

/** Bounds of a programme document, wherever it comes from. */
export const PROGRAMME_LIMITS = {
  titleLength: 120,
  idLength: 64,
  eventLength: 80,
  reasonLength: 400,
  plans: 8,
  weeks: 52,
  sessions: 800,
  away: 40,
  changes: 400,
  edits: 20,
  amountPercent: { min: 20, max: 150, step: 5, unit: '%' },
  riseSteps: { min: 1, max: 10, step: 1, unit: 'steps' },
} as const satisfies Record<string, Limit | number>;

/** What a week is for, and how much of what loads it usually holds; working values (Bosquet et al. 2007 for the taper’s half). */
export const WEEK_KINDS = {
  build: { label: 'Build', words: 'as planned, or slightly more than the week before', usualPercent: 100 },
  easier: { label: 'Deload', words: 'less loading work, so tissue can recover', usualPercent: 60 },
  taper: { label: 'Taper', words: 'little work, to arrive fresh at the event', usualPercent: 50 },
} as const;
/** The name of a kind of week. */
export type WeekKind = keyof typeof WEEK_KINDS;
/** All kinds of week. */
export const WEEK_KIND_IDS = Object.keys(WEEK_KINDS) as WeekKind[];

/** Why days are left out, or cannot be as others are. */
export const AWAY_KINDS = {
  rest: { label: 'Rest', trains: false },
  ill: { label: 'Ill or injured', trains: false },
  travel: { label: 'Travelling', trains: true },
} as const;
/** The name of a reason for being away. */
export type AwayKind = keyof typeof AWAY_KINDS;
/** All reasons for being away. */
export const AWAY_KIND_IDS = Object.keys(AWAY_KINDS) as AwayKind[];

/** How often a sequence that grows by itself does so. */
export const RISES = { session: 'each session', week: 'each week' } as const;
const RISE_IDS = Object.keys(RISES) as (keyof typeof RISES)[];

const name = (title?: string) => text(PROGRAMME_LIMITS.idLength, 1, title);

const PLAN = record(
  {
    id: name(),
    sequenceId: idOf('a sequence'),
    /** Repetitions, seconds, breaths or metres that grow by themselves, by so many steps of a pace, up to what is usual. */
    rise: optional(
      record({ steps: bounded(PROGRAMME_LIMITS.riseSteps, 'Steps'), each: oneOf(RISE_IDS, 'How often') }, { what: 'steps and how often' }),
    ),
    /** When its sessions begin, where the studio is; on the day, whenever it suits, where nobody said. */
    beginsAt: optional(timeOfDay('Starts at')),
  },
  { what: 'a plan: an id and a sequence' },
);
/** A sequence of a programme, under a short name of the programme’s own. */
export type ProgrammePlan = Of<typeof PLAN>;

const WEEK = record(
  { kind: oneOf(WEEK_KIND_IDS, 'Kind of week'), amountPercent: bounded(PROGRAMME_LIMITS.amountPercent, 'Amount') },
  { what: 'a week: its kind and its amount' },
);
/** A week: what it is for, and how much of the plans’ loading work it holds. */
export type ProgrammeWeek = Of<typeof WEEK>;

const SESSION = record({ id: name(), day: day('Day'), planId: name('Plan') }, { what: 'a session: a day and a plan' });
/** A session on a day of the calendar. */
export type PlannedDay = Of<typeof SESSION>;

const AWAY = record(
  {
    fromDay: day('From'),
    toDay: day('To'),
    kind: oneOf(AWAY_KIND_IDS, 'Why'),
    /** What is there on the way; nothing where nobody said. */
    equipment: optional(list(oneOf(EQUIPMENT, 'Equipment'), { max: EQUIPMENT.length, unique: true })),
  },
  { what: 'days away' },
);
/** Days on which there is no training, or other things to train with. */
export type Away = Of<typeof AWAY>;

const blockId = text(BLOCK_LIMITS.idLength, 1);
const EDIT = kinds(
  [
    record({
      kind: kind('change'),
      blockId,
      levelId: optional(text(BLOCK_LIMITS.nameLength, 1)),
      movementId: optional(text(BLOCK_LIMITS.nameLength, 1)),
      dose: optional(DOSE),
    }),
    record({ kind: kind('remove'), blockId }),
    record({ kind: kind('add'), block: BLOCK, before: orNull(blockId) }),
  ],
  'a change of a block',
);

const CHANGE = record(
  {
    id: name(),
    /** From this day on. */
    fromDay: day('From'),
    planId: name('Plan'),
    edits: list(EDIT, { min: 1, max: PROGRAMME_LIMITS.edits, what: 'changes of blocks' }),
    reason: text(PROGRAMME_LIMITS.reasonLength, 1, 'Reason'),
  },
  { what: 'a change of a plan' },
);
/** What a plan became from a day on: an accepted suggestion, with its reason. */
export type PlanChange = Of<typeof CHANGE>;

/** The fields of a programme: the document itself, and what its file holds besides its format. */
export const PROGRAMME_FIELDS = {
  title: text(PROGRAMME_LIMITS.titleLength, 1, 'Title'),
  goalId: optional(name('Goal')),
  methodId: optional(text(SEQUENCE_LIMITS.methodIdLength, 1, 'Method')),
  /** The first day; its calendar week, from Monday, is the first of the weeks. */
  fromDay: day('First day'),
  weeks: list(WEEK, { min: 1, max: PROGRAMME_LIMITS.weeks, what: `1 to ${PROGRAMME_LIMITS.weeks} weeks` }),
  event: optional(record({ day: day('Event'), name: text(PROGRAMME_LIMITS.eventLength, 1, 'Event') }, { what: 'a day and a name' })),
  plans: list(PLAN, { min: 1, max: PROGRAMME_LIMITS.plans, what: `1 to ${PROGRAMME_LIMITS.plans} plans` }),
  sessions: list(SESSION, { max: PROGRAMME_LIMITS.sessions }),
  away: optional(list(AWAY, { max: PROGRAMME_LIMITS.away })),
  changes: optional(list(CHANGE, { max: PROGRAMME_LIMITS.changes })),
};

/** Sequences over weeks: which on what day, what each week is for, and what became of the plans. */
export const PROGRAMME = record(PROGRAMME_FIELDS, { what: 'a programme document' });
/** A programme of one person. */
export type Programme = Of<typeof PROGRAMME>;

/** The Monday of a day’s week. @example mondayOf('2026-06-10') → '2026-06-08' */
export const mondayOf = (on: string): string => addDays(on, 1 - weekdayOf(on));

/** The first day that is no longer of a programme. */
export const endOf = ({ fromDay, weeks }: Pick<Programme, 'fromDay' | 'weeks'>): string => addDays(mondayOf(fromDay), 7 * weeks.length);

/** Which of the weeks a day lies in, counted from 0; negative or past the last where it lies outside. */
export const weekIndexOf = ({ fromDay }: Pick<Programme, 'fromDay'>, on: string): number =>
  Math.floor(daysBetween(mondayOf(fromDay), on) / 7);

/** The weekdays on which a programme has sessions, ISO. */
export const weekdaysOf = ({ sessions }: Pick<Programme, 'sessions'>): number[] =>
  [...new Set(sessions.map(({ day: on }) => weekdayOf(on)))].sort((a, b) => a - b);

/** A week of a kind, with as much as such a week usually holds. */
export const usualWeek = (of: WeekKind): ProgrammeWeek => ({ kind: of, amountPercent: WEEK_KINDS[of].usualPercent });

/** Sessions in the order of their days. */
export const inDayOrder = <S extends { readonly day: string }>(sessions: readonly S[]): S[] =>
  [...sessions].sort((a, b) => a.day.localeCompare(b.day));

/** Everything wrong with a programme, by JSON pointer; empty when it can be gone by. */
export function checkProgramme(programme: Programme): Fault[] {
  const faults = faultsOf(PROGRAMME, programme);
  if (faults.length > 0) return faults;
  return [...daysOutside(programme), ...twice(programme), ...unknownPlans(programme)];
}

function daysOutside(programme: Programme): Fault[] {
  const { sessions, away = [], event, fromDay } = programme;
  const last = addDays(endOf(programme), -1);
  const isWithin = (on: string) => on >= fromDay && on <= last;
  const where = `must lie within the programme, ${fromDay} to ${last}`;
  return [
    ...sessions.flatMap(({ day: on }, index) =>
      isWithin(on) ? [] : [{ pointer: `/sessions/${index}/day`, message: where, label: 'Day' }],
    ),
    ...away.flatMap(({ fromDay: from, toDay }, index) =>
      toDay < from ? [{ pointer: `/away/${index}/toDay`, message: `must not be before ${from}, its first day`, label: 'To' }] : [],
    ),
    ...(event && !isWithin(event.day) ? [{ pointer: '/event/day', message: where, label: 'Event' }] : []),
  ];
}

function twice({ plans, sessions, changes = [] }: Programme): Fault[] {
  const of = (part: string, all: readonly { readonly id: string }[]): Fault[] =>
    all.flatMap(({ id }, index) =>
      all.findIndex((each) => each.id === id) < index
        ? [{ pointer: `/${part}/${index}/id`, message: `“${id}” is already used: give each its own` }]
        : [],
    );
  return [...of('plans', plans), ...of('sessions', sessions), ...of('changes', changes)];
}

function unknownPlans({ plans, sessions, changes = [] }: Programme): Fault[] {
  const ids = plans.map(({ id }) => id);
  const of = (part: string, all: readonly { readonly planId: string }[]): Fault[] =>
    all.flatMap(({ planId }, index) =>
      ids.includes(planId) ? [] : [{ pointer: `/${part}/${index}/planId`, message: `must be one of the plans: ${ids.join(', ')}` }],
    );
  return [...of('sessions', sessions), ...of('changes', changes)];
}
