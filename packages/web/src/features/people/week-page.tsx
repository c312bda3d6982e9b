import type { Athlete, SessionRecord } from '@clay-pot/contracts';
import {
  addDays,
  compileTimeline,
  describePot,
  doneTimeline,
  dosesWithin,
  HANDS,
  loadTrends,
  type PastSession,
  type Person,
  POT_MEASURES,
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
import { PotDrawing } from '../../drawing/pot.js';
import { knownMovement } from '../../store/library.js';
import { methodOf } from '../../store/own-methods.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { clock, percent, WEEKDAY_NAMES } from '../../ui/format.js';
import { SideMark } from '../../ui/marks.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { blockNames } from '../sequences/block-names.js';
import { measureIn } from '../sequences/pot-panel.js';
import { useForWhom } from './use-person.js';

/** A week of somebody's sessions as pots side by side, with what it came to for each muscle group. */
export default function WeekPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const athlete = useAthlete(id);
  const past = usePast(id);
  const { person } = useForWhom(id);
  if (athlete.isPending || past.isPending) return <Loading what="the week" />;
  if (!athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!past.data) return <Trouble error={past.error} retry={() => void past.refetch()} />;
  const today = isoToday();
  const asked = params.get('of') ?? today;
  const monday = addDays(asked, 1 - weekdayOf(asked));
  const measure = measureIn(params);
  const set = (name: string, value: string) => {
    params.set(name, value);
    setParams(params, { replace: true });
  };
  return (
    <Page
      title={`Week of ${athlete.data.name}`}
      lead={`From Monday ${format(new Date(`${monday}T12:00:00`), 'd MMMM yyyy')}; pots of what was done, and each hand’s time under load.`}
      actions={
        <>
          <Button onClick={() => set('of', addDays(monday, -7))}>Week before</Button>
          <Button disabled={addDays(monday, 7) > today} onClick={() => set('of', addDays(monday, 7))}>
            Week after
          </Button>
          <select
            aria-label="Width"
            className={`${INPUT} w-64!`}
            value={measure}
            onChange={(event) => set('width', event.target.value)}
          >
            {(Object.keys(POT_MEASURES) as PotMeasure[]).map((key) => (
              <option key={key} value={key}>
                {POT_MEASURES[key].label}, {POT_MEASURES[key].unit}
              </option>
            ))}
          </select>
          <ButtonLink to={`/people/${id}`}>Back to the person</ButtonLink>
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

const localDay = (instant: string) => format(new Date(instant), 'yyyy-MM-dd');

function Days({ athlete, person, past, monday, measure }: DaysProps) {
  const days = WEEKDAY_NAMES.map((_, index) => addDays(monday, index));
  const within = past.filter(({ startedAt }) => days.includes(localDay(startedAt)));
  const records = useQueries({
    queries: within.map(({ id }) => sessionQuery(id)),
    combine: (results) => results.flatMap(({ data }) => data ?? []),
  });
  const views = useMemo(
    () => new Map(records.map((record) => [record.id, doneView(record, person)])),
    [records, person],
  );
  const scaleMs = Math.max(10 * 60_000, ...[...views.values()].map(({ timeline }) => timeline.durationMs));
  if (within.length === 0) {
    return (
      <p className="border-b border-line py-6 text-ink-soft">
        {athlete.name} has no ended session in this week{past.length ? '' : ', nor in the four weeks before today'}.
      </p>
    );
  }
  return (
    <ol className="grid grid-cols-2 gap-x-3 gap-y-4 sm:grid-cols-7">
      {days.map((day, index) => (
        <li key={day}>
          <h2 className="border-b-2 border-ink text-body">
            {WEEKDAY_NAMES[index]} {Number(day.slice(8))}
          </h2>
          {within
            .filter(({ startedAt }) => localDay(startedAt) === day)
            .map((session) => (
              <DayPot
                key={session.id}
                session={session}
                view={views.get(session.id)}
                measure={measure}
                scaleMs={scaleMs}
              />
            ))}
        </li>
      ))}
    </ol>
  );
}

function doneView({ plan, sets }: SessionRecord, person: Person): SessionView {
  const timeline = doneTimeline(compileTimeline(plan, knownMovement), sets);
  const asked = { sequence: plan, lookup: knownMovement, shelf: [], person, method: methodOf(plan.methodId) };
  return viewOf({ ...asked, athlete: null, past: [], now: `${person.today}T00:00:00.000Z` }, timeline);
}

interface DayPotProps {
  session: PastSession;
  view: SessionView | undefined;
  measure: PotMeasure;
  scaleMs: number;
}

function DayPot({ session, view, measure, scaleMs }: DayPotProps) {
  if (!view) return <p className="py-4 text-small text-ink-soft">Fetching …</p>;
  const pot = potOf(view, measure);
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

/** Outside the band, and the plain change of the week says so too: when the last session was alone moves the ratio. */
function isWorthALook(ratio: number | null, week: number, usual: number): boolean {
  if (ratio === null || (ratio <= 1.3 && ratio >= 0.8)) return false;
  return Math.abs(week / usual - 1) > 0.2;
}

/** Too small to speak of, in holds to failure. */
const NEXT_TO_NOTHING = 0.01;
function change(week: number, usual: number): string {
  if (usual < NEXT_TO_NOTHING) return week < NEXT_TO_NOTHING ? '–' : 'new';
  return percent(week / usual - 1).replace('-', '−');
}

/** The last seven days against the usual week, group by group. */
function Trends({ past }: { past: readonly PastSession[] }) {
  const now = useMemo(() => new Date().toISOString(), []);
  const trends = loadTrends(past, now);
  const week = dosesWithin(past, now, 7);
  if (trends.length === 0) return null;
  return (
    <Part title="The last seven days, by muscle group" className="mt-8">
      <table className="w-full text-small">
        <thead>
          <tr className="text-left text-ink-soft">
            <th className="py-1.5 font-normal">Endurance dose, holds to failure</th>
            <th className="py-1.5 text-right font-normal">left</th>
            <th className="py-1.5 text-right font-normal">right</th>
            <th className="py-1.5 text-right font-normal">usual week</th>
            <th className="py-1.5 text-right font-normal">change</th>
            <th className="py-1.5 text-right font-normal">7 over 28 days</th>
          </tr>
        </thead>
        <tbody>
          {trends.map(({ group, weekDose, usualWeekDose, ratio }) => (
            <tr key={group} className="border-t border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {group}
              </th>
              {HANDS.map((hand) => (
                <td key={hand} className="py-1 text-right figures">
                  {(week.get(`${hand} ${group}`) ?? 0).toFixed(2)}
                </td>
              ))}
              <td className="py-1 text-right figures">{usualWeekDose.toFixed(2)}</td>
              <td className="py-1 text-right figures">{change(weekDose, usualWeekDose)}</td>
              <td
                className={`py-1 text-right figures ${isWorthALook(ratio, weekDose, usualWeekDose) ? 'font-bold text-amber' : ''}`}
              >
                {ratio?.toFixed(2) ?? '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 max-w-prose text-fine text-ink-soft">
        The usual week is the mean of the three before. The last column compares exponentially weighted means of 7 and
        28 days; outside 0.8–1.3 it is a prompt to look and nothing more: its worth as a predictor is contested
        (Impellizzeri et al. 2020). Computed with today’s capacities.
      </p>
    </Part>
  );
}
