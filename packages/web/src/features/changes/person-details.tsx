import type { PersonChanges } from '@clay-pot/contracts';
import { capital, dayWords, HAND_WORDS, READING_NAMES, readingUnit } from '@clay-pot/core';
import type { ReactNode } from 'react';
import { readingText } from '../../domain/measuring/units.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { movementById } from '../../store/library.js';
import { dayText } from '../../ui/format.js';
import { Empty, Part } from '../../ui/page.js';
import { fromTo, WeekBars } from './figures.js';

/** Everything that changed for somebody in six weeks. */
export function PersonDetails({ person, fromDay }: { person: PersonChanges; fromDay: string }) {
  const { sessions, load, discomfort, levels, tests, restrictions } = person;
  return (
    <div className="grid items-start gap-x-10 gap-y-6 py-2 lg:grid-cols-2">
      <Part title="Training">
        <dl className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-6 gap-y-2 py-2">
          <Fact name="Sessions, week by week">
            <WeekBars sessions={sessions} />
          </Fact>
          <Fact name="Load a week, in holds to failure">
            <span className="figures">{fromTo(load.first, load.last, 1)}</span> {changeWords(load.first, load.last)}
          </Fact>
          <Fact name="Peak discomfort, mean of sessions">
            <span className="figures">{fromTo(discomfort.first, discomfort.last, 1)}</span>
            {discomfort.sore > 0 && `; ${discomfort.sore} at 5 or more`}
          </Fact>
        </dl>
        <p className="text-fine text-ink-soft">First three weeks → last three weeks, from {dayWords(fromDay)}.</p>
      </Part>
      <Part title="Levels">
        {levels.length === 0 ? (
          <Empty>Every movement is at the level it was.</Empty>
        ) : (
          <ul>
            {levels.map(({ movementId, from, to, by }) => (
              <li key={movementId} className="border-b border-line py-1 text-small">
                <b>
                  <MovementName movement={{ id: movementId, name: movementById(movementId)?.name ?? movementId }} />
                </b>
                : {from} → {to} <span className={by > 0 ? 'text-celadon' : 'text-amber'}>{by > 0 ? `up ${by}` : `down ${-by}`}</span>
              </li>
            ))}
          </ul>
        )}
      </Part>
      <Part title="Tests">
        {tests.length === 0 ? (
          <Empty>No test was repeated. Test again to see what the weeks changed.</Empty>
        ) : (
          <ul>
            {tests.map(({ kind, of, detail, hand, before, after, isReal }) => {
              const unit = readingUnit(kind, of) ?? 'times';
              return (
                <li key={`${kind} ${of} ${detail} ${hand}`} className="border-b border-line py-1 text-small">
                  <b>
                    {capital(of)}, {READING_NAMES[kind]}, {HAND_WORDS[hand]}
                  </b>
                  :{' '}
                  <span className="figures">
                    {readingText(unit, before.value)} → {readingText(unit, after.value)}
                  </span>{' '}
                  <span className={isReal ? 'font-semibold' : 'text-ink-soft'}>
                    {isReal ? 'a real change' : 'within measurement error'}
                  </span>{' '}
                  <span className="text-ink-soft">
                    ({dayText(before.onDay)}, {dayText(after.onDay)})
                  </span>
                </li>
              );
            })}
          </ul>
        )}
      </Part>
      <Part title="Restrictions">
        {restrictions.begun.length + restrictions.cleared.length === 0 ? (
          <Empty>None began and none was cleared.</Empty>
        ) : (
          <ul className="py-1 text-small">
            {restrictions.begun.map((label) => (
              <li key={`begun ${label}`}>Began: {label}</li>
            ))}
            {restrictions.cleared.map((label) => (
              <li key={`cleared ${label}`}>Cleared: {label}</li>
            ))}
          </ul>
        )}
      </Part>
    </div>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-small text-ink-soft">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}

/** @example changeWords(2, 3) → '(50 % more)' */
function changeWords(first: number, last: number): string {
  if (first <= 0) return '';
  const percent = Math.round(100 * (last / first - 1));
  if (percent === 0) return '(the same)';
  return percent > 0 ? `(${percent} % more)` : `(${-percent} % less)`;
}
