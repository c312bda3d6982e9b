import { firstOf } from '@clay-pot/core';
import { useKeeping } from '../../store/keeping.js';
import { useOutbox } from '../../store/outbox.js';

/** What has been recorded and is not yet with the server; silent when all has arrived. */
export function OutboxState() {
  const { messages, refused, dismiss } = useOutbox();
  const trouble = useKeeping((state) => state.trouble);
  if (refused.length) {
    return (
      <div role="alert" className="border-l-4 border-iron bg-iron-wash p-2 text-small">
        <b>{refused.length} rejected</b>
        <p>{firstOf(refused).reason}</p>
        <button type="button" className="underline" onClick={dismiss}>
          Dismiss
        </button>
      </div>
    );
  }
  return (
    <>
      {messages.length > 0 && (
        <p role="status" className="text-small font-semibold text-amber">
          {messages.length} waiting to sync
        </p>
      )}
      {trouble !== null && (
        <p role="alert" className="border-l-4 border-load-4 bg-amber-wash p-2 text-small">
          {trouble}
        </p>
      )}
    </>
  );
}
