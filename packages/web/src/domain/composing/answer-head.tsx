import { Term } from '../terms/term.js';
import type { ComposeAnswer } from '@clay-pot/contracts';
import { clock, counted, GAP_PERCENT, percent } from '@clay-pot/core';
import { Button } from '../../ui/button.js';
import type { Composition } from './use-composition.js';

/** How long it takes, how much of the goal it has, and how near it is to the best that there can be. */
export function AnswerHead({ answer, composition: { state, stop } }: { answer: ComposeAnswer; composition: Composition }) {
  const { sequence, durationMs, goalPercent, gapPercent, elapsedMs } = answer;
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-ink pb-3">
      <Figure value={clock(durationMs)} words={sequence ? counted(sequence.blocks.length, 'block') : ''} />
      <Figure value={percent(goalPercent / 100)} words="goal coverage" />
      <div role="status" className="ml-auto text-right text-small">
        <p className="font-semibold">
          <Term term="bestPossible">{nearness(gapPercent)}</Term>
        </p>
        {state === 'looking' ? (
          <p className="text-ink-soft">
            Looking for a better one…{' '}
            <Button kind="quiet" className="px-1! py-0! text-small! underline underline-offset-2" onClick={stop}>
              Stop here
            </Button>
          </p>
        ) : (
          <p className="text-ink-soft">found in {(elapsedMs / 1000).toFixed(1)} s</p>
        )}
      </div>
    </div>
  );
}

const nearness = (gapPercent: number): string =>
  gapPercent < 0
    ? 'Changed by you: worth more than the rules would allow.'
    : gapPercent <= GAP_PERCENT
      ? `Within ${Math.max(0.1, gapPercent).toFixed(1)} % of the best possible sequence.`
      : `At most ${gapPercent.toFixed(1)} % below the best possible sequence.`;

const Figure = ({ value, words }: { value: string; words: string }) => (
  <p className="flex items-baseline gap-2">
    <span className="display text-[2.25rem] leading-none font-extrabold">{value}</span>
    <span className="text-small text-ink-soft">{words}</span>
  </p>
);
