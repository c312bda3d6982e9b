import type { Athlete, SessionRecord } from '@clay-pot/contracts';
import {
  addDays,
  clock,
  compileTimeline,
  describePot,
  doneTimeline,
  mergeCoverage,
  type PastSession,
  type Person,
  type PotMeasure,
  potOf,
  type SessionView,
  viewOf,
  weekdayOf,
} from '@clay-pot/core';
import { useQueries } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { sessionQuery, useAthlete, usePast } from '../../api/queries.js';
import { MeasureChoice, useMeasure } from '../../domain/sequence/pot-measure.js';
import { PotDrawing } from '../../drawing/pot.js';
import { movementById, methodFor } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { INPUT } from '../../ui/field.js';
import { WEEKDAY_NAMES } from '../../ui/format.js';
import { SideMark } from '../../ui/marks.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { blockNames } from '../../domain/sequence/block-names.js';
import { WheelPanel } from '../../domain/sequence/wheel-panel.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { DayDoses, Trends } from './week-sums.js';

/** A week of somebody's sessions as pots side by side, with what it came to for each muscle group. */
export default function WeekPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const athlete = useAthlete(id);
  const past = usePast(id);
  const { person } = useSubject(id);
  const measure = useMeasure();
  if (athlete.isPending || past.isPending) return <Loading what="the week" />;
  if (!athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!past.data) return <Trouble error={past.error} retry={() => void past.refetch()} />;
  const today = isoToday();
  const day = params.get('of') ?? today;
  const monday = addDays(day, 1 - weekdayOf(day));
  const set = (name: string, value: string) => {
    params.set(name, value);
    setParams(params, { replace: true });
  };
  return (
    <Page
      title={`Week of ${athlete.data.name}`}
      lead={`From Monday ${format(new Date(`${monday}T12:00:00`), 'd MMMM yyyy')}: a pot of each session, and each hand’s time under load.`}
      actions={
        <>
          <Button onClick={() => set('of', addDays(monday, -7))}>Previous week</Button>
          <Button disabled={addDays(monday, 7) > today} onClick={() => set('of', addDays(monday, 7))}>
            Next week
          </Button>
          <MeasureChoice label="Width" className={`${INPUT} w-64!`} />
          <ButtonLink to={`/people/${id}`}>Back to the athlete</ButtonLink>
        </>
      }
    >
      <Days athlete={athlete.data} person={person} past={past.data} monday={monday} measure={measure} />
      <Trends past={past.data} />
    </Page>
  );
}

interface DaysProps {
  athlete: Athlete;
  person: Person;
  past: readonly PastSession[];
  monday: string;
  measure: PotMeasure;
}

function Days({ athlete, person, past, monday, measure }: DaysProps) {
  const days = WEEKDAY_NAMES.map((_, index) => addDays(monday, index));
  const sessions = past.filter(({ onDay }) => days.includes(onDay));
  const records = useQueries({
    queries: sessions.map(({ id }) => sessionQuery(id)),
    combine: (results) => results.flatMap(({ data }) => data ?? []),
  });
  const views = useMemo(() => new Map(records.map((record) => [record.id, doneView(record, person)])), [records, person]);
  const scaleMs = Math.max(10 * 60_000, ...[...views.values()].map(({ timeline }) => timeline.durationMs));
  if (sessions.length === 0) {
    return (
      <p className="border-b border-line py-6 text-ink-soft">
        {athlete.name} has no finished session in this week{past.length ? '' : ', nor in the four weeks before today'}.
      </p>
    );
  }
  return (
    <>
      <ol className="grid grid-cols-2 gap-x-3 gap-y-4 sm:grid-cols-7">
        {days.map((day, index) => (
          <li key={day}>
            <h2 className="border-b-2 border-ink text-body">
              {WEEKDAY_NAMES[index]} {Number(day.slice(8))}
            </h2>
            {sessions
              .filter(({ onDay }) => onDay === day)
              .map((session) => (
                <DayPot key={session.id} session={session} view={views.get(session.id)} measure={measure} scaleMs={scaleMs} />
              ))}
          </li>
        ))}
      </ol>
      <div className="mt-8 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <DayDoses days={days} sessions={sessions} />
        <Part title="Wrist directions used">
          <WheelPanel
            coverage={mergeCoverage([...views.values()].map(({ coverage }) => coverage))}
            person={person}
            athleteId={athlete.id}
          />
        </Part>
      </div>
    </>
  );
}

function doneView({ plan, sets }: SessionRecord, person: Person): SessionView {
  const timeline = doneTimeline(compileTimeline(plan, movementById), sets);
  const question = { sequence: plan, lookup: movementById, shelf: [], person, method: methodFor(plan) };
  return viewOf({ ...question, athlete: null, past: [], now: `${person.today}T00:00:00.000Z` }, timeline);
}

interface DayPotProps {
  session: PastSession;
  view: SessionView | undefined;
  measure: PotMeasure;
  scaleMs: number;
}

function DayPot({ session, view, measure, scaleMs }: DayPotProps) {
  if (!view) return <p className="py-4 text-small text-ink-soft">Loading…</p>;
  const pot = potOf(view, measure, 'done');
  const nameOf = blockNames(view.sequence);
  return (
    <div>
      <PotDrawing
        pot={pot}
        nameOf={nameOf}
        description={describePot(pot, nameOf)}
        scaleMs={scaleMs}
        heightPx={220}
        bare
        className="block w-full"
      />
      <p className="text-fine leading-tight">
        <Link className="underline underline-offset-2" to={`/records/${session.id}`}>
          {session.title}
        </Link>
        , {clock(view.timeline.durationMs)}
      </p>
      <p className="flex gap-1.5 text-fine text-ink-soft figures" title="Time under load of each hand">
        <SideMark side="left" /> {clock(view.account.hands.left.underLoadS * 1000)} <SideMark side="right" />{' '}
        {clock(view.account.hands.right.underLoadS * 1000)}
      </p>
    </div>
  );
}
