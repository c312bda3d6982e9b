import { itemAt } from '@clay-pot/core';
import { deviceDatabase, type KeptMessage } from './device-database.js';

/** A message with the key that it lies under. */
export interface KeptRow {
  readonly key: number;
  readonly message: KeptMessage;
}

type Store = 'outbox' | 'refused';

/** What an older version kept, sent where the server takes it now: suggestions were calls before. */
const upToDate = (message: KeptMessage): KeptMessage => ({
  ...message,
  path: message.path.replace(/^(\/athletes\/[^/]+)\/calls\//, '$1/suggestions/'),
});

/** What an account has in a store, the oldest first. */
export async function rowsOf(store: Store, account: string): Promise<KeptRow[]> {
  const transaction = (await deviceDatabase()).transaction(store);
  const index = transaction.store.index('account');
  const [keys, messages] = await Promise.all([index.getAllKeys(account), index.getAll(account)]);
  return messages.map((message, at) => ({ key: itemAt(keys, at), message: upToDate(message) }));
}

/** The oldest message of an account that waits. */
export async function oldestOf(account: string): Promise<KeptRow | null> {
  const cursor = await (await deviceDatabase()).transaction('outbox').store.index('account').openCursor(account);
  return cursor && { key: cursor.primaryKey, message: upToDate(cursor.value) };
}

/** Keeps messages, all or none. The write is handed over at once, so that a tab which is closed right after has kept them. */
export async function keepRows(store: Store, messages: readonly KeptMessage[]): Promise<void> {
  const transaction = (await deviceDatabase()).transaction(store, 'readwrite');
  for (const message of messages) void transaction.store.add(message);
  transaction.commit();
  await transaction.done;
}

/** Takes a message out; with a reason it goes to those that were refused, in the same write. */
export async function settleRow({ key, message }: KeptRow, reason?: string): Promise<void> {
  const transaction = (await deviceDatabase()).transaction(['outbox', 'refused'], 'readwrite');
  void transaction.objectStore('outbox').delete(key);
  if (reason !== undefined) void transaction.objectStore('refused').add({ ...message, reason });
  transaction.commit();
  await transaction.done;
}

/** Removes everything that an account has in a store. */
export async function dropRows(store: Store, account: string): Promise<void> {
  const transaction = (await deviceDatabase()).transaction(store, 'readwrite');
  for (const key of await transaction.store.index('account').getAllKeys(account)) void transaction.store.delete(key);
  await transaction.done;
}
