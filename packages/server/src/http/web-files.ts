import { existsSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';

const A_YEAR_S = 31_536_000;

/** Serves the built interface beside the API: hashed files for a year, and the page itself for every address of a screen. */
export async function serveWeb(app: NestFastifyApplication, root: string): Promise<void> {
  if (!existsSync(join(root, 'index.html'))) return;
  await app.register(fastifyStatic, { root, serve: false });
  const fastify = app.getHttpAdapter().getInstance();
  fastify.get('/assets/*', (request, reply) =>
    reply.sendFile(request.url.split('?')[0]!, { maxAge: A_YEAR_S * 1000, immutable: true }),
  );
  fastify.get('/*', (request, reply) => {
    const path = decodeURI(request.url.split('?')[0]!);
    if (path === '/api' || path.startsWith('/api/')) return reply.callNotFound();
    const isFile = /\.[a-z0-9]+$/i.test(path) && existsSync(join(root, path));
    reply.header('cache-control', 'no-cache');
    return reply.sendFile(isFile ? path : 'index.html', { cacheControl: false });
  });
}
