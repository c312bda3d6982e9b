import { type ClassMember, type ClassState, counted, standingEvents } from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { type ClassRun, press } from '../../store/class-run.js';
import { Button } from '../../ui/button.js';
import { Page } from '../../ui/page.js';
import { ScoreScale } from '../../ui/score-scale.js';

/** After the class: each says how it was, one after the other on one device. Whoever was stopped is not asked, nor who wasn’t there. */
export function Ratings({ run, state, onDone }: { run: ClassRun; state: ClassState; onDone: () => void }) {
  const rated = useMemo(
    () => new Set(standingEvents(run.events).flatMap(({ event }) => (event.kind === 'rate' ? [event.memberId] : []))),
    [run.events],
  );
  const [chosen, choose] = useState<string | null>(null);
  const asked = run.session.members.filter(({ id }) => {
    const now = state.members.get(id);
    return now && !now.stopped && now.pieces.length > 0;
  });
  const left = asked.filter(({ id }) => !rated.has(id));
  const member = left.find(({ id }) => id === chosen) ?? left[0];
  return (
    <main>
      <Page title="How was it?" lead={`${run.session.sequence.title}: ${counted(asked.length - left.length, 'answer')} of ${asked.length}`}>
        {member ? (
          <>
            {left.length > 1 && (
              <ul aria-label="Who answers" className="mb-6 flex flex-wrap gap-1">
                {left.map(({ id, name }) => (
                  <li key={id}>
                    <button
                      type="button"
                      aria-pressed={id === member.id}
                      className={`min-h-14 border border-ink/50 px-4 font-semibold ${id === member.id ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
                      onClick={() => choose(id)}
                    >
                      <span dir="auto">{name}</span>
                    </button>
                  </li>
                ))}
              </ul>
            )}
            <Rating key={member.id} member={member} />
          </>
        ) : (
          <p className="border-b border-line py-4">Everyone has answered. Each person’s session is saved with their record.</p>
        )}
        <div className="mt-8">
          <Button kind={member ? 'plain' : 'primary'} className="min-h-14 px-6 text-lead" onClick={onDone}>
            {member ? 'Finish without the rest' : 'Finish class'}
          </Button>
        </div>
      </Page>
    </main>
  );
}

function Rating({ member }: { member: ClassMember }) {
  const [exertion, setExertion] = useState<number | null>(null);
  const [discomfort, setDiscomfort] = useState<number | null>(null);
  return (
    <section aria-label={member.name} className="max-w-2xl">
      <h2 dir="auto" className="text-title">
        {member.name}
      </h2>
      <p className="mt-4 mb-1 font-semibold">How hard was it? (RPE)</p>
      <ScoreScale name="Effort (RPE)" low="rest" high="maximum" chosen={exertion} onChoose={setExertion} />
      <p className="mt-4 mb-1 font-semibold">Did anything hurt?</p>
      <ScoreScale name="Discomfort" low="none" high="worst" chosen={discomfort} onChoose={setDiscomfort} />
      <Button
        kind="primary"
        className="mt-4 min-h-14 w-full"
        disabled={exertion === null || discomfort === null}
        onClick={() => {
          if (discomfort !== null) press({ kind: 'rate', memberId: member.id, discomfort, exertion });
        }}
      >
        Save and next
      </Button>
    </section>
  );
}
