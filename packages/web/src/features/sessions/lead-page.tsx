import { readable } from '../../domain/measuring/units.js';
import {
  advicesOf,
  counted,
  DISCOMFORT_RULE,
  asOnSoreDay,
  type Block,
  doseSentence,
  joinSentences,
  capital,
  foundKilograms,
  hasSoreDoses,
  type Person,
  type Finding,
  type Method,
  minutesText,
  resolveBlock,
  type Sequence,
  stopsOf,
  testsWords,
  thingsFor,
  withFoundLoads,
  withOwnLoad,
} from '@clay-pot/core';
import { usePlannedSequence } from '../../domain/sequence/planned-sequence.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { groupsOf, pausesOf, roundHeading } from '../../domain/sequence/in-order.js';
import { LevelPicture } from '../../domain/movement/level-picture.js';
import { movementById, studioLibrary } from '../../store/library.js';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Athlete, StoredSequence } from '@clay-pot/contracts';
import { useAthlete, useSequence } from '../../api/queries.js';
import { beginRun, useRun } from '../../store/run.js';
import { CheckInDue } from '../../domain/athlete/check-in-due.js';
import { useSessionView } from '../../domain/sequence/session-view.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { AthleteField } from '../../domain/athlete/athlete-choice.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** Fetches the sequence that is to be led. */
export default function LeadPage() {
  const { id } = useParams();
  const sequence = useSequence(id);
  if (sequence.data) return <AsPlanned stored={sequence.data} />;
  if (sequence.isPending) return <Loading what="the sequence" />;
  return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
}

/** By itself, or as a session of a programme is on its day. */
function AsPlanned({ stored }: { stored: StoredSequence }) {
  const [params] = useSearchParams();
  const [programmeId, sessionId] = [params.get('programme'), params.get('session')];
  const toLead = usePlannedSequence(stored, programmeId && sessionId ? { programmeId, sessionId } : undefined);
  if (!toLead) return <Loading what="the programme" />;
  return <Threshold id={stored.id} document={toLead.sequence} note={toLead.note} />;
}

function OfProgrammeNote({ note }: { note: string | null }) {
  return note === null ? null : <p className="border-l-4 border-ink bg-ground px-3 py-1.5">{note}</p>;
}

interface ThresholdProps {
  id: string;
  document: Sequence;
  note: string | null;
}

/** Before the clock runs: who it is for, what to mind, what to fetch, what was asked each time. */
function Threshold({ id, document: planned, note }: ThresholdProps) {
  const [params, setParams] = useSearchParams();
  const athleteId = athleteIn(params);
  const athlete = useAthlete(athleteId);
  const open = useRun((state) => state.run);
  const navigate = useNavigate();
  const [confirmed, setAsked] = useState(false);
  const [isSore, setSore] = useState(false);
  const document = useMemo(() => (isSore ? asOnSoreDay(planned) : planned), [isSore, planned]);
  const { view, subject } = useSessionView(document, athlete.data);
  const { method, timeline } = view;
  const person = athlete.data;
  const cautions = view.athlete?.cautions ?? [];
  const stops = stopsOf(view);
  const advices = advicesOf(cautions).filter(({ forbids }) => !forbids || stops.length === 0);
  const sequencePath = `/sequences/${id}${athleteId ? `?athlete=${athleteId}` : ''}`;
  const isEmpty = document.blocks.length === 0;
  // Nothing begins before all is known by which it may.
  const ready = person && !subject.isLoading && confirmed && stops.length === 0 && open === null && !isEmpty;

  function start() {
    if (!person) return;
    const { equipment, leftOut } = person;
    beginRun({
      athleteId: person.id,
      athleteName: person.name,
      cautions,
      equipment,
      ...(leftOut && { leftOut }),
      sequenceId: id,
      sequence: withFoundLoads(subject.person, document, movementById),
    });
    void navigate('/session');
  }

  return (
    <Page title={document.title} lead={`${minutesText(timeline.durationMs)}, ${counted(document.blocks.length, 'block')}`}>
      <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
        <div className="grid max-w-2xl gap-6">
          {open && <StillOpen name={open.athleteName} />}
          {isEmpty && <NoBlocks sequenceId={id} />}
          <AthleteField
            label="Athlete"
            nobody="Choose who does it"
            value={athleteId}
            choose={(athlete) => setParams(athlete ? { athlete } : {}, { replace: true })}
          />
          <BeforeLoading stops={stops} advices={advices} method={method} person={person} sequencePath={sequencePath} />
          <EquipmentNeeded document={document} />
          {document.tests?.length ? <p>Tested before and after: {testsWords(document.tests)}.</p> : null}
          <OfProgrammeNote note={note} />
          {hasSoreDoses(planned) && <SoreToday isSore={isSore} set={setSore} />}
          <BeforeYouStart confirmed={confirmed} onChange={setAsked} />
          <div className="flex gap-2">
            <Button kind="primary" className="px-6 py-3 text-lead" disabled={!ready} onClick={start}>
              Start
            </Button>
            <ButtonLink to={sequencePath} className="px-4">
              View sequence
            </ButtonLink>
          </div>
        </div>
        <ComingUp document={document} person={subject.person} />
      </div>
    </Page>
  );
}

