import { existsSync, readdirSync } from 'node:fs';
import { join, sep } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';

const A_YEAR_S = 31_536_000;

/** Serves the built interface beside the API: hashed files for a year, and the page itself for every address of a screen. */
export async function serveWeb(app: NestFastifyApplication, root: string): Promise<void> {
  if (!existsSync(join(root, 'index.html'))) return;
  await app.register(fastifyStatic, { root, serve: false, preCompressed: true });
  const fastify = app.getHttpAdapter().getInstance();
  // Listed once: an address is looked up among these and never on the disk, so that it tells nothing of other files.
  const files = new Set(readdirSync(root, { recursive: true }).map((path) => `/${String(path).split(sep).join('/')}`));
  fastify.get('/assets/*', (request, reply) => {
    const path = pathOf(request.url);
    if (path === null || !files.has(path)) {
      reply.callNotFound();
      return;
    }
    return reply.sendFile(path, { maxAge: A_YEAR_S * 1000, immutable: true });
  });
  fastify.get('/*', (request, reply) => {
    const path = pathOf(request.url);
    if (path === null || path === '/api' || path.startsWith('/api/')) {
      reply.callNotFound();
      return;
    }
    const isFile = /\.[a-z0-9]+$/i.test(path) && files.has(path);
    reply.header('cache-control', 'no-cache');
    return reply.sendFile(isFile ? path : 'index.html', { cacheControl: false });
  });
}

/** The path of an address; null where its escapes are none. */
function pathOf(url: string): string | null {
  try {
    return decodeURIComponent(url.split('?')[0] ?? '/');
  } catch {
    return null;
  }
}
