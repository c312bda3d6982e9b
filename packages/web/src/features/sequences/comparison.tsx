import { doseText } from '../../domain/movement/dose-text.js';
import { type Block, clock, findLevel, HANDS, itemAt, MUSCLE_GROUPS, pairBlocks, type MuscleGroup, type SessionView } from '@clay-pot/core';
import { movementById } from '../../store/library.js';
import { SideMark } from '../../ui/marks.js';

/** One side of the comparison. */
export interface Laid {
  readonly name: string;
  readonly view: SessionView;
  /** Another version of the left side, rather than a sequence of its own. */
  readonly isVersion: boolean;
  /** What was done rather than planned. */
  readonly wasDone: boolean;
}

const doseOf = ({ account }: SessionView, group: MuscleGroup, hand: (typeof HANDS)[number]) => account.doses.get(`${hand} ${group}`) ?? 0;

/** Doses of every group on both sides of the comparison, with the change of the sum. */
export function DoseComparison({ left, right }: { left: Laid; right: Laid }) {
  const groups = MUSCLE_GROUPS.filter((group) =>
    HANDS.some((hand) => doseOf(left.view, group, hand) + doseOf(right.view, group, hand) > 0),
  );
  const sum = (view: SessionView, group: MuscleGroup) => HANDS.reduce((total, hand) => total + doseOf(view, group, hand), 0);
  return (
    <table className="w-full text-small">
      <thead>
        <tr className="text-left text-ink-soft">
          <td />
          {[left, right].flatMap(({ name }) =>
            HANDS.map((hand) => (
              <th key={`${name} ${hand}`} className="py-1 text-right font-normal">
                <SideMark side={hand} />
              </th>
            )),
          )}
          <th className="py-1 text-right font-normal">left to right</th>
        </tr>
      </thead>
      <tbody>
        {groups.map((group) => {
          const [a, b] = [sum(left.view, group), sum(right.view, group)];
          return (
            <tr key={group} className="border-t border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {group}
              </th>
              {[left, right].flatMap(({ name, view }) =>
                HANDS.map((hand) => (
                  <td key={`${name} ${hand}`} className="py-1 text-right figures">
                    {doseOf(view, group, hand).toFixed(2)}
                  </td>
                )),
              )}
              <td className="py-1 text-right font-semibold figures">
                {b > 0.005 ? `${Math.round((100 * a) / b)} %` : a > 0.005 ? 'new' : '–'}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Rows of both sides, each block beside itself; a block of one side only has the other empty. */
export function RowsComparison({ left, right }: { left: Laid; right: Laid }) {
  const pairs = pairBlocks(right.view.sequence, left.view.sequence, right.isVersion);
  return (
    <table className="w-full text-small">
      <tbody>
        {pairs.map(({ from, to }) => {
          const [a, b] = [to && cellOf(left.view, to), from && cellOf(right.view, from)];
          const differs = a?.text !== b?.text;
          return (
            <tr key={`${to?.id} ${from?.id}`} className={`border-t border-line align-top ${differs ? 'bg-amber-wash' : ''}`}>
              <Cell cell={a} />
              <Cell cell={b} />
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface RowCell {
  readonly number: number;
  readonly name: string;
  readonly level: string;
  readonly dose: string;
  readonly length: string;
  /** What is compared. */
  readonly text: string;
}

function cellOf({ sequence, timeline }: SessionView, block: Block): RowCell {
  const index = sequence.blocks.indexOf(block);
  const movement = movementById(block.movementId);
  const level = (movement && findLevel(movement, block.levelId)?.name) ?? block.levelId;
  const name = movement?.name ?? block.movementId;
  const span = itemAt(timeline.blocks, index);
  const [dose, length] = [doseText(block), clock(span.lengthMs)];
  return { number: index + 1, name, level, dose, length, text: [name, level, dose, length].join('|') };
}

function Cell({ cell }: { cell: RowCell | null }) {
  if (!cell) return <td className="w-1/2 px-2 py-1 text-ash">missing</td>;
  return (
    <td className="w-1/2 px-2 py-1">
      <span className="flex items-baseline gap-2">
        <b className="w-5 text-right figures">{cell.number}</b>
        <span className="flex-1">
          <b>{cell.name}</b>, {cell.level}
          <span className="block text-ink-soft figures">{cell.dose}</span>
        </span>
        <span className="figures">{cell.length}</span>
      </span>
    </td>
  );
}
