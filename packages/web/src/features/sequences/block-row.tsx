import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import {
  type Block,
  clock,
  type Demand,
  findLevel,
  type Level,
  type Movement,
  neighbourLevel,
  doseSentence,
  effortMeans,
  SEQUENCE_LIMITS,
  type Severity,
  unusualInDose,
  withOwnLoad,
} from '@clay-pot/core';
import { ChevronLeft, ChevronRight, Copy, GripVertical, X } from 'lucide-react';
import { memo } from 'react';
import { readable } from '../../domain/measuring/units.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { changeBlock, changeDose, duplicateBlock, hover, removeBlock, select, stepLevel } from '../../store/editor.js';
import { studioLibrary } from '../../store/library.js';
import { IconButton } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { EffortMark, SidePlanMark } from '../../ui/marks.js';
import { useToast } from '../../ui/toast.js';
import { BlockDemand } from './block-demand.js';
import { LevelPicture } from '../../domain/movement/level-picture.js';
import { pausesOf } from '../../domain/sequence/in-order.js';
import { DoseField } from '../../domain/sequence/dose-field.js';
import { BlockStops } from './block-stops.js';
import { DoseSteppers } from './dose-steppers.js';
import { RoundHandle } from './round-handle.js';
import { followSelection } from './follow-selection.js';
import type { NamedSubject } from '../../domain/athlete/named-subject.js';

/** Why a block is forbidden or needs care for the athlete in view; stops in red, care in amber. */
export interface Concern {
  readonly stop: boolean;
  readonly text: string;
}

interface Props {
  block: Block;
  number: number;
  movement: Movement;
  durationMs: number;
  selected: boolean;
  hovered: boolean;
  /** How often it is done: rounds add up. */
  times: number;
  /** What its open sets are likely to come to; null without any. */
  likely: string | null;
  /** The gravest thing that the checks say of it. */
  mark: Severity | null;
  /** Why this block deserves a second look for the athlete in view. */
  concerns: readonly Concern[];
  /** What its hardest round asks of the athlete in view; null where their body cannot take it. */
  demand: Demand | null;
  seen: NamedSubject;
}

