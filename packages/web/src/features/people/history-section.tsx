import { useAthletes, useSessions } from '../../api/queries.js';
import { SessionRows } from '../../domain/session/session-rows.js';
import { Button } from '../../ui/button.js';
import { Empty, Loading, Part } from '../../ui/page.js';
import { SessionStrip } from '../../ui/session-strip.js';
import { isoToday } from '../../ui/today.js';
import { usePerson } from './person.js';

/** What was done, the newest first. */
export default function HistorySection() {
  return <History athleteId={usePerson().id} />;
}

function History({ athleteId }: { athleteId: string }) {
  const sessions = useSessions(athleteId);
  const people = useAthletes();
  const strip = people.data?.find((person) => person.id === athleteId)?.recentDays ?? [];
  const items = sessions.data?.pages.flatMap((page) => page.items) ?? [];
  return (
    <Part title="History" aside={<SessionStrip recentDays={strip} today={isoToday()} />}>
      {sessions.isPending ? (
        <Loading what="sessions" />
      ) : items.length === 0 ? (
        <Empty>No session yet.</Empty>
      ) : (
        <SessionRows sessions={items} withAthlete={false} />
      )}
      {sessions.hasNextPage && (
        <Button className="mt-3" disabled={sessions.isFetchingNextPage} onClick={() => void sessions.fetchNextPage()}>
          Earlier sessions
        </Button>
      )}
    </Part>
  );
}
