import { ageOn, dayWords, GOALS } from '@clay-pot/core';
import type { Athlete } from '@clay-pot/contracts';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { useIntakes } from '../../api/queries.js';
import { metricText } from '../../domain/measuring/units.js';
import { SideMark } from '../../ui/marks.js';
import { Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { Clearance } from './clearance.js';
import { usePerson } from './person.js';

/** What the check-ins said: restrictions with what clears them, where it hurts, goals, and who the person is. */
export default function ScreeningSection() {
  const person = usePerson();
  const navigate = useNavigate();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-y-8">
      <Clearance person={person} edit={() => void navigate(`/people/${person.id}/edit`)} />
      <div className="grid gap-x-10 gap-y-8 md:grid-cols-2">
        <Goals athleteId={person.id} />
        <Facts person={person} />
      </div>
    </div>
  );
}

/** What they train for, as the last check-in says. */
function Goals({ athleteId }: { athleteId: string }) {
  const last = useIntakes(athleteId).data?.[0]?.answers;
  if (!last || (last.goals.length === 0 && last.discipline === '')) return null;
  return (
    <Part
      title="Goals"
      aside={
        <Link className="text-small underline underline-offset-2" to={`/people/${athleteId}/trends`}>
          Measurable goals
        </Link>
      }
    >
      <ul>
        {last.goals.map((goal) => (
          <li key={goal} className="border-b border-line py-1.5">
            {GOALS[goal]}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-small text-ink-soft">
        {[last.discipline, last.minutes && `${last.minutes} min`, last.daysPerWeek && `${last.daysPerWeek} days a week`]
          .filter(Boolean)
          .join(', ')}
        {`; noted on ${dayWords(last.onDay)}.`}
      </p>
    </Part>
  );
}

function Facts({ person }: { person: Athlete }) {
  const today = isoToday();
  const facts: [string, ReactNode][] = [
    ['Age', person.birthDate ? `${ageOn(person.birthDate, today)} years` : 'not stated'],
    ['Sex (for norms)', person.sex],
    ['Dominant hand', <SideMark key="hand" side={person.dominantHand} />],
    ['Height', person.statureCm ? metricText('cm', person.statureCm, 0) : 'not measured'],
    ['Weight', person.massKg ? metricText('kg', person.massKg, 1) : 'not measured'],
  ];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-8">
      <Part title="Profile">
        <dl>
          {facts.map(([name, value]) => (
            <div key={name} className="flex justify-between border-b border-line py-1.5">
              <dt className="text-ink-soft">{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-2 text-small text-ink-soft">Equipment: {person.equipment.join(', ') || 'none recorded'}.</p>
      </Part>
      {person.notes && (
        <Part title="Notes">
          <p className="py-2 whitespace-pre-line">{person.notes}</p>
        </Part>
      )}
    </div>
  );
}