/** One block as a row; the selected one opens to its steppers, its note, and what is unusual in it. */
export const BlockRow = memo(function BlockRow(props: Props) {
  const { block, number, movement, durationMs, selected, hovered, mark, concerns } = props;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: block.id,
  });
  const level = findLevel(movement, block.levelId);
  if (!level) return null;
  return (
    <li
      ref={setNodeRef}
      id={`block-${block.id}`}
      tabIndex={0}
      aria-label={`Block ${number}: ${movement.name}`}
      aria-current={selected ? 'true' : undefined}
      onFocus={() => select(block.id)}
      onPointerDown={() => select(block.id)}
      onPointerEnter={() => hover(block.id)}
      onPointerLeave={() => hover(null)}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`relative border-b border-line border-l-4 bg-porcelain py-1.5 pr-1.5 pl-1.5 [contain-intrinsic-height:auto_3.4rem] [content-visibility:auto] ${selected ? 'border-l-ink bg-white' : hovered ? 'border-l-ash bg-ground' : 'border-l-transparent'} ${isDragging ? 'z-10 shadow-lg' : ''}`}
    >
      <div className="grid grid-cols-[auto_1.4rem_3.5rem_minmax(0,1fr)_auto_auto] items-start gap-x-1.5">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move block ${number}`}
          className="mt-1 cursor-grab touch-none text-ash hover:text-ink"
        >
          <GripVertical size={18} aria-hidden />
        </button>
        <span className="display mt-1 text-right font-bold">
          {number}
          {mark && <CheckMark severity={mark} />}
        </span>
        <LevelPicture silent movement={movement} level={withOwnLoad(level, block.dose.load)} handOnly className="row-span-2 h-16 w-full" />
        <p className="min-w-0 pt-1 pl-1.5 leading-tight font-semibold">
          <MovementName movement={movement} />
        </p>
        <span className="mt-0.5 text-right figures">{clock(durationMs)}</span>
        <RowTools block={block} name={movement.name} inRounds={props.times > 1} />
        <div className="col-span-3 col-start-4 grid items-start gap-x-2 gap-y-1 pl-1.5 max-sm:col-span-full sm:grid-cols-[minmax(7.5rem,2fr)_minmax(13rem,3fr)]">
          <LevelSteps blockId={block.id} movement={movement} level={level} />
          <DoseField dose={block.dose} movement={movement} level={level} onChange={(dose) => changeDose(block.id, dose)} />
          <div className="sm:col-span-2">
            <DoseMarks block={block} movement={movement} level={level} likely={props.likely} />
          </div>
        </div>
      </div>
      {(selected || concerns.length > 0) && (
        <div className="mt-2 grid gap-2 pl-12">
          {concerns.map(({ stop, text }) => (
            <p
              key={text}
              className={`border-l-4 px-2 py-1 text-small ${stop ? 'border-iron bg-iron-wash font-semibold' : 'border-load-3 bg-amber-wash'}`}
            >
              {text}
            </p>
          ))}
          {selected && (
            <Opened {...{ block, movement, level }} times={props.times} follows={number > 1} demand={props.demand} seen={props.seen} />
          )}
        </div>
      )}
    </li>
  );
});

/** The level’s position in its ladder, and a step each way. */
function LevelSteps({ blockId, movement, level }: { blockId: string; movement: Movement; level: Level }) {
  return (
    <div className="-ml-2 flex items-center text-small text-ink-soft">
      <IconButton
        name="Easier level"
        className="size-6!"
        disabled={!neighbourLevel(movement, level.id, -1)}
        onClick={() => stepLevel(blockId, -1)}
      >
        <ChevronLeft size={15} />
      </IconButton>
      <span className="figures whitespace-nowrap">
        {movement.ladder.indexOf(level) + 1}/{movement.ladder.length}
      </span>
      <IconButton
        name="Harder level"
        className="size-6!"
        disabled={!neighbourLevel(movement, level.id, 1)}
        onClick={() => stepLevel(blockId, 1)}
      >
        <ChevronRight size={15} />
      </IconButton>
      <span className="leading-tight">{level.name}</span>
    </div>
  );
}

/** Hands, directions and effort of a dose at a glance. */
function DoseMarks({ block, movement, level, likely }: Pick<Props, 'block' | 'movement' | 'likely'> & { level: Level }) {
  const { dose } = block;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-0.5 text-small">
      <SidePlanMark plan={dose.sides} />
      <span className="text-ink-soft">{readable(doseSentence(dose, movement, level, null, studioLibrary().grades))}</span>
      {dose.effortPercent !== undefined && effortMeans(level) !== null && <EffortMark percent={dose.effortPercent} />}
      {likely && <span className="text-ink-soft figures">{likely}</span>}
      {pausesOf(block).map((pause) => (
        <span key={pause} className="text-ink-soft figures">
          {pause}
        </span>
      ))}
    </div>
  );
}

type OpenedProps = Pick<Props, 'block' | 'movement' | 'times' | 'demand' | 'seen'> & { level: Level; follows: boolean };

/** What the selected row shows beside its line: what is unusual, what it asks, its steppers and its note. */
function Opened({ block, movement, level, times, follows, demand, seen }: OpenedProps) {
  const unusual = unusualInDose(block.dose, level.dosing, times);
  return (
    <>
      {block.why && (
        <p className="text-small text-ink-soft">
          <b>Why it’s here:</b> {block.why}
        </p>
      )}
      {unusual.length > 0 && <p className="border-l-4 border-load-3 bg-amber-wash px-2 py-1 text-small">{unusual.join(' ')}</p>}
      <BlockDemand {...{ block, movement, level, demand, seen }} />
      <DoseSteppers dose={block.dose} movement={movement} level={level} onChange={(dose) => changeDose(block.id, dose)} />
      <BlockStops block={block} follows={follows} onChange={(change) => changeBlock(block.id, change)} />
      <input
        key={block.note}
        aria-label={`Note for ${movement.name}`}
        placeholder="Note for whoever leads this"
        className={`${INPUT} text-small`}
        maxLength={SEQUENCE_LIMITS.noteLength}
        defaultValue={block.note ?? ''}
        onBlur={(event) => {
          if (event.target.value !== (block.note ?? '')) changeBlock(block.id, { note: event.target.value });
        }}
      />
    </>
  );
}

const MARKS: Record<Severity, { className: string; word: string }> = {
  stop: { className: 'bg-iron', word: 'stop' },
  mend: { className: 'bg-load-4', word: 'to fix' },
  look: { className: 'bg-load-2', word: 'worth a check' },
};

/** That the checks have something to say of this block, and how much it weighs. */
function CheckMark({ severity }: { severity: Severity }) {
  const { className, word } = MARKS[severity];
  return (
    <span className={`mt-0.5 ml-auto block h-1.5 w-4 ${className}`} title={`Checks: ${word}`}>
      <span className="sr-only">Checks: {word}</span>
    </span>
  );
}

function RowTools({ block, name, inRounds }: { block: Block; name: string; inRounds: boolean }) {
  return (
    <div className="flex">
      <RoundHandle blockId={block.id} name={name} inRounds={inRounds} />
      <IconButton name={`Duplicate ${name}`} onClick={() => duplicateBlock(block.id)}>
        <Copy size={15} />
      </IconButton>
      <IconButton name={`Remove ${name}`} onClick={() => removeWithUndo(block.id, name)}>
        <X size={17} />
      </IconButton>
    </div>
  );
}

/** Removing needs no question: undo brings it back. */
export function removeWithUndo(id: string, name: string): void {
  removeBlock(id);
  followSelection();
  useToast.getState().show({ text: `${name} removed. Press Ctrl Z to undo.` });
}
