import { adviseOnDiscomfort, DISCOMFORT_WORDS, must, resolveBlock, SESSION_LIMITS, UNIT_BEHIND } from '@clay-pot/core';
import { knownMovement, methodFor } from '../../store/library.js';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { correct, easeLevel, endRun, rate, type Run, setPaused, setsOfBlock } from '../../store/run.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';

const SCALE = Array.from({ length: 11 }, (_, score) => score);

/**
 * Asks how a finished block felt while the clock goes on: one tap for discomfort, one for exertion. Five and more stops the
 * clock and asks what to do.
 */
export function RatePanel({ run, blockId }: { run: Run; blockId: string }) {
  const [discomfort, setDiscomfort] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [opened, setOpened] = useState(false);
  const block = must(
    run.sequence.blocks.find((candidate) => candidate.id === blockId),
    'a block of the session',
  );
  const name = resolveBlock(block, knownMovement).movement.name;
  const allowed = methodFor(run.sequence).discomfort;
  const advice = discomfort === null ? null : adviseOnDiscomfort(discomfort, allowed);

  function feel(score: number) {
    setDiscomfort(score);
    if (adviseOnDiscomfort(score, allowed) === 'ease-or-stop') setPaused(true);
  }

  return (
    <section aria-label={`How was ${name}`} className="mx-4 mb-1 border-2 border-ink bg-white px-3 py-2 sm:mx-8">
      <div className="flex flex-wrap items-center justify-between gap-x-2">
        <h2 className="text-body">{discomfort === null ? `Discomfort in “${name}”?` : `How hard was “${name}”?`}</h2>
        <div className="-mr-3 ml-auto flex shrink-0">
          {discomfort !== null && (
            <Button kind="quiet" className="h-11 text-small!" onClick={() => setDiscomfort(null)}>
              Discomfort {discomfort}
            </Button>
          )}
          <Button kind="quiet" className="h-11 text-small!" aria-expanded={opened} onClick={() => setOpened(!opened)}>
            Note, counts
          </Button>
        </div>
      </div>
      {discomfort === null ? (
        <Scale name="Discomfort" low="none" high="worst" onChoose={feel} />
      ) : (
        <Scale
          name="Exertion"
          low="rest"
          high="all out"
          onChoose={(exertion) => rate(blockId, { discomfort, exertion, note })}
        />
      )}
      {advice && advice !== 'go-on' && (
        <div
          role="alert"
          className={`mt-2 border-l-4 px-3 py-1.5 ${advice === 'ease-or-stop' ? 'border-iron bg-iron-wash' : 'border-load-3 bg-amber-wash'}`}
        >
          <b>{DISCOMFORT_WORDS[advice]}</b>
          {advice === 'ease-or-stop' && !run.ended && (
            <div className="mt-1 flex flex-wrap gap-2">
              <Button className="h-11" onClick={easeLevel}>
                Next one easier
              </Button>
              <Button kind="stop" className="h-11" onClick={() => endRun('ended early')}>
                End here
              </Button>
            </div>
          )}
        </div>
      )}
      {opened && (
        <>
          <Counts run={run} blockId={blockId} />
          <input
            aria-label="Note"
            placeholder="Note; kept with your answer"
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

interface ScaleProps {
  name: string;
  low: string;
  high: string;
  onChoose: (score: number) => void;
}

function Scale({ name, low, high, onChoose }: ScaleProps) {
  return (
    <fieldset>
      <legend className="sr-only">
        {name}, 0 {low} to 10 {high}
      </legend>
      <div className="grid grid-cols-6 gap-1 sm:grid-cols-11">
        {SCALE.map((score) => (
          <button
            key={score}
            type="button"
            aria-label={`${name} ${score}`}
            className="display h-11 border border-ink/40 bg-porcelain font-bold hover:bg-ground"
            onClick={() => onChoose(score)}
          >
            {score}
            {score === 0 && <span className="font-text text-fine font-normal"> {low}</span>}
            {score === 10 && <span className="font-text text-fine font-normal max-sm:hidden"> {high}</span>}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** What was counted, to be put right when the clock and the hand did not agree. */
function Counts({ run, blockId }: { run: Run; blockId: string }) {
  return (
    <ul className="mt-2 max-h-48 overflow-y-auto" aria-label="Counts">
      {setsOfBlock(run, blockId).map((set) => {
        const step = set.unit === 'seconds' ? 5 : 1;
        const name = `set ${set.set}, ${set.side}${set.direction ? `, ${set.direction}` : ''}`;
        return (
          <li key={set.id} className="flex items-center gap-2 border-t border-line py-0.5 text-small">
            <span className="flex-1">
              Set {set.set} <SideMark side={set.side} /> {set.direction}
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
