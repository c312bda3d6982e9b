import type { Athlete, StoredReading } from '@clay-pot/contracts';
import {
  type Coverage,
  type Hand,
  HANDS,
  MAIN,
  MAIN_DIRECTIONS,
  mergeCoverage,
  type Person,
  type Reach,
  reachOf,
  type Sequence,
} from '@clay-pot/core';
import { useState } from 'react';
import { useAssignments, useReadings, useSequence, useSequences } from '../../api/queries.js';
import { Term } from '../../domain/terms/term.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { useSessionView } from '../../domain/sequence/session-view.js';
import { rangesOf } from '../../domain/sequence/wheel-panel.js';
import { Wheel } from '../../drawing/wheel.js';
import { SelectField } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';
import { Part } from '../../ui/page.js';

/** How far each wrist goes, by itself and with help, with how far a chosen sequence takes it: range, demand and gap in one picture. */
export function RangeWheel({ athlete }: { athlete: Athlete }) {
  const sequences = useSequences();
  const given = useAssignments().data?.find(({ athleteId }) => athleteId === athlete.id)?.sequenceId;
  const [chosen, setChosen] = useState<string | null>(null);
  const id = chosen ?? given ?? '';
  const sequence = useSequence(id === '' ? undefined : id);
  const document = id === '' ? null : (sequence.data?.document ?? null);
  return (
    <Part title="Wrist range: available and used">
      <div className="max-w-md py-2">
        <SelectField label="Used by" value={id} onChange={(event) => setChosen(event.target.value)}>
          <option value="">no sequence</option>
          {(sequences.data ?? []).map((each) => (
            <option key={each.id} value={each.id}>
              {each.title}
            </option>
          ))}
        </SelectField>
      </div>
      {document ? <UsedRange athlete={athlete} document={document} /> : <Drawn athlete={athlete} coverage={NOWHERE} />}
    </Part>
  );
}

/** No sequence: only the ranges. */
const NOWHERE = mergeCoverage([]);

function UsedRange({ athlete, document }: { athlete: Athlete; document: Sequence }) {
  const { view } = useSessionView(document, athlete);
  return <Drawn athlete={athlete} coverage={view.coverage} />;
}

function Drawn({ athlete, coverage }: { athlete: Athlete; coverage: Coverage }) {
  const { person } = useSubject(athlete.id);
  const readings = useReadings(athlete.id).data ?? [];
  return (
    <div className="grid items-start gap-x-8 gap-y-4 md:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
      <Wheel
        coverage={coverage}
        ranges={rangesOf(person, readings)}
        description="Range of both wrists in four directions, and how far the sequence takes them; the table beside it says the same."
        className="block w-full max-w-sm"
      />
      <ReachTable person={person} readings={readings} coverage={coverage} />
    </div>
  );
}

interface TableProps {
  person: Person;
  readings: readonly StoredReading[];
  coverage: Coverage;
}

function ReachTable({ person, readings, coverage }: TableProps) {
  return (
    <div>
      <table className="w-full text-small">
        <caption className="mb-1 text-left text-ink-soft">
          <Term term="range">Range</Term> in degrees. Gap: passive minus active. Margin: what is left at the furthest point used.
        </caption>
        <thead>
          <tr className="border-b border-ink text-right text-ink-soft">
            <th className="py-1 text-left font-normal">wrist</th>
            <th className="font-normal">active</th>
            <th className="font-normal">passive</th>
            <th className="font-normal">gap</th>
            <th className="font-normal">used</th>
            <th className="font-normal">margin</th>
          </tr>
        </thead>
        <tbody>
          {MAIN_DIRECTIONS.flatMap((direction) =>
            HANDS.map((hand) => {
              const takenDeg = coverage.reachDeg[hand][direction] ?? 0;
              const reach = reachOf(person, readings, { motion: MAIN[direction], hand, takenDeg });
              return <ReachRow key={`${direction} ${hand}`} name={direction} {...{ hand, reach, takenDeg }} />;
            }),
          )}
        </tbody>
      </table>
      <p className="mt-2 text-small text-ink-soft">
        Loading a range that only help can reach is where trouble starts. A gap in bold is larger than the error of measuring; train it with
        active range first.
      </p>
    </div>
  );
}

const degrees = (value: number | null) => (value === null ? '–' : `${Math.round(value)}`);

function ReachRow({ name, hand, reach, takenDeg }: { name: string; hand: Hand; reach: Reach; takenDeg: number }) {
  const { activeDeg, withHelpDeg, source, gapDeg, isGapReal, marginDeg, verdict, isBeyondActive } = reach;
  return (
    <tr className="border-b border-line text-right figures">
      <th scope="row" className="flex items-center gap-2 py-1 text-left font-normal">
        <SideMark side={hand} /> {name}
      </th>
      <td>{degrees(activeDeg)}</td>
      <td className={source === 'measured' ? '' : 'text-ink-soft'}>
        {source === 'estimated' && 'about '}
        {degrees(withHelpDeg)}
      </td>
      <td className={isGapReal ? 'font-bold text-amber' : ''}>{degrees(gapDeg)}</td>
      <td>{takenDeg > 0 ? degrees(takenDeg) : '–'}</td>
      <td className={verdict === 'past' ? 'font-bold text-iron' : verdict === 'at the end' ? 'font-bold text-amber' : ''}>
        {degrees(marginDeg)}
        {isBeyondActive && <span className="block text-fine font-normal text-amber">beyond its own</span>}
      </td>
    </tr>
  );
}
