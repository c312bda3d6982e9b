import { CODE_LENGTH, type JoinedRoom, type RoomRole } from '@clay-pot/contracts';
import { useEffect, useState } from 'react';
import { isProblem, ProblemError, request } from '../../api/request.js';
import { leaveClass, takeClass, useClassRun } from '../../store/class-run.js';
import { setOwnNames } from '../../store/own-names.js';
import { useServerClock } from '../../store/server-clock.js';
import { listenToClass } from '../../store/class-stream.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { Loading, Page, Trouble } from '../../ui/page.js';
import { Segments } from '../../ui/segments.js';
import { ToastPlace } from '../../ui/toast.js';
import { BigScreen } from './big-screen.js';
import { Console } from './console.js';
import { Counter } from './counter.js';

const ROLES: readonly RoomRole[] = ['screen', 'counter', 'console'];
const ROLE_WORDS: Record<RoomRole, string> = { screen: 'Big screen', counter: 'Counter', console: 'Console' };
const ROLE_HINTS: Record<RoomRole, string> = {
  screen: 'For a television or projector: movement, count and who does what else.',
  counter: 'The count alone, as large as this device.',
  console: 'Controls the clock and records what you see. For a second coach.',
};

/** A device without an account joins a class. Nothing of it stays here once it leaves. */
export default function Join() {
  const [role, setRole] = useState<RoomRole | null>(null);
  const [isKnown, setKnown] = useState(false);
  const [trouble, setTrouble] = useState<unknown>(null);
  const run = useClassRun((state) => state.run);
  const come = ({ role: as, room }: JoinedRoom) => {
    takeClass(room);
    setOwnNames(room.names);
    setRole(as);
  };
  const look = () => {
    // A reload finds the class that it was in.
    request<JoinedRoom>('/room')
      .then(come, (error: unknown) => {
        if (!isProblem(error, 'sign-in-needed')) setTrouble(error);
      })
      .finally(() => setKnown(true));
  };
  useEffect(look, []);
  const isIn = role !== null && run !== null;
  // Before the server’s clock is known nobody can tell how far the class is.
  const isTimed = useServerClock((state) => state.behindMs !== null);
  useEffect(() => (isIn ? listenToClass(null) : undefined), [isIn]);
  const leave = () => {
    void request('/room', { method: 'DELETE' }).catch(() => undefined);
    leaveClass();
    setRole(null);
  };
  if (!isKnown) return <Loading what="the class" />;
  if (trouble)
    return (
      <Trouble
        error={trouble}
        retry={() => {
          setTrouble(null);
          look();
        }}
      />
    );
  if (!isIn) return <JoinForm come={come} />;
  if (!isTimed) return <Loading what="the time of the class" />;
  const leaving = (
    <button type="button" className="min-h-14 border border-ink bg-white px-4 font-semibold text-ink hover:bg-ground" onClick={leave}>
      Leave class
    </button>
  );
  return (
    <>
      {role === 'screen' && <BigScreen run={run}>{leaving}</BigScreen>}
      {role === 'counter' && (
        <>
          <Counter run={run} />
          <div className="fixed right-3 bottom-3">{leaving}</div>
        </>
      )}
      {role === 'console' && <Console run={run} aside={leaving} onDone={leave} />}
      <ToastPlace />
    </>
  );
}

function JoinForm({ come }: { come: (joined: JoinedRoom) => void }) {
  const [code, setCode] = useState(() => new URLSearchParams(location.search).get('code') ?? '');
  const [role, setRole] = useState<RoomRole>('screen');
  const [trouble, setTrouble] = useState<string | null>(null);
  return (
    <main>
      <Page title="Join a class" lead="Enter the code on the coach’s device.">
        <form
          className="grid max-w-md gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            setTrouble(null);
            request<JoinedRoom>('/room', { method: 'POST', body: { code, role } }).then(come, (error: unknown) =>
              setTrouble(
                error instanceof ProblemError
                  ? (error.problem.errors?.[0]?.message ?? error.message)
                  : 'Couldn’t join: this device is offline.',
              ),
            );
          }}
        >
          <label className="grid gap-1 font-semibold">
            Code
            <input
              className={`${INPUT} display min-h-14 text-head tracking-widest uppercase`}
              autoComplete="off"
              autoCapitalize="characters"
              spellCheck={false}
              maxLength={CODE_LENGTH * 2}
              value={code}
              onChange={({ target }) => setCode(target.value)}
            />
          </label>
          <div>
            <p className="mb-1 font-semibold">This device is a</p>
            <Segments label="This device is a" options={ROLES} words={(each) => ROLE_WORDS[each]} chosen={role} choose={setRole} />
            <p className="mt-1 text-small text-ink-soft">{ROLE_HINTS[role]}</p>
          </div>
          {trouble && (
            <p role="alert" className="border-l-4 border-iron bg-iron-wash px-3 py-2">
              Couldn’t join: {trouble}.
            </p>
          )}
          <Button kind="primary" type="submit" className="min-h-14 text-lead" disabled={code.trim() === ''}>
            Join class
          </Button>
        </form>
      </Page>
    </main>
  );
}
