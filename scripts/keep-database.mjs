import { setTimeout as sleep } from 'node:timers/promises';
import { lastWordsOf, startDatabase } from './database.mjs';

/** A database that ends this often within this time has something that starting it again does not mend. */
const MOST_ENDS = 5;
const WITHIN_MS = 60_000;
const PAUSE_MS = 500;

/**
 * A private database that is started again whenever it ends, on the same port, so that the server finds it.
 * @param {() => void} giveUp called once it cannot be kept up
 */
export async function keepDatabase(name, giveUp) {
  let database = await startDatabase(name);
  let stopping = false;
  if (database.wasKilled) console.log('The database was not shut down cleanly last time. It has recovered; what was saved is there.');
  const ends = [];
  const watch = async () => {
    while (!stopping) {
      await database.ended;
      if (stopping) return;
      const now = Date.now();
      ends.push(now);
      if (ends.filter((at) => at > now - WITHIN_MS).length > MOST_ENDS) {
        console.error(`The database keeps ending. Its last words:\n${lastWordsOf(name)}`);
        return giveUp();
      }
      console.error('The database ended by itself. Starting it again …');
      await sleep(PAUSE_MS);
      if (stopping) return;
      try {
        database = await startDatabase(name, { onPort: database.port });
        console.error('The database runs again; what was saved is there.');
      } catch (error) {
        console.error(error.message);
      }
    }
  };
  const watching = watch();
  return {
    url: database.url,
    async stop() {
      stopping = true;
      await database.stop();
      await Promise.race([watching, sleep(PAUSE_MS * 2)]);
    },
  };
}
