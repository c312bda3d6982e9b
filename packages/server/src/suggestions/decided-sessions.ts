import { In, Not } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { SuggestionAnswerRow } from './suggestion.entities.js';

/** Those of some sessions about which somebody has answered already, by whichever word. */
export async function decidedSessions(scope: StudioScope, ids: readonly string[]): Promise<ReadonlySet<string>> {
  if (ids.length === 0) return new Set();
  const rows = await scope.of(SuggestionAnswerRow).find({
    select: { sessionId: true },
    where: { sessionId: In([...ids]), answer: Not('taken back') },
  });
  return new Set(rows.flatMap(({ sessionId }) => sessionId ?? []));
}
