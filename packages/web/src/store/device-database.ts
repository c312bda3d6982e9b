import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** A message as it waits on this device. */
export interface KeptMessage {
  readonly account: string;
  readonly id: string;
  readonly path: string;
  readonly body: unknown;
  /** Why the server would not take it; undefined while it waits. */
  readonly reason?: string;
}

interface DeviceDatabase extends DBSchema {
  /** In the order in which they were recorded, of all tabs and accounts. */
  outbox: { key: number; value: KeptMessage; indexes: { account: string } };
  refused: { key: number; value: KeptMessage; indexes: { account: string } };
  /** What an account saw last, by its name. */
  seen: { key: string; value: unknown };
}

const NAME = 'clay-pot';
const VERSION = 1;
let opened: Promise<IDBPDatabase<DeviceDatabase>> | null = null;

/** The browser's database. @throws where the browser has none, or does not let it be used */
export function deviceDatabase(): Promise<IDBPDatabase<DeviceDatabase>> {
  opened ??= openDB<DeviceDatabase>(NAME, VERSION, {
    upgrade: (database) => {
      for (const name of ['outbox', 'refused'] as const) {
        database.createObjectStore(name, { autoIncrement: true }).createIndex('account', 'account');
      }
      database.createObjectStore('seen');
    },
    // Another tab brings a newer version, or the browser closed it: the next request opens it again.
    blocking: (_current, _blocked, event) => {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    terminated: () => {
      opened = null;
    },
  });
  opened.catch(() => {
    opened = null;
  });
  return opened;
}
