import { useSessions } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { OfWhom, useOfWhom } from '../../domain/athlete/of-whom.js';
import { Empty, Loading, Page, Trouble } from '../../ui/page.js';
import { SessionRows } from '../../domain/session/session-rows.js';

/** Every session, newest first; of everybody or of one. */
export default function RecordsPage() {
  const athleteId = useOfWhom();
  const sessions = useSessions(athleteId);
  const items = sessions.data?.pages.flatMap((page) => page.items) ?? [];
  return (
    <Page
      title="Records"
      actions={
        <>
          <ButtonLink to={`/predictions${athleteId ? `?athlete=${athleteId}` : ''}`}>Predicted vs. actual</ButtonLink>
          <OfWhom />
        </>
      }
    >
      {sessions.isPending ? (
        <Loading what="records" />
      ) : sessions.isError ? (
        <Trouble error={sessions.error} retry={() => void sessions.refetch()} />
      ) : items.length === 0 ? (
        <Empty>No session yet.</Empty>
      ) : (
        <SessionRows sessions={items} withAthlete={!athleteId} />
      )}
      {sessions.hasNextPage && (
        <Button className="mt-4" disabled={sessions.isFetchingNextPage} onClick={() => void sessions.fetchNextPage()}>
          Earlier
        </Button>
      )}
    </Page>
  );
}
