import {
  CAUTIONS,
  cautionFindings,
  cautionsOn,
  compileTimeline,
  DISCOMFORT_RULE,
  equipmentFor,
  findLevel,
} from '@clay-pot/core';
import { knownMovement } from '../../store/library.js';
import { methodOf } from '../../store/own-methods.js';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useAthlete, useAthletes, useSequence } from '../../api/queries.js';
import { beginRun, useRun } from '../../store/run.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { SelectField } from '../../ui/field.js';
import { minutes } from '../../ui/format.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';

/** Before the clock runs: who it is for, what to mind, what to fetch, what was asked each time. */
export default function LeadPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const athleteId = params.get('athlete') ?? undefined;
  const sequence = useSequence(id!);
  const athletes = useAthletes();
  const athlete = useAthlete(athleteId);
  const open = useRun((state) => state.run);
  const navigate = useNavigate();
  const [asked, setAsked] = useState(false);
  if (sequence.isPending) return <Loading what="the sequence" />;
  if (!sequence.data) return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
  const { document } = sequence.data;
  const method = methodOf(document.methodId);
  const timeline = compileTimeline(document, knownMovement);
  const person = athlete.data;
  const cautions = person ? cautionsOn(person, isoToday()) : [];
  const findings = cautionFindings(document, cautions, knownMovement);
  const stops = findings.filter((finding) => finding.severity === 'stop');
  const things = new Set(
    document.blocks.flatMap((block) => {
      const movement = knownMovement(block.movementId)!;
      return equipmentFor(movement, findLevel(movement, block.levelId)!);
    }),
  );

  function start() {
    if (!person) return;
    beginRun({ athleteId: person.id, athleteName: person.name, cautions, sequenceId: id!, sequence: document });
    void navigate('/session');
  }

  return (
    <Page
      title={document.title}
      lead={`${minutes(timeline.durationMs)}, ${document.blocks.length} ${document.blocks.length === 1 ? 'block' : 'blocks'}`}
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
            <h2 className="text-lead text-iron">Not before clearance</h2>
            {stops.map((stop) => (
              <p key={stop.caution} className="mt-1 font-semibold">
                {stop.text}
              </p>
            ))}
            <p className="mt-2">
              This sequence loads the hands. Lead an unloaded one, or record who cleared {person?.name} and when{' '}
              <Link to={`/people/${athleteId}`} className="font-semibold underline">
                on their page
              </Link>
              .
            </p>
          </div>
        )}
        {cautions.length > 0 && stops.length === 0 && (
          <Part title="To mind">
            <ul>
              {cautions.map((entry) => (
                <li key={entry.caution} className="border-b border-line py-2">
                  {CAUTIONS[entry.caution].advice}
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
          <ButtonLink to={`/sequences/${id}${athleteId ? `?athlete=${athleteId}` : ''}`} className="px-4">
            Look at the sequence
          </ButtonLink>
        </div>
      </div>
    </Page>
  );
}
