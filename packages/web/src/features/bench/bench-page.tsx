import { findLevel, type Level, type Movement } from '@clay-pot/core';
import { lazy, useMemo, useState, Suspense } from 'react';
import { metricText } from '../../domain/measuring/units.js';
import { movementById, useStudioLibrary } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { Page, Part } from '../../ui/page.js';
import { PrecautionsPanel } from '../../domain/athlete/precautions-panel.js';
import { type NamedSubject, useSubject } from '../../domain/athlete/named-subject.js';
import { Calculators } from './calculators.js';
import { Compare, type Pin } from './compare.js';
import { SubjectFields } from '../../domain/movement/subject-fields.js';
import { FindPanel } from './find-panel.js';
import { HandResults } from './hand-result.js';
import { LadderTable } from './ladder-table.js';
import { Laid } from './laid.js';
import { MOST_PINS, pinName, readPins, writePins } from './pins.js';
import { SaveLevel } from './save-level.js';
import {
  currentDemand,
  fieldsOf,
  levelSubject,
  nameOfSubject,
  postureSubject,
  readSubject,
  type Refusal,
  setField,
  type Subject,
  suggestedName,
  troubleWith,
  writeSubject,
} from '../../domain/movement/subject.js';
import { useAddress } from './use-address.js';
import { useLaid } from './use-laid.js';
import { MovementChoice } from '../../domain/movement/movement-choice.js';
import { AthleteChoice } from '../../domain/athlete/athlete-choice.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** The chart library is half of this page: it loads after the page. */
const DemandChart = lazy(async () => ({ default: (await import('./curve.js')).DemandChart }));

/** The load bench: what a posture or a weight asks of the hands of one person, live, and what would ask for as much as wanted. */
export default function BenchPage() {
  const [params, set] = useAddress();
  const athleteId = athleteIn(params);
  const who = useSubject(athleteId);
  const movementId = params.get('movement');
  const movement = movementId ? movementById(movementId) : undefined;
  const levelId = movement ? (findLevel(movement, params.get('level') ?? '')?.id ?? movement.ladder[0].id) : undefined;
  const changed = params.get('at');
  const subject = useMemo(
    () => readSubject(changed) ?? levelSubject(movementId, levelId ?? null) ?? postureSubject('allFours'),
    [changed, movementId, levelId],
  );
  const level = movement && levelId ? findLevel(movement, levelId) : undefined;
  const [sequenceId, blockId] = [params.get('sequence'), params.get('block')];
  return (
    <Page
      title="Load bench"
      lead={movement ? `${movement.name}${level ? `, from ${level.name}` : ''}` : 'What a posture or a weight asks of the hands'}
      actions={<Choices athleteId={athleteId} movement={movement} set={set} />}
    >
      <WhoLine who={who} />
      <PrecautionsPanel athleteId={athleteId} movement={movement} level={level} />
      <Bench
        who={who}
        subject={subject}
        movement={movement}
        levelId={levelId}
        pins={readPins(params.get('pins'))}
        block={sequenceId && blockId ? { sequenceId, blockId } : null}
        set={set}
      />
    </Page>
  );
}

function Choices({
  athleteId,
  movement,
  set,
}: {
  athleteId: string | undefined;
  movement: Movement | undefined;
  set: (change: Record<string, string | null>) => void;
}) {
  const { shelf } = useStudioLibrary();
  const loading = useMemo(() => shelf.filter(({ ladder }) => ladder.some(({ load }) => load.kind !== 'rest')), [shelf]);
  return (
    <>
      <AthleteChoice
        label="Athlete"
        className="w-52"
        nobody="For an average adult"
        value={athleteId}
        choose={(athlete) => set({ athlete: athlete ?? null })}
      />
      <MovementChoice
        label="Movement"
        className="w-60"
        none="A posture by itself"
        movements={loading}
        value={movement?.id ?? ''}
        choose={(chosen) => set({ movement: chosen || null, level: null, at: null })}
      />
    </>
  );
}

/** Whose body and strength the numbers are for, and what of it is only estimated. */
function WhoLine({ who }: { who: NamedSubject }) {
  const { sex, statureM, massKg } = who.person.body;
  return (
    <p className="-mt-3 mb-4 text-small text-ink-soft">
      For {who.name}: {sex === 'not stated' ? 'mean of both sexes' : sex}, {metricText('cm', statureM * 100, 0)},{' '}
      {metricText('kg', massKg, 0)}.{' '}
      {who.estimated.length > 0 && <b className="bg-amber-wash px-1 text-amber">Estimated: {who.estimated.join(', ')}</b>}
    </p>
  );
}

