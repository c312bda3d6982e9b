import type { SessionRecord } from '@clay-pot/contracts';
import { callAfter, DECISION_IDS, DECISIONS, nextAfter } from '@clay-pot/core';
import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useProgrammes } from '../../api/programme-queries.js';
import { useAssignments, useSequences } from '../../api/queries.js';
import { useDecide, useOwnDecisions } from '../../domain/decisions.js';
import { MorningAdviceWords, MorningQuestion, useOwnMornings } from '../../domain/morning.js';
import { Button } from '../../ui/button.js';
import { dayText } from '../../ui/format.js';
import { Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';

/** What the session asks for next, and what the coach makes of it. */
export function WhatNow({ record }: { record: SessionRecord }) {
  const { id, athleteId, athleteName, sequenceId, ending } = record;
  const own = useOwnDecisions();
  const decide = useDecide();
  const pending = own.get(id);
  const decided = pending === undefined ? record.decision : pending;
  const { proposed, reason } = callAfter(record);
  const here = useRef<HTMLDivElement>(null);
  const { hash } = useLocation();
  useEffect(() => {
    if (hash === '#what-now') here.current?.scrollIntoView();
  }, [hash]);
  if (ending === null) return null;
  const stopped = ending === 'stopped';
  return (
    <div ref={here} id="what-now" className="mt-8 max-w-3xl scroll-mt-6">
      <Part title="What now">
        <p className="py-2">
          {stopped ? 'Nothing loads the hand that was stopped before it is cleared. ' : `${reason} `}
          The morning after: two points worse than before means a step back; numbness or tingling means stop and refer.
        </p>
        <TheMorning record={record} />
        {!stopped && (
          <div role="group" aria-label="Decide" className="flex flex-wrap gap-2">
            {DECISION_IDS.map((decision) => (
              <Button
                key={decision}
                kind={decided === null && decision === proposed ? 'primary' : 'plain'}
                aria-pressed={decision === decided}
                className={decision === decided ? 'bg-ink! text-white!' : ''}
                onClick={() => decide(id, decision, athleteName)}
              >
                {DECISIONS[decision] + (decided === null && decision === proposed ? ' (proposed)' : '')}
              </Button>
            ))}
          </div>
        )}
        <p className="py-2 text-ink-soft">
          {decided && !stopped && <b className="text-ink">Decided: {DECISIONS[decided].toLowerCase()}. </b>}
          <Next athleteId={athleteId} athleteName={athleteName} />{' '}
          <Link to={`/sequences/${sequenceId}?athlete=${athleteId}`} className="font-semibold text-ink underline">
            Open the sequence for {athleteName}
          </Link>
        </p>
      </Part>
    </div>
  );
}

function Next({ athleteId, athleteName }: { athleteId: string; athleteName: string }) {
  const assignments = useAssignments().data;
  const programmes = useProgrammes(athleteId).data;
  const sequences = useSequences().data;
  if (!assignments || !programmes) return null;
  const given = nextAfter(
    isoToday(),
    assignments.filter((each) => each.athleteId === athleteId),
  );
  const coming = programmes.flatMap(({ next }) => (next ? [{ day: next.day, title: sequences?.find(({ id }) => id === next.sequenceId)?.title ?? 'a session of the programme' }] : [])); // prettier-ignore
  const all = given ? [...coming, { day: given.day, title: given.assignment.sequenceTitle }] : coming;
  const next = all.sort((a, b) => a.day.localeCompare(b.day))[0];
  if (!next) {
    return (
      <>
        Nothing is given to {athleteName} after today:{' '}
        <Link to={`/people/${athleteId}`} className="font-semibold text-ink underline">
          give them a sequence
        </Link>
        .
      </>
    );
  }
  return (
    <>
      Next is {next.title} on {dayText(`${next.day}T12:00:00`)}.
    </>
  );
}

/** How the hands were the morning after: as it was told, or the question. */
function TheMorning({ record: { id, morning, morningBefore, endedAt } }: { record: SessionRecord }) {
  const pending = useOwnMornings().get(id);
  const [asking, setAsking] = useState(false);
  const told = pending ?? morning;
  if (told) {
    return (
      <div className="mb-3">
        <MorningAdviceWords morning={told} before={morningBefore} />
      </div>
    );
  }
  if (endedAt === null) return null;
  return asking ? (
    <div className="mb-4">
      <MorningQuestion sessionId={id} before={morningBefore} />
    </div>
  ) : (
    <Button className="mb-3" onClick={() => setAsking(true)}>
      Tell of the morning after
    </Button>
  );
}
