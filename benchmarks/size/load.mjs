import { connect } from 'node:net';

/** What came of asking for some time. */
const quantile = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

/**
 * Asks over some connections at once, each its next as soon as the last is answered.
 * @param next what to ask: `{ method, path, body? }` @param until milliseconds, or a number of requests
 * @returns requests a second, milliseconds at the median and the 99th percentile, and the statuses that were not 2xx
 */
export async function load(port, { connections, forMs, headers = {}, next }) {
  const times = [];
  const failed = new Map();
  const began = performance.now();
  const ends = began + forMs;
  const asking = async () => {
    const line = await openLine(port);
    while (performance.now() < ends) {
      const start = performance.now();
      const status = await line.ask(next(), headers);
      times.push(performance.now() - start);
      if (status < 200 || status > 299) failed.set(status, (failed.get(status) ?? 0) + 1);
    }
    line.close();
  };
  await Promise.all(Array.from({ length: connections }, asking));
  return together([{ times, failed, seconds: (performance.now() - began) / 1000 }]);
}

/** Several loads as one. */
export function together(loads) {
  const times = loads.flatMap((each) => each.times).sort((a, b) => a - b);
  const seconds = loads.reduce((sum, each) => sum + each.seconds, 0);
  const failed = loads[0].failed;
  return { times, seconds, failed, perSecond: times.length / seconds, p50Ms: quantile(times, 0.5), p99Ms: quantile(times, 0.99) };
}

/** One kept-alive connection. Reads as little of an answer as it needs: a client that is slower than the server would measure itself. */
function openLine(port) {
  const socket = connect(port, '127.0.0.1');
  socket.setNoDelay(true);
  let waiting = null;
  let pieces = [];
  socket.on('data', (piece) => {
    pieces.push(piece);
    const answer = pieces.length === 1 ? piece : Buffer.concat(pieces);
    const end = answer.indexOf('\r\n\r\n');
    if (end < 0) return;
    const head = answer.latin1Slice(0, end);
    const length = /content-length: (\d+)/i.exec(head);
    const isWhole = length ? answer.length >= end + 4 + Number(length[1]) : /chunked/i.test(head) ? answer.includes('\r\n0\r\n\r\n') : true;
    if (!isWhole) return;
    pieces = [];
    waiting?.(Number(head.slice(9, 12)));
  });
  socket.on('error', () => waiting?.(0));
  const ask = ({ method = 'GET', path, body }, headers) => {
    const text = body === undefined ? '' : JSON.stringify(body);
    const lines = [`${method} ${path} HTTP/1.1`, `host: 127.0.0.1:${port}`];
    for (const [name, value] of Object.entries(headers)) lines.push(`${name}: ${value}`);
    if (body !== undefined) lines.push('content-type: application/json', `content-length: ${Buffer.byteLength(text)}`);
    socket.write(`${lines.join('\r\n')}\r\n\r\n${text}`);
    return new Promise((resolve) => (waiting = resolve));
  };
  return new Promise((resolve, reject) => {
    socket.once('connect', () => resolve({ ask, close: () => socket.destroy() }));
    socket.once('error', reject);
  });
}
