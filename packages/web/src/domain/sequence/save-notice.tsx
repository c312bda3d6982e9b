import { Button } from '../../ui/button.js';
import type { SaveState } from '../../store/autosave.js';

/** Whether the work is safe, always in view; and when it was changed elsewhere, what differs and what can be done. */
export function SaveNotice({ state, settle }: { state: SaveState; settle: (keep: 'mine' | 'theirs') => void }) {
  if (state.kind === 'stale') {
    const { changes } = state.stale;
    return (
      <div role="alert" className={NOTICE}>
        <b>Someone else changed this while you worked.</b> Your version would change theirs like this:
        <ul className="mt-1 list-[square] pl-5 text-small">
          {changes.slice(0, 8).map((change, index) => (
            <li key={index}>{change.text}</li>
          ))}
          {changes.length > 8 && <li>and {changes.length - 8} more</li>}
          {changes.length === 0 && <li>nothing: both are the same</li>}
        </ul>
        <div className="mt-2 flex gap-2">
          <Button onClick={() => settle('mine')}>Keep mine</Button>
          <Button onClick={() => settle('theirs')}>Use theirs</Button>
        </div>
      </div>
    );
  }
  const words = {
    saved: 'Saved',
    unsaved: 'Not saved yet',
    saving: 'Saving…',
    offline: 'Saved on this device',
    waiting: 'Saved on this device',
    refused: 'Not saved',
  }[state.kind];
  const isWorry = state.kind === 'offline' || state.kind === 'waiting' || state.kind === 'refused';
  return (
    <>
      <p
        role="status"
        data-testid="save-state"
        title={state.kind === 'offline' ? 'You’re offline. Your changes are kept on this device and will sync.' : undefined}
        className={`w-36 text-right text-small ${isWorry ? 'font-semibold text-iron' : 'text-ink-soft'}`}
      >
        {words}
      </p>
      {state.kind === 'waiting' && (
        <p role="alert" className={NOTICE}>
          <b>Couldn’t save yet:</b> {state.reason} Your changes are kept on this device, and we’ll keep trying.
        </p>
      )}
      {state.kind === 'refused' && (
        <p role="alert" className={NOTICE}>
          <b>Couldn’t save:</b> {state.reason}
        </p>
      )}
    </>
  );
}

/** Over the content below, so that nothing moves under the hand. */
const NOTICE = 'absolute inset-x-0 top-full z-30 border-b border-l-4 border-iron bg-iron-wash px-4 py-2 shadow-lg';
