import { firstOf } from '@clay-pot/core';
import { useOutbox } from '../store/outbox.js';

/** What has been recorded and is not yet with the server; silent when all has arrived. */
export function OutboxState() {
  const { letters, refused, dismiss } = useOutbox();
  if (refused.length) {
    return (
      <div role="alert" className="border-l-4 border-iron bg-iron-wash p-2 text-small">
        <b>{refused.length} not taken</b>
        <p>{firstOf(refused).reason}</p>
        <button type="button" className="underline" onClick={dismiss}>
          Dismiss
        </button>
      </div>
    );
  }
  if (!letters.length) return null;
  return (
    <p role="status" className="text-small font-semibold text-amber">
      {letters.length} waiting to be sent
    </p>
  );
}
