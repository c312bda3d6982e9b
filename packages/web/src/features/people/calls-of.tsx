import { useState } from 'react';
import { useCallsOf } from '../../api/queries.js';
import { AnsweredList } from '../../domain/calls/answered-list.js';
import { useWaiting } from '../../domain/calls/answer-calls.js';
import { CallsList } from '../../domain/calls/calls-list.js';
import { Button } from '../../ui/button.js';
import { Empty, Loading, Part } from '../../ui/page.js';
import { Disclosure } from '../../ui/disclosure.js';

const FIRST = 4;

/** What is proposed for a person, and what was answered before. */
export function CallsOf({ athleteId }: { athleteId: string }) {
  const calls = useCallsOf(athleteId);
  const waiting = useWaiting(calls.data?.open ?? []);
  const [all, setAll] = useState(false);
  const answered = calls.data?.answered ?? [];
  return (
    <Part title="Next steps">
      {calls.isPending && <Loading what="what is to be decided" />}
      {calls.data && waiting.length === 0 && <Empty>No suggestions right now.</Empty>}
      {waiting.length > 0 && <CallsList calls={waiting} named={false} label="Next steps" />}
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
