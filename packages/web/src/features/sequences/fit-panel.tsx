import type { Athlete } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { USUAL_METHOD } from '@clay-pot/core/library';
import { useEffect, useRef, useState } from 'react';
import { useIntakes } from '../../api/queries.js';
import { AnswerHead } from '../../domain/composing/answer-head.js';
import { BeforeIt, BehindIt } from '../../domain/composing/behind-it.js';
import { ComposedRows } from '../../domain/composing/composed-rows.js';
import { swapsBeside } from '../../domain/composing/composer.js';
import { useComposer } from '../../domain/composing/use-composer.js';
import { WantsBars } from '../../domain/composing/wants-bars.js';
import { WishForm } from '../../domain/composing/wish-form.js';
import { firstWishes, useComposeWork, type Wishes } from '../../domain/composing/wishes.js';
import { replaceSequence } from '../../store/editor.js';
import { Button } from '../../ui/button.js';
import { useToast } from '../../ui/toast.js';

interface Props {
  document: Sequence;
  athlete: Athlete | undefined;
  onClose: () => void;
}

/** The sequence fitted anew: to other minutes, another room, other things; its movements are kept where they can be, and what is pinned stays. */
export function FitPanel({ document, athlete, onClose }: Props) {
  const intakes = useIntakes(athlete?.id);
  const [wishes, setWishes] = useState<Wishes>(() => ({
    ...firstWishes(athlete, intakes.data ?? [], document.methodId ?? USUAL_METHOD.id),
    minutes: document.budgetMin,
  }));
  const [others, setOthers] = useState(true);
  const [lockedIds, setLockedIds] = useState<ReadonlySet<string>>(new Set());
  const workOf = useComposeWork(athlete);
  const { state, answer, setAnswer, start, stop } = useComposer(workOf(wishes, { from: document, others }));
  const sequence = answer?.sequence ?? null;
  // Whoever opens it by keys goes on in it, not behind the whole shelf.
  const panel = useRef<HTMLElement>(null);
  useEffect(() => panel.current?.focus(), []);
  function fit() {
    const from = sequence ?? document;
    const locked = from.blocks.filter(({ id }) => lockedIds.has(id));
    const rounds = from.rounds?.filter(({ blockIds }) => blockIds.every((id) => lockedIds.has(id)));
    start(workOf(wishes, { from: document, others, ...(locked.length > 0 && { locked, rounds }) }));
  }
  function take(fitted: Sequence) {
    const { title, purpose, pacing, mutes, tests } = document;
    replaceSequence({ ...fitted, title, purpose, pacing, ...(mutes && { mutes }), ...(tests && { tests }) });
    useToast.getState().show({ text: 'Fitted. Ctrl Z brings back what was there.' });
    onClose();
  }
  return (
    <section ref={panel} tabIndex={-1} aria-label="Fit anew" className="grid gap-4 pt-3 outline-none">
      <form
        aria-label="What it is fitted to"
        className="grid gap-3 border-b border-line pb-4"
        onSubmit={(event) => {
          event.preventDefault();
          fit();
        }}
      >
        <WishForm wishes={wishes} change={setWishes} />
        <label className="flex items-center gap-2 text-small">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={others}
            onChange={(event) => setOthers(event.target.checked)}
          />
          Other movements may come in
        </label>
        <div className="flex gap-2">
          <Button kind="primary" type="submit">
            Fit anew
          </Button>
          <Button kind="quiet" className="ml-auto" onClick={onClose}>
            Back to the rows
          </Button>
        </div>
      </form>
      {state === 'failed' && <p role="alert">It could not be fitted: the solver did not load. Try once more.</p>}
      {!answer && state === 'looking' && <p role="status">Looking for a first answer …</p>}
      {answer && <BeforeIt answer={answer} />}
      {answer && sequence && (
        <>
          <AnswerHead answer={answer} state={state} stop={stop} />
          <Button kind="primary" className="justify-self-start" onClick={() => take(sequence)}>
            Take it
          </Button>
          <ComposedRows
            sequence={sequence}
            reasons={answer.reasons}
            lockedIds={lockedIds}
            toggleLock={(id) =>
              setLockedIds((before) => (before.has(id) ? without(before, id) : new Set([...before, id])))
            }
            swaps={(blockId) => swapsBeside(workOf(wishes, { from: sequence }), blockId)}
            take={(changed) => {
              if (state === 'looking') stop();
              setAnswer({ ...answer, sequence: changed });
            }}
          />
          <WantsBars wants={answer.wants} />
          <BehindIt answer={answer} />
        </>
      )}
    </section>
  );
}

const without = (ids: ReadonlySet<string>, id: string): ReadonlySet<string> =>
  new Set([...ids].filter((each) => each !== id));
