import type { StoredMovement } from '@clay-pot/contracts';
import { checkMovement, type Level, type Movement, MOVEMENT_LIMITS } from '@clay-pot/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { fetchSequence, putSequence, useSaveMovement } from '../../api/queries.js';
import { useOwnMovements } from '../../store/own-movements.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { insertLevel } from './insert-level.js';
import type { Subject } from '../../domain/subject.js';

interface Props {
  movement: Movement;
  /** The level that the subject came from: its dose, words and things are kept. */
  level: Level;
  subject: Subject;
  /** A block that the level goes back into. */
  block: { sequenceId: string; blockId: string } | null;
}

/** Keeps what lies on the bench: as a level of the studio's own movement, and in the block it was opened from. */
export function SaveLevel({ movement, level, subject, block }: Props) {
  const own = useOwnMovements((state) => state.stored.find(({ id }) => id === movement.id));
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const save = useSaveMovement();
  const navigate = useNavigate();

  async function keep() {
    if (!name.trim()) {
      setTrouble('Give the level a name, e.g. what makes it different.');
      return;
    }
    setTrouble(null);
    const id = own?.id ?? uuid();
    const fresh: Level = {
      ...level,
      ...subject,
      id: uuid(),
      name: name.trim(),
      description: `Made from ${level.name} on the load bench.`,
    };
    const base: Movement = own ? movement : { ...movement, id, name: `${movement.name}, our own` };
    const next = insertLevel(base, fresh);
    const fault = checkMovement(next)[0];
    if (fault) {
      setTrouble(`This level cannot join the ladder: ${fault.message}.`);
      return;
    }
    const { id: _id, ...input } = next;
    try {
      const stored = await save.mutateAsync({
        id,
        input: input,
        ...(own && { etag: own.etag }),
      });
      if (block) await intoBlock(block, stored, fresh);
      void navigate(block ? `/sequences/${block.sequenceId}` : `/movements/${id}`);
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  }
  return (
    <form
      className="grid gap-2"
      aria-label="Keep as a level"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <label className="text-small font-semibold">
        Name of the level
        <input
          className={`${INPUT} mt-1 font-normal`}
          value={name}
          maxLength={MOVEMENT_LIMITS.nameLength}
          placeholder="e.g. All fours, a little further"
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <p className="text-small text-ink-soft">
        {own
          ? `Joins the ladder of ${movement.name}, where its ${movement.climbs} belongs.`
          : `${movement.name} is shipped: a copy of it becomes the studio’s own, with this level in its place.`}
      </p>
      <Button kind="primary" type="submit" disabled={save.isPending}>
        {block ? 'Keep, and use it in the block' : 'Keep as a level'}
      </Button>
      {trouble && (
        <p role="alert" className="text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
    </form>
  );
}

/** The block keeps its dose and takes the new level. */
async function intoBlock(
  { sequenceId, blockId }: NonNullable<Props['block']>,
  stored: StoredMovement,
  level: Level,
): Promise<void> {
  const { document, etag } = await fetchSequence(sequenceId);
  const blocks = document.blocks.map((block) =>
    block.id === blockId ? { ...block, movementId: stored.id, levelId: level.id } : block,
  );
  await putSequence(sequenceId, { ...document, blocks }, etag);
}
