// Loaded before the server that is fuzzed: tells how long its event loop was held up, since it was last asked.
import { monitorEventLoopDelay } from 'node:perf_hooks';

const RESOLUTION_MS = 5;
const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
delay.enable();
process.on('message', (message) => {
  if (message !== 'loop') return;
  const worstMs = Math.max(0, delay.max / 1e6 - RESOLUTION_MS);
  const p99Ms = Math.max(0, delay.percentile(99) / 1e6 - RESOLUTION_MS);
  delay.reset();
  process.send?.({ worstMs, p99Ms, rssMb: process.memoryUsage().rss / 1_048_576 });
});
