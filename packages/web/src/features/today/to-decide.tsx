import { useCalls } from '../../api/queries.js';
import { useWaiting } from '../../domain/calls/answer-calls.js';
import { CallsList } from '../../domain/calls/calls-list.js';
import { Empty, Part } from '../../ui/page.js';

/** What waits for the coach over all athletes, each with why and with what answers it. */
export function ToDecide() {
  const { data } = useCalls();
  const waiting = useWaiting(data?.calls ?? []);
  return (
    <Part title="To decide" aside={<span className="text-small text-ink-soft">J, K: next, before; A accepts, C changes, D declines</span>}>
      {data && data.toLookAt > 0 && (
        <p role="status" className="py-1 text-small text-ink-soft">
          {data.toLookAt} athletes are still looked at.
        </p>
      )}
      {!data && <p className="py-2 text-ink-soft">Looking at what was done …</p>}
      {data && waiting.length === 0 && <Empty>Nothing waits for a decision.</Empty>}
      {waiting.length > 0 && <CallsList calls={waiting} named label="To decide" />}
    </Part>
  );
}
