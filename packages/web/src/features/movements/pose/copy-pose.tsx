import type { Level, Movement } from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { MovementField } from '../../../domain/movement/movement-choice.js';
import { useStudioLibrary } from '../../../store/library.js';
import { Button } from '../../../ui/button.js';
import { INPUT } from '../../../ui/field.js';
import { withHandOf } from './stations.js';

interface Props {
  movement: Movement;
  level: Level;
  set: (level: Level) => void;
}

/** Takes over the hand of another level: of this movement, or of any on the shelf. */
export function CopyPose({ movement, level, set }: Props) {
  const { shelf } = useStudioLibrary();
  const others = useMemo(() => shelf.filter(({ id }) => id !== movement.id), [shelf, movement.id]);
  const [movementId, setMovementId] = useState(movement.id);
  const from = others.find(({ id }) => id === movementId) ?? movement;
  const levels = from.ladder.filter(({ id }) => from !== movement || id !== level.id);
  const [levelId, setLevelId] = useState('');
  const source = levels.find(({ id }) => id === levelId) ?? levels[0];
  return (
    <div role="group" aria-label="Copy the hand of another level" className="flex flex-wrap items-end gap-2">
      <div className="min-w-52 flex-1">
        <MovementField
          label="Copy the hand from"
          none="this movement"
          movements={others}
          value={from === movement ? '' : from.id}
          choose={setMovementId}
        />
      </div>
      <label className="block min-w-40 flex-1 text-small font-semibold">
        Level
        <select
          className={`${INPUT} mt-1 py-1! font-normal`}
          value={source?.id ?? ''}
          disabled={!source}
          onChange={(event) => setLevelId(event.target.value)}
        >
          {levels.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          {!source && <option value="">This movement has no other level</option>}
        </select>
      </label>
      <Button disabled={!source} onClick={() => source && set(withHandOf(level, from, source))}>
        Copy
      </Button>
    </div>
  );
}
