import { adviseOnDiscomfort, DISCOMFORT_WORDS } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { correct, easeLevel, endRun, rate, type Run, setPaused, setsOfBlock } from '../../store/run.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';

const SCALE = Array.from({ length: 11 }, (_, score) => score);

/** Asks how a finished block felt while the clock goes on; five and more stops the clock and asks what to do. */
export function RatePanel({ run, blockId }: { run: Run; blockId: string }) {
  const [discomfort, setDiscomfort] = useState<number | null>(null);
  const [exertion, setExertion] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [counting, setCounting] = useState(false);
  const block = run.sequence.blocks.find((candidate) => candidate.id === blockId)!;
  const name = shippedMovement(block.movementId)!.name;
  const advice = discomfort === null ? null : adviseOnDiscomfort(discomfort);

  function feel(score: number) {
    setDiscomfort(score);
    if (adviseOnDiscomfort(score) === 'ease-or-stop') setPaused(true);
  }

  return (
    <section aria-label={`How was ${name}`} className="mx-4 mb-1 border-2 border-ink bg-white p-3 sm:mx-8">
      <h2 className="text-lead">How was “{name}”?</h2>
      <Scale name="Discomfort" low="none" high="worst" value={discomfort} onChange={feel} />
      <Scale name="Exertion" low="rest" high="all out" value={exertion} onChange={setExertion} />
      {advice && advice !== 'go-on' && (
        <div
          role="alert"
          className={`mt-2 border-l-4 px-3 py-1.5 ${advice === 'ease-or-stop' ? 'border-iron bg-iron-wash' : 'border-load-3 bg-amber-wash'}`}
        >
          <b>{DISCOMFORT_WORDS[advice]}</b>
          {advice === 'ease-or-stop' && !run.ended && (
            <div className="mt-1 flex flex-wrap gap-2">
              <Button onClick={easeLevel}>Next one easier</Button>
              <Button kind="stop" onClick={() => endRun('ended early')}>
                End here
              </Button>
            </div>
          )}
        </div>
      )}
      {counting && <Counts run={run} blockId={blockId} />}
      <div className="mt-2 flex flex-wrap gap-2">
        <input
          aria-label="Note"
          placeholder="Note"
          className={`${INPUT} min-w-32 flex-1 sm:h-11`}
          value={note}
          maxLength={1000}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button className="h-11" aria-expanded={counting} onClick={() => setCounting(!counting)}>
          Counts
        </Button>
        <Button
          kind="primary"
          className="h-11 px-5"
          disabled={discomfort === null || exertion === null}
          onClick={() => rate(blockId, { discomfort: discomfort!, exertion: exertion!, note })}
        >
          Note it
        </Button>
      </div>
    </section>
  );
}

interface ScaleProps {
  name: string;
  low: string;
  high: string;
  value: number | null;
  onChange: (score: number) => void;
}

function Scale({ name, low, high, value, onChange }: ScaleProps) {
  return (
    <fieldset className="mt-1.5">
      <legend className="flex w-full justify-between text-small">
        <b>{name}</b>
        <span className="text-ink-soft">
          0 {low}, 10 {high}
        </span>
      </legend>
      <div className="mt-0.5 grid grid-cols-6 gap-1 sm:grid-cols-11">
        {SCALE.map((score) => (
          <button
            key={score}
            type="button"
            aria-label={`${name} ${score}`}
            aria-pressed={value === score}
            className={`display h-11 border font-bold ${value === score ? 'border-ink bg-ink text-white' : 'border-ink/40 bg-porcelain hover:bg-ground'}`}
            onClick={() => onChange(score)}
          >
            {score}
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
              {set.unit === 'seconds' && ' s'}
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
