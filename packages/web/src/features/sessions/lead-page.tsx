import { advicesOf, DISCOMFORT_RULE, equipmentFor, findLevel, minutesText, stopsOf } from '@clay-pot/core';
import { knownMovement } from '../../store/library.js';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { StoredSequence } from '@clay-pot/contracts';
import { useAthlete, useAthletes, useSequence } from '../../api/queries.js';
import { beginRun, useRun } from '../../store/run.js';
import { useSessionView } from '../../domain/session-view.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { SelectField } from '../../ui/field.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';

/** Fetches the sequence that is to be led. */
export default function LeadPage() {
  const { id } = useParams();
  const sequence = useSequence(id);
  if (sequence.data) return <Threshold stored={sequence.data} />;
  if (sequence.isPending) return <Loading what="the sequence" />;
  return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
}

/** Before the clock runs: who it is for, what to mind, what to fetch, what was asked each time. */
function Threshold({ stored: { id, document } }: { stored: StoredSequence }) {
  const [params, setParams] = useSearchParams();
  const athleteId = params.get('athlete') ?? undefined;
  const athletes = useAthletes();
  const athlete = useAthlete(athleteId);
  const open = useRun((state) => state.run);
  const navigate = useNavigate();
  const [asked, setAsked] = useState(false);
  const { view } = useSessionView(document, athlete.data);
  const { method, timeline } = view;
  const person = athlete.data;
  const cautions = view.athlete?.cautions ?? [];
  const stops = stopsOf(view);
  const advices = advicesOf(cautions).filter(({ forbids }) => !forbids || stops.length === 0);
  const sequencePath = `/sequences/${id}${athleteId ? `?athlete=${athleteId}` : ''}`;
  const things = new Set(
    document.blocks.flatMap((block) => {
      const movement = knownMovement(block.movementId)!;
      return equipmentFor(movement, findLevel(movement, block.levelId)!);
    }),
  );

  function start() {
    if (!person) return;
    beginRun({ athleteId: person.id, athleteName: person.name, cautions, sequenceId: id, sequence: document });
    void navigate('/session');
  }

  return (
    <Page
      title={document.title}
      lead={`${minutesText(timeline.durationMs)}, ${document.blocks.length} ${document.blocks.length === 1 ? 'block' : 'blocks'}`}
    >
      <div className="grid max-w-2xl gap-6">
        <p>
          By the method <b>{method.name}</b>. {DISCOMFORT_RULE[method.discomfort]}
        </p>
        {open && (
          <p className="border-l-4 border-load-3 bg-amber-wash px-3 py-2">
            A session for {open.athleteName} is still open.{' '}
            <Link to="/session" className="font-semibold underline">
              Go back to it
            </Link>{' '}
            and end it before you begin another.
          </p>
        )}
        {document.blocks.length === 0 && (
          <p className="border-l-4 border-iron bg-iron-wash px-3 py-2">
            This sequence has no blocks yet.{' '}
            <Link to={`/sequences/${id}`} className="font-semibold underline">
              Add some first.
            </Link>
          </p>
        )}
        <SelectField
          label="For"
          value={athleteId ?? ''}
          onChange={(event) => setParams(event.target.value ? { athlete: event.target.value } : {}, { replace: true })}
        >
          <option value="">Choose who does it</option>
          {athletes.data?.map(({ id: key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </SelectField>
        {stops.length > 0 && (
          <div role="alert" className="border-2 border-iron bg-iron-wash px-4 py-3">
            <h2 className="text-lead text-iron">This may not begin</h2>
            {stops.map(({ check, text }) => (
              <p key={text} className="mt-1">
                <b>{check.title}.</b> {text}
              </p>
            ))}
            <p className="mt-2">
              <Link to={sequencePath} className="font-semibold underline">
                The sequence’s checks
              </Link>{' '}
              offer what would answer it. Who cleared {person?.name} for loading, and when, is recorded{' '}
              <Link to={`/people/${athleteId}`} className="font-semibold underline">
                on their page
              </Link>
              .
            </p>
          </div>
        )}
        {advices.length > 0 && (
          <Part title="To mind">
            <ul>
              {advices.map(({ caution, text }) => (
                <li key={caution} className="border-b border-line py-2">
                  {text}
                </li>
              ))}
            </ul>
          </Part>
        )}
        <Part title="To fetch">
          <p className="py-2">{[...things].join(', ') || 'Nothing.'}</p>
        </Part>
        <Part title="To ask">
          <label className="flex items-start gap-3 py-2">
            <input
              type="checkbox"
              className="mt-1 size-5 accent-ink"
              checked={asked}
              onChange={(event) => setAsked(event.target.checked)}
            />
            <span>
              Asked today: no numbness or tingling, no swelling, nothing worse this morning than after the last session.
            </span>
          </label>
        </Part>
        <div className="flex gap-2">
          <Button
            kind="primary"
            className="px-6 py-3 text-lead"
            disabled={!person || !asked || stops.length > 0 || open !== null || document.blocks.length === 0}
            onClick={start}
          >
            Start
          </Button>
          <ButtonLink to={sequencePath} className="px-4">
            Look at the sequence
          </ButtonLink>
        </div>
      </div>
    </Page>
  );
}
