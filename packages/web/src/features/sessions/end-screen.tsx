import { AFTER_CARE, HAND_WORDS, SESSION_LIMITS, STOP_RULES, STOP_SIGNS } from '@clay-pot/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { finishRun, resumeRun, type Run } from '../../store/run.js';
import { methodFor } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { Field, INPUT } from '../../ui/field.js';
import { useTitle } from '../../ui/page.js';
import { RatePanel } from './rate-panel.js';

/** After the clock: what is still to be told, and the note that goes with the record. */
export function EndScreen({ run, ended }: { run: Run; ended: NonNullable<Run['ended']> }) {
  const [note, setNote] = useState('');
  const navigate = useNavigate();
  const { ending, stopSign, stopHand = 'both' } = ended;
  const open = run.toRate[0];
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
            From now on nothing loads {stopHand === 'both' ? 'either hand' : `the ${HAND_WORDS[stopHand]}`} until a
            licensed practitioner has looked at it. It stands on {run.athleteName}’s page, where it is recorded who
            cleared it. {STOP_RULES[2]} A cold, white or blue hand, a pop with loss of strength, or a changed shape
            after a fall needs help at once.
          </p>
        </div>
      )}
      {open && (
        <div className="-mx-4 sm:-mx-8">
          <RatePanel key={open} run={run} blockId={open} />
          <p className="px-4 text-small text-ink-soft sm:px-8">
            {run.toRate.length === 1
              ? 'One block left to tell about.'
              : `${run.toRate.length} blocks left to tell about.`}{' '}
            Left untold, they stay blank in the record.
          </p>
        </div>
      )}
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
            const id = finishRun(note);
            if (id) void navigate(`/records/${id}`);
          }}
        >
          Keep the record
        </Button>
        {ending === 'ended early' && (
          <Button className="px-4" onClick={resumeRun}>
            Go on after all
          </Button>
        )}
      </div>
    </main>
  );
}
