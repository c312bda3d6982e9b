import type { Athlete } from '@clay-pot/contracts';
import { ageOn, dayWords, GOALS } from '@clay-pot/core';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { metricText } from '../../domain/measuring/units.js';
import { useAthlete, useAthletes, useIntakes, useReadings, useSaveAthlete, useSessions } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { SideMark } from '../../ui/marks.js';
import { Empty, Loading, Page, Part, Trouble } from '../../ui/page.js';
import { SessionStrip } from '../../ui/session-strip.js';
import { isoToday } from '../../ui/today.js';
import { useGiveSequence } from '../../domain/sequence/give-sequence.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { SessionRows } from '../../domain/session/session-rows.js';
import { BeginHere } from './begin-here.js';
import { Clearance } from './clearance.js';
import { LevelsWall } from './levels-wall.js';
import { LeftRight } from './left-right.js';
import { RangeAndStrength } from './range-and-strength.js';
import { RangeWheel } from './range-wheel.js';
import { CallsOf } from './calls-of.js';
import { ProgrammesOf } from './programmes-of.js';
import { GivenSequences } from './given-sequences.js';
import { MoreMenu } from '../../ui/more-menu.js';

const AthleteForm = lazy(() => import('./athlete-form.js').then((module) => ({ default: module.AthleteForm })));

/** One person: who they are, what to mind, what they are given, what they did. */
export default function AthletePage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const [editing, setEditing] = useState(false);
  const save = useSaveAthlete();
  const newSequence = useNewSequence();
  const give = useGiveSequence();
  const navigate = useNavigate();
  /** What is designed from here is theirs: it is given to them before it is opened. */
  async function designFor(person: Athlete) {
    const sequenceId = await newSequence(`For ${person.name.split(' ')[0]}`);
    await give(person.id, sequenceId);
    await navigate(`/sequences/${sequenceId}?athlete=${person.id}`);
  }
  if (athlete.isPending) return <Loading what="the person" />;
  if (!athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  const person = athlete.data;
  return (
    <Page
      title={person.name}
      lead={person.practice}
      actions={
        !editing && (
          <>
            <ButtonLink to={`/people/${person.id}/check-in`}>Start check-in</ButtonLink>
            <ButtonLink to={`/people/${person.id}/measure`}>Test</ButtonLink>
            <Button kind="primary" onClick={() => void designFor(person)}>
              New sequence
            </Button>
            <MoreMenu
              items={[
                { name: 'Edit', run: () => setEditing(true) },
                { name: 'Target practice', to: `/people/${person.id}/band` },
                { name: 'Week', to: `/people/${person.id}/week` },
                { name: 'Generate', to: `/compose?athlete=${person.id}` },
              ]}
            />
          </>
        )
      }
    >
      {editing ? (
        <Suspense fallback={<Loading what="the form" />}>
          <AthleteForm
            athlete={person}
            save={async (input) => {
              await save.mutateAsync({ id: person.id, input, etag: person.etag });
              setEditing(false);
            }}
            cancel={() => setEditing(false)}
          />
        </Suspense>
      ) : (
        <Bench person={person} edit={() => setEditing(true)} />
      )}
    </Page>
  );
}

/** Everything that is known of a person, one under the other: what stands today on top, then what was measured, what is wanted, what was done. */
function Bench({ person, edit }: { person: Athlete; edit: () => void }) {
  const readings = useReadings(person.id);
  const intakes = useIntakes(person.id);
  const isNew = readings.data?.length === 0;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-y-8">
      <Clearance person={person} edit={edit} />
      {isNew && <BeginHere athlete={person} wasAsked={(intakes.data?.length ?? 0) > 0} />}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-8 lg:grid-cols-[18rem_minmax(0,1fr)]">
        <Facts person={person} />
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-8">
          <CallsOf athleteId={person.id} />
          <GivenSequences athleteId={person.id} />
          <ProgrammesOf athleteId={person.id} />
          <RangeWheel athlete={person} />
          <RangeAndStrength athleteId={person.id} />
          <LeftRight athlete={person} readings={readings.data ?? []} />
          <LevelsWall athleteId={person.id} />
          <Wanted athleteId={person.id} />
          <History athleteId={person.id} />
        </div>
      </div>
    </div>
  );
}

/** What it is for, as it was last told. */
function Wanted({ athleteId }: { athleteId: string }) {
  const last = useIntakes(athleteId).data?.[0]?.answers;
  if (!last || (last.goals.length === 0 && last.discipline === '')) return null;
  return (
    <Part
      title="Goals"
      aside={
        <Link className="text-small underline underline-offset-2" to={`/people/${athleteId}/trends`}>
          Measurable goals
        </Link>
      }
    >
      <ul>
        {last.goals.map((goal) => (
          <li key={goal} className="border-b border-line py-1.5">
            {GOALS[goal]}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-small text-ink-soft">
        {[last.discipline, last.minutes && `${last.minutes} min`, last.daysPerWeek && `${last.daysPerWeek} days a week`]
          .filter(Boolean)
          .join(', ')}
        {`; noted on ${dayWords(last.onDay)}.`}
      </p>
    </Part>
  );
}

function Facts({ person }: { person: Athlete }) {
  const today = isoToday();
  const facts: [string, React.ReactNode][] = [
    ['Age', person.birthDate ? `${ageOn(person.birthDate, today)} years` : 'not stated'],
    ['Sex (for norms)', person.sex],
    ['Dominant hand', <SideMark key="hand" side={person.dominantHand} />],
    ['Height', person.statureCm ? metricText('cm', person.statureCm, 0) : 'not measured'],
    ['Weight', person.massKg ? metricText('kg', person.massKg, 1) : 'not measured'],
  ];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-8">
      <Part title="Profile">
        <dl>
          {facts.map(([name, value]) => (
            <div key={name} className="flex justify-between border-b border-line py-1.5">
              <dt className="text-ink-soft">{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-2 text-small text-ink-soft">Equipment: {person.equipment.join(', ') || 'none recorded'}.</p>
      </Part>
      {person.notes && (
        <Part title="Notes">
          <p className="py-2 whitespace-pre-line">{person.notes}</p>
        </Part>
      )}
    </div>
  );
}

function History({ athleteId }: { athleteId: string }) {
  const sessions = useSessions(athleteId);
  const people = useAthletes();
  const strip = people.data?.find((person) => person.id === athleteId)?.recentDays ?? [];
  const items = sessions.data?.pages.flatMap((page) => page.items) ?? [];
  return (
    <Part title="History" aside={<SessionStrip recentDays={strip} today={isoToday()} />}>
      {sessions.isPending ? (
        <Loading what="sessions" />
      ) : items.length === 0 ? (
        <Empty>No session yet.</Empty>
      ) : (
        <SessionRows sessions={items} withAthlete={false} />
      )}
      {sessions.hasNextPage && (
        <Button className="mt-3" disabled={sessions.isFetchingNextPage} onClick={() => void sessions.fetchNextPage()}>
          Earlier sessions
        </Button>
      )}
    </Part>
  );
}
