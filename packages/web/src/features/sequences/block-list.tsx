import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { Athlete } from '@clay-pot/contracts';
import {
  type Block,
  cautionsOn,
  concernsOf,
  equipmentFor,
  findLevel,
  type Movement,
  PHASES,
  type Sequence,
  summarise,
  type Timeline,
} from '@clay-pot/core';
import { knownMovement } from '../../store/library.js';
import { dropBlock, useEditor } from '../../store/editor.js';
import { clock } from '../../ui/format.js';
import { isoToday } from '../../ui/today.js';
import { BlockRow, type Concern } from './block-row.js';

interface Props {
  document: Sequence;
  timeline: Timeline;
  athlete: Athlete | undefined;
}

/** Blocks in order, under their phases; dragged by the handle or moved by keys. */
export function BlockList({ document, timeline, athlete }: Props) {
  const selectedId = useEditor((editor) => editor.selectedId);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const spans = new Map(timeline.blocks.map((span) => [span.blockId, span.endMs - span.startMs]));
  const { byPhase } = summarise(timeline);
  const { blocks } = document;

  function onDragEnd({ active, over }: DragEndEvent) {
    if (over) dropBlock(String(active.id), String(over.id));
  }

  if (!blocks.length) {
    return (
      <p className="py-10 text-ink-soft">
        Nothing on the bench yet. Search the shelf on the left and press Enter, or click a movement to add it.
      </p>
    );
  }
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={blocks.map((block) => block.id)} strategy={verticalListSortingStrategy}>
        {PHASES.filter((phase) => blocks.some((block) => block.phase === phase)).map((phase) => {
          const inPhase = blocks.filter((block) => block.phase === phase);
          return (
            <section key={phase} aria-label={phase}>
              <h2 className="flex justify-between border-b-2 border-ink pt-3 pb-1 text-body">
                {phase}
                <span className="font-text text-small font-normal text-ink-soft figures">{clock(byPhase[phase])}</span>
              </h2>
              <ol>
                {inPhase.map((block) => {
                  const movement = knownMovement(block.movementId)!;
                  return (
                    <BlockRow
                      key={block.id}
                      block={block}
                      number={blocks.indexOf(block) + 1}
                      movement={movement}
                      durationMs={spans.get(block.id) ?? 0}
                      selected={block.id === selectedId}
                      concerns={blockConcerns(block, movement, athlete)}
                    />
                  );
                })}
              </ol>
            </section>
          );
        })}
      </SortableContext>
    </DndContext>
  );
}

/** What speaks against this block for this athlete: a stop, a caution of the movement, a thing that is not there. */
function blockConcerns(block: Block, movement: Movement, athlete: Athlete | undefined): Concern[] {
  const level = findLevel(movement, block.levelId);
  if (!athlete || !level) return [];
  const { stops, avoid, care } = concernsOf(movement, level, cautionsOn(athlete, isoToday()));
  const missing = equipmentFor(movement, level).filter((thing) => !athlete.equipment.includes(thing));
  return [
    ...(stops.length ? [{ stop: true, text: 'Not before clearance: this block loads the hand.' }] : []),
    ...[...avoid, ...care].map((text) => ({ stop: false, text })),
    ...(missing.length ? [{ stop: false, text: `Not within reach: ${missing.join(', ')}.` }] : []),
  ];
}
