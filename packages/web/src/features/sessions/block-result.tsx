import {
  type Block,
  complaintWords,
  findLevel,
  firstOf,
  formFaultsOf,
  formWords,
  HAND_WORDS,
  HANDS,
  recheckWords,
  type Movement,
  type PlannedDoneRow,
  SET_UNITS,
  totals,
  UNIT_BEHIND,
  type WorkingSide,
} from '@clay-pot/core';
import type { SessionRecord, StoredSet } from '@clay-pot/contracts';
import { MovementName } from '../../domain/movement/movement-name.js';
import { doseText } from '../../domain/movement/dose-text.js';
import { movementById } from '../../store/library.js';
import { scoreText } from '../../ui/format.js';
import { DiscomfortMark, SideMark } from '../../ui/marks.js';

/** One block of a session: what was planned, what was done of it, hand by hand, and how it felt. */
export function BlockResult({ block, record }: { block: Block; record: SessionRecord }) {
  const movement = movementById(block.movementId);
  const rows = record.rows.filter((row) => row.blockId === block.id);
  const report = record.reports.findLast((candidate) => candidate.blockId === block.id);
  const complaints = record.complaints.filter((candidate) => candidate.blockId === block.id);
  const taken = setTakenInstead(block, record);
  const sides = (['left', 'right', 'both'] as const).filter((side) => rows.some((row) => row.side === side));
  return (
    <tr className="border-t border-line align-top">
      <td className="py-2 pr-3">
        <b>{movement ? <MovementName movement={movement} /> : block.movementId}</b>
        <div className="text-small text-ink-soft">{(movement && findLevel(movement, block.levelId)?.name) ?? block.levelId}</div>
        <div className="text-small figures lg:hidden">{doseText(block)}</div>
        {taken && <div className="text-small text-amber">eased to: {formName(taken, block, movement)}</div>}
        {complaints.map((complaint) => (
          <div key={complaint.id} className="text-small font-semibold text-iron">
            Hurt during the session: {complaintWords(complaint)}
          </div>
        ))}
        {typeof report?.bandPercent === 'number' && (
          <div className="text-small">On the force gauge: target effort held {report.bandPercent} % of the time</div>
        )}
        {HANDS.map((hand) => ({ hand, faults: formFaultsOf(record.form, block.id, hand) })).map(
          ({ hand, faults }) =>
            faults.length > 0 && (
              <div key={hand} className="text-small text-amber">
                Form, {HAND_WORDS[hand]}: {formWords(faults)}
              </div>
            ),
        )}
        {record.looks
          .filter(({ blockId }) => blockId === block.id)
          .map((seen) => (
            <div key={seen.id} className="text-small">
              Rechecked {seen.stop === 'after' ? 'afterwards' : 'before changing hands'}: {recheckWords(seen)}
            </div>
          ))}
        {report?.note && <div className="text-small italic">{report.note}</div>}
      </td>
      <td className="py-2 pr-3 max-w-44 text-small max-lg:hidden">{doseText(block)}</td>
      <td className="py-2 pr-3">
        {sides.flatMap((side) => {
          const mine = rows.filter((row) => row.side === side);
          // An easier form may be counted otherwise than the plan: repetitions for seconds.
          return SET_UNITS.map((unit) => mine.filter((row) => row.unit === unit)).flatMap((alike) =>
            alike[0] ? [<SideResult key={`${side} ${alike[0].unit}`} side={side} rows={alike} />] : [],
          );
        })}
      </td>
      <td className="py-2 pr-3">
        <DiscomfortMark score={report?.discomfort ?? null} policy={record.discomfortPolicy} />
      </td>
      <td className="py-2 text-right figures max-lg:hidden">{scoreText(report?.exertion ?? null)}</td>
    </tr>
  );
}

/** The last set of the block where it was another level or movement than planned. */
function setTakenInstead({ id, movementId, levelId }: Block, { sets }: SessionRecord): StoredSet | null {
  const last = sets.findLast(({ blockId }) => blockId === id);
  return last && (last.levelId !== levelId || last.movementId !== movementId) ? last : null;
}

function formName({ movementId, levelId }: StoredSet, block: Block, planned: Movement | undefined): string {
  const other = movementId === block.movementId ? planned : movementById(movementId);
  const level = (other && findLevel(other, levelId)?.name) ?? levelId;
  return movementId === block.movementId ? level : `${other?.name ?? movementId}, ${level}`;
}

const FILL: Record<WorkingSide, string> = { left: 'bg-cobalt', right: 'bg-ochre-fill hatch-right', both: 'bg-ink' };

/** What came of an open set: the number that is done is the result. */
const openWords = ({ doneAmount, plannedAmount }: PlannedDoneRow, unit: string): string =>
  doneAmount === null ? 'open set not reached' : `${doneAmount}${unit} open, at most ${plannedAmount}`;

/** One hand's share: a bar for each planned piece, as full as it was done, and the sum. */
function SideResult({ side, rows }: { side: WorkingSide; rows: readonly PlannedDoneRow[] }) {
  const [fixed, open] = [rows.filter((row) => row.open === null), rows.filter((row) => row.open !== null)];
  const { plannedAmount, doneAmount } = totals(fixed);
  const unit = UNIT_BEHIND[firstOf(rows).unit];
  const isShort = doneAmount < plannedAmount;
  const reached = rows.some((row) => row.doneAmount !== null);
  return (
    <div className="flex items-center gap-2 py-0.5">
      <SideMark side={side} className="w-8 shrink-0 whitespace-nowrap" />
      <span className="flex h-3 w-24 gap-px max-sm:hidden xl:w-40" aria-hidden>
        {rows.map((row, index) => (
          <span key={index} className="flex-1 border border-ink/25 bg-white">
            <span
              className={`block h-full ${FILL[side]}`}
              style={{ width: `${Math.min(100, (100 * (row.doneAmount ?? 0)) / row.plannedAmount)}%` }}
            />
          </span>
        ))}
      </span>
      <span className={`text-small figures whitespace-nowrap ${isShort ? 'font-semibold text-amber' : ''}`}>
        {reached && fixed.length > 0 && `${doneAmount} of ${plannedAmount}${unit}`}
        {reached && fixed.length > 0 && open.length > 0 && ', then '}
        {reached && open.map((row) => openWords(row, unit)).join(', ')}
        {!reached && 'not reached'}
      </span>
    </div>
  );
}
