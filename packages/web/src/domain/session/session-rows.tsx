import type { SessionListItem } from '@clay-pot/contracts';
import { Link } from 'react-router';
import { minutesText, percent } from '@clay-pot/core';
import { dayText, scoreText, timeText } from '../../ui/format.js';
import { Term } from '../terms/term.js';
import { DiscomfortMark } from '../../ui/marks.js';

/** Sessions as rows: when, who, what, how much of it, how it felt. */
export function SessionRows({ sessions, withAthlete }: { sessions: readonly SessionListItem[]; withAthlete: boolean }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse text-small">
        <thead>
          <tr className="text-left text-ink-soft">
            <th className="py-1.5 pr-3 font-normal">Date</th>
            {withAthlete && <th className="py-1.5 pr-3 font-normal">Athlete</th>}
            <th className="py-1.5 pr-3 font-normal max-sm:hidden">Sequence</th>
            <th className="py-1.5 pr-3 text-right font-normal max-sm:hidden">Length</th>
            <th className="py-1.5 pr-3 font-normal">
              <Term term="completion">Completed</Term>
            </th>
            <th className="py-1.5 pr-3 font-normal">
              <Term term="discomfort">Peak discomfort</Term>
            </th>
            <th className="py-1.5 text-right font-normal max-sm:hidden">
              <Term term="exertion">Effort (RPE)</Term>
            </th>
          </tr>
        </thead>
        <tbody>
          {sessions.map((session) => (
            <tr key={session.id} className="border-t border-line">
              <td className="py-1.5 pr-3 whitespace-nowrap figures">
                <Link to={`/records/${session.id}`} className="font-semibold underline-offset-2 hover:underline">
                  {dayText(session.onDay)} {timeText(session.startedAt)}
                </Link>
                <span className="block whitespace-normal text-ink-soft sm:hidden">{session.title}</span>
              </td>
              {withAthlete && <td className="py-1.5 pr-3">{session.athleteName}</td>}
              <td className="py-1.5 pr-3 max-sm:hidden">{session.title}</td>
              <td className="py-1.5 pr-3 text-right max-sm:hidden whitespace-nowrap figures">
                {session.endedAt ? minutesText(Date.parse(session.endedAt) - Date.parse(session.startedAt)) : 'open'}
              </td>
              <td className="py-1.5 pr-3 whitespace-nowrap figures">
                <span className="mr-2 inline-block h-2 w-16 bg-ground align-middle max-sm:hidden" aria-hidden>
                  <span className="block h-full bg-ink" style={{ width: percent(session.completion).replace(' ', '') }} />
                </span>
                {percent(session.completion)}
                {session.ending === 'stopped' && <b className="ml-2 text-iron">stopped</b>}
                {session.begunAgainst.length > 0 && <b className="ml-2 text-iron">started despite a safety rule</b>}
                {session.ending === 'ended early' && <span className="ml-2 text-amber">ended early</span>}
              </td>
              <td className="py-1.5 pr-3">
                <DiscomfortMark score={session.maxDiscomfort} policy={session.discomfortPolicy} />
              </td>
              <td className="py-1.5 text-right figures max-sm:hidden">{scoreText(session.exertion)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
