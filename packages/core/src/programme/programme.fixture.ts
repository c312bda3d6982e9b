import { LIBRARY, METHODS, shippedMovement } from '../library/index.js';
import { mondayOf, type PlannedDay, type Programme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { GOOD, type Line, person, write } from '../rules/checks/sessions.fixture.js';
import { addDays } from '../vocabulary/days.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { evaluateProgramme, type ProgrammeView } from './evaluate.js';
import type { ProgrammeQuestion } from './seen.js';

export const MONDAY = mondayOf('2026-06-10');
export const day = (week: number, weekday: number) => addDays(MONDAY, 7 * week + weekday - 1);
const id = (number: number) => `00000000-0000-4000-8000-00000000000${number}`;

/** Finger flexors work far above 70 % for well over half a minute. */
export const HARD: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist'],
  ['strength', 'grip.ball-squeeze', 'soft', '4x4 @90% 5s L,R'],
];
/** Nothing but moving and stretching. */
export const EASY: readonly Line[] = GOOD.slice(0, 6);

export const SEQUENCES: ReadonlyMap<string, Sequence> = new Map([
  ['hard', write(HARD, { title: 'Hard grip' })],
  ['easy', write(EASY, { title: 'Easy range' })],
  ['whole', write(GOOD, { title: 'Whole session' })],
]);

/** Sessions written as “week/weekday plan”. */
export const on = (...texts: string[]): PlannedDay[] =>
  texts.map((text, index) => {
    const [when = '', planId = ''] = text.split(' ');
    const [week = 0, weekday = 1] = when.split('/').map(Number);
    return { id: `s${index + 1}`, day: day(week, weekday), planId };
  });

export const programmeOf = (sessions: readonly PlannedDay[], more: Partial<Programme> = {}): Programme => ({
  title: 'Toward the show',
  fromDay: MONDAY,
  weeks: Array.from({ length: 6 }, () => ({ kind: 'build' as const, amountPercent: 100 })),
  plans: [
    { id: 'hard', sequenceId: id(1) },
    { id: 'easy', sequenceId: id(2) },
    { id: 'whole', sequenceId: id(3) },
  ],
  sessions: [...sessions],
  ...more,
});

export const question = (programme: Programme, more: Partial<ProgrammeQuestion> = {}): ProgrammeQuestion => ({
  programme,
  sequences: SEQUENCES,
  lookup: shippedMovement,
  shelf: LIBRARY,
  person,
  method: METHODS['floor-loading'],
  athlete: { cautions: [], equipment: EQUIPMENT },
  past: [],
  done: [],
  today: MONDAY,
  ...more,
});

export const evaluated = (programme: Programme, more?: Partial<ProgrammeQuestion>): ProgrammeView =>
  evaluateProgramme(question(programme, more));

/** What one rule says. */
export const saidBy = (rule: string, programme: Programme, more?: Partial<ProgrammeQuestion>) =>
  evaluated(programme, more).findings.filter((finding) => finding.rule === rule);
