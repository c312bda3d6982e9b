import { harderFor } from '@clay-pot/core';
import { useEffect, useState } from 'react';
import { readable } from '../../domain/measuring/units.js';
import { changeAhead, type Run } from '../../store/run.js';
import { useRunView } from './run-view.js';

const WHY = {
  hurts: 'Stay at this level today: this kind of movement hurt.',
  none: 'No harder form fits here today.',
} as const;

/** One level further for this person, with what it changes; or why there is none. */
export function HarderChoice({ run, blockId, onDone }: { run: Run; blockId: string; onDone: () => void }) {
  const view = useRunView(run);
  const [found, setFound] = useState<ReturnType<typeof harderFor> | null>(null);
  const { hurt } = run;
  useEffect(() => {
    // The question is on screen before its answer is computed.
    const timer = setTimeout(() => setFound(harderFor(view, blockId, hurt)));
    return () => clearTimeout(timer);
  }, [view, blockId, hurt]);
  if (!found) return null;
  return (
    <section aria-label="Harder" className="mt-3 border-t border-line pt-2">
      <h3 className="text-body">Harder</h3>
      {'why' in found ? (
        <p className="text-ink-soft">{WHY[found.why]}</p>
      ) : (
        <button
          type="button"
          className="mt-1 min-h-12 w-full border border-ink bg-white px-3 py-2 text-left font-semibold hover:bg-ground"
          onClick={() => {
            changeAhead(found.ease.edits);
            onDone();
          }}
        >
          {found.ease.changes.map(readable).join('; ')}
        </button>
      )}
    </section>
  );
}
