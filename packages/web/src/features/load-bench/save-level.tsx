import { MOVEMENT_LIMITS, nameFor } from '@clay-pot/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useSequences } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { type FromBlock, intoBlock, intoSequence, type Keeping, useKeep, useOwnTarget } from './use-keep.js';

interface Props extends Keeping {
  /** A block that the level goes back into. */
  block: FromBlock | null;
  /** What it would be called unless somebody says otherwise. */
  suggested: string;
}

/** Keeps what lies on the bench: as a level, in the block it was opened from, or in a sequence. */
export function SaveLevel({ block, suggested, ...keeping }: Props) {
  const { who, movement } = keeping;
  const own = useOwnTarget(keeping);
  const keep = useKeep(keeping);
  const navigate = useNavigate();
  const sequences = useSequences().data ?? [];
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const name = typed.trim() || suggested;
  const query = who.athleteId ? `?athlete=${who.athleteId}` : '';

  async function doing(then: (kept: Awaited<ReturnType<typeof keep>>) => Promise<string>) {
    setTrouble(null);
    setBusy(true);
    try {
      void navigate(await then(await keep(name)));
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  }
  return (
    <section className="grid gap-2" aria-label="Keep as a level">
      <label className="text-small font-semibold">
        Name of the level
        <input
          className={`${INPUT} mt-1 font-normal`}
          value={typed}
          maxLength={MOVEMENT_LIMITS.nameLength}
          placeholder={suggested}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <p className="text-small text-ink-soft">{whereTo(keeping, own !== undefined)}</p>
      <div className="flex flex-wrap gap-2">
        {block && (
          <Button
            kind="primary"
            disabled={busy}
            onClick={() =>
              void doing(async (kept) => {
                await intoBlock(block, kept);
                return `/sequences/${block.sequenceId}${query}`;
              })
            }
          >
            Into the block
          </Button>
        )}
        <select
          aria-label="Into a sequence"
          className={`${INPUT} w-44!`}
          value=""
          disabled={busy}
          onChange={(event) => {
            const sequenceId = event.target.value;
            if (!sequenceId) return;
            void doing(async (kept) => {
              await intoSequence(sequenceId, who.person, kept);
              return `/sequences/${sequenceId}${query}`;
            });
          }}
        >
          <option value="">Into a sequence …</option>
          {sequences.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
        <Button disabled={busy} onClick={() => void doing(({ stored }) => Promise.resolve(`/movements/${stored.id}`))}>
          Keep as a level
        </Button>
      </div>
      {trouble && (
        <p role="alert" className="text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
      {movement.madeFor && who.athleteId === undefined && (
        <p className="text-small text-ink-soft">Judged for {movement.madeFor.name}, for whom this movement was made.</p>
      )}
    </section>
  );
}

function whereTo({ who, movement }: Keeping, isOwn: boolean): string {
  if (who.athleteId !== undefined) {
    const name = nameFor(movement, who.name);
    return isOwn
      ? `Joins ${movement.madeFor ? movement.name : name}.`
      : `Becomes “${name}”: what its ladder raises is judged by their body.`;
  }
  if (isOwn) return `Joins the ladder of ${movement.name}, where its ${movement.climbs} belongs.`;
  return `${movement.name} is shipped: a copy of it becomes the studio’s own, with this level in its place.`;
}
