import { describePot, type PotMeasure, potOf, potWords, shapesOfPot, type TermId } from '@clay-pot/core';
import { useMemo, useRef } from 'react';
import { Term } from '../../domain/terms/term.js';
import { MeasureChoice, useMeasure } from '../../domain/sequence/pot-measure.js';
import { PotDrawing } from '../../drawing/pot.js';
import { saveDrawing } from '../../drawing/save-drawing.js';
import { hover, select, useEditor, useHovered } from '../../store/editor.js';
import { useToast } from '../../ui/toast.js';
import { blockNames } from '../../domain/sequence/block-names.js';
import type { SequenceView } from '../../domain/sequence/session-view.js';

/** What explains the width of a coil. */
const EXPLAINED: Record<PotMeasure, TermId> = { effort: 'effort', load: 'handLoad', dose: 'enduranceDose' };

/** The pot of the sequence: its shape in words, what its width shows, and the way to a file. */
export function PotPanel({ seen }: { seen: SequenceView }) {
  const { view, subject } = seen;
  const measure = useMeasure();
  const selectedId = useEditor((editor) => editor.selectedId);
  const hoveredId = useHovered((state) => state.id);
  const holder = useRef<HTMLDivElement>(null);
  const pot = useMemo(() => potOf(view, measure), [view, measure]);
  const nameOf = useMemo(() => blockNames(view.sequence), [view.sequence]);
  const words = potWords(pot);
  const fine = shapesOfPot(pot)[0] === 'even' || shapesOfPot(pot)[0] === 'empty';

  function save(kind: 'svg' | 'png') {
    const svg = holder.current?.querySelector('svg');
    if (!svg) return;
    saveDrawing(svg, `${view.sequence.title} pot`, kind).catch(() => {
      useToast.getState().show({ text: 'Couldn’t make the picture. Try the other file type.' });
    });
  }

  return (
    <section aria-label="Pot">
      <div className="flex items-center justify-between gap-2 text-small">
        <Term term={EXPLAINED[measure]} className="text-ink-soft">
          Width
        </Term>
        <MeasureChoice label="Width" className="min-w-0 flex-1 border border-ink/45 bg-white px-1.5 py-0.5" />
      </div>
      <div ref={holder}>
        <PotDrawing
          pot={pot}
          description={describePot(pot, nameOf)}
          nameOf={nameOf}
          selectedId={selectedId}
          hoveredId={hoveredId}
          onSelect={selectAndShow}
          onHover={hover}
          className="block w-full"
        />
      </div>
      <ul className="text-small" aria-label="How to read the pot">
        {words.map((word) => (
          <li key={word} className={`border-l-4 px-2 py-0.5 ${fine ? 'border-celadon-fill' : 'border-load-3'}`}>
            {word}
          </li>
        ))}
      </ul>
      <p className="mt-1 flex flex-wrap gap-x-3 text-fine text-ink-soft">
        <span>
          For {subject.name}
          {subject.estimated.length > 0 && `; estimated: ${subject.estimated.join(', ')}`}.
        </span>
        <span className="ml-auto">
          Save as{' '}
          <button type="button" className="underline underline-offset-2" onClick={() => save('svg')}>
            SVG
          </button>{' '}
          <button type="button" className="underline underline-offset-2" onClick={() => save('png')}>
            PNG
          </button>
        </span>
      </p>
    </section>
  );
}

/** Pointing at a coil selects its block and brings the row into view. */
function selectAndShow(blockId: string): void {
  select(blockId);
  requestAnimationFrame(() => document.getElementById(`block-${blockId}`)?.scrollIntoView({ block: 'nearest' }));
}
