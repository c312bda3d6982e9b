import { useSearchParams } from 'react-router';
import { useAthletes, useSessions } from '../../api/queries.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { Empty, Loading, Page, Trouble } from '../../ui/page.js';
import { SessionRows } from '../../domain/session-rows.js';

/** Every session, newest first; of everybody or of one. */
export default function RecordsPage() {
  const [params, setParams] = useSearchParams();
  const athleteId = params.get('athlete') ?? undefined;
  const athletes = useAthletes();
  const sessions = useSessions(athleteId);
  const items = sessions.data?.pages.flatMap((page) => page.items) ?? [];
  return (
    <Page
      title="Records"
      actions={
        <>
          <ButtonLink to={`/records/foretold${athleteId ? `?athlete=${athleteId}` : ''}`}>Foretold and told</ButtonLink>
          <select
            aria-label="Of whom"
            className={`${INPUT} w-60!`}
            value={athleteId ?? ''}
            onChange={(event) => setParams(event.target.value ? { athlete: event.target.value } : {})}
          >
            <option value="">Everybody</option>
            {athletes.data?.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
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
