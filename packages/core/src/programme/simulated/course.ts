import type { Method } from '../../model/method.js';
import type { Movement } from '../../model/movement.js';
import { WEEK_KINDS } from '../../model/programme.js';
import { inAmount } from '../../rules/doses/in-amount.js';
import { gateOf } from '../../rules/progress/gates.js';
import { standingOf } from '../../rules/progress/level-standing.js';
import { adviseOnMorning } from '../../rules/reports/morning.js';
import type { MorningScores } from '../../rules/reports/morning.js';
import type { WorkDone } from '../../rules/progress/work-done.js';
import { amountOf, setCount, workOf, worksOf } from '../../model/dose.js';
import { addDays } from '../../vocabulary/days.js';
import { itemAt } from '../../vocabulary/lists.js';
import { drawnAthlete, type SimulatedAthlete } from './athlete.js';
import { type Chance, chanceOf } from './chance.js';
import { type Prescribed, freshState, respond, rested, type SimulatedState } from './respond.js';
import { beginOf, type SimulatedLevel } from './simulated-levels.js';

/** By which rules a course is gone through. */
export interface CourseRules {
  readonly method: Method;
  readonly weeks: number;
  readonly sessionsPerWeek: number;
  /** Every so many weeks one of six tenths; 0 for none. */
  readonly easierEvery: number;
}

/** What came of somebody’s weeks. */
export interface CourseOutcome {
  /** How far they came on the ladder, the part of the level’s gate counted in. */
  readonly climbed: number;
  readonly flareUps: number;
  /** Sessions in which it hurt by five and more. */
  readonly sore: number;
  readonly sessions: number;
  /** Strength at the end, times that of the beginning. */
  readonly strength: number;
}

const FIRST_DAY = '2026-01-05';
const DAYS_A_WEEK = 7;
const EASIER_PERCENT = WEEK_KINDS.easier.usualPercent;
/** Standings look at the last sessions only: what decides lies among them. */
const LOOKED_AT = 14;
const SORE_FROM = 5;

/** A session that somebody who does not exist has done. */
export interface SimulatedSession {
  readonly done: WorkDone;
  readonly prescribed: Prescribed;
  readonly flared: boolean;
  /** In an easier week a session says nothing of whether more may follow. */
  readonly isTelling: boolean;
}

/** How a course stands at its end. */
interface CourseEnd {
  readonly index: number;
  readonly dose: Dosed;
  readonly state: SimulatedState;
}

/** Somebody goes through weeks by the rules that coaches are proposed, session by session. Where nobody of an ordinary strength would stand at first is the first rung. */
export function* simulatedSessions(
  movement: Movement,
  levels: readonly SimulatedLevel[],
  { method, weeks, sessionsPerWeek, easierEvery }: CourseRules,
  who: SimulatedAthlete,
  chance: Chance,
): Generator<SimulatedSession, CourseEnd> {
  let state = freshState(who);
  let index = 0;
  let dose: Dosed = beginOf(itemAt(levels, 0));
  let history: WorkDone[] = [];
  let before: MorningScores | null = null;
  let day = 0;
  const total = weeks * DAYS_A_WEEK;
  for (let number = 0; ; number++) {
    const on = Math.round((number * DAYS_A_WEEK) / sessionsPerWeek);
    if (on >= total) break;
    if (!chance.happens(who.adherence)) continue;
    state = rested(who, state, on - day);
    day = on;
    if (history.length > 0) {
      // What comes next is decided in the morning, by all that was done until then.
      const { step } = standingOf(history, { movement, method, today: addDays(FIRST_DAY, on), isBarred: false });
      ({ index, dose } = stepped(levels, index, dose, step));
    }
    const level = itemAt(levels, index);
    const isEasier = easierEvery > 0 && (Math.floor(on / DAYS_A_WEEK) + 1) % easierEvery === 0;
    const prescribed = { level, ...inWeek(level, dose, isEasier) };
    const response = respond(who, state, prescribed, chance);
    ({ state } = response);
    const { advice } = adviseOnMorning(response.morning, before, 'left');
    before = response.morning;
    const done: WorkDone = {
      sessionId: `${number}`,
      endedAt: `${addDays(FIRST_DAY, on)}T18:00:00.000Z`,
      onDay: addDays(FIRST_DAY, on),
      ...{ movementId: movement.id, levelId: level.level.id, hand: 'left', unit: level.unit },
      sets: response.setsDone,
      amount: response.setsDone > 0 ? prescribed.amount : response.amountDone,
      effortPercent: prescribed.effortPercent,
      isWhole: response.setsDone >= prescribed.sets,
      ...{ discomfort: response.discomfort, exertion: response.exertion, morning: advice },
      // Nobody watches them.
      formFaults: [],
    };
    const isTelling = !isEasier || advice !== 'go-on' || response.discomfort >= SORE_FROM;
    yield { done, prescribed, flared: response.flared, isTelling };
    if (isTelling) history = [...history, done].slice(-LOOKED_AT);
  }
  return { index, dose, state };
}

/** What comes of the weeks of somebody who is drawn by a seed. */
export function simulatedCourse(movement: Movement, levels: readonly SimulatedLevel[], rules: CourseRules, seed: number): CourseOutcome {
  const chance = chanceOf(seed);
  const who = drawnAthlete(chance);
  const course = simulatedSessions(movement, levels, rules, who, chance);
  let [flareUps, sore, sessions] = [0, 0, 0];
  let next = course.next();
  for (; !next.done; next = course.next()) {
    const { done, flared } = next.value;
    sessions++;
    if (flared) flareUps++;
    if ((done.discomfort ?? 0) >= SORE_FROM) sore++;
  }
  const { index, dose, state } = next.value;
  return {
    climbed: index + shareOfGate(itemAt(levels, index), dose, rules.method),
    ...{ flareUps, sore, sessions },
    strength: state.strength / who.strength,
  };
}

type Dosed = Omit<Prescribed, 'level'>;

function inWeek(level: SimulatedLevel, dose: Dosed, isEasier: boolean): Dosed {
  if (!isEasier) return dose;
  const eased = inAmount({ ...level.dose, sets: dose.sets, work: workOf(level.dose.work.kind, dose.amount) }, EASIER_PERCENT);
  // Where sets differ they are counted as the shortest.
  return { ...dose, sets: setCount(eased), amount: Math.min(...worksOf(eased).map(amountOf)) };
}

/** What a step makes of a level and its dose, as an accepted suggestion would. */
function stepped(
  levels: readonly SimulatedLevel[],
  index: number,
  dose: Dosed,
  step: ReturnType<typeof standingOf>['step'],
): { index: number; dose: Dosed } {
  switch (step.kind) {
    case 'level up':
    case 'level down': {
      const to = levels.findIndex(({ level }) => level.id === step.levelId);
      return to < 0 ? { index, dose } : { index: to, dose: beginOf(itemAt(levels, to)) };
    }
    case 'amount':
      return { index, dose: { ...dose, amount: step.to } };
    case 'sets':
      return { index, dose: { ...dose, sets: step.to } };
    case 'effort':
      return { index, dose: { ...dose, effortPercent: step.to } };
    case 'ease': {
      const level = itemAt(levels, index);
      return { index, dose: inWeek(level, dose, true) };
    }
    case 'hold':
      return { index, dose };
  }
}

/** How much of a level’s gate a dose is, 0–1. */
function shareOfGate({ level, unit }: SimulatedLevel, { sets, amount }: Dosed, method: Method): number {
  const gate = gateOf(level, unit, method);
  return gate ? Math.min(1, (sets * amount) / (gate.sets * gate.amount)) : 0;
}