/** Some doses have a lighter effort for days on which the hands are sore. */
function SoreToday({ isSore, set }: { isSore: boolean; set: (sore: boolean) => void }) {
  return (
    <label className="flex items-start gap-2">
      <input type="checkbox" className="mt-1 size-5 accent-ink" checked={isSore} onChange={({ target }) => set(target.checked)} />
      <span>
        <b>Hands are sore today</b>
        <span className="block text-small text-ink-soft">Uses the lighter effort wherever this sequence has one.</span>
      </span>
    </label>
  );
}

/** The blocks in their order, each with its picture and its dose: what the coach is about to show. */
function ComingUp({ document, person }: { document: Sequence; person: Person }) {
  if (!document.blocks.length) return null;
  return (
    <Part title="Coming up">
      <ol>
        {groupsOf(document, document.blocks).map(({ round, members }) => {
          const rows = members.map((block) => <Coming key={block.id} block={block} person={person} />);
          if (!round) return rows;
          return (
            <li key={round.id} className="my-1 border-l-4 border-ink pl-2">
              <p className="pt-1 text-small font-semibold">{roundHeading(round)}</p>
              <ol>{rows}</ol>
            </li>
          );
        })}
      </ol>
    </Part>
  );
}

function Coming({ block, person }: { block: Block; person: Person }) {
  const { movement, level } = resolveBlock(block, movementById);
  const foundKg = foundKilograms(person, movement, level, block.dose);
  return (
    <li className="flex items-center gap-3 border-b border-line py-1.5">
      <LevelPicture
        movement={movement}
        level={withOwnLoad(level, block.dose.load)}
        body={person.body}
        silent
        className="h-14 w-18 shrink-0 bg-white [--figure-line:2px]"
      />
      <div className="min-w-0">
        <div className="leading-tight font-semibold">
          <MovementName movement={movement} />
        </div>
        <div className="text-small text-ink-soft">
          {level.name}:{' '}
          <span className="figures">
            {readable(
              joinSentences([doseSentence(block.dose, movement, level, foundKg, studioLibrary().grades), ...pausesOf(block)], ', '),
            )}
          </span>
        </div>
      </div>
    </li>
  );
}

function StillOpen({ name }: { name: string }) {
  return (
    <p className="border-l-4 border-load-3 bg-amber-wash px-3 py-2">
      A session for {name} is still in progress.{' '}
      <Link to="/session" className="font-semibold underline">
        Go to it
      </Link>{' '}
      and end it before you start another.
    </p>
  );
}

function NoBlocks({ sequenceId }: { sequenceId: string }) {
  return (
    <p className="border-l-4 border-iron bg-iron-wash px-3 py-2">
      This sequence has no blocks yet.{' '}
      <Link to={`/sequences/${sequenceId}`} className="font-semibold underline">
        Add blocks.
      </Link>
    </p>
  );
}

interface BeforeProps {
  stops: readonly Finding[];
  advices: ReturnType<typeof advicesOf>;
  method: Method;
  person: Athlete | undefined;
  sequencePath: string;
}

/** What is due, what forbids the session, and the precautions. */
function BeforeLoading({ stops, advices, method, person, sequencePath }: BeforeProps) {
  return (
    <>
      {person && <CheckInDue athlete={person} />}
      {stops.length > 0 && <SessionBlocked stops={stops} person={person} sequencePath={sequencePath} />}
      <Precautions advices={advices} method={method} />
    </>
  );
}

/** What the rules say against beginning, and where it is answered. */
function SessionBlocked({ stops, person, sequencePath }: { stops: readonly Finding[]; person: Athlete | undefined; sequencePath: string }) {
  return (
    <div role="alert" className="border-2 border-iron bg-iron-wash px-4 py-3">
      <h2 className="text-lead text-iron">Session blocked</h2>
      {stops.map(({ check, text }) => (
        <p key={readable(text)} className="mt-1">
          <b>{check.title}.</b> {readable(text)}
        </p>
      ))}
      <p className="mt-2">
        <Link to={sequencePath} className="font-semibold underline">
          The checks of the sequence
        </Link>{' '}
        offer fixes.
        {person && (
          <>
            {' '}
            Record who cleared {person.name}, and when,{' '}
            <Link to={`/people/${person.id}/screening`} className="font-semibold underline">
              on the athlete’s page
            </Link>
            .
          </>
        )}
      </p>
    </div>
  );
}

function Precautions({ advices, method }: Pick<BeforeProps, 'advices' | 'method'>) {
  return (
    <Part title="Precautions">
      <ul>
        {advices.map(({ caution, text }) => (
          <li key={caution} className="border-b border-line py-2">
            {readable(text)}
          </li>
        ))}
        <li className="border-b border-line py-2">
          {DISCOMFORT_RULE[method.discomfort]} <span className="text-ink-soft">Training method: {method.name}.</span>
        </li>
      </ul>
    </Part>
  );
}

function EquipmentNeeded({ document }: { document: Sequence }) {
  return (
    <Part title="Equipment">
      <p className="py-2">{capital(thingsFor(document.blocks, movementById).join(', ')) || 'None.'}</p>
    </Part>
  );
}

/** Nothing begins before this was asked. */
function BeforeYouStart({ confirmed, onChange }: { confirmed: boolean; onChange: (confirmed: boolean) => void }) {
  return (
    <Part title="Before you start">
      <label className="flex items-start gap-3 py-2">
        <input
          type="checkbox"
          className="mt-1 size-5 accent-ink"
          checked={confirmed}
          onChange={(event) => onChange(event.target.checked)}
        />
        <span>I asked today: no numbness or tingling, no swelling, no more pain this morning than after the last session.</span>
      </label>
    </Part>
  );
}
