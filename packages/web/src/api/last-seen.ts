import { whenIdle } from '../store/when-idle.js';
import { dehydrate, type DehydratedState, hydrate, type QueryClient } from '@tanstack/react-query';
import { deleteDB } from 'idb';
import { deviceDatabase } from '../store/device-database.js';
import { currentAccount } from '../store/device-storage.js';

/** What was seen on this device, as it is kept. */
interface LastSeen {
  readonly version: number;
  readonly atMs: number;
  readonly state: DehydratedState;
}

/** Where an older version kept it, for whoever was signed in. */
const OLDER_DATABASE = 'keyval-store';
/** Another shape of what the server answers is another version: what was kept of before is left. */
const VERSION = 4;
const KEPT_MS = 30 * 86_400_000;
const WRITE_AFTER_MS = 600;
/** Lists and what they lead to; whole records are fetched when they are opened. */
const KEPT: readonly unknown[] = [
  'today',
  'athletes',
  'sequences',
  'assignments',
  'sessions',
  'readings',
  'repeats',
  'evidence',
  'intakes',
];

let isStarted = false;
/** The page goes, and its account is signed out. */
let isForgotten = false;

/**
 * Keeps what was last seen in the browser, and shows it again at the next start until the server has answered: lists open without a network.
 * What is fetched meanwhile is newer and stays.
 */
export async function startLastSeen(client: QueryClient): Promise<void> {
  const account = currentAccount();
  if (isStarted || account === null) return;
  isStarted = true;
  void deleteDB(OLDER_DATABASE);
  const kept = (await (await deviceDatabase()).get('seen', account)) as LastSeen | undefined;
  if (kept?.version === VERSION && Date.now() - kept.atMs < KEPT_MS) hydrate(client, outdated(kept.state));
  let timer: ReturnType<typeof setTimeout> | undefined;
  client.getQueryCache().subscribe(({ type }) => {
    if (type !== 'updated') return;
    timer ??= setTimeout(() => {
      timer = undefined;
      whenIdle(() => void keep(client, account));
    }, WRITE_AFTER_MS);
  });
}

/** A stored copy may be older than what was done since, however young it is: it is shown and requested again. */
const outdated = (state: DehydratedState): DehydratedState => ({
  ...state,
  queries: state.queries.map((query) => ({ ...query, state: { ...query.state, isInvalidated: true } })),
});

/** Forgets it all, on signing out. */
export async function forgetLastSeen(): Promise<void> {
  const account = currentAccount();
  isForgotten = true;
  if (account !== null) await (await deviceDatabase()).delete('seen', account);
}

async function keep(client: QueryClient, account: string): Promise<void> {
  if (isForgotten) return;
  const state = dehydrate(client, {
    shouldDehydrateMutation: () => false,
    shouldDehydrateQuery: ({ queryKey: [what, part], state: { status } }) => status === 'success' && KEPT.includes(what) && part !== 'one',
  });
  await (await deviceDatabase()).put('seen', { version: VERSION, atMs: Date.now(), state } satisfies LastSeen, account);
}
