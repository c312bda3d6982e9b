import { effortWords, type Demand, handLoad, type Person, postureFigure } from '@clay-pot/core';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { numberText, unitOf } from '../../domain/measuring/units.js';
import { Figure } from '../../drawing/figure.js';
import { IconButton } from '../../ui/button.js';
import { plantedView } from './bench-drawing.js';
import { currentDemand, postureOfSubject, type Subject, troubleWith } from '../../domain/movement/subject.js';

/** A position that is kept to be compared with. */
export interface Pin {
  readonly name: string;
  readonly subject: Subject;
}

/** The bench’s subject beside up to three others, for the same person. */
export function Compare({
  person,
  now,
  pins,
  remove,
  onUse: take,
}: {
  person: Person;
  now: Pin;
  pins: readonly Pin[];
  remove: (index: number) => void;
  onUse: (pin: Pin) => void;
}) {
  const columns = [now, ...pins].map((pin) => ({ pin, trouble: troubleWith(person, pin.subject) }));
  const demands = columns.map(({ pin, trouble }) => (trouble ? null : currentDemand(person, pin.subject)));
  return (
    <div className="overflow-x-auto">
      <table className="table-fixed text-small" style={{ width: `${9 + 14 * columns.length}rem` }}>
        <caption className="sr-only">Compare positions</caption>
        <thead>
          <tr className="align-bottom">
            <td className="w-36" />
            {columns.map(({ pin, trouble }, index) => (
              <th key={index} className="px-2 text-left">
                {!trouble && <PinPicture person={person} subject={pin.subject} />}
                <span className="flex items-center justify-between gap-1 border-b-2 border-ink py-1">
                  {index === 0 ? (
                    <span>On the bench now</span>
                  ) : (
                    <button type="button" className="text-left underline underline-offset-2" onClick={() => take(pin)}>
                      {pin.name}
                    </button>
                  )}
                  {index > 0 && (
                    <IconButton name={`Remove ${pin.name} from the comparison`} className="size-6!" onClick={() => remove(index - 1)}>
                      <X size={14} />
                    </IconButton>
                  )}
                </span>
                {trouble && <p className="text-iron">{trouble}</p>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ label, unit, read }) => (
            <tr key={label} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-normal text-ink-soft">
                {label}
                {unit && `, ${unitOf(unit)}`}
              </th>
              {demands.map((demand, index) => (
                <td key={index} className="px-2 py-1 figures">
                  {demand ? read(demand) : '–'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {pins.length === 0 && (
        <p className="mt-2 text-small text-ink-soft">
          Pin this position, then change it or choose another movement. Compare up to three with the one on the bench.
        </p>
      )}
    </div>
  );
}

const pair = (left: string, right: string): ReactNode => (left === right ? left : `L ${left} · R ${right}`);
const both = (demand: Demand, read: (hand: Demand['left']) => string) => pair(read(demand.left), read(demand.right));

const ROWS: readonly { label: string; unit?: 'kg'; read: (demand: Demand) => ReactNode }[] = [
  { label: 'load, % of body weight a hand', read: (demand) => both(demand, ({ loadPercentBW }) => loadPercentBW.toFixed(1)) },
  { label: 'load a hand', unit: 'kg', read: (demand) => both(demand, ({ loadN }) => numberText('N', loadN)) },
  {
    label: 'wrist angle of range',
    read: (demand) =>
      both(demand, ({ angle }) => (angle ? `${angle.deg.toFixed(0)}° of ${angle.rangeDeg.toFixed(0)}° (${angle.rangeSource})` : '–')),
  },
  {
    label: 'wrist torque, N·m',
    read: (demand) => {
      const { posture } = demand;
      return posture ? pair(posture.left.wristMomentNm.toFixed(1), posture.right.wristMomentNm.toFixed(1)) : '–';
    },
  },
  { label: 'hardest action', read: (demand) => both(demand, ({ efforts }) => efforts[0]?.action ?? 'none') },
  {
    label: 'effort, % of own maximum',
    read: (demand) => both(demand, ({ efforts: [hardest] }) => (hardest ? effortWords(hardest.effortPercent, hardest.interval) : '0 %')),
  },
  {
    label: 'that maximum',
    read: (demand) =>
      both(demand, ({ efforts }) => {
        const capacity = efforts[0]?.capacity;
        return capacity ? `${capacity.value.toFixed(1)} ${capacity.unit} (${capacity.source})` : '–';
      }),
  },
];

function PinPicture({ person, subject }: { person: Person; subject: Subject }) {
  const posture = postureOfSubject(subject);
  if (!posture) return null;
  handLoad(person.body, posture);
  return (
    <Figure
      body={person.body}
      figure={postureFigure(person.body, posture, plantedView())}
      title=""
      withHand={false}
      className="h-24 w-full"
    />
  );
}
