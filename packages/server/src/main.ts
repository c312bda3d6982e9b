import { readConfig } from './config.js';
import { createApp } from './create-app.js';
import { HeavyWork } from './work/heavy-work.js';

const config = readConfig(process.env);
const app = await createApp(config);
// The first question is not held up by a thread that has to load the library.
app.get(HeavyWork, { strict: false }).start();
await app.listen(config.port, config.host);

/** What is being answered may be finished; a connection that a browser only keeps open does not hold the house up for longer than this. */
const GRACE_MS = 2000;

let closing = false;
async function close(): Promise<void> {
  if (closing) return;
  closing = true;
  setTimeout(() => app.getHttpServer().closeAllConnections(), GRACE_MS).unref();
  await app.close();
  process.exit(0);
}
process.once('SIGINT', () => void close());
process.once('SIGTERM', () => void close());
// Started by a parent: when the parent is gone there is nobody left to stop this process.
process.once('disconnect', () => void close());
process.send?.('listening');
