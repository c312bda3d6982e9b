import type { Athlete } from '@clay-pot/contracts';
import { BATTERIES, batteryMinutes, counted, FIRST_WHY, HANDS, must, protocolName, protocolOf, whyNotMeasured } from '@clay-pot/core';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { ButtonLink } from '../../ui/button-link.js';

/** For somebody of whom nothing is known: what to ask first, what to measure first, and why. */
export function BeginHere({ athlete, wasAsked }: { athlete: Athlete; wasAsked: boolean }) {
  const cautions = useStandingCautions(athlete);
  const name = athlete.name.split(' ')[0] ?? athlete.name;
  const athleteId = athlete.id;
  const mayBe = (id: string) => HANDS.some((hand) => whyNotMeasured(must(protocolOf(id), `a protocol ${id}`), cautions, hand) === null);
  const ids = BATTERIES['first-visit'].protocolIds.filter(mayBe);
  const waits = BATTERIES['first-visit'].protocolIds.length - ids.length;
  return (
    <section aria-label="Begin here" className="grid gap-x-10 gap-y-6 border-l-8 border-ink bg-white p-4 sm:grid-cols-2">
      <div>
        <h2 className="text-head">{wasAsked ? 'Asked already' : 'Ask first, three minutes'}</h2>
        <p className="mt-1 text-ink-soft">
          What hurts, what was broken or operated on, numbness, what it is for. It decides what is off the table for {name}, before any
          weight is on a hand.
        </p>
        {!wasAsked && (
          <ButtonLink kind="primary" className="mt-3" to={`/people/${athleteId}/check-in`}>
            Ask {name}
          </ButtonLink>
        )}
      </div>
      <div>
        <h2 className="text-head">Then measure, {batteryMinutes(ids)} minutes</h2>
        <ol className="mt-1 text-small">
          {ids.map((id) => (
            <li key={id} className="border-b border-line py-1">
              <b>{protocolName(must(protocolOf(id), `a protocol ${id}`))}</b>
              <span className="text-ink-soft">: {FIRST_WHY[id]}</span>
            </li>
          ))}
        </ol>
        {waits > 0 && <p className="mt-1 text-small text-iron">{counted(waits, 'other thing')} not before it is cleared.</p>}
        <ButtonLink kind={wasAsked ? 'primary' : 'quiet'} className="mt-3" to={`/people/${athleteId}/measure`}>
          Measure
        </ButtonLink>
        <p className="mt-2 text-small text-ink-soft">
          Until then everything is computed for an average adult of {name}’s sex, age and size, and said to be so.
        </p>
      </div>
    </section>
  );
}
