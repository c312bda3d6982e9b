import { counted } from '@clay-pot/core';
import { useState } from 'react';
import { signOut, staySignedIn, type Unfinished, type Unsent, useSignOut } from '../domain/account/sign-out.js';
import { Button } from '../ui/button.js';
import { Dialog } from '../ui/dialog.js';

/** Asks what becomes of what is not sent or not finished, before its account leaves this device. */
export default function SignOutDialog() {
  const { asking, trouble } = useSignOut();
  const [isBusy, setBusy] = useState(false);
  if (!asking) return null;
  const leave = (unsent: Unsent) => {
    setBusy(true);
    void signOut(unsent).finally(() => setBusy(false));
  };
  return (
    <Dialog title="Sign out of this device?" onClose={staySignedIn}>
      {trouble && (
        <p role="alert" className="mt-3 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {trouble}
        </p>
      )}
      <Waiting asking={asking} />
      <Lost asking={asking} />
      <div className="mt-5 flex flex-wrap gap-3">
        {asking.messages > 0 && (
          <>
            <Button kind="primary" disabled={isBusy} onClick={() => leave('send')}>
              {isBusy ? 'Signing out …' : 'Send and sign out'}
            </Button>
            <Button disabled={isBusy} onClick={() => leave('keep')}>
              Keep for me and sign out
            </Button>
            <Button kind="stop" disabled={isBusy} onClick={() => leave('drop')}>
              Delete and sign out
            </Button>
          </>
        )}
        {asking.messages === 0 && (
          <Button kind="primary" disabled={isBusy} onClick={() => leave('keep')}>
            Sign out
          </Button>
        )}
        <Button kind="quiet" onClick={staySignedIn}>
          Stay signed in
        </Button>
      </div>
    </Dialog>
  );
}

function Waiting({ asking: { messages, stops } }: { asking: Unfinished }) {
  if (messages === 0) return null;
  return (
    <div className="mt-3">
      <p>
        {counted(messages, 'entry', 'entries')} on this device {messages === 1 ? 'hasn’t' : 'haven’t'} been sent yet. Kept entries are sent
        when you sign in here again; nobody else sees them.
      </p>
      {stops > 0 && (
        <p className="mt-2 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {stops === 1 ? 'A stop is' : `${stops} stops are`} still on this device. Once deleted, no record says that the hand must not be
          loaded.
        </p>
      )}
    </div>
  );
}

function Lost({ asking: { session, checkIns, tests, drafts } }: { asking: Unfinished }) {
  const lost = [
    session !== null && `the open session of ${session}`,
    checkIns > 0 && counted(checkIns, 'unfinished check-in'),
    tests > 0 && counted(tests, 'unfinished test'),
    drafts > 0 && counted(drafts, 'unsaved change'),
  ].filter((text) => text !== false);
  if (lost.length === 0) return null;
  return <p className="mt-3">Signing out deletes from this device: {lost.join(', ')}.</p>;
}
