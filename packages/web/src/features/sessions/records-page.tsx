import { FirstOfItsKind } from '../../domain/account/first-of-its-kind.js';
import { SESSION_FILTERS, type SessionFilter } from '@clay-pot/contracts';
import { useDeferredValue, useMemo, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { useSessions } from '../../api/queries.js';
import { AthleteOfView, useChosenAthlete } from '../../domain/athlete/athlete-of-view.js';
import { SessionRows } from '../../domain/session/session-rows.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { INPUT } from '../../ui/field.js';
import { Empty, Loading, Page, Trouble } from '../../ui/page.js';

const ONLY_WORDS: Record<SessionFilter, string> = {
  hurt: 'Sessions that hurt',
  unfinished: 'Stopped or ended early',
  'despite-rule': 'Started despite a safety rule',
};

/** Every session, newest first; of everybody or of one, searched and narrowed. */
export default function RecordsPage() {
  const athleteId = useChosenAthlete();
  const [params, setParams] = useSearchParams();
  const search = useRef<HTMLInputElement>(null);
  const find = params.get('find') ?? '';
  const only = SESSION_FILTERS.find((filter) => filter === params.get('only')) ?? '';
  const sessions = useSessions(athleteId, { find: useDeferredValue(find.trim()), only });
  const items = sessions.data?.pages.flatMap((page) => page.items) ?? [];
  const set = (name: 'find' | 'only', value: string) =>
    setParams(
      (before) => {
        if (value) before.set(name, value);
        else before.delete(name);
        return before;
      },
      { replace: true },
    );
  const commands = useMemo<Command[]>(
    () => [{ keys: '/', label: 'Search records', group: 'Records', run: () => search.current?.focus() }],
    [],
  );
  useCommands(commands);
  return (
    <Page
      title="Records"
      actions={<ButtonLink to={`/predictions${athleteId ? `?athlete=${athleteId}` : ''}`}>Predicted vs. actual</ButtonLink>}
    >
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <input
          ref={search}
          type="search"
          aria-label="Search records"
          placeholder="Sequence or athlete"
          className={`${INPUT} w-60!`}
          value={find}
          onChange={(event) => set('find', event.target.value)}
        />
        <AthleteOfView />
        <select aria-label="Show" className={`${INPUT} w-60!`} value={only} onChange={(event) => set('only', event.target.value)}>
          <option value="">All sessions</option>
          {SESSION_FILTERS.map((filter) => (
            <option key={filter} value={filter}>
              {ONLY_WORDS[filter]}
            </option>
          ))}
        </select>
      </div>
      {sessions.isPending ? (
        <Loading what="records" />
      ) : sessions.isError ? (
        <Trouble error={sessions.error} retry={() => void sessions.refetch()} />
      ) : items.length === 0 ? (
        find || only || athleteId ? (
          <Empty>No session matches. Remove a filter.</Empty>
        ) : (
          <FirstOfItsKind example="/records" action={<ButtonLink to="/">Go to Today</ButtonLink>}>
            Each session you lead is recorded here: what was done, and how it felt.
          </FirstOfItsKind>
        )
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
