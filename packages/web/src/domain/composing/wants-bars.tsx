import type { ComposeAnswer } from '@clay-pot/contracts';
import { capital } from '@clay-pot/core';
import { readable } from '../measuring/units.js';
import { Term } from '../terms/term.js';

/** A bar ends here: more than this of what is wanted is drawn as much. */
const MOST = 1.5;

/** How much each want of the goal gets, beside all that it wants: the thin mark. */
export function WantsBars({ wants }: Pick<ComposeAnswer, 'wants'>) {
  return (
    <section className="text-small">
      <h3 className="mb-1 font-semibold">
        <Term term="goalCoverage">Goal coverage</Term>
      </h3>
      <ul className="grid gap-1.5" aria-label="Goal coverage">
        {wants.map(({ words, gotS, targetS, heldBack }) => (
          <li key={words}>
            <p className="flex items-baseline justify-between gap-2">
              <span>{capital(words)}</span>
              <span className="whitespace-nowrap figures">
                {gotS.toFixed(0)} <span className="text-ink-soft">of {targetS.toFixed(0)} s</span>
              </span>
            </p>
            <div className="relative h-2 bg-ground" aria-hidden>
              <div className="h-full bg-celadon-fill" style={{ width: `${(100 * Math.min(MOST, gotS / targetS)) / MOST}%` }} />
              <div className="absolute inset-y-0 w-0.5 bg-ink" style={{ left: `${100 / MOST}%` }} />
            </div>
            {heldBack !== null && <p className="mt-0.5 text-ink-soft">{readable(heldBack)}</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}
