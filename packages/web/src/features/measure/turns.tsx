import { limitText } from '../../domain/measuring/units.js';
import type { Athlete } from '@clay-pot/contracts';
import {
  comesWith,
  type Hand,
  HANDS,
  isOfEachHand,
  LEVER_CM,
  momentOf,
  type Protocol,
  type ReadingUnit,
  readNumber,
  sidesInTurn,
  trialSortOf,
  USUAL_LEVER_CM,
} from '@clay-pot/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { inUnit, outOfUnit, readingText, shownUnit, shownValue, storedValue, unitOf } from '../../domain/measuring/units.js';
import { addTrial, type Measuring, removeTrial, setLever, trialsOf, type TrialValue } from '../../store/measuring.js';
import { IconButton } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';
import { gaugeOf, type Source } from '../../domain/devices/sources.js';
import { useValueLook, ValueEntry } from '../../domain/measuring/value-entry.js';
import type { DeviceResult } from './device-trial.js';
import { TrialSource } from './trial-source.js';
import { Stopwatch } from './stopwatch.js';
import { RestTimer } from './rest-timer.js';

interface Props {
  athlete: Athlete;
  measuring: Measuring;
  protocol: Protocol;
  unit: ReadingUnit;
  /** The hands that may do it. */
  open: readonly Hand[];
  source: Source;
}

/** The trials of a protocol in order, sides alternating from the dominant hand, and which of them is next; −1 when all are done. */
export function trialOrder({ athlete, measuring, protocol, open }: Pick<Props, 'athlete' | 'measuring' | 'protocol' | 'open'>) {
  const trials = trialsOf(measuring, protocol.id);
  const all: Hand[] = isOfEachHand(protocol)
    ? sidesInTurn(protocol.trials, athlete.dominantHand)
    : Array<Hand>(protocol.trials).fill('left');
  const seen: Record<Hand, number> = { left: 0, right: 0 };
  const rows = all.filter((hand) => !isOfEachHand(protocol) || open.includes(hand)).map((hand) => ({ hand, index: seen[hand]++ }));
  return { rows, now: rows.findIndex(({ hand, index }) => trials[hand][index] === undefined) };
}

/** Whose turn it is, and what came of the turns before: sides alternate, and each hand rests while the other works. */
export function Turns({ athlete, measuring, protocol, unit, open, source }: Props) {
  const trials = trialsOf(measuring, protocol.id);
  const { rows, now } = trialOrder({ athlete, measuring, protocol, open });
  return (
    <div>
      {unit === 'N·m' && <Lever athlete={athlete} measuring={measuring} protocol={protocol} />}
      <ol aria-label="Order of trials" className="border-t border-line">
        {rows.map(({ hand, index }, turn) => {
          const value = trials[hand][index];
          return (
            <li
              key={`${hand} ${index}`}
              className={`flex min-h-12 flex-wrap items-center gap-x-3 border-b border-line px-2 ${turn === now ? 'bg-white' : ''}`}
            >
              <SideMark side={isOfEachHand(protocol) ? hand : 'both'} />
              <span className="w-16 text-small text-ink-soft">trial {index + 1}</span>
              {value !== undefined ? (
                <>
                  <b className="flex-1 text-lead figures">{readingText(unit, value)}</b>
                  <IconButton
                    name={`Remove trial ${index + 1}, ${hand}`}
                    className="size-11!"
                    onClick={() => removeTrial(athlete.id, protocol.id, hand, index)}
                  >
                    <X size={18} />
                  </IconButton>
                </>
              ) : turn === now ? (
                <TrialEntry key={`${hand} ${index}`} {...{ athlete, measuring, protocol, unit, hand, index, source }} />
              ) : (
                <span className="text-small text-ink-soft">to do</span>
              )}
            </li>
          );
        })}
      </ol>
      {now > 0 && <RestTimer key={now} seconds={now >= 2 || !isOfEachHand(protocol) ? protocol.restS : 0} />}
    </div>
  );
}

const isLever = (cm: number) => cm >= LEVER_CM.min && cm <= LEVER_CM.max;
const cmIn = (typed: string) => Number(outOfUnit('cm', readNumber(typed)).toFixed(2));

function Lever({ athlete, measuring, protocol }: Pick<Props, 'athlete' | 'measuring' | 'protocol'>) {
  const lever = measuring.leverCm[protocol.id] ?? USUAL_LEVER_CM;
  const [typed, setTyped] = useState(String(Number(inUnit('cm', lever).toFixed(1))));
  return (
    <div className="mb-3 max-w-48">
      <TextField
        label={`Gauge from the wrist, ${unitOf('cm')}`}
        inputMode="decimal"
        value={typed}
        error={isLever(cmIn(typed)) ? undefined : limitText(LEVER_CM)}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = cmIn(event.target.value);
          if (isLever(next)) setLever(athlete.id, protocol.id, next);
        }}
      />
    </div>
  );
}

interface EntryProps extends Omit<Props, 'open'> {
  hand: Hand;
  index: number;
}

/** One number of one hand: typed, or stopped by the watch. What fits another unit better is asked about. */
function TrialEntry({ athlete, measuring, protocol, unit, hand, index, source }: EntryProps) {
  const lever = measuring.leverCm[protocol.id] ?? USUAL_LEVER_CM;
  const sort = trialSortOf(protocol);
  const typedUnit = unit === 'N·m' ? unitOf('kg') : shownUnit(unit);
  const inKept = (shown: number) =>
    unit === 'N·m' ? storedValue(unit, momentOf(storedValue('N', shown), lever)) : storedValue(unit, shown);
  const keep = (value: number) => keepAll([{ protocolId: protocol.id, hand, value }]);
  const keepAll = (values: readonly TrialValue[]) => {
    addTrial(athlete.id, values, gaugeOf(source, sort));
    // The next turn is asked for where this one was.
    requestAnimationFrame(() => document.querySelector<HTMLInputElement>('[data-trial]')?.focus());
  };
  const look = useValueLook(protocol, unit, athlete.id, keep);
  const take = (shown: number) => look.look(inKept(shown));
  /** One force or angle is looked at as if it were typed; what is of both hands, or of a whole test, is taken as it is. */
  function takeFromDevice({ values, aboveNs }: DeviceResult) {
    const kept = HANDS.flatMap((each) => {
      const value = values[each];
      return value === undefined ? [] : [{ protocolId: protocol.id, hand: each, value: Number(value.toFixed(2)) }];
    });
    const [only] = kept;
    if (sort === 'force' && only) {
      take(shownValue('N', only.value));
      return;
    }
    const above =
      aboveNs === undefined
        ? []
        : comesWith(protocol.id).map(({ id }) => ({ protocolId: id, hand, value: Math.max(0, Math.round(aboveNs)) }));
    keepAll([...kept, ...above]);
  }
  return (
    <>
      {sort !== 'all-out' && (
        <ValueEntry isTrial label={`Trial ${index + 1}, ${hand}, ${typedUnit || 'times'}`} {...{ look, typedUnit, take }}>
          {unit === 's' && <Stopwatch take={take} />}
        </ValueEntry>
      )}
      <TrialSource {...{ athlete, protocol, hand, source }} leverCm={lever} take={takeFromDevice} />
    </>
  );
}
