import { create } from 'zustand';
import { queryClient } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { DRAFT_PREFIX } from '../../store/autosave.js';
import { clearAccount, currentAccount, storedNamesOf, switchAccount } from '../../store/device-storage.js';
import { exclusively } from '../../store/exclusively.js';
import { useIntakeDrafts } from '../../store/intake-drafts.js';
import { useMeasuring } from '../../store/measuring.js';
import { forgetMe } from '../../store/me.js';
import { dropUnsent, flush, SENDER, useOutbox } from '../../store/outbox.js';
import { useOwnStops } from '../../store/own-stops.js';
import { useRun } from '../../store/run-state.js';
import { SHELF_KEY } from '../../store/shelf-habits.js';

/** What this device would lose, or would have to keep, when its account signs out. */
export interface Unfinished {
  /** Entries that the server has yet to get. */
  readonly messages: number;
  /** How many stops are among them. */
  readonly stops: number;
  /** Whose session is open. */
  readonly session: string | null;
  readonly checkIns: number;
  readonly tests: number;
  /** Sequences and programmes with changes that are not saved. */
  readonly drafts: number;
}

/** What is not sent or not finished on this device; null where there is nothing. */
export function unfinishedHere(): Unfinished | null {
  const account = currentAccount();
  const drafts = account === null ? 0 : storedNamesOf(account).filter((name) => name.startsWith(DRAFT_PREFIX)).length;
  const found: Unfinished = {
    messages: useOutbox.getState().messages.length,
    stops: useOwnStops.getState().stops.length,
    session: useRun.getState().run?.athleteName ?? null,
    checkIns: Object.keys(useIntakeDrafts.getState().drafts).length,
    tests: Object.keys(useMeasuring.getState().open).length,
    drafts,
  };
  return Object.values(found).some((value) => value !== 0 && value !== null) ? found : null;
}

/** What becomes of entries that are not sent. */
export type Unsent = 'send' | 'keep' | 'drop';

interface SignOutState {
  /** What is asked about; null while nobody wants to sign out. */
  readonly asking: Unfinished | null;
  /** Why it could not be done, in words. */
  readonly trouble: string | null;
}

/** The question before signing out. */
export const useSignOut = create<SignOutState>()(() => ({ asking: null, trouble: null }));

/** Signs out; asks first where something would be lost or left behind. */
export async function askToSignOut(): Promise<void> {
  const asking = unfinishedHere();
  if (asking) useSignOut.setState({ asking, trouble: null });
  else await signOut('keep');
}

/** Takes the question away. */
export const staySignedIn = (): void => useSignOut.setState({ asking: null, trouble: null });

/** Signs out, and removes from this device what the account kept on it: only entries that wait for it stay, if they are to be kept. */
export async function signOut(unsent: Unsent): Promise<void> {
  const account = currentAccount();
  try {
    if (unsent === 'send') {
      await flush();
      const left = useOutbox.getState().messages.length;
      if (left > 0) throw new Error(`Couldn’t send ${left}: the server isn’t responding.`);
    }
    // Nothing is sent meanwhile, in no tab: it would be sent in nobody’s name.
    await exclusively(SENDER, async () => {
      await request('/sign-in', { method: 'DELETE' });
      forgetMe();
    });
  } catch (error) {
    const trouble = `You’re still signed in. ${error instanceof Error ? error.message : String(error)}`;
    useSignOut.setState({ asking: unfinishedHere() ?? useSignOut.getState().asking ?? NOTHING, trouble });
    return;
  }
  queryClient.clear();
  // Signed out it is by now; a browser whose database cannot be used has kept nothing in it.
  await forgetInDatabase(unsent === 'drop' ? account : null).catch(() => undefined);
  if (account !== null) clearAccount(account, [SHELF_KEY]);
  // The page goes; until it has, nothing is written for this account again.
  switchAccount(null);
  window.location.assign('/');
}

/** @param dropped whose unsent entries go too; null where they are to stay */
async function forgetInDatabase(dropped: string | null): Promise<void> {
  if (dropped !== null) await dropUnsent(dropped);
  await (await import('../../api/last-seen.js')).forgetLastSeen();
}

const NOTHING: Unfinished = { messages: 0, stops: 0, session: null, checkIns: 0, tests: 0, drafts: 0 };
