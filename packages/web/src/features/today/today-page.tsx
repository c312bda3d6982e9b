import { minutesText } from '@clay-pot/core';
import type { TodayDue } from '@clay-pot/contracts';
import { Link } from 'react-router';
import { useMe, useToday } from '../../api/queries.js';
import { ButtonLink } from '../../ui/button.js';
import { agoText, dayText } from '../../ui/format.js';
import { DiscomfortMark } from '../../ui/marks.js';
import { Empty, Loading, Page, Part, Trouble } from '../../ui/page.js';
import { SessionRows } from '../../domain/session-rows.js';
import { ToDecide } from './to-decide.js';

/** Who is due, what waits for a decision, what was done lately. */
export default function TodayPage() {
  const today = useToday();
  const me = useMe();
  if (today.isPending) return <Loading what="today" />;
  if (!today.data) return <Trouble error={today.error} retry={() => void today.refetch()} />;
  const { day, due, calls, recent } = today.data;
  const open = due.filter((item) => item.state === 'due').length;
  return (
    <Page
      title={dayText(`${day}T12:00:00`)}
      lead={`${me.data?.studio.name ?? ''}: ${open === 0 ? 'nobody left for today' : open === 1 ? 'one session to lead' : `${open} sessions to lead`}`}
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-y-8">
        <ToDecide calls={calls} />
        <Part title="Due today">
          {due.length ? (
            <DueTable due={due} />
          ) : (
            <Empty>Nobody is planned for today. Give a sequence to somebody on their page.</Empty>
          )}
        </Part>
        <Part
          title="Lately"
          aside={
            <Link to="/records" className="text-small underline underline-offset-2">
              All records
            </Link>
          }
        >
          {recent.length ? (
            <SessionRows sessions={recent} withAthlete />
          ) : (
            <Empty>No session yet. Lead one from the list above.</Empty>
          )}
        </Part>
      </div>
    </Page>
  );
}

function DueTable({ due }: { due: readonly TodayDue[] }) {
  return (
    <table className="w-full border-collapse">
      <thead className="sr-only">
        <tr>
          <th>Athlete</th>
          <th>Sequence</th>
          <th>Length</th>
          <th>Last session</th>
          <th>Lead</th>
        </tr>
      </thead>
      <tbody>
        {due.map((item) => (
          <tr key={item.assignmentId} className="border-b border-line align-top">
            <td className="py-2.5 pr-3">
              <Link to={`/people/${item.athleteId}`} className="font-semibold hover:underline">
                {item.athleteName}
              </Link>
              <div className="text-small text-ink-soft">{item.practice}</div>
            </td>
            <td className="py-2.5 pr-3">
              <Link to={`/sequences/${item.sequenceId}?athlete=${item.athleteId}`} className="hover:underline">
                {item.sequenceTitle}
              </Link>
              {item.missedDays.length > 0 && (
                <div className="text-small text-amber">
                  missed {item.missedDays.map((missed) => dayText(`${missed}T12:00:00`)).join(', ')}
                </div>
              )}
              {item.stops.map((stop) => (
                <div key={stop} className="text-small font-semibold text-iron">
                  {stop}
                </div>
              ))}
            </td>
            <td className="py-2.5 pr-3 text-right whitespace-nowrap figures max-sm:hidden">
              {minutesText(item.durationMs)}
            </td>
            <td className="py-2.5 pr-3 text-small whitespace-nowrap text-ink-soft max-md:hidden">
              {item.lastSession ? (
                <>
                  {agoText(item.lastSession.startedAt)}
                  <div>
                    <DiscomfortMark score={item.lastSession.maxDiscomfort} policy={item.lastSession.discomfortPolicy} />
                  </div>
                </>
              ) : (
                'first time'
              )}
            </td>
            <td className="py-2.5 text-right">
              {item.state === 'done' ? (
                <span className="inline-block bg-celadon-wash px-2 py-1 font-semibold text-celadon">done</span>
              ) : (
                <ButtonLink
                  to={`/sequences/${item.sequenceId}/lead?athlete=${item.athleteId}`}
                  aria-label={`Lead ${item.sequenceTitle} for ${item.athleteName}`}
                >
                  Lead
                </ButtonLink>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
