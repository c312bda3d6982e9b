import {
  dosesWithin,
  HANDS,
  loadTrends,
  MUSCLE_GROUPS,
  ofBothHands,
  type PastSession,
  percent,
  RATIO_BAND,
  sumDoses,
} from '@clay-pot/core';
import { useState } from 'react';
import { Term } from '../../domain/terms/term.js';
import { WEEKDAY_NAMES } from '../../ui/format.js';
import { Part } from '../../ui/page.js';

/** Doses of both hands together, day by day, and what the week comes to. */
export function DayDoses({ days, sessions }: { days: readonly string[]; sessions: readonly PastSession[] }) {
  const week = sumDoses(sessions);
  const ofDays = days.map((day) => ({
    day,
    doses: sumDoses(sessions.filter(({ onDay }) => onDay === day)),
  }));
  const groups = MUSCLE_GROUPS.filter((group) => ofBothHands(week, group) >= NEXT_TO_NOTHING);
  return (
    <Part title="Tiring work, day by day" aside={<span className="text-small text-ink-soft">both hands</span>}>
      <table className="w-full text-small">
        <thead>
          <tr className="text-ink-soft">
            <td />
            {days.map((day, index) => (
              <th key={day} className="py-1.5 text-right font-normal">
                {WEEKDAY_NAMES[index]}
              </th>
            ))}
            <th className="py-1.5 text-right font-semibold text-ink">week</th>
          </tr>
        </thead>
        <tbody>
          {groups.map((group) => (
            <tr key={group} className="border-t border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {group}
              </th>
              {ofDays.map(({ day, doses }) => {
                const dose = ofBothHands(doses, group);
                return (
                  <td key={day} className={`py-1 text-right figures ${dose ? '' : 'text-ash'}`}>
                    {dose ? dose.toFixed(2) : '–'}
                  </td>
                );
              })}
              <td className="py-1 text-right font-semibold figures">{ofBothHands(week, group).toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}

/** Too small to speak of, in holds to failure. */
const NEXT_TO_NOTHING = 0.01;
function change(week: number, usual: number): string {
  if (usual < NEXT_TO_NOTHING) return week < NEXT_TO_NOTHING ? '–' : 'new';
  return percent(week / usual - 1).replace('-', '−');
}

/** The last seven days against the usual week, group by group. */
export function Trends({ past }: { past: readonly PastSession[] }) {
  const [now] = useState(() => new Date().toISOString());
  const trends = loadTrends(past, now);
  const week = dosesWithin(past, now, 7);
  if (trends.length === 0) return null;
  return (
    <Part title="Last seven days, by muscle group" className="mt-8">
      <table className="w-full text-small">
        <thead>
          <tr className="text-left text-ink-soft">
            <th className="py-1.5 font-normal">
              <Term term="enduranceDose">Tiring work, in holds to failure</Term>
            </th>
            <th className="py-1.5 text-right font-normal">left</th>
            <th className="py-1.5 text-right font-normal">right</th>
            <th className="py-1.5 text-right font-normal">usual week</th>
            <th className="py-1.5 text-right font-normal">change</th>
            <th className="py-1.5 text-right font-normal">
              <Term term="weekRatio">vs. month</Term>
            </th>
          </tr>
        </thead>
        <tbody>
          {trends.map(({ group, weekDose, usualWeekDose, ratio, isWorthALook }) => (
            <tr key={group} className="border-t border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {group}
              </th>
              {HANDS.map((hand) => (
                <td key={hand} className="py-1 text-right figures">
                  {(week.get(`${hand} ${group}`) ?? 0).toFixed(2)}
                </td>
              ))}
              <td className="py-1 text-right figures">{usualWeekDose.toFixed(2)}</td>
              <td className="py-1 text-right figures">{change(weekDose, usualWeekDose)}</td>
              <td className={`py-1 text-right figures ${isWorthALook ? 'font-bold text-amber' : ''}`}>
                {ratio === null ? (
                  '–'
                ) : (
                  <Term term="weekRatio" inTable value={ratio}>
                    {ratio.toFixed(2)}
                  </Term>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 max-w-prose text-fine text-ink-soft">
        The usual week is the mean of the three before. Outside {RATIO_BAND.join('–')}, take a look at the last column; it is a prompt, not
        a verdict. Computed with today’s capacities.
      </p>
    </Part>
  );
}
