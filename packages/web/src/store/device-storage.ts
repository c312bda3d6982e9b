import type { StateStorage } from 'zustand/middleware';
import { keepingFailed, keepingWorked } from './keeping.js';

/**
 * What this device keeps, each account's apart. An account is known by its sign-in e-mail: that is on the device from the first answer of
 * the server on, so that a reload without a network finds its things too.
 */
const PREFIX = 'clay-pot:';
/** What the browser kept before there were accounts began like this. */
const BEFORE = 'clay-pot-';

/** A store that is kept for one account. */
interface KeptStore {
  readonly setState: (state: never, replace: true) => void;
  readonly getInitialState: () => unknown;
  readonly persist: { readonly rehydrate: () => Promise<void> | void; readonly getOptions: () => { readonly name?: string } };
}

let account: string | null = null;
const stores = new Set<KeptStore>();
const followers = new Set<(account: string | null) => void>();

const keyOf = (name: string, of: string) => `${PREFIX}${of}:${name}`;

/** Whose things are shown now; null while nobody is known to be signed in. */
export const currentAccount = (): string | null => account;

/**
 * Reads and writes under the account that is signed in; nothing while there is none. What an older version kept without an account belongs
 * to the first one that asks for it.
 */
export const accountStorage: Pick<StateStorage, 'setItem' | 'removeItem'> & { readonly getItem: (name: string) => string | null } = {
  getItem: (name) => {
    if (account === null) return null;
    const own = localStorage.getItem(keyOf(name, account));
    if (own !== null) return own;
    const older = localStorage.getItem(BEFORE + name);
    if (older === null) return null;
    // Removed first: both together may be more than the browser keeps.
    localStorage.removeItem(BEFORE + name);
    try {
      localStorage.setItem(keyOf(name, account), older);
    } catch (error) {
      // Under its older, shorter key it fitted a moment ago.
      localStorage.setItem(BEFORE + name, older);
      keepingFailed(error);
    }
    return older;
  },
  setItem: (name, value) => {
    if (account === null) return;
    try {
      localStorage.setItem(keyOf(name, account), value);
      keepingWorked();
    } catch (error) {
      keepingFailed(error);
    }
  },
  removeItem: (name) => {
    if (account !== null) localStorage.removeItem(keyOf(name, account));
  },
};

/** Which account and which thing of it a key of the browser's storage is; null where it is none of these. */
export function partsOfKey(key: string): { account: string; name: string } | null {
  if (!key.startsWith(PREFIX)) return null;
  const colon = key.lastIndexOf(':');
  return colon < PREFIX.length ? null : { account: key.slice(PREFIX.length, colon), name: key.slice(colon + 1) };
}

/** Has a store show what the account that is signed in keeps. @returns the same store */
export function perAccount<S extends KeptStore>(store: S): S {
  stores.add(store);
  return store;
}

/** Calls whenever another account is signed in, or none. */
export function onAccount(follow: (account: string | null) => void): void {
  followers.add(follow);
}

/** Shows the things of another account, or of none. */
export function switchAccount(to: string | null): void {
  if (to === account) return;
  // Nobody's meanwhile: emptying the stores must not empty what either account keeps.
  account = null;
  for (const store of stores) store.setState(store.getInitialState() as never, true);
  account = to;
  if (to !== null) for (const store of stores) void store.persist.rehydrate();
  for (const follow of followers) follow(to);
}

/** What another tab of the same account wrote is shown here too. */
function followTabs({ key }: StorageEvent): void {
  const parts = key === null ? null : partsOfKey(key);
  if (parts === null || parts.account !== account) return;
  for (const store of stores) if (store.persist.getOptions().name === parts.name) void store.persist.rehydrate();
}
if (typeof window !== 'undefined') window.addEventListener('storage', followTabs);

/** Names of what an account keeps in the browser's storage. */
export function storedNamesOf(of: string): string[] {
  const keys = Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index) ?? '');
  return keys.flatMap((key) => {
    const parts = partsOfKey(key);
    return parts?.account === of ? [parts.name] : [];
  });
}

/** Removes what an account keeps, but for what is named. */
export function clearAccount(of: string, butFor: readonly string[] = []): void {
  for (const name of storedNamesOf(of)) if (!butFor.includes(name)) localStorage.removeItem(keyOf(name, of));
}
