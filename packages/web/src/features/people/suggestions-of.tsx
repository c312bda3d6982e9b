import { useState } from 'react';
import { useSuggestionsOf } from '../../api/queries.js';
import { AnsweredList } from '../../domain/suggestions/answered-list.js';
import { useWaiting } from '../../domain/suggestions/answer-suggestions.js';
import { SuggestionsList } from '../../domain/suggestions/suggestions-list.js';
import { Button } from '../../ui/button.js';
import { Empty, Loading, Part } from '../../ui/page.js';
import { Disclosure } from '../../ui/disclosure.js';

const FIRST = 4;

/** What is proposed for a person, and what was answered before. */
export function SuggestionsOf({ athleteId }: { athleteId: string }) {
  const suggestions = useSuggestionsOf(athleteId);
  const waiting = useWaiting(suggestions.data?.open ?? []);
  const [all, setAll] = useState(false);
  const answered = suggestions.data?.answered ?? [];
  return (
    <Part title="Next steps">
      {suggestions.isPending && <Loading what="what is to be decided" />}
      {suggestions.data && waiting.length === 0 && <Empty>No suggestions right now.</Empty>}
      {waiting.length > 0 && <SuggestionsList suggestions={waiting} named={false} label="Next steps" />}
      {answered.length > 0 && (
        <Disclosure className="mt-1" title="Decisions so far" buttonClassName="text-small text-ink-soft">
          <AnsweredList answered={all ? answered : answered.slice(0, FIRST)} />
          {!all && answered.length > FIRST && (
            <Button className="mt-1" kind="quiet" onClick={() => setAll(true)}>
              All {answered.length}
            </Button>
          )}
        </Disclosure>
      )}
    </Part>
  );
}