interface BenchProps {
  who: NamedSubject;
  subject: Subject;
  movement: Movement | undefined;
  levelId: string | undefined;
  pins: readonly Pin[];
  block: { sequenceId: string; blockId: string } | null;
  set: (change: Record<string, string | null>) => void;
}

function Bench({ who, subject: opened, movement, levelId, pins, block, set }: BenchProps) {
  const { person } = who;
  const { subject, lay, latest } = useLaid(opened, (at) => set({ at }));
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const trouble = troubleWith(person, subject);
  if (trouble) {
    return (
      <div role="alert" className="border-l-4 border-iron bg-iron-wash px-4 py-3">
        <p className="font-semibold">{trouble}</p>
        <p>{who.name} can’t take this posture.</p>
        <Button className="mt-2" onClick={() => set({ at: null, movement: null, level: null })}>
          Start again from all fours
        </Button>
      </div>
    );
  }
  const take = (next: Subject, why: Refusal | null = null) => {
    setRefusal(why);
    if (next !== latest.current) lay(next);
  };
  const setNumber = (name: string, value: number) => {
    const { subject: next, refusal: why } = setField(person, latest.current, name, value);
    take(next, why ?? null);
  };
  const takeWhole = (next: Subject) => {
    const why = troubleWith(person, next);
    if (why) take(latest.current, { message: why });
    else take(next);
  };
  const level = movement && levelId ? findLevel(movement, levelId) : undefined;
  const now: Pin = { name: nameOfSubject(subject, level), subject };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-8 lg:grid-cols-[minmax(0,1fr)_21rem] lg:grid-rows-[auto_1fr]">
      <Laid person={person} subject={subject} movement={movement} levelId={levelId} setNumber={setNumber} refusal={refusal} />
      <div className="grid content-start gap-5 lg:col-start-2 lg:row-span-2 lg:row-start-1">
        <HandResults demand={currentDemand(person, subject)} />
        <FindPanel key={subject.load.kind} person={person} subject={subject} fields={fieldsOf(person.body, subject)} found={take} />
        <KeepIt who={who} movement={movement} level={level} subject={subject} block={block} />
      </div>
      <SubjectFields
        subject={subject}
        fields={fieldsOf(person.body, subject)}
        setNumber={setNumber}
        setSubject={takeWhole}
        start={(name) => takeWhole(postureSubject(name))}
      />
      <Part
        title="Comparison"
        className="lg:col-span-2"
        aside={
          <Button
            disabled={pins.length >= MOST_PINS}
            onClick={() => set({ pins: writePins([...pins, { ...now, name: pinName(now, pins) }]) })}
          >
            {pins.length >= MOST_PINS ? 'Three positions are pinned' : 'Pin this position'}
          </Button>
        }
      >
        <Compare
          person={person}
          now={now}
          pins={pins}
          remove={(index) => set({ pins: writePins(pins.toSpliced(index, 1)) })}
          onUse={(pin) => take(pin.subject)}
        />
      </Part>
      <Part title="How the load changes" className="min-w-0">
        <Suspense fallback={<p className="h-64 text-small text-ink-soft">Loading the chart…</p>}>
          <DemandChart person={person} subject={subject} fields={fieldsOf(person.body, subject)} />
        </Suspense>
      </Part>
      {movement && (
        <Part title={`Ladder of ${movement.name}`} className="lg:col-span-2">
          <LadderTable person={person} movement={movement} levelId={levelId} choose={(id) => set({ level: id, at: null })} />
        </Part>
      )}
      <Part title="Calculators" className="lg:col-span-2">
        <Calculators person={person} />
      </Part>
    </div>
  );
}

/** Next to what was found: what can be done with it, once it is another than the level that it came from. */
function KeepIt({ movement, level, ...rest }: Pick<BenchProps, 'who' | 'subject' | 'movement' | 'block'> & { level: Level | undefined }) {
  if (!movement || !level) {
    return <p className="text-small text-ink-soft">Choose a movement above to save this as one of its levels.</p>;
  }
  const { who, subject } = rest;
  const asIt = { contact: level.contact, facing: level.facing, load: level.load };
  if (writeSubject(subject) === writeSubject(asIt)) return null;
  const suggested = suggestedName(who.person.body, level, subject);
  return (
    <Part title="Save">
      <SaveLevel movement={movement} level={level} suggested={suggested} {...rest} />
    </Part>
  );
}
