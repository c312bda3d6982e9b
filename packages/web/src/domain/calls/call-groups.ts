import type { AthleteCall } from '@clay-pot/contracts';
import { CALLS, counted, groupedBy, worstFirst } from '@clay-pot/core';

/** Calls of one athlete with one cause: told, and answered, together. */
export interface CallGroup {
  /** The same for as long as its calls are about the same. */
  readonly id: string;
  readonly calls: readonly [AthleteCall, ...AthleteCall[]];
}

/** The same call on the same evidence. */
export const callId = ({
  athleteId,
  key,
  evidenceKey,
}: Pick<AthleteCall, 'athleteId' | 'key' | 'evidenceKey'>): string => `${athleteId} ${key} ${evidenceKey}`;

/** Calls by athlete, kind and cause, the gravest first. */
export function callGroups(calls: readonly AthleteCall[]): CallGroup[] {
  const groups = groupedBy(calls, ({ athleteId, kind, cause }) => `${athleteId} ${kind} ${cause}`);
  return [...groups]
    .map(([id, mine]) => ({ id, calls: mine as [AthleteCall, ...AthleteCall[]] }))
    .sort((a, b) => worstFirst(a.calls[0], b.calls[0]) || a.calls[0].athleteName.localeCompare(b.calls[0].athleteName));
}

/** What a group is about, in a line. */
export function headOf({ calls }: CallGroup): string {
  const [first, ...others] = calls;
  if (others.length === 0) return first.why;
  if (first.kind === 'progress') return `${counted(calls.length, 'movement')} went clean: ready for more.`;
  if (first.cause === 'away') return `Two weeks and more without: ${CALLS.ease.words}, for ${counted(calls.length, 'movement')}.`; // prettier-ignore
  if (first.cause === 'morning') return `A worse morning after: ${CALLS.ease.words}, for ${counted(calls.length, 'movement')}.`; // prettier-ignore
  return calls.map(({ why }) => why).join(' ');
}
