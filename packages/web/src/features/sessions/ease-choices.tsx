import { readable } from '../../domain/measuring/units.js';
import { type Ease, type EaseReason, easesFor, kindOf } from '@clay-pot/core';
import { useEffect, useState } from 'react';
import { changeAhead, currentBlock, type Run } from '../../store/run.js';
import { useRunView } from './run-view.js';

interface Props {
  run: Run;
  /** What hurts or is too hard: what is done now, or a block of before. */
  blockId: string;
  reason: EaseReason;
  onDone: () => void;
}

/**
 * What can be done about a block on the spot, each answer saying exactly what it changes. Where it hurts, all of its kind that is still to
 * come is meant; where it is only too hard, the block itself.
 */
export function EaseChoices({ run, blockId, reason, onDone }: Props) {
  const view = useRunView(run);
  const [found, setFound] = useState<{ eases: readonly Ease[]; others: number } | null>(null);
  const current = currentBlock(run);
  useEffect(() => {
    // The question is on screen before its answers are computed.
    const timer = setTimeout(() => {
      const from = view.blocks.findIndex(({ block }) => block.id === current);
      const ahead = new Set(view.blocks.slice(Math.max(0, from)).map(({ block }) => block.id));
      const ids = reason === 'hard' ? [blockId] : kindOf(view, blockId).filter((id) => ahead.has(id));
      setFound({ eases: easesFor(view, ids, reason), others: ids.filter((id) => id !== blockId).length });
    });
    return () => clearTimeout(timer);
  }, [view, blockId, reason, current]);
  if (!found) return <p className="mt-2 text-ink-soft">Looking for easier forms…</p>;
  if (!found.eases.length) return <p className="mt-2">No similar movement follows today.</p>;
  return (
    <div className="mt-2 grid gap-2">
      {found.others > 0 && <p className="text-small">This also removes what loads the hand in the same way later today:</p>}
      {found.eases.map(({ changes, edits }) => (
        <button
          key={changes.map(readable).join()}
          type="button"
          className="min-h-12 border border-ink bg-white px-3 py-2 text-left font-semibold hover:bg-ground"
          onClick={() => {
            changeAhead(edits);
            onDone();
          }}
        >
          {changes.map((line, index) => (
            <span key={index} className="block">
              {readable(line)}
            </span>
          ))}
        </button>
      ))}
    </div>
  );
}
