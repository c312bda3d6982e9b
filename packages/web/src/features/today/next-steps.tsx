import { counted } from '@clay-pot/core';
import { useSuggestions } from '../../api/queries.js';
import { useWaiting } from '../../domain/suggestions/answer-suggestions.js';
import { SuggestionsList } from '../../domain/suggestions/suggestions-list.js';
import { Empty, Part } from '../../ui/page.js';

/** What waits for the coach over all athletes, each with why and with what answers it. */
export function NextSteps() {
  const { data } = useSuggestions();
  const waiting = useWaiting(data?.suggestions ?? []);
  return (
    <Part
      title="Next steps"
      aside={<span className="text-small text-ink-soft">J, K: next, previous; A accepts, C edits, D dismisses</span>}
    >
      {data && data.toLookAt > 0 && (
        <p role="status" className="py-1 text-small text-ink-soft">
          {`Checking ${counted(data.toLookAt, 'more athlete')}…`}
        </p>
      )}
      {!data && <p className="py-2 text-ink-soft">Checking sessions…</p>}
      {data && waiting.length === 0 && <Empty>No suggestions right now.</Empty>}
      {waiting.length > 0 && <SuggestionsList suggestions={waiting} named label="Next steps" />}
    </Part>
  );
}
