// Loaded before the server that is fuzzed: tells what answers took in it, and how long its event loop was held up, since it was last asked.
import { subscribe } from 'node:diagnostics_channel';
import { existsSync, readFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';

const RESOLUTION_MS = 5;
const SLOW_MS = 2000;
const began = new WeakMap();
let slow = [];
let firstMs;
subscribe('http.server.request.start', ({ request }) => {
  firstMs ??= performance.now();
  began.set(request, performance.now());
});
subscribe('http.server.response.finish', ({ request }) => {
  const ms = performance.now() - began.get(request);
  if (ms > SLOW_MS) slow.push({ ms, atMs: performance.now() - firstMs, method: request.method, url: request.url });
});

const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
delay.enable();

// A loop that waits for a processor, on a machine that the asking side and the database share, is not held up by its own work: Linux tells them apart.
const SCHEDULE = '/proc/self/schedstat';
const cpuMs = existsSync(SCHEDULE) ? () => Number(readFileSync(SCHEDULE, 'utf8').split(' ')[0]) / 1e6 : () => performance.now();
let before = cpuMs();
let worstOwnMs = 0;
setInterval(() => {
  const now = cpuMs();
  worstOwnMs = Math.max(worstOwnMs, now - before);
  before = now;
}, RESOLUTION_MS).unref();

process.on('message', (message) => {
  if (message !== 'loop') return;
  const worstMs = Math.max(0, delay.max / 1e6 - RESOLUTION_MS);
  const p99Ms = Math.max(0, delay.percentile(99) / 1e6 - RESOLUTION_MS);
  process.send?.({ worstMs, worstOwnMs, p99Ms, slow, rssMb: process.memoryUsage().rss / 1_048_576 });
  delay.reset();
  worstOwnMs = 0;
  slow = [];
});
