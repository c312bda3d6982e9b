import { say } from '../../vocabulary/sentence.js';
import type { Check } from './finding.js';
import { hoursBetween } from '../../vocabulary/days.js';

/** Sessions that a method’s week has room for. */
export const SESSIONS_A_WEEK = { daily: 14, 'two or three': 3, 'every training day': 7 } as const;
/** Finds weeks with more sessions than the method has room for. */
export const tooOften: Check = {
  id: 'too-often',
  title: 'More sessions than the method allows',
  severity: 'look',
  why: 'Sessions add up: a week has room for only so many.',
  source: 'training method',
  find: ({ past, now, method }) => {
    const week = past.filter(({ startedAt }) => hoursBetween(startedAt, now) < 7 * 24 && hoursBetween(startedAt, now) >= 0).length;
    const most = SESSIONS_A_WEEK[method.frequency];
    return week >= most ? [{ blockIds: [], text: say`${week} sessions in the last seven days. ${method.name} allows up to ${most}.` }] : [];
  },
};
