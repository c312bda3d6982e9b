import { doseText } from '../movement/dose-text.js';
import { readable } from '../measuring/units.js';
import type { ComposeAnswer, SwapAnswer } from '@clay-pot/contracts';
import { applyEdits, type Block, capital, type Edit, PHASE_NAMES, phaseRuns, type Sequence } from '@clay-pot/core';
import { Ban, Pin, Shuffle } from 'lucide-react';
import { useState } from 'react';
import { useStudioLibrary } from '../../store/library.js';
import { Button, IconButton } from '../../ui/button.js';
import { LevelPicture } from '../movement/level-picture.js';
import { MovementName } from '../movement/movement-name.js';
import type { Composition } from './use-composition.js';

interface Props {
  sequence: Sequence;
  reasons: ComposeAnswer['reasons'];
  composition: Composition;
  /** Leaves a movement out of what is generated next; for whom, where it is somebody. Without it nothing is left out from here. */
  leaveOut?: LeaveOut | undefined;
}

/** How a movement is left out: for this once, or for a person for good. */
export interface LeaveOut {
  readonly once: (movementId: string) => void;
  readonly always?: ((movementId: string) => void) | undefined;
  /** Their first name. */
  readonly who?: string | undefined;
}

/** The blocks of a composition by their phases, each with why it is there; kept, or changed for another. */
export function ComposedRows({ sequence, reasons, ...rest }: Props) {
  const [withFigures, setWithFigures] = useState(false);
  return (
    <div className="grid gap-4">
      <button
        type="button"
        className="justify-self-start text-small underline underline-offset-2 max-sm:min-h-11"
        aria-pressed={withFigures}
        onClick={() => setWithFigures((now) => !now)}
      >
        {withFigures ? 'Hide figures' : 'Show figures'}
      </button>
      {phaseRuns(sequence.blocks).map(({ phase, blocks }, run) => (
        <section key={`${phase} ${run}`} aria-label={PHASE_NAMES[phase]}>
          <h3 className="border-b border-ink/60 text-small font-bold uppercase">{PHASE_NAMES[phase]}</h3>
          <ul>
            {blocks.map((block) => (
              <Row
                key={block.id}
                block={block}
                sequence={sequence}
                reason={reasons.find(({ blockId }) => blockId === block.id)}
                withFigures={withFigures}
                {...rest}
              />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

interface RowProps extends Omit<Props, 'reasons'> {
  block: Block;
  reason: ComposeAnswer['reasons'][number] | undefined;
  withFigures: boolean;
}

function Row({ block, sequence, reason, withFigures, composition, leaveOut }: RowProps) {
  const [isLeaving, setLeaving] = useState(false);
  const { locked, toggleLock, swaps, change } = composition;
  const { movement: lookup } = useStudioLibrary();
  const [others, setOthers] = useState<SwapAnswer['alternatives'] | 'asked' | null>(null);
  const movement = lookup(block.movementId);
  const level = movement?.ladder.find(({ id }) => id === block.levelId);
  if (!movement || !level) return null;
  const isLocked = locked.some(({ id }) => id === block.id);
  function ask() {
    if (others) {
      setOthers(null);
      return;
    }
    setOthers('asked');
    void swaps(block.id).then(({ alternatives }) => setOthers(alternatives));
  }
  return (
    <li className={`border-b border-line py-1.5 ${isLocked ? 'border-l-4 border-l-ink bg-white pl-2' : ''}`}>
      <div className="flex items-start gap-2">
        <LevelPicture movement={movement} level={level} silent handOnly className="h-10 w-11 shrink-0 bg-white [--figure-line:2px]" />
        <div className="min-w-0 flex-1">
          <p className="font-semibold">
            <MovementName movement={movement} />
          </p>
          <p className="text-small">{level.name}</p>
          <p className="text-small font-semibold">{capital(doseText(block))}</p>
          {reason && <p className="text-small text-ink-soft">{readable(reason.text)}</p>}
          {reason && withFigures && <p className="text-small text-ink-soft figures">{readable(reason.figures)}</p>}
        </div>
        <IconButton
          name={isLocked ? `Remove ${movement.name}` : `Keep ${movement.name}`}
          aria-pressed={isLocked}
          onClick={() => toggleLock(block.id)}
        >
          <Pin size={17} fill={isLocked ? 'currentColor' : 'none'} />
        </IconButton>
        <IconButton name={`Others for ${movement.name}`} aria-expanded={others !== null} onClick={ask}>
          <Shuffle size={17} />
        </IconButton>
        {leaveOut && (
          <IconButton name={`Leave out ${movement.name}`} aria-expanded={isLeaving} onClick={() => setLeaving((now) => !now)}>
            <Ban size={17} />
          </IconButton>
        )}
      </div>
      {leaveOut && isLeaving && (
        <div role="group" aria-label={`Leave out ${movement.name}`} className="mt-1 flex flex-wrap gap-2 pl-13">
          <Button className="px-2! py-0.5! text-small" onClick={() => leaveOut.once(movement.id)}>
            Leave out this time
          </Button>
          {leaveOut.always && (
            <Button className="px-2! py-0.5! text-small" onClick={() => leaveOut.always?.(movement.id)}>
              Never for {leaveOut.who}
            </Button>
          )}
        </div>
      )}
      {others && (
        <Others
          others={others}
          take={(edits) => {
            setOthers(null);
            change(applyEdits(sequence, edits));
          }}
        />
      )}
    </li>
  );
}

function Others({ others, take }: { others: SwapAnswer['alternatives'] | 'asked'; take: (edits: readonly Edit[]) => void }) {
  if (others === 'asked') return <p className="pl-13 text-small text-ink-soft">Searching…</p>;
  if (others.length === 0) return <p className="pl-13 text-small text-ink-soft">No other movement does the same.</p>;
  return (
    <ul className="mt-1 grid gap-1 pl-13" aria-label="Alternatives">
      {others.map(({ movementId, name, text, edits }) => (
        <li key={movementId}>
          <button
            type="button"
            className="w-full border border-ink/40 bg-white px-2 py-1 text-left text-small hover:bg-ground"
            onClick={() => take(edits)}
          >
            <b>{name}</b>: {readable(text)}
          </button>
        </li>
      ))}
    </ul>
  );
}
