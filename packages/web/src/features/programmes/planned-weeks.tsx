import { dayWords, type Fault, listed } from '@clay-pot/core';
import type { ReactNode } from 'react';
import { weekdayText } from '../../ui/format.js';
import { Part } from '../../ui/page.js';
import { type PlanWish, schemeOf } from './plan-wish.js';

/** What weeks come of a wish, before anything is composed. */
export function PlannedWeeks({ wish, faults, children }: { wish: PlanWish; faults: readonly Fault[]; children: ReactNode }) {
  if (faults.length > 0) {
    return (
      <Part title="Weeks">
        <ul className="py-2 text-small text-iron">
          {faults.map(({ pointer, label, message }) => (
            <li key={pointer}>
              {label} {message}.
            </li>
          ))}
        </ul>
        {children}
      </Part>
    );
  }
  const { weeks, loading, easy, loadingWeekdays, event } = schemeOf(wish);
  const easier = weeks.flatMap(({ kind }, index) => (kind === 'easier' ? [index + 1] : []));
  return (
    <Part title="Its weeks">
      <ul className="grid gap-1 py-2">
        <li>
          <b className="figures">{loading}</b> sessions for the goal, {weekdayText(loadingWeekdays)}
        </li>
        {easy > 0 && (
          <li>
            <b className="figures">{easy}</b> easy days of {wish.easyMin} minutes between
          </li>
        )}
        <li>
          {weeks.length} weeks from {dayWords(wish.fromDay)}
          {easier.length > 0 ? `; deload in week ${listed(easier.map(String))}` : ''}
        </li>
        <li>The first weeks start at the athlete’s present load (about half for a beginner) and rise to all of it</li>
        {event && (
          <li>
            Taper before {event.name} on {dayWords(event.day)}: about half the fullest week’s load, nothing hard in the last three days
          </li>
        )}
      </ul>
      {children}
    </Part>
  );
}
