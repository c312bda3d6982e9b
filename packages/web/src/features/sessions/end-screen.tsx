import { AFTER_CARE, counted, HAND_WORDS, SESSION_LIMITS, STOP_RULES, STOP_SIGNS } from '@clay-pot/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { allFine, finishRun, resumeRun, type Run } from '../../store/run.js';
import { methodFor } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { Field, INPUT } from '../../ui/field.js';
import { useTitle } from '../../ui/page.js';
import { blockName } from './block-name.js';
import { RatePanel } from './rate-panel.js';
import { ScoreScale } from '../../ui/score-scale.js';

/** After the clock: ratings still missing, and the note that goes with the record. */
export function EndScreen({ run, ended }: { run: Run; ended: NonNullable<Run['ended']> }) {
  const [note, setNote] = useState('');
  const [exertion, setExertion] = useState<number | null>(null);
  const navigate = useNavigate();
  const { ending, stopSign, stopHand = 'both' } = ended;
  const headline = { completed: 'Done', 'ended early': 'Ended early', stopped: 'Stopped' }[ending];
  useTitle(headline);
  return (
    <main className="mx-auto grid w-full max-w-2xl content-start gap-5 px-4 py-8">
      <div>
        <h1 className="text-title">{headline}</h1>
        <p className="text-ink-soft">
          {run.athleteName}, {run.sequence.title}
        </p>
        {ending === 'completed' && <p className="mt-2">{AFTER_CARE[methodFor(run.sequence).afterCare]}</p>}
      </div>
      {stopSign && (
        <div role="alert" className="border-4 border-iron bg-iron-wash px-4 py-3">
          <p className="text-lead font-bold text-iron">
            {STOP_SIGNS[stopSign]}, {HAND_WORDS[stopHand]}
          </p>
          <p className="mt-1">
            Don’t load {stopHand === 'both' ? 'either hand' : `the ${HAND_WORDS[stopHand]}`} until a doctor or hand therapist has seen it.
            Record the clearance on {run.athleteName}’s page. {STOP_RULES[2]} Get help at once for a cold, white or blue hand. Do the same
            for a pop with loss of strength, or a changed shape after a fall.
          </p>
        </div>
      )}
      {run.toRate.length > 0 && <Untold run={run} />}
      <section aria-label="Effort (RPE)">
        <h2 className="text-lead">How hard was the whole session?</h2>
        <p className="mb-1 text-small text-ink-soft">0 is rest, 10 is all-out. Leave it empty if you don’t know.</p>
        <ScoreScale name="All in all" low="rest" high="all out" chosen={exertion} onChoose={setExertion} />
      </section>
      <Field label="Note on the session">
        {(props) => (
          <textarea
            rows={3}
            maxLength={SESSION_LIMITS.noteLength}
            className={INPUT}
            value={note}
            onChange={(event) => setNote(event.target.value)}
            {...props}
          />
        )}
      </Field>
      <div className="flex flex-wrap gap-2">
        <Button
          kind="primary"
          className="px-6 py-3 text-lead"
          onClick={() => {
            const id = finishRun(note, exertion);
            if (id) void navigate(`/records/${id}`);
          }}
        >
          Save record
        </Button>
        {ending === 'ended early' && (
          <Button className="px-4" onClick={resumeRun}>
            Continue after all
          </Button>
        )}
      </div>
    </main>
  );
}

/** Blocks without a rating yet: fine with one tap, then the exceptions. */
function Untold({ run }: { run: Run }) {
  const [telling, setTelling] = useState<string | null>(null);
  const { toRate } = run;
  return (
    <section aria-label="Not rated yet">
      <h2 className="text-lead">Did anything hurt?</h2>
      <p className="mb-2 text-small text-ink-soft">
        {counted(toRate.length, 'block')} not rated. Rate the exceptions first; the rest stays blank in the record.
      </p>
      <ul>
        {toRate.map((id) =>
          id === telling ? (
            <li key={id} className="-mx-4 border-t border-line pb-2 sm:-mx-8">
              <RatePanel run={run} blockId={id} onDone={() => setTelling(null)} />
            </li>
          ) : (
            <li key={id} className="flex items-center gap-2 border-t border-line py-1">
              <span className="min-w-0 flex-1 font-semibold">{blockName(run, id)}</span>
              <Button className="h-11" aria-label={`Tell more: ${blockName(run, id)}`} onClick={() => setTelling(id)}>
                Rate…
              </Button>
            </li>
          ),
        )}
      </ul>
      <Button className="mt-2 min-h-12 w-full text-lead" onClick={() => allFine(toRate)}>
        {fineWords(toRate, run)}
      </Button>
    </section>
  );
}

/** What hurt is not fine afterwards: it keeps the score that was given. */
function fineWords(toRate: readonly string[], { hurt }: Run): string {
  const fine = toRate.filter((id) => hurt[id] === undefined).length;
  if (fine === 0) return 'Keep what was recorded';
  if (fine < toRate.length) return fine === 1 ? 'The other one was fine' : `The other ${fine} were fine`;
  return fine === 1 ? 'It was fine' : `All ${fine} were fine: nothing hurt`;
}
