import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import type { StoredClass } from '@clay-pot/contracts';
import { request } from '../../api/request.js';
import { OutboxState } from '../../domain/session/outbox-state.js';
import { type ClassRun, leaveClass, takeClass, useClassRun } from '../../store/class-run.js';
import { useServerClock } from '../../store/server-clock.js';
import { listenToClass, useStream } from '../../store/class-stream.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Page, Trouble } from '../../ui/page.js';
import { BigScreen } from './big-screen.js';
import { Console } from './console.js';

/** The class of this device, or one that runs on another. */
export default function ClassPage() {
  const { id, view } = useParams();
  const run = useClassRun((state) => state.run);
  const isHere = run !== null && (id === undefined || id === run.id);
  if (isHere) return <Led run={run} isScreen={view === 'screen'} />;
  return id === undefined ? <NoClass /> : <Fetched id={id} />;
}

function NoClass() {
  return (
    <main>
      <Page title="No class in progress" lead="Start one from a sequence: More, then “Lead a class”.">
        <ButtonLink to="/sequences" kind="primary">
          Go to Sequences
        </ButtonLink>
      </Page>
    </main>
  );
}

/** A class that was begun on another device. */
function Fetched({ id }: { id: string }) {
  const stored = useQuery({ queryKey: ['class', id], queryFn: () => request<StoredClass>(`/class-sessions/${id}`), staleTime: 0 });
  const { data } = stored;
  useEffect(() => {
    if (data) takeClass(data);
  }, [data]);
  if (stored.error) return <Trouble error={stored.error} retry={() => void stored.refetch()} />;
  return <Loading what="the class" />;
}

function Led({ run, isScreen }: { run: ClassRun; isScreen: boolean }) {
  const navigate = useNavigate();
  useEffect(() => listenToClass(run.id), [run.id]);
  // The clock of a class that began elsewhere is the server’s.
  const isTimed = useServerClock((state) => state.behindMs !== null) || run.isOurs;
  if (!isTimed) return <Loading what="the time of the class" />;
  if (isScreen) return <BigScreen run={run} />;
  return (
    <Console
      run={run}
      aside={<Joining run={run} />}
      onDone={() => {
        leaveClass();
        void navigate('/records');
      }}
    />
  );
}

const CODE_EVERY_MS = 3000;

/** How other devices come in, and whether they are heard. */
function Joining({ run }: { run: ClassRun }) {
  const isOpen = useStream((state) => state.isOpen);
  const { code, id } = run;
  // The code comes from the server once the class has arrived there.
  useEffect(() => {
    if (code !== null || !isOpen) return;
    const look = () => request<StoredClass>(`/class-sessions/${id}`).then(takeClass, () => undefined);
    void look();
    const timer = setInterval(() => void look(), CODE_EVERY_MS);
    return () => clearInterval(timer);
  }, [code, id, isOpen]);
  return (
    <div className="flex items-center gap-3 text-small">
      <OutboxState />
      {code !== null && (
        <span className="whitespace-nowrap">
          <span className="max-sm:hidden">Join at {location.host}/join: </span>
          <b data-testid="code" className="display text-body tracking-wider">
            {code}
          </b>
        </span>
      )}
      <a href={`/class/${id}/screen`} target="_blank" rel="noreferrer" className="flex min-h-11 items-center font-semibold underline">
        Big screen
      </a>
    </div>
  );
}
