import { counted } from '@clay-pot/core';
import { useCalls } from '../../api/queries.js';
import { useWaiting } from '../../domain/calls/answer-calls.js';
import { CallsList } from '../../domain/calls/calls-list.js';
import { Empty, Part } from '../../ui/page.js';

/** What waits for the coach over all athletes, each with why and with what answers it. */
export function ToDecide() {
  const { data } = useCalls();
  const waiting = useWaiting(data?.calls ?? []);
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
      {waiting.length > 0 && <CallsList calls={waiting} named label="Next steps" />}
    </Part>
  );
}
