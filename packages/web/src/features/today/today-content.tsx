import { minutesText } from '@clay-pot/core';
import type { Today, TodayDue } from '@clay-pot/contracts';
import { lazy, type ReactNode, Suspense } from 'react';
import { Link } from 'react-router';
import { useMe, useSessions, useToday } from '../../api/queries.js';
import { leadPath } from '../../domain/sequence/lead-path.js';
import { ButtonLink } from '../../ui/button-link.js';
import { agoText, dayText } from '../../ui/format.js';
import { DiscomfortMark } from '../../ui/marks.js';
import { Empty, Loading, Page, Part, Trouble } from '../../ui/page.js';
import { useVirtualRows } from '../../ui/virtual-rows.js';

// Nobody is signed in yet on the first page: what only a coach sees comes after it.
const SessionRows = lazy(async () => ({ default: (await import('../../domain/session/session-rows.js')).SessionRows }));
const NextSteps = lazy(async () => ({ default: (await import('./next-steps.js')).NextSteps }));
const FirstSteps = lazy(async () => ({ default: (await import('./first-steps.js')).FirstSteps }));
const AtRisk = lazy(async () => ({ default: (await import('./at-risk.js')).AtRisk }));
const SinceYesterday = lazy(async () => ({ default: (await import('./at-risk.js')).SinceYesterday }));
const RunningClasses = lazy(async () => ({ default: (await import('./running-classes.js')).RunningClasses }));
const Mornings = lazy(async () => ({ default: (await import('./mornings.js')).Mornings }));
const BlockStrip = lazy(() => import('../../domain/sequence/block-strip.js'));
/** How many hands of a sequence are shown beside it. */
const MOST_HANDS = 5;
/** About how high one who is due is. */
const DUE_PX = 104;
const RECENT_SHOWN = 12;

/** Who is due, what waits for a decision, what was done lately. */
export default function TodayContent() {
  const today = useToday();
  const me = useMe();
  if (today.isPending) return <Loading what="today" />;
  if (!today.data) return <Trouble error={today.error} retry={() => void today.refetch()} />;
  const { firstSteps } = today.data;
  const studio = me.data?.studio;
  const greeting = firstSteps && <FirstSteps steps={firstSteps} isDemo={studio?.isDemo ?? false} />;
  if (firstSteps?.athlete !== null) return <DayOfStudio today={today.data} studioName={studio?.name ?? ''} greeting={greeting} />;
  return (
    <Page title={`Welcome to ${studio?.name ?? 'your studio'}`}>
      <Suspense fallback={<Loading what="the first steps" />}>{greeting}</Suspense>
    </Page>
  );
}

interface DayProps {
  today: Today;
  studioName: string;
  /** What a new studio is led through. */
  greeting: ReactNode;
}

function DayOfStudio({ today: { day, atRisk, due, changes, mornings }, studioName, greeting }: DayProps) {
  const open = due.filter((item) => item.state === 'due').length;
  return (
    <Page
      title={dayText(day)}
      lead={`${studioName}: ${open === 0 ? 'no sessions left today' : open === 1 ? 'one session to lead' : `${open} sessions to lead`}`}
    >
      <div className="@container grid grid-cols-[minmax(0,1fr)] gap-y-8">
        <Suspense fallback={null}>
          {greeting}
          <RunningClasses />
          <AtRisk risks={atRisk} />
        </Suspense>
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-x-10 gap-y-8 @5xl:grid-cols-[minmax(0,4fr)_minmax(0,3fr)]">
          <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
            <Part title="Due today">
              {due.length ? <DueList due={due} /> : <Empty>No sessions planned for today. Assign a sequence on an athlete’s page.</Empty>}
            </Part>
            <Suspense fallback={null}>
              <SinceYesterday changes={changes} />
            </Suspense>
          </div>
          <Suspense fallback={null}>
            <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
              <NextSteps />
              <Mornings mornings={mornings} />
            </div>
          </Suspense>
        </div>
        <Part
          title="Recent"
          aside={
            <Link to="/records" className="text-small underline underline-offset-2">
              All records
            </Link>
          }
        >
          <Recent />
        </Part>
      </div>
    </Page>
  );
}

