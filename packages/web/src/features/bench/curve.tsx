import {
  demandCurve,
  firstOf,
  hardestOf,
  intervalOf,
  type Hand,
  type Person,
  QUANTITIES,
  type Quantity,
  quantityOf,
  sampleCurve,
  shown,
} from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceDot, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Choice } from '../../domain/movement/subject-fields.js';
import { currentDemand, type MovableField, postureOfSubject, type Subject } from '../../domain/movement/subject.js';
import { Disclosure } from '../../ui/disclosure.js';

interface Props {
  person: Person;
  subject: Subject;
  fields: readonly MovableField[];
}

interface Row {
  readonly x: number;
  readonly left: number | null;
  readonly right: number | null;
  /** Of both hands, where effort is shown: where it lies for four fifths of people like this. */
  readonly band: readonly [number, number] | null;
}

const LABELS: Record<Quantity, string> = {
  loadPercentBW: 'Load, % of body weight',
  effortPercent: 'Effort, % of own maximum',
  wristAngleDeg: 'Wrist angle, °',
  wristMomentNm: 'Wrist torque, N·m',
};

/** A quantity against one number of the posture or load, for both hands, with the present value marked. */
export function DemandChart({ person, subject, fields }: Props) {
  const [quantity, setQuantity] = useState<Quantity>('loadPercentBW');
  const [name, setName] = useState('');
  const isBody = subject.load.kind === 'body';
  const quantities = (Object.keys(QUANTITIES) as Quantity[]).filter((key) => isBody || key === 'effortPercent' || key === 'loadPercentBW');
  const chosen = quantities.includes(quantity) ? quantity : 'effortPercent';
  const field = fields.find((candidate) => candidate.name === name) ?? fields[0];
  const rows = useMemo(() => (field ? rowsFor(person, subject, field, chosen) : []), [person, subject, field, chosen]);
  if (!field) return null;
  const demand = currentDemand(person, subject);
  const now = (hand: Hand) => quantityOf(demand, { quantity: chosen, hand });
  const tick = (value: number) => shown(value, field.step);
  return (
    <figure aria-label={`${LABELS[chosen]} against ${field.label.toLowerCase()}`}>
      <div className="mb-2 flex flex-wrap gap-3">
        <Choice label="Show" value={chosen} options={quantities} names={LABELS} set={(key) => setQuantity(key as Quantity)} />
        <Choice
          label="against"
          value={field.name}
          options={fields.map((each) => each.name)}
          names={Object.fromEntries(fields.map((each) => [each.name, each.label]))}
          set={setName}
        />
      </div>
      <div className="h-64">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart accessibilityLayer={false} data={rows} margin={{ top: 8, right: 16, bottom: 22, left: 4 }}>
            <CartesianGrid stroke="var(--color-line)" vertical={false} />
            <XAxis
              dataKey="x"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={tick}
              fontSize={12}
              stroke="var(--color-ink-soft)"
              label={{ value: `${field.label}, ${field.unit}`, position: 'insideBottom', offset: -14, fontSize: 12 }}
            />
            <YAxis fontSize={12} width={44} stroke="var(--color-ink-soft)" domain={[0, 'auto']} allowDataOverflow={false} />
            {chosen === 'effortPercent' && (
              <ReferenceLine
                y={100}
                stroke="var(--color-iron)"
                strokeDasharray="5 4"
                label={{ value: 'own maximum', fontSize: 11, position: 'insideTopLeft' }}
              />
            )}
            {chosen === 'effortPercent' && (
              <Area
                dataKey="band"
                name="For 4 in 5 people like this"
                stroke="none"
                fill="var(--color-ash)"
                fillOpacity={0.25}
                isAnimationActive={false}
              />
            )}
            <Line dataKey="left" name="Left" stroke="var(--color-cobalt)" strokeWidth={2.5} dot={false} isAnimationActive={false} />
            <Line
              dataKey="right"
              name="Right"
              stroke="var(--color-ochre)"
              strokeWidth={2.5}
              strokeDasharray="7 4"
              dot={false}
              isAnimationActive={false}
            />
            <ReferenceDot x={field.value} y={now('left')} r={6} fill="var(--color-cobalt)" stroke="white" />
            <ReferenceDot x={field.value} y={now('right')} r={4} fill="var(--color-ochre)" stroke="white" />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-small text-ink-soft">
        {chosen === 'effortPercent' && 'The band covers 4 in 5 people like this. '}
        Cobalt, unbroken: left hand. Ochre, dashed: right hand. The dots are the current position. Where a line ends, the posture isn’t
        possible.
      </figcaption>
      <Disclosure className="mt-1 text-small" title="Values" buttonClassName="font-semibold">
        <table className="mt-1 figures">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="pr-6">
                {field.label}, {field.unit}
              </th>
              <th className="pr-6 text-right">Left</th>
              <th className="text-right">Right</th>
            </tr>
          </thead>
          <tbody>
            {rows
              .filter((_, index) => index % 5 === 0)
              .map((row) => (
                <tr key={row.x} className="border-b border-line">
                  <td>{tick(row.x)}</td>
                  <td className="pr-6 text-right">{row.left?.toFixed(1) ?? 'not possible'}</td>
                  <td className="text-right">{row.right?.toFixed(1) ?? ''}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </Disclosure>
    </figure>
  );
}

function rowsFor(person: Person, subject: Subject, field: MovableField, quantity: Quantity): Row[] {
  const posture = postureOfSubject(subject);
  const runs = (hand: Hand) =>
    posture
      ? demandCurve(person, posture, field.name as 'leanDeg', { quantity, hand })
      : sampleCurve(person, subject, field.name, { quantity, hand });
  const [left, right] = [runs('left'), runs('right')];
  const hardest = hardestOf(currentDemand(person, subject));
  const bandAt = (most: number) => (quantity === 'effortPercent' && hardest ? intervalOf(most, hardest.logSd) : null);
  const other = new Map(right.flat().map(({ x, y }) => [x, y]));
  return left.flatMap((run, index) => [
    ...(index > 0 ? [{ x: firstOf(run).x - 1e-9, left: null, right: null, band: null }] : []),
    ...run.map(({ x, y }) => ({
      x,
      left: y,
      right: other.get(x) ?? null,
      band: bandAt(Math.max(y, other.get(x) ?? 0)),
    })),
  ]);
}
