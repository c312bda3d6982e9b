import { cautionLabel, dayWords, forbidsLoading, keyOfCaution, minutesText, standingVerdict, unaskedIn } from '@clay-pot/core';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { useIntakes, useReadings, useSequences } from '../../api/queries.js';
import { CheckInDue } from '../../domain/athlete/check-in-due.js';
import { HandVerdicts } from '../../domain/athlete/screening-panel.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { BeginHere } from './begin-here.js';
import { SuggestionsOf } from './suggestions-of.js';
import { useNextSession } from './next-session.js';
import { usePerson } from './person.js';
import { WristSummary } from './wrist-summary.js';

const BlockStrip = lazy(() => import('../../domain/sequence/block-strip.js'));
/** How many pictures of the next session fit beside the wheels. */
const PICTURES_SHOWN = 7;

/** Status, next session and both wrists, in one screen; below them what is suggested. */
export default function OverviewSection() {
  const person = usePerson();
  const readings = useReadings(person.id).data;
  const intakes = useIntakes(person.id).data;
  const cautions = useStandingCautions(person);
  if (!readings || !intakes) return <Loading what="the overview" />;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-y-5">
      <div className="grid gap-2">
        <CheckInDue athlete={person} />
        <HandVerdicts
          hands={{ left: standingVerdict(cautions, 'left'), right: standingVerdict(cautions, 'right') }}
          unasked={unaskedIn(intakes[0]?.answers)}
        />
        {cautions.length > 0 && (
          <p className="flex flex-wrap gap-x-3 gap-y-1 text-small">
            {cautions.map((entry) => (
              <span key={keyOfCaution(entry)} className={forbidsLoading(entry) ? 'font-semibold text-iron' : ''}>
                {cautionLabel(entry)}
              </span>
            ))}
            <Link className="underline underline-offset-2" to={`/people/${person.id}/screening`}>
              All restrictions
            </Link>
          </p>
        )}
      </div>
      {readings.length === 0 && <BeginHere athlete={person} wasScreened={intakes.length > 0} />}
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,4fr)_minmax(0,5fr)]">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
          <NextSessionPart athleteId={person.id} />
          <SuggestionsOf athleteId={person.id} />
        </div>
        <WristSummary athlete={person} readings={readings} />
      </div>
    </div>
  );
}

function NextSessionPart({ athleteId }: { athleteId: string }) {
  const next = useNextSession(athleteId);
  const sequence = useSequences().data?.find(({ id }) => id === next?.sequenceId);
  if (next === undefined) return null;
  return (
    <Part
      title="Next session"
      aside={
        <Link className="text-small underline underline-offset-2" to={`/people/${athleteId}/plan`}>
          Plan
        </Link>
      }
    >
      {next === null ? (
        <div className="flex flex-wrap items-center justify-between gap-3 py-2">
          <p className="text-ink-soft">No session planned.</p>
          <ButtonLink to={`/compose?athlete=${athleteId}`}>Generate sequence</ButtonLink>
        </div>
      ) : (
        <div className="grid gap-2 py-2">
          <p className="flex flex-wrap items-baseline justify-between gap-x-4">
            <Link to={`/sequences/${next.sequenceId}?athlete=${athleteId}`} className="font-semibold hover:underline">
              {sequence?.title ?? 'Sequence'}
            </Link>
            <span className="text-small text-ink-soft">
              {next.day === isoToday() ? 'Today' : dayWords(next.day)}
              {sequence && <span className="figures">, {minutesText(sequence.durationMs)}</span>}
            </span>
          </p>
          <div className="overflow-hidden">
            <Suspense fallback={<div className="h-10" />}>
              <BlockStrip sequenceId={next.sequenceId} most={PICTURES_SHOWN} />
            </Suspense>
          </div>
        </div>
      )}
    </Part>
  );
}
