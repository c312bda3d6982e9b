import { readable } from '../../domain/measuring/units.js';
import type { SessionRecord } from '@clay-pot/contracts';
import { suggestionAfter, nextAfter } from '@clay-pot/core';
import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useProgrammes } from '../../api/programme-queries.js';
import { useAssignments, useSuggestionsOf, useSequences } from '../../api/queries.js';
import { useWaiting } from '../../domain/suggestions/answer-suggestions.js';
import { AnsweredList } from '../../domain/suggestions/answered-list.js';
import { SuggestionsList } from '../../domain/suggestions/suggestions-list.js';
import { MorningAdviceWords, MorningQuestion, useOwnMornings } from '../../domain/session/morning.js';
import { Button } from '../../ui/button.js';
import { dayText } from '../../ui/format.js';
import { Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';

/** What the session asks for next, and what the coach makes of it. */
export function WhatNow({ record }: { record: SessionRecord }) {
  const { athleteId, athleteName, sequenceId, ending } = record;
  const here = useRef<HTMLDivElement>(null);
  const { hash } = useLocation();
  useEffect(() => {
    if (hash === '#what-now') here.current?.scrollIntoView();
  }, [hash]);
  if (ending === null) return null;
  const stopped = ending === 'stopped';
  return (
    <div ref={here} id="what-now" className="mt-8 max-w-3xl scroll-mt-6">
      <Part title="What’s next">
        <p className="py-2">
          {stopped && 'Don’t load the stopped hand before it is cleared. '}
          Next day: two points more pain than before means one step back. Numbness or tingling means stop and have it seen.
        </p>
        <TheMorning record={record} />
        <SuggestionsOfSession record={record} />
        <p className="py-2 text-ink-soft">
          <Next athleteId={athleteId} athleteName={athleteName} />{' '}
          <Link to={`/sequences/${sequenceId}?athlete=${athleteId}`} className="font-semibold text-ink underline">
            Open the sequence for {athleteName}
          </Link>
        </p>
      </Part>
    </div>
  );
}

/** The suggestions that follow from a session, and what was answered about it. */
function SuggestionsOfSession({ record }: { record: SessionRecord }) {
  const { athleteId, id: sessionId } = record;
  const { data } = useSuggestionsOf(athleteId);
  const waiting = useWaiting(data?.open ?? []).filter((suggestion) => suggestion.sessionId === sessionId);
  // Without an answer of the server, the session by itself still says what it asks for.
  if (!data) return <p>{readable(suggestionAfter(record).reason)}</p>;
  const answered = data.answered.filter((suggestion) => suggestion.sessionId === sessionId);
  return (
    <>
      {waiting.length > 0 && <SuggestionsList suggestions={waiting} named={false} label="Next steps" />}
      {answered.length > 0 && <AnsweredList answered={answered} />}
      {waiting.length + answered.length === 0 && <p>No suggestions from this session.</p>}
    </>
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
  const coming = programmes.flatMap(({ next }) =>
    next ? [{ day: next.day, title: sequences?.find(({ id }) => id === next.sequenceId)?.title ?? 'a session of the programme' }] : [],
  );
  const all = given ? [...coming, { day: given.day, title: given.assignment.sequenceTitle }] : coming;
  const next = all.sort((a, b) => a.day.localeCompare(b.day))[0];
  if (!next) {
    return (
      <>
        Nothing is given to {athleteName} after today:{' '}
        <Link to={`/people/${athleteId}`} className="font-semibold text-ink underline">
          assign them a sequence
        </Link>
        .
      </>
    );
  }
  return (
    <>
      Next is {next.title} on {dayText(next.day)}.
    </>
  );
}

/** The next-day check: as it was recorded, or the question. */
function TheMorning({ record: { id, morning, morningBefore, endedAt } }: { record: SessionRecord }) {
  const pending = useOwnMornings().get(id);
  const [asking, setAsking] = useState(false);
  const complaint = pending ?? morning;
  if (complaint) {
    return (
      <div className="mb-3">
        <MorningAdviceWords morning={complaint} before={morningBefore} />
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
      Do the next-day check
    </Button>
  );
}
