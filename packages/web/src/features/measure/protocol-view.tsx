import type { Athlete, StoredReading } from '@clay-pot/contracts';
import {
  bodyOf,
  capital,
  type Hand,
  HANDS,
  isOfEachHand,
  must,
  type Protocol,
  protocolName,
  readingUnit,
  type RecordedCaution,
  READING_NAMES,
  trialSortOf,
  whyNotMeasured,
} from '@clay-pot/core';
import { LevelPicture, middleLevel } from '../../domain/movement/level-picture.js';
import { useStudioLibrary } from '../../store/library.js';
import { type Measuring, retest, setDetail, trialsOf } from '../../store/measuring.js';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { DeviceChoice } from '../../domain/devices/device-choice.js';
import { type Source } from '../../domain/devices/sources.js';
import { SoFar } from './so-far.js';
import { trialOrder, Turns } from './turns.js';

const TYPED: Source = { kind: 'typed' };

interface Props {
  athlete: Athlete;
  /** Where numbers come from, for as long as the bench is open. */
  source: Source;
  setSource: (source: Source) => void;
  measuring: Measuring;
  protocol: Protocol;
  cautions: readonly RecordedCaution[];
  before: readonly StoredReading[];
}

/** One thing that is measured: how, with its picture, whose turn it is, and what it comes to so far. */
export function ProtocolView({ athlete, measuring, protocol, cautions, before, source, setSource }: Props) {
  const { movement: lookup } = useStudioLibrary();
  const movement = must(lookup(protocol.figure.movementId), `the movement of ${protocol.id}`);
  const level = movement.ladder.find(({ id }) => id === protocol.figure.levelId) ?? middleLevel(movement);
  const trials = trialsOf(measuring, protocol.id);
  const barred = Object.fromEntries(HANDS.map((hand) => [hand, whyNotMeasured(protocol, cautions, hand)])) as Record<Hand, string | null>;
  const open = HANDS.filter((hand) => barred[hand] === null);
  const isBarred = isOfEachHand(protocol) ? open.length === 0 : open.length < 2;
  const unit = must(readingUnit(protocol.kind, protocol.of), `a unit of ${protocol.of}`);
  const [what] = protocolName(protocol).split(',');
  const sort = trialSortOf(protocol);
  const { rows, now } = trialOrder({ athlete, measuring, protocol, open });
  return (
    <section aria-label={protocolName(protocol)} className="min-w-0 pb-6">
      <h1 className="text-head sm:text-title">{what}</h1>
      <p className="text-ink-soft">{capital(READING_NAMES[protocol.kind])}</p>
      <div className="mt-3 grid items-start grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 sm:grid-cols-[minmax(0,20rem)_minmax(0,1fr)]">
        <div>
          <LevelPicture
            movement={movement}
            level={level}
            body={bodyOf(athlete).body}
            side={rows[now]?.hand ?? 'left'}
            silent
            className="h-48 w-full bg-white sm:h-60"
          />
          <ol className="mt-2 list-decimal pl-5">
            {protocol.steps.map((step) => (
              <li key={step} className="py-0.5">
                {step}
              </li>
            ))}
          </ol>
        </div>
        <div className="grid content-start gap-4">
          {HANDS.filter((hand) => barred[hand]).map((hand) => (
            <p key={hand} role="note" className="border-l-4 border-iron bg-iron-wash px-3 py-1.5">
              <b>{capital(hand)} hand: don’t test it.</b> {barred[hand]}
            </p>
          ))}
          {!isBarred && (
            <>
              {protocol.of === 'edge pull' && (
                <TextField
                  label="Edge and grip"
                  hint="Readings are compared with those of the same edge: “20 mm, open hand”"
                  value={measuring.details[protocol.id] ?? ''}
                  onChange={(event) => setDetail(athlete.id, protocol.id, event.target.value)}
                />
              )}
              {sort && <DeviceChoice sort={sort} source={source} choose={setSource} />}
              <Turns {...{ athlete, measuring, protocol, unit, open }} source={sort ? source : TYPED} />
            </>
          )}
          <SoFar {...{ athlete, protocol, unit, trials, before }} detail={measuring.details[protocol.id]} />
          {trials.left.length + trials.right.length > 0 && (
            <Button className="justify-self-start" onClick={() => retest(athlete.id, protocol.id)}>
              Retest
            </Button>
          )}
        </div>
      </div>
    </section>
  );
}
