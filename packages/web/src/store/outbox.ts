import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { refreshAfterSession } from '../api/queries.js';
import { isFinal, type ProblemError, request } from '../api/request.js';
import { accountStorage, currentAccount, onAccount } from './device-storage.js';
import { keepingFailed, keepingWorked } from './keeping.js';
import { accountOnDevice } from './me.js';
import { dropRows, keepRows, oldestOf, rowsOf, settleRow } from './outbox-rows.js';
import { exclusively } from './exclusively.js';

/** Something recorded that the server has yet to get. Its path holds an id made here, so sending twice stores once. */
export interface OutboxMessage {
  readonly path: string;
  readonly body: unknown;
  /** Known within this device; given when it is added. */
  readonly id?: string;
}

interface OutboxState {
  /** What waits, of this account and of all tabs, in order. */
  readonly messages: readonly OutboxMessage[];
  /** What the server would not take, kept until the coach has seen it. */
  readonly refused: readonly (OutboxMessage & { reason: string })[];
  readonly add: (message: OutboxMessage) => void;
  readonly dismiss: () => void;
}

const RETRY_MS = 4000;
/** Whoever does not answer in this time is away. */
const ANSWER_MS = 30_000;
/** One tab sends for all of a device. */
export const SENDER = 'clay-pot-sender';

interface InMemory {
  readonly account: string | null;
  readonly message: OutboxMessage;
  /** The browser does not keep it: it is sent from here, as long as the page is open. */
  readonly isUnkept: boolean;
}
/** What this tab has added and the browser has not kept yet, or cannot keep, by id. */
const inMemory = new Map<string, InMemory>();

/** What waits to be sent. The browser's database holds it; this shows it. */
export const useOutbox = create<OutboxState>()((set) => ({
  messages: [],
  refused: [],
  add: (message) => {
    const named = { ...message, id: uuid() };
    set(({ messages }) => ({ messages: [...messages, named] }));
    void keepAndSend(named);
  },
  dismiss: () => {
    set({ refused: [] });
    const account = currentAccount();
    if (account !== null) void dropRows('refused', account).then(tellTabs, keepingFailed);
  },
}));

async function keepAndSend(message: OutboxMessage & { id: string }): Promise<void> {
  const account = currentAccount();
  inMemory.set(message.id, { account, message, isUnkept: account === null });
  try {
    if (account !== null) {
      await keepRows('outbox', [{ account, ...message }]);
      inMemory.delete(message.id);
      keepingWorked();
      tellTabs();
    }
  } catch (error) {
    inMemory.set(message.id, { account, message, isUnkept: true });
    keepingFailed(error);
  }
  await flush();
}

/** Open while the page sends: tells the other tabs that something was added or sent. */
let channel: BroadcastChannel | null = null;
const tellTabs = (): void => channel?.postMessage('changed');

const inMemoryOf = (account: string | null): OutboxMessage[] =>
  [...inMemory.values()].filter((one) => one.account === account).map(({ message }) => message);

/** Shows what the browser's database holds for this account, behind it what is in memory only. */
async function showKept(): Promise<void> {
  const account = currentAccount();
  if (account === null) return;
  try {
    const [waiting, refused] = await Promise.all([rowsOf('outbox', account), rowsOf('refused', account)]);
    if (account !== currentAccount()) return;
    const had = useOutbox.getState().messages.length;
    useOutbox.setState({
      messages: [...waiting.map(({ message }) => message), ...inMemoryOf(account)],
      refused: refused.map(({ message }) => ({ ...message, reason: message.reason ?? '' })),
    });
    // Another tab has sent the last of it: what it changes is on this tab's screens too.
    if (had > 0 && useOutbox.getState().messages.length === 0) void refreshAfterSession();
  } catch (error) {
    keepingFailed(error);
  }
}

let sending: Promise<void> | null = null;
let isAskedAgain = false;
const wasAskedAgain = (): boolean => isAskedAgain;

