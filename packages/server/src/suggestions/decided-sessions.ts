import type { StudioScope } from '../database/studio-scope.js';
import { SuggestionAnswerRow } from './suggestion.entities.js';

/** The sessions about which somebody has answered already, by whichever word. */
export async function decidedSessions(scope: StudioScope): Promise<ReadonlySet<string>> {
  const rows = await scope
    .of(SuggestionAnswerRow)
    .query('answer')
    .select('DISTINCT answer.session_id', 'sessionId')
    .andWhere("answer.answer <> 'taken back'")
    .andWhere('answer.session_id IS NOT NULL')
    .getRawMany<{ sessionId: string }>();
  return new Set(rows.map(({ sessionId }) => sessionId));
}
