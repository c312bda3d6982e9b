import helmet from '@fastify/helmet';
import { type FastifyInstance, fastify } from 'fastify';

/** Sends helmet’s headers with each answer. They are the same for all, so helmet writes them once. @param isSecure whether browsers come over HTTPS */
export async function sendSafeHeaders(server: FastifyInstance, isSecure: boolean): Promise<void> {
  const headers = await headersOf(isSecure);
  server.addHook('onRequest', (_request, reply, done) => {
    void reply.headers(headers);
    done();
  });
}

/** What helmet adds to an answer. */
async function headersOf(isSecure: boolean): Promise<Record<string, string>> {
  const [bare, safe] = [fastify(), fastify()];
  await safe.register(helmet, {
    hsts: isSecure,
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        // The solver is WebAssembly; nothing else is compiled in the browser.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'", 'data:'],
        workerSrc: ["'self'"],
        frameAncestors: ["'none'"],
        upgradeInsecureRequests: isSecure ? [] : null,
      },
    },
  });
  for (const each of [bare, safe]) each.get('/', (_request, reply) => reply.send(''));
  const [without, withHelmet] = [await bare.inject('/'), await safe.inject('/')];
  await Promise.all([bare.close(), safe.close()]);
  const added = Object.entries(withHelmet.headers).filter(([name]) => !(name in without.headers));
  return Object.fromEntries(added.map(([name, value]) => [name, String(value)]));
}