/** Sends in order, one after the other; stops at the first that nobody answers, and tries again later. One tab at a time does so. */
export function flush(): Promise<void> {
  // Whoever asks meanwhile waits for it too, and what they added goes out with it.
  isAskedAgain = true;
  sending ??= sendUntilNobodyAsks().finally(() => {
    sending = null;
  });
  return sending;
}

async function sendUntilNobodyAsks(): Promise<void> {
  do {
    isAskedAgain = false;
    await exclusively(SENDER, sendAll);
    // It is set by whoever calls meanwhile.
  } while (wasAskedAgain());
}

/** A message that waits, and how it is taken out. */
interface Waiting {
  readonly message: OutboxMessage;
  readonly settle: (reason?: string) => Promise<void>;
}

async function sendAll(): Promise<void> {
  const account = currentAccount();
  // Another tab may have signed somebody else in since.
  const isStillSignedIn = () => account === currentAccount() && account === accountOnDevice();
  for (let next = await nextOf(account); next && isStillSignedIn(); next = await nextOf(account)) {
    const { path, body } = next.message;
    try {
      await request(path, { method: 'PUT', body, signal: AbortSignal.timeout(ANSWER_MS) });
      await next.settle();
    } catch (error) {
      if (!isFinal(error)) return;
      await next.settle((error as ProblemError).message);
    }
    if (useOutbox.getState().messages.length === 0) void refreshAfterSession();
  }
}

async function nextOf(account: string | null): Promise<Waiting | null> {
  const kept = account === null ? null : await oldestOf(account).catch(() => null);
  if (kept) {
    return {
      message: kept.message,
      settle: async (reason) => {
        await settleRow(kept, reason);
        takeOut(kept.message, reason);
        tellTabs();
      },
    };
  }
  const message = useOutbox.getState().messages.find(({ id }) => id === undefined || inMemory.get(id)?.isUnkept);
  if (!message) return null;
  const settle = (reason?: string) => {
    takeOut(message, reason);
    return Promise.resolve();
  };
  return { message, settle };
}

function takeOut(message: OutboxMessage, reason?: string): void {
  if (message.id !== undefined) inMemory.delete(message.id);
  useOutbox.setState(({ messages, refused }) => ({
    messages: messages.filter((other) => (message.id === undefined ? other !== message : other.id !== message.id)),
    refused: reason === undefined ? refused : [...refused, { ...message, reason }],
  }));
}

/** Takes over what an older version kept in the browser's storage. */
async function takeOverOlder(account: string): Promise<void> {
  const text = accountStorage.getItem('outbox');
  if (text === null) return;
  const { state } = JSON.parse(text) as {
    state: { letters: readonly OutboxMessage[]; refused: readonly (OutboxMessage & { reason: string })[] };
  };
  await keepRows(
    'outbox',
    state.letters.map(({ path, body }) => ({ account, id: uuid(), path, body })),
  );
  await keepRows(
    'refused',
    state.refused.map(({ path, body, reason }) => ({ account, id: uuid(), path, body, reason })),
  );
  accountStorage.removeItem('outbox');
}

/** Throws away what an account has not sent. */
export async function dropUnsent(account: string): Promise<void> {
  for (const [id, one] of inMemory) if (one.account === account) inMemory.delete(id);
  useOutbox.setState({ messages: [], refused: [] });
  await dropRows('outbox', account);
  await dropRows('refused', account);
  tellTabs();
}

async function openFor(account: string | null): Promise<void> {
  useOutbox.setState({ messages: inMemoryOf(account), refused: [] });
  if (account === null) return;
  // One tab takes over; the others find it done.
  await exclusively(SENDER, () => takeOverOlder(account)).catch(keepingFailed);
  await showKept();
  await flush();
}

/** Starts sending whenever there is something and somebody may answer. */
export function startOutbox(): void {
  channel = new BroadcastChannel('clay-pot-outbox');
  channel.onmessage = () => void showKept();
  onAccount((account) => void openFor(account));
  window.addEventListener('online', () => void flush());
  setInterval(() => {
    if (useOutbox.getState().messages.length) void flush();
  }, RETRY_MS);
}
