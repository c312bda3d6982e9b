import { blockName } from './block-name.js';
import { adviseOnDiscomfort, counted, DISCOMFORT_WORDS, SESSION_LIMITS, UNIT_BEHIND } from '@clay-pot/core';
import { Minus, Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { bandPercentOf, keptIn, useBands } from '../../store/bands.js';
import { allFine, correct, endRun, rate, type Run, setPaused, setsOfBlock } from '../../store/run.js';
import { methodFor } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';
import { EaseChoices } from './ease-choices.js';
import { ScoreScale } from '../../ui/score-scale.js';
import { FormTicks } from './watch-for.js';

interface Props {
  run: Run;
  blockId: string;
  /** What becomes of the question when it was answered or put off. */
  onDone: () => void;
}

/** Asks in one line how the block was that has just ended: fine with one tap, or there is more to tell. */
export function AskBar({ run, blockId, onTell }: { run: Run; blockId: string; onTell: () => void }) {
  const name = blockName(run, blockId);
  return (
    <section
      aria-label={`How was ${name}`}
      className="mx-4 mt-2 flex items-center gap-2 border-2 border-ink bg-white py-1 pr-1 pl-3 sm:mx-8"
    >
      <h2 className="min-w-0 flex-1 font-text text-small font-semibold tracking-normal sm:text-body">
        How was “{name}”?
        <KeptOnGauge run={run} blockId={blockId} />
      </h2>
      {run.hurt[blockId] === undefined && (
        <Button className="h-11 min-w-16" aria-label={`Fine: ${name}`} onClick={() => allFine([blockId])}>
          Fine
        </Button>
      )}
      <Button className="h-11" aria-label={`Tell more: ${name}`} onClick={onTell}>
        Rate…
      </Button>
    </section>
  );
}

/** What the gauge measured in it, where one was held. */
function KeptOnGauge({ run, blockId }: { run: Run; blockId: string }) {
  const kept = useBands(keptIn(run.id, blockId));
  const percent = bandPercentOf(run.id, blockId);
  if (!kept || percent === null) return null;
  const last = kept.lost.at(-1);
  return (
    <span className="block font-normal text-ink-soft">
      Target effort held {percent} % of the time
      {last && `; lost ${counted(kept.lost.length, 'time')}, last: ${last.toLowerCase()}`}
    </span>
  );
}

/**
 * Asks how a finished block felt while the clock goes on: one tap for discomfort, one for exertion. A score that asks for easing stops the clock and
 * says what can be done about the rest of its kind.
 */
export function RatePanel({ run, blockId, onDone }: Props) {
  const [discomfort, setDiscomfort] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [opened, setOpened] = useState(false);
  const [eased, setEased] = useState(false);
  const name = blockName(run, blockId);
  // Whoever asked to tell more goes on from here with the next key.
  const panel = useRef<HTMLElement>(null);
  useEffect(() => {
    panel.current?.focus({ preventScroll: true });
  }, []);
  const allowed = methodFor(run.sequence).discomfort;
  const advice = discomfort === null ? null : adviseOnDiscomfort(discomfort, allowed);

  function feel(score: number) {
    setDiscomfort(score);
    if (adviseOnDiscomfort(score, allowed) === 'ease-or-stop') setPaused(true);
  }

  /** Ratings so far aren’t lost by ending. */
  function endHere() {
    if (discomfort !== null) rate(blockId, { discomfort, exertion: null, note });
    onDone();
    endRun('ended early');
  }

  return (
    <section
      ref={panel}
      tabIndex={-1}
      aria-label={`How was ${name}`}
      className="mx-4 mt-2 border-2 border-ink bg-white px-3 py-2 outline-none sm:mx-8"
    >
      <div className="flex flex-wrap items-center justify-between gap-x-2">
        <h2 className="text-body">{discomfort === null ? `Discomfort in “${name}”?` : `How hard was “${name}”?`}</h2>
        <div className="-mr-3 ml-auto flex shrink-0">
          {discomfort !== null && (
            <Button kind="quiet" className="h-11 text-small!" onClick={() => setDiscomfort(null)}>
              Discomfort {discomfort}
            </Button>
          )}
          <Button kind="quiet" className="h-11 text-small!" aria-expanded={opened} onClick={() => setOpened(!opened)}>
            Note, form, reps
          </Button>
        </div>
      </div>
      {discomfort === null ? (
        <ScoreScale name="Discomfort" low="none" high="worst" onChoose={feel} />
      ) : (
        <ScoreScale
          name="Effort (RPE)"
          low="rest"
          high="all out"
          onChoose={(exertion) => {
            rate(blockId, { discomfort, exertion, note });
            onDone();
          }}
        />
      )}
      {advice && advice !== 'go-on' && (
        <div
          role="alert"
          className={`mt-2 border-l-4 px-3 py-1.5 ${advice === 'ease-or-stop' ? 'border-iron bg-iron-wash' : 'border-load-3 bg-amber-wash'}`}
        >
          <b>{eased ? 'Eased as you chose.' : DISCOMFORT_WORDS[advice]}</b>
          {advice === 'ease-or-stop' && !run.ended && !eased && (
            <>
              <EaseChoices run={run} blockId={blockId} reason="hurts" onDone={() => setEased(true)} />
              <Button kind="stop" className="mt-2 h-12 w-full" onClick={endHere}>
                End here
              </Button>
            </>
          )}
        </div>
      )}
      {opened && (
        <>
          <Counts run={run} blockId={blockId} />
          <SeenForm run={run} blockId={blockId} />
          <input
            aria-label="Note"
            placeholder="Note; saved with your rating"
            className={`${INPUT} mt-1 h-11`}
            value={note}
            maxLength={SESSION_LIMITS.blockNoteLength}
            onChange={(event) => setNote(event.target.value)}
          />
        </>
      )}
    </section>
  );
}

/** Form faults that were seen, to be recorded afterwards too. */
function SeenForm({ run, blockId }: { run: Run; blockId: string }) {
  const block = run.sequence.blocks.find(({ id }) => id === blockId);
  return (
    block && (
      <section aria-label="Faults of form" className="mt-2 max-h-56 overflow-y-auto">
        <FormTicks run={run} block={block} />
      </section>
    )
  );
}

/** What was counted, to be put right when the clock and the hand did not agree. */
function Counts({ run, blockId }: { run: Run; blockId: string }) {
  return (
    <ul className="mt-2 max-h-48 overflow-y-auto" aria-label="Reps done">
      {setsOfBlock(run, blockId).map((set) => {
        const step = set.unit === 'seconds' || set.unit === 'metres' ? 5 : 1;
        const name = `${set.round ? `round ${set.round}, ` : ''}set ${set.set}, ${set.side}${set.direction ? `, ${set.direction}` : ''}`;
        return (
          <li key={set.id} className="flex items-center gap-2 border-t border-line py-0.5 text-small">
            <span className="flex-1">
              {set.round && `Round ${set.round}, `}Set {set.set} <SideMark side={set.side} /> {set.direction}
            </span>
            <button
              type="button"
              className="grid size-11 place-items-center"
              aria-label={`Fewer, ${name}`}
              onClick={() => correct(set.id, Math.max(0, set.doneAmount - step))}
            >
              <Minus size={18} />
            </button>
            <b className="w-24 text-center figures">
              {set.doneAmount} of {set.plannedAmount}
              {UNIT_BEHIND[set.unit]}
            </b>
            <button
              type="button"
              className="grid size-11 place-items-center"
              aria-label={`More, ${name}`}
              onClick={() => correct(set.id, set.doneAmount + step)}
            >
              <Plus size={18} />
            </button>
          </li>
        );
      })}
    </ul>
  );
}
