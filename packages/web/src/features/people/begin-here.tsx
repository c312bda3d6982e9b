import { firstName } from '../../ui/format.js';
import type { Athlete } from '@clay-pot/contracts';
import { BATTERIES, batteryMinutes, counted, FIRST_WHY, HANDS, must, protocolName, protocolOf, whyNotMeasured } from '@clay-pot/core';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { ButtonLink } from '../../ui/button-link.js';

/** For somebody of whom nothing is known: what to ask first, what to measure first, and why. */
export function BeginHere({ athlete, wasScreened: wasAsked }: { athlete: Athlete; wasScreened: boolean }) {
  const cautions = useStandingCautions(athlete);
  const name = firstName(athlete.name);
  const athleteId = athlete.id;
  const mayBe = (id: string) => HANDS.some((hand) => whyNotMeasured(must(protocolOf(id), `a protocol ${id}`), cautions, hand) === null);
  const ids = BATTERIES['first-visit'].protocolIds.filter(mayBe);
  const waits = BATTERIES['first-visit'].protocolIds.length - ids.length;
  return (
    <section aria-label="Start here" className="grid gap-x-10 gap-y-6 border-l-8 border-ink bg-white p-4 sm:grid-cols-2">
      <div>
        <h2 className="text-head">{wasAsked ? 'Check-in done' : 'Check-in first (3 min)'}</h2>
        <p className="mt-1 text-ink-soft">
          Pain, injuries, numbness and goals. It decides what {name} can’t do yet, before any weight is on a hand.
        </p>
        {!wasAsked && (
          <ButtonLink kind="primary" className="mt-3" to={`/people/${athleteId}/check-in`}>
            Start check-in with {name}
          </ButtonLink>
        )}
      </div>
      <div>
        <h2 className="text-head">Then test ({batteryMinutes(ids)} min)</h2>
        <ol className="mt-1 text-small">
          {ids.map((id) => (
            <li key={id} className="border-b border-line py-1">
              <b>{protocolName(must(protocolOf(id), `a protocol ${id}`))}</b>
              <span className="text-ink-soft">: {FIRST_WHY[id]}</span>
            </li>
          ))}
        </ol>
        {waits > 0 && <p className="mt-1 text-small text-iron">{counted(waits, 'other thing')} not before clearance.</p>}
        <ButtonLink kind={wasAsked ? 'primary' : 'quiet'} className="mt-3" to={`/people/${athleteId}/measure`}>
          Start test
        </ButtonLink>
        <p className="mt-2 text-small text-ink-soft">
          Until then, all numbers are for an average adult of {name}’s sex, age and size, and marked as estimates.
        </p>
      </div>
    </section>
  );
}
