import {
  type Block,
  clock,
  concernsOf,
  equipmentFor,
  type Finding,
  findLevel,
  type Hand,
  HAND_WORDS,
  handsUsed,
  type Level,
  likelyOfBlock,
  likelyWords,
  type Movement,
  mustWait,
  PHASE_NAMES,
  phaseRuns,
  type RecordedCaution,
  resolveBlock,
  timesOf,
  type Sequence,
  type SessionView,
  type Severity,
  timelineOf,
} from '@clay-pot/core';
import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { Athlete } from '@clay-pot/contracts';
import { movementById, useStudioLibrary } from '../../store/library.js';
import { dropBlock, useEditor, useHovered } from '../../store/editor.js';
import { groupsOf } from '../../domain/sequence/in-order.js';
import { RoundGroup } from './round-group.js';
import { BlockRow, type Concern } from './block-row.js';
import type { SequenceView } from '../../domain/sequence/session-view.js';
import { useMemo } from 'react';

interface Props {
  document: Sequence;
  seen: SequenceView;
  findings: readonly Finding[];
  athlete: Athlete | undefined;
}

// Made once: new ones with every render would render every row again.
const BY_POINTER = { activationConstraint: { distance: 4 } };
const BY_KEYS = { coordinateGetter: sortableKeyboardCoordinates };

function onDragEnd({ active, over }: DragEndEvent) {
  if (over) dropBlock(String(active.id), String(over.id));
}

/** Blocks in order, under their phases; dragged by the handle or moved by keys. */
export function BlockList({ document, seen, findings, athlete }: Props) {
  const { blocks } = document;
  // Of the document as it is: the view comes a frame later.
  const timeline = timelineOf(document, useStudioLibrary().movement);
  const selectedId = useEditor((editor) => editor.selectedId);
  const hoveredId = useHovered((state) => state.id);
  const marks = useMemo(() => marksOf(findings), [findings]);
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS));
  const order = JSON.stringify(blocks.map((block) => block.id));
  // The same list while the order is the same: every row listens to it.
  const ids = useMemo(() => JSON.parse(order) as string[], [order]);
  const spans = new Map(timeline.blocks.map((span) => [span.blockId, span.lengthMs]));
  const demands = new Map(seen.view.blocks.map((each) => [each.block.id, each.demand]));

  const row = (block: Block) => {
    const { movement } = resolveBlock(block, movementById);
    return (
      <BlockRow
        key={block.id}
        block={block}
        number={blocks.indexOf(block) + 1}
        movement={movement}
        durationMs={spans.get(block.id) ?? 0}
        selected={block.id === selectedId}
        hovered={block.id === hoveredId}
        times={timesOf(document, block.id)}
        likely={likelyText(seen.view, block.id)}
        mark={marks.get(block.id) ?? null}
        concerns={blockConcerns(block, movement, athlete, seen.view.athlete?.cautions ?? [])}
        demand={demands.get(block.id) ?? null}
        seen={seen.subject}
      />
    );
  };

  if (!blocks.length) {
    return (
      <p className="py-10 text-ink-soft">No blocks yet. Search the shelf on the left and press Enter, or click a movement to add it.</p>
    );
  }
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {phaseRuns(blocks).map(({ phase, blocks: inPhase }, run) => {
          const lengthMs = inPhase.reduce((sum, { id }) => sum + (spans.get(id) ?? 0), 0);
          return (
            <section key={`${phase} ${run}`} aria-label={PHASE_NAMES[phase]}>
              <h2 className="flex justify-between border-b-2 border-ink pt-3 pb-1 text-body">
                {PHASE_NAMES[phase]}
                <span className="font-text text-small font-normal text-ink-soft figures">{clock(lengthMs)}</span>
              </h2>
              <ol>
                {groupsOf(document, inPhase).map(({ round, members }) =>
                  round ? (
                    <RoundGroup key={round.id} round={round} names={members.map(nameOf)}>
                      {members.map(row)}
                    </RoundGroup>
                  ) : (
                    members.map(row)
                  ),
                )}
              </ol>
            </section>
          );
        })}
      </SortableContext>
    </DndContext>
  );
}

/** What the open sets of a block are likely to come to, of whom they are looked at for. */
function likelyText({ timeline, openEnds }: SessionView, blockId: string): string | null {
  const likely = likelyOfBlock(timeline, openEnds, blockId);
  return likely && likelyWords(likely);
}

const nameOf = (block: Block): string => resolveBlock(block, movementById).movement.name;

/** One and the same, so that rows without concerns aren’t rendered again. */
const NO_CONCERNS: readonly Concern[] = [];

/** The gravest thing that the checks say of each block. Findings come with the gravest first. */
function marksOf(findings: readonly Finding[]): ReadonlyMap<string, Severity> {
  const marks = new Map<string, Severity>();
  for (const { blockIds, check, muted } of findings) {
    if (muted === null) for (const id of blockIds) if (!marks.has(id)) marks.set(id, check.severity);
  }
  return marks;
}

/** What forbids this block for this athlete: a stop, a precaution of the movement, missing equipment. */
function blockConcerns(
  block: Block,
  movement: Movement,
  athlete: Athlete | undefined,
  cautions: readonly RecordedCaution[],
): readonly Concern[] {
  const level = findLevel(movement, block.levelId);
  if (!athlete || !level) return NO_CONCERNS;
  const hands = handsUsed(level, block.dose.sides);
  const { stops, avoid, care } = concernsOf(movement, level, cautions, hands);
  const missing = equipmentFor(movement, level, block.dose).filter((thing) => !athlete.equipment.includes(thing));
  if (stops.length + avoid.length + care.length + missing.length === 0) return NO_CONCERNS;
  return [
    // The reason is given once, in the checks.
    ...(stops.length ? [{ stop: true, text: `Not before clearance: the ${waitingHand(level, hands, cautions)}.` }] : []),
    ...[...avoid, ...care].map((text) => ({ stop: false, text })),
    ...(missing.length ? [{ stop: false, text: `Equipment missing: ${missing.join(', ')}.` }] : []),
  ];
}

/** The hand that may not do this yet, in words. */
function waitingHand(level: Level, hands: readonly Hand[], cautions: readonly RecordedCaution[]): string {
  const waiting = hands.filter((hand) => cautions.some((entry) => mustWait(entry, level, [hand])));
  const [one, other] = waiting;
  return one && !other ? HAND_WORDS[one] : 'hands';
}
