import { counted, type Level, type Movement, type MovementLookup, type Sequence } from '@clay-pot/core';
import { useSequence } from '../../api/queries.js';
import { useStudioLibrary } from '../../store/library.js';
import { LevelPicture } from '../movement/level-picture.js';

/** The hands of a sequence in the order in which they come, each movement once. */
export default function BlockStrip({ sequenceId, most }: { sequenceId: string; most: number }) {
  const sequence = useSequence(sequenceId);
  const { movement } = useStudioLibrary();
  if (!sequence.data) return null;
  const shown = distinctLevels(sequence.data.document, movement);
  const first = shown.slice(0, most);
  return (
    <div className="flex items-end gap-1">
      <div className="flex min-w-0 gap-1 overflow-hidden">
        {first.map(({ movement: shownMovement, level }) => (
          <LevelPicture
            key={shownMovement.id}
            movement={shownMovement}
            level={level}
            silent
            handOnly
            className="h-10 w-11 shrink-0 bg-white [--figure-line:2px]"
          />
        ))}
      </div>
      {shown.length > first.length && (
        <span className="shrink-0 text-fine text-ink-soft" aria-label={`and ${counted(shown.length - first.length, 'more movement')}`}>
          +{shown.length - first.length}
        </span>
      )}
    </div>
  );
}

/** Each movement once, at the level in which it first comes; what this studio no longer knows is left out. */
function distinctLevels({ blocks }: Sequence, lookup: MovementLookup) {
  const levels = new Map<string, { movement: Movement; level: Level }>();
  for (const { movementId, levelId } of blocks) {
    const movement = lookup(movementId);
    const level = movement?.ladder.find(({ id }) => id === levelId);
    if (movement && level && !levels.has(movementId)) levels.set(movementId, { movement, level });
  }
  return [...levels.values()];
}
