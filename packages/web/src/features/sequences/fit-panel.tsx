import type { Athlete } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { USUAL_METHOD } from '@clay-pot/core/library';
import { useEffect, useRef, useState } from 'react';
import { useIntakes } from '../../api/queries.js';
import { AnswerView } from '../../domain/composing/answer-view.js';
import { useComposition } from '../../domain/composing/use-composition.js';
import { WishForm } from '../../domain/composing/wish-form.js';
import { firstWishes, type Wishes } from '../../domain/composing/wishes.js';
import { replaceSequence } from '../../store/editor.js';
import { Button } from '../../ui/button.js';
import { useToast } from '../../ui/toast.js';
import { Switch } from '../../ui/switch.js';

interface Props {
  document: Sequence;
  athlete: Athlete | undefined;
  onClose: () => void;
}

/** The sequence refitted: to other minutes, another room, other equipment; its movements are kept where possible, and pinned ones stay. */
export function FitPanel({ document, athlete, onClose }: Props) {
  const intakes = useIntakes(athlete?.id);
  const [wishes, setWishes] = useState<Wishes>(() => ({
    ...firstWishes(athlete, intakes.data ?? [], document.methodId ?? USUAL_METHOD.id),
    minutes: document.budgetMin,
  }));
  const [others, setOthers] = useState(true);
  const composition = useComposition(athlete, wishes, { from: document, others });
  // Whoever opens it by keys goes on in it, not behind the whole shelf.
  const panel = useRef<HTMLElement>(null);
  useEffect(() => {
    panel.current?.focus();
  }, []);
  function take(fitted: Sequence) {
    const { title, purpose, pacing, mutes, tests } = document;
    replaceSequence({ ...fitted, title, purpose, pacing, ...(mutes && { mutes }), ...(tests && { tests }) });
    useToast.getState().show({ text: 'Fitted. Press Ctrl Z to undo.' });
    onClose();
  }
  return (
    <section ref={panel} tabIndex={-1} aria-label="Fit to time" className="grid gap-4 pt-3 outline-none">
      <form
        aria-label="Fit settings"
        className="grid gap-3 border-b border-line pb-4"
        onSubmit={(event) => {
          event.preventDefault();
          composition.compose();
        }}
      >
        <WishForm wishes={wishes} change={setWishes} />
        <Switch label="Allow other movements" className="text-small" on={others} turn={setOthers} />
        <div className="flex gap-2">
          <Button kind="primary" type="submit">
            Fit to time
          </Button>
          <Button kind="quiet" className="ml-auto" onClick={onClose}>
            Back to the rows
          </Button>
        </div>
      </form>
      <AnswerView composition={composition} takeLabel="Use this sequence" take={take} />
    </section>
  );
}
