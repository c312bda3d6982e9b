import { MOVEMENT_LIMITS, nameFor } from '@clay-pot/core';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useAthlete, useSequences } from '../../api/queries.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { SearchChoice } from '../../ui/search-choice.js';
import { type FromBlock, intoBlock, intoSequence, type Keeping, type LevelFor, useKeep, useOwnTarget } from './use-keep.js';

interface Props extends Keeping {
  /** A block that the level goes back into. */
  block: FromBlock | null;
  /** What it would be called unless somebody says otherwise. */
  suggested: string;
}

/** Saves the subject of the bench: as a level, in the block it was opened from, or in a sequence. */
export function SaveLevel({ block, suggested, ...keeping }: Props) {
  const { who, movement } = keeping;
  const own = useOwnTarget(keeping);
  const keep = useKeep(keeping);
  const navigate = useNavigate();
  const sequences = useSequences().data ?? [];
  const athlete = useAthlete(who.athleteId).data;
  const cautions = useStandingCautions(athlete);
  const subject: LevelFor = { person: who.person, athlete: athlete ? { cautions, equipment: athlete.equipment } : null };
  const { register, handleSubmit, setError, formState } = useForm<{ name: string }>({ defaultValues: { name: '' } });
  const { isSubmitting, errors } = formState;
  // Whose it is must be known before it is saved.
  const waits = isSubmitting || who.isLoading;
  const query = who.athleteId ? `?athlete=${who.athleteId}` : '';

  /** Saves the level, and opens the place where it is used. What the movement’s rules say against it is listed below. */
  const doing = (then: (kept: Awaited<ReturnType<typeof keep>>) => Promise<string>) =>
    handleSubmit(async ({ name }) => {
      try {
        void navigate(await then(await keep(name.trim() || suggested)));
      } catch (error) {
        setError('root', { message: error instanceof Error ? error.message : String(error) });
      }
    })();
  return (
    <section className="grid gap-2" aria-label="Save as a level">
      <TextField label="Level name" maxLength={MOVEMENT_LIMITS.nameLength} placeholder={suggested} {...register('name')} />
      <p className="text-small text-ink-soft">{whereTo(keeping, own !== undefined)}</p>
      <div className="flex flex-wrap gap-2">
        {block && (
          <Button
            kind="primary"
            disabled={waits}
            onClick={() =>
              void doing(async (kept) => {
                await intoBlock(subject, block, kept);
                return `/sequences/${block.sequenceId}${query}`;
              })
            }
          >
            Use in the block
          </Button>
        )}
        <SearchChoice
          label="Add to a sequence"
          className="w-52"
          nothing="Into a sequence …"
          options={sequences.map(({ id, title }) => ({ id, name: title }))}
          value=""
          choose={(sequenceId) => {
            if (sequenceId === '') return;
            void doing(async (kept) => {
              await intoSequence(sequenceId, subject, kept);
              return `/sequences/${sequenceId}${query}`;
            });
          }}
        />
        <Button disabled={waits} onClick={() => void doing(({ stored }) => Promise.resolve(`/movements/${stored.id}`))}>
          Save level
        </Button>
      </div>
      {errors.root && (
        <p role="alert" className="text-small font-semibold text-iron">
          {errors.root.message}
        </p>
      )}
      {movement.madeFor && who.athleteId === undefined && (
        <p className="text-small text-ink-soft">Judged for {movement.madeFor.name}, because this movement was made for them.</p>
      )}
    </section>
  );
}

function whereTo({ who, movement }: Keeping, isOwn: boolean): string {
  if (who.athleteId !== undefined) {
    const name = nameFor(movement, who.name);
    return isOwn ? `Added to ${movement.madeFor ? movement.name : name}.` : `Saved as “${name}”. Its progression is judged by their body.`;
  }
  if (isOwn) return `Added to ${movement.name}, sorted by ${movement.climbs}.`;
  return `${movement.name} is a shipped movement. Saving makes your own copy with this level in it.`;
}
