import { lookup } from 'node:dns/promises';
import { isIP } from 'node:net';
import { hostname } from 'node:os';
import type { FastifyInstance } from 'fastify';
import { answerProblem } from './problem.filter.js';
import { plain } from './problem.js';

/**
 * Answers only under names of its own: a page of another name that leads to this machine gets nothing. Addresses in numbers and this machine's own name are always
 * allowed.
 * @param allowed further names, in small letters
 */
export function refuseStrangeHosts(fastify: FastifyInstance, allowed: readonly string[]): void {
  const own = hostname().toLowerCase();
  const names = new Set(['localhost', own, `${own}.local`, ...allowed]);
  fastify.addHook('onRequest', (request, reply, done) => {
    if (isAllowed(request.headers.host, names)) return done();
    answerProblem(plain(421, 'This server isn’t reached by that name. Add it to ALLOWED_HOSTS.'), request, reply);
  });
}

function isAllowed(host: string | undefined, names: ReadonlySet<string>): boolean {
  // Without a Host, as HTTP/1.0 allows, no page of a browser asks.
  if (host === undefined) return true;
  const name = host
    .toLowerCase()
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .replace(/\.$/, '');
  return isIP(name) !== 0 || names.has(name);
}

/** The addresses of trusted proxies, which may be given by name. @throws Error naming the one that has none */
export async function proxyAddresses(proxies: readonly string[]): Promise<string[]> {
  const found = await Promise.all(
    proxies.map(async (proxy) => {
      // A range like 10.0.0.0/8 is taken as it is.
      if (isIP(proxy.split('/')[0] ?? '') !== 0) return [proxy];
      const addresses = await lookup(proxy, { all: true }).catch(() => []);
      if (addresses.length === 0)
        throw new Error(`TRUSTED_PROXIES: “${proxy}” has no address. Give names or addresses, separated by commas.`);
      return addresses.map(({ address }) => address);
    }),
  );
  return found.flat();
}