/** The latest sessions, those that are running among them. */
function Recent() {
  const sessions = useSessions();
  const [page] = sessions.data?.pages ?? [];
  if (!page) return null;
  if (page.items.length === 0) return <Empty>No session yet. Start one from the list above.</Empty>;
  return (
    <Suspense fallback={null}>
      <SessionRows sessions={page.items.slice(0, RECENT_SHOWN)} withAthlete />
    </Suspense>
  );
}

/** Who is due, with what; on a phone the sequence is below the name. */
function DueList({ due }: { due: readonly TodayDue[] }) {
  const { box, rows, before, after } = useVirtualRows(due.length, DUE_PX);
  return (
    <ul className="@container" ref={box}>
      {before > 0 && <li aria-hidden style={{ height: before }} />}
      {rows.flatMap(({ index, measure }) => {
        const item = due[index];
        return item === undefined ? [] : <DueItem key={`${item.from.id} ${item.sequenceId}`} {...{ item, index, measure }} />;
      })}
      {after > 0 && <li aria-hidden style={{ height: after }} />}
    </ul>
  );
}

function DueItem({ item, index, measure }: { item: TodayDue; index: number; measure: (element: Element | null) => void }) {
  return (
    <li
      ref={measure}
      data-index={index}
      className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-4 gap-y-1 border-b border-line py-2.5 @lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)_auto]"
    >
      <div>
        <Link to={`/people/${item.athleteId}`} className="font-semibold hover:underline">
          {item.athleteName}
        </Link>
        <div className="text-small text-ink-soft">{item.practice}</div>
        <LastSession session={item.lastSession} />
      </div>
      <div className="overflow-hidden @max-lg:col-span-2 @max-lg:row-start-2">
        <div className="flex items-baseline justify-between gap-3">
          <Link to={`/sequences/${item.sequenceId}?athlete=${item.athleteId}`} className="hover:underline">
            {item.sequenceTitle}
          </Link>
          <span className="whitespace-nowrap figures">{minutesText(item.durationMs)}</span>
        </div>
        {item.from.kind === 'programme' && (
          <Link to={`/programmes/${item.from.id}`} className="text-small underline underline-offset-2">
            from the programme
            {item.from.amountPercent === 100 ? '' : `, ${item.from.amountPercent} % load`}
          </Link>
        )}
        {item.missedDays.length > 0 && (
          <div className="text-small text-amber">missed {item.missedDays.map((missed) => dayText(missed)).join(', ')}</div>
        )}
        {item.stops.map((stop) => (
          <div key={stop} className="text-small font-semibold text-iron">
            {stop}
          </div>
        ))}
        <Suspense fallback={<div className="h-10" />}>
          <BlockStrip sequenceId={item.sequenceId} most={MOST_HANDS} />
        </Suspense>
      </div>
      {item.state === 'done' ? (
        <span className="bg-celadon-wash px-2 py-1 font-semibold text-celadon">done</span>
      ) : (
        <ButtonLink
          to={leadPath(
            item.sequenceId,
            item.athleteId,
            item.from.kind === 'programme' ? { programmeId: item.from.id, sessionId: item.from.sessionId } : undefined,
          )}
          aria-label={`Lead ${item.sequenceTitle} for ${item.athleteName}`}
          className="@max-lg:min-h-11"
        >
          Start session
        </ButtonLink>
      )}
    </li>
  );
}

function LastSession({ session }: { session: TodayDue['lastSession'] }) {
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-2 text-small text-ink-soft">
      {session ? (
        <>
          {agoText(session.startedAt)}
          <DiscomfortMark score={session.maxDiscomfort} policy={session.discomfortPolicy} />
        </>
      ) : (
        'first time'
      )}
    </div>
  );
}
