import { say } from '../../vocabulary/sentence.js';
import { hardGroups, type PastLoad } from '../../effort/past.js';
import { working } from '../../vocabulary/constant.js';
import type { Check } from './finding.js';
import { hoursBetween } from '../../vocabulary/days.js';

/** Sessions that a method’s week has room for. */
export const SESSIONS_A_WEEK = { daily: 14, 'two or three': 3, 'every training day': 7 } as const;
/** Below this dose of every muscle group a session is light. */
const LIGHT_DOSE = working(
  'Dose of a light session',
  0.25,
  'holds to failure',
  'a quarter of what each muscle could hold, at most',
  [0.1, 0.4],
).value;

/** Whether nothing works hard in a session, and no muscle for long. */
const isLight = ({ doses, hard }: Pick<PastLoad, 'doses' | 'hard'>): boolean =>
  hard.length === 0 && Math.max(0, ...Object.values(doses)) < LIGHT_DOSE;

/** Finds weeks with more sessions than the method has room for. */
export const tooOften: Check = {
  id: 'too-often',
  title: 'More sessions than the method allows',
  severity: 'look',
  why: 'Sessions add up: a week has room for only so many.',
  source: 'training method',
  find: ({ past, now, method, account, efforts }) => {
    // Light work may be done daily: only what loads is counted, and only for what loads.
    if (isLight({ doses: Object.fromEntries(account.doses), hard: hardGroups(efforts) })) return [];
    const lately = past.filter(({ startedAt }) => hoursBetween(startedAt, now) < 7 * 24 && hoursBetween(startedAt, now) >= 0);
    const week = lately.filter((session) => !isLight(session)).length;
    const most = SESSIONS_A_WEEK[method.frequency];
    return week >= most ? [{ blockIds: [], text: say`${week} sessions in the last seven days. ${method.name} allows up to ${most}.` }] : [];
  },
};
