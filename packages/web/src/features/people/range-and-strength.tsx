import {
  bandOfReading,
  errorOf,
  firstOf,
  type Hand,
  HANDS,
  latestReading,
  measuredAs,
  MEASURABLE,
  must,
  newestFirst,
  type Person,
  RANGE_MOTIONS,
  type RangeMotion,
  rangeWithHelpDeg,
  READING_KINDS,
  READING_LIMITS,
  READING_NAMES,
  type ReadingKind,
  readingUnit,
  readNumber,
} from '@clay-pot/core';
import type { ReadingInput, StoredReading } from '@clay-pot/contracts';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useAddReading, useReadings, useRemoveReading } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { INPUT, SelectField, TextField } from '../../ui/field.js';
import { dayText } from '../../ui/format.js';
import { boundsText, readingText, shownUnit, storedValue } from '../../domain/measuring/units.js';
import { Term } from '../../domain/terms/term.js';
import { useRepeats } from '../../domain/measuring/use-repeats.js';
import { HandTableHead } from '../../ui/hand-table-head.js';
import { SideMark } from '../../ui/marks.js';
import { Loading, Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { Maxima } from './maxima.js';
import { Disclosure } from '../../ui/disclosure.js';

/** What the computations know of a person's wrists and hands: measured where it is, estimated and said so where it is not. */
export function RangeAndStrength({ athleteId }: { athleteId: string }) {
  const readings = useReadings(athleteId);
  const { person } = useSubject(athleteId);
  const [adding, setAdding] = useState(false);
  if (!readings.data) return <Loading what="readings" />;
  return (
    <Part
      title="Range and strength"
      aside={
        <span className="flex flex-wrap items-center justify-end gap-x-2 gap-y-1">
          <ButtonLink kind="quiet" className="py-0.5!" to={`/bench?athlete=${athleteId}`}>
            Load bench
          </ButtonLink>
          <ButtonLink kind="quiet" className="py-0.5!" to={`/people/${athleteId}/trends`}>
            Trends
          </ButtonLink>
          <Button className="py-0.5!" onClick={() => setAdding(!adding)}>
            {adding ? 'Close' : 'Add reading'}
          </Button>
        </span>
      }
    >
      {adding && <AddReading athleteId={athleteId} />}
      <div className="grid items-start gap-x-8 gap-y-4 py-2 sm:grid-cols-2">
        <Ranges readings={readings.data} person={person} />
        <Maxima person={person} />
      </div>
      <Latest athleteId={athleteId} readings={readings.data} />
    </Part>
  );
}

function Ranges({ readings, person }: { readings: readonly StoredReading[]; person: Person }) {
  const thing = { kind: 'passive range', of: 'wrist extension' } as const;
  const error = errorOf(measuredAs(thing), 0, useRepeats(readings)(thing));
  return (
    <table className="w-full text-small">
      <caption className="mb-1 text-left text-ink-soft">
        <Term term="range">Passive wrist range</Term>, °; active range in brackets. A single test is off by up to ±
        {bandOfReading(error).toFixed(0)}°{error.from === 'own repeats' && ', from your own repeat tests'}
      </caption>
      <HandTableHead />
      <tbody>
        {RANGE_MOTIONS.map((motion) => (
          <tr key={motion} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {motion}
            </th>
            {HANDS.map((hand) => (
              <RangeCell key={hand} person={person} readings={readings} motion={motion} hand={hand} />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface CellProps {
  person: Person;
  readings: readonly StoredReading[];
  motion: RangeMotion;
  hand: Hand;
}

function RangeCell({ person, readings, motion, hand }: CellProps) {
  const { deg, source } = rangeWithHelpDeg(person, motion, hand);
  const active = latestReading(readings, 'active range', motion, hand);
  return (
    <td className="py-1 text-right figures">
      {source === 'measured' ? <b>{deg}</b> : <span className="text-ink-soft">about {deg.toFixed(0)}</span>}
      {active && <span className="text-ink-soft"> ({active.value})</span>}
    </td>
  );
}

/** The last readings, each of which can be taken out when it was a slip. */
function Latest({ athleteId, readings }: { athleteId: string; readings: readonly StoredReading[] }) {
  const remove = useRemoveReading(athleteId);
  const add = useAddReading(athleteId);
  if (!readings.length)
    return <p className="border-b border-line pb-3 text-small text-ink-soft">No tests yet: everything is estimated from norms.</p>;
  async function removeReading({ id, ...input }: StoredReading) {
    await remove.mutateAsync(id);
    useToast.getState().show({
      text: 'Reading deleted.',
      action: { label: 'Undo', run: () => void add.mutateAsync({ id, input }) },
    });
  }
  return (
    <Disclosure
      className="border-b border-line pb-3 text-small"
      title={<>{readings.length} readings, the newest first</>}
      buttonClassName="font-semibold"
    >
      <ul className="mt-1 max-h-64 overflow-y-auto">
        {newestFirst(readings).map((reading) => (
          <li key={reading.id} className="flex items-center gap-3 border-b border-line py-1">
            <span className="w-24 text-ink-soft">{dayText(reading.onDay)}</span>
            <SideMark side={reading.hand} />
            <span className="flex-1">
              {reading.of}, {reading.kind}
            </span>
            <b className="figures">{valueText(reading)}</b>
            <button type="button" className="underline underline-offset-2" onClick={() => void removeReading(reading)}>
              Delete
            </button>
          </li>
        ))}
      </ul>
    </Disclosure>
  );
}

function valueText({ kind, of, value }: StoredReading): string {
  const unit = readingUnit(kind, of);
  return unit ? readingText(unit, value) : String(value);
}

/** One reading: what, which hand, how much, when. Grip is typed in kilograms, as gauges show it. */
function AddReading({ athleteId }: { athleteId: string }) {
  const [kind, setKind] = useState<ReadingKind>('passive range');
  const [of, setOf] = useState<string>('wrist extension');
  const [hand, setHand] = useState<Hand>('left');
  const [value, setValue] = useState('');
  const [onDay, setOnDay] = useState(isoToday);
  const [trouble, setTrouble] = useState<string | null>(null);
  const add = useAddReading(athleteId);
  const options: readonly string[] = Object.keys(MEASURABLE[kind]);
  const chosen = options.includes(of) ? of : firstOf(options);
  const unit = must(readingUnit(kind, chosen), `a unit of ${chosen}`);
  const typedUnit = shownUnit(unit);

  async function keep() {
    const inUnit = storedValue(unit, readNumber(value));
    const { min, max } = READING_LIMITS[unit];
    if (!(inUnit >= min && inUnit <= max)) {
      setTrouble(`Enter a number from ${boundsText(unit)}.`);
      return;
    }
    setTrouble(null);
    const input: ReadingInput = { kind, of: chosen, hand, value: inUnit, onDay };
    try {
      await add.mutateAsync({ id: uuid(), input });
      setValue('');
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  }
  return (
    <form
      className="grid gap-3 border-l-4 border-ink bg-white p-3 sm:grid-cols-[1fr_1fr_6rem_7rem_9rem_auto] sm:items-end"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <SelectField label="Test" value={kind} onChange={(event) => setKind(event.target.value as ReadingKind)}>
        {READING_KINDS.map((each) => (
          <option key={each} value={each}>
            {READING_NAMES[each]}
          </option>
        ))}
      </SelectField>
      <SelectField label="of" value={chosen} onChange={(event) => setOf(event.target.value)}>
        {options.map((each) => (
          <option key={each}>{each}</option>
        ))}
      </SelectField>
      <SelectField label="Hand" value={hand} onChange={(event) => setHand(event.target.value as Hand)}>
        {HANDS.map((each) => (
          <option key={each}>{each}</option>
        ))}
      </SelectField>
      <TextField
        label={`Value, ${typedUnit || 'times'}`}
        inputMode="decimal"
        value={value}
        onChange={(event) => setValue(event.target.value)}
      />
      <label className="block text-small font-semibold">
        Date
        <input
          type="date"
          className={`${INPUT} mt-1 font-normal`}
          max={isoToday()}
          value={onDay}
          onChange={(event) => setOnDay(event.target.value)}
        />
      </label>
      <Button kind="primary" type="submit" disabled={add.isPending}>
        Add
      </Button>
      {trouble && (
        <p role="alert" className="text-small font-semibold text-iron sm:col-span-6">
          {trouble}
        </p>
      )}
    </form>
  );
}
