import { say, type Sentence, joinSentences } from '../../vocabulary/sentence.js';
import { groupedBy } from '../../vocabulary/lists.js';
import { counted } from '../../vocabulary/text.js';
import { AWAY_DAYS } from './needs-a-look.js';
import { type Call, CALLS, worstFirst } from './call.js';

/** A call of somebody. */
export type CallOf = Call & { readonly athleteId: string; readonly athleteName: string };

/** Calls of one athlete with one cause: told, and answered, together. */
export interface CallGroup<C extends CallOf = CallOf> {
  /** The same for as long as its calls are about the same. */
  readonly id: string;
  readonly calls: readonly [C, ...C[]];
}

/** Calls by athlete, kind and cause, the gravest first. */
export function callGroups<C extends CallOf>(calls: readonly C[]): CallGroup<C>[] {
  const groups = groupedBy(calls, ({ athleteId, kind, cause }) => `${athleteId} ${kind} ${cause}`);
  return [...groups]
    .map(([id, mine]) => ({ id, calls: mine as [C, ...C[]] }))
    .sort((a, b) => worstFirst(a.calls[0], b.calls[0]) || a.calls[0].athleteName.localeCompare(b.calls[0].athleteName));
}

/** What a group is about, in a line. */
export function groupWords({ calls }: CallGroup): Sentence {
  const [first, ...others] = calls;
  if (others.length === 0) return first.why;
  const of = counted(calls.length, 'movement');
  if (first.kind === 'progress') return say`${of} done cleanly: ready for more.`;
  if (first.cause === 'away') return say`${counted(AWAY_DAYS, 'day')} or more without training: ${CALLS.ease.words}, for ${of}.`;
  if (first.cause === 'morning') return say`A worse next-day check: ${CALLS.ease.words}, for ${of}.`;
  if (first.cause === 'form' && first.kind === 'hold') return say`Form broke down in ${of}: repeat unchanged, with a fresh set-up.`;
  return joinSentences(calls.map(({ why }) => why));
}

/** Whether a call is about what stands on record already: a clearance answers it. */
export const isOnRecord = ({ kind, options: [proposed] }: Pick<Call, 'kind' | 'options'>): boolean =>
  kind === 'refer' && proposed.effect.kind !== 'bar';
