import { effortMeans, type Level } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { USUAL_RANGES, type DosingKind, type UsualRange } from '../../vocabulary/usual-ranges.js';
import { type SetUnit, UNIT_OF, WORK_KINDS } from '../../vocabulary/work.js';
import { setsWords } from '../../model/dose-words.js';
import { working } from '../../vocabulary/constant.js';
import { adviseOnDiscomfort } from '../reports/discomfort.js';
import type { WorkDone } from './work-done.js';

/** What has to be done, and how it may feel, before the next level is taken. */
export interface Gate {
  readonly unit: SetUnit;
  readonly amount: number;
  readonly sets: number;
  /** Where effort is what rises: as much of the own maximum. */
  readonly effortPercent?: number;
  /** So many sessions one after the other. */
  readonly sessions: number;
}

/** Hard, and yet with something left: a perceived exertion up to this passes a gate. */
export const EXERTION_MOST = working(
  'Effort at a gate',
  7,
  'of 10',
  'very hard and no harder: two or three repetitions in reserve',
  [6, 8],
).value;
/** Sessions one after the other in which the gate is met (practice: progress). */
const SESSIONS = 2;
/** Sets at a gate, where a usual range does not say fewer. */
const SETS = 2;

type Amounts = Partial<Record<SetUnit, number>>;
/** Where the gate is not the top of the usual range: “build to 30 s or 2–3 × 10, then lean further rather than stay longer”. */
const AMOUNTS: Partial<Record<DosingKind, Amounts>> = {
  'bearing-holds': { seconds: 30, breaths: 4 },
  'planted-strength': { seconds: 30, repetitions: 10 },
  'free-weights': { repetitions: 12 },
  hangs: { seconds: 30 },
  'edge-holds': { seconds: 15 },
  'grip-holds': { seconds: 30 },
  'slow-circles': { repetitions: 10 },
  'finger-isolation': { repetitions: 12 },
};

/** The gate of a level in one unit; null where its usual range knows no such work. */
export function gateOf({ dosing, load }: Level, unit: SetUnit, method: Pick<Method, 'effortCeilingPercent'>): Gate | null {
  const range: UsualRange = USUAL_RANGES[dosing];
  const kind = WORK_KINDS.find((each) => UNIT_OF[each] === unit);
  const top = kind && range.amount[kind]?.[1];
  if (top === undefined) return null;
  const amount = AMOUNTS[dosing]?.[unit] ?? top;
  const [fewest, most] = range.sets ?? [SETS, SETS];
  const sets = Math.max(fewest, Math.min(SETS, most));
  const effort = effortMeans({ load }) === 'pressed' ? range.effortPercent?.[1] : undefined;
  return {
    unit,
    amount,
    sets,
    sessions: SESSIONS,
    ...(effort !== undefined && { effortPercent: Math.min(effort, method.effortCeilingPercent) }),
  };
}

/** A gate in words. @example gateWords({ unit: 'seconds', amount: 30, sets: 2, sessions: 2 }) → '2 sets of 30 s in 2 sessions' */
export const gateWords = ({ effortPercent, sessions, ...done }: Gate): string =>
  `${setsWords(done)}${effortPercent === undefined ? '' : ` at ${effortPercent} %`} in ${sessions} sessions`;

/** What a session must have been for more to follow. */
export interface CleanCondition {
  readonly id: string;
  readonly holds: (done: WorkDone, method: Pick<Method, 'discomfort'>) => boolean;
  /** Why nothing follows where it doesn’t hold. Form faults have words of their own (`formWords`). */
  readonly words: (done: WorkDone, method: Pick<Method, 'discomfort'>) => string;
}

/** All conditions, in the order in which they are reported: the first that doesn’t hold gives the reason. */
export const CLEAN_CONDITIONS: readonly CleanCondition[] = [
  { id: 'all of it', holds: ({ isWhole }) => isWhole, words: () => 'Not all of it was done.' },
  { id: 'rated', holds: ({ discomfort }) => discomfort !== null, words: () => 'No rating was recorded.' },
  {
    id: 'discomfort',
    holds: ({ discomfort }, { discomfort: allowed }) => discomfort !== null && adviseOnDiscomfort(discomfort, allowed) === 'go-on',
    words: ({ discomfort }, { discomfort: allowed }) =>
      `Discomfort ${discomfort ?? 0} of 10${allowed === 'none' ? ', and this method allows none' : ''}.`,
  },
  {
    id: 'next morning',
    holds: ({ morning }) => morning === null || morning === 'go-on',
    words: () => 'The next-day check says to keep this level.',
  },
  {
    id: 'exertion',
    holds: ({ exertion }) => (exertion ?? 0) <= EXERTION_MOST,
    words: ({ exertion }) => `Effort (RPE) ${exertion ?? 0} of 10.`,
  },
];

/** The first condition that a session does not hold, form apart; undefined where it holds all. */
export const unmetIn = (done: WorkDone, method: Pick<Method, 'discomfort'>): CleanCondition | undefined =>
  CLEAN_CONDITIONS.find(({ holds }) => !holds(done, method));

/** Whether a session of a movement went so that more may follow: every condition holds, and it was in good form. */
export const isClean = (done: WorkDone, method: Pick<Method, 'discomfort'>): boolean =>
  done.formFaults.length === 0 && unmetIn(done, method) === undefined;

/** Whether a session meets a gate. */
export const meets = (gate: Gate, done: WorkDone, method: Pick<Method, 'discomfort'>): boolean =>
  isClean(done, method) &&
  done.unit === gate.unit &&
  done.amount >= gate.amount &&
  done.sets >= gate.sets &&
  (gate.effortPercent === undefined || (done.effortPercent ?? 0) >= gate.effortPercent);
