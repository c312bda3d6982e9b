import { join } from 'node:path';
import { newDatabase } from './copy-database.mjs';
import { ROOT } from './places.mjs';

/** Databases that tests copy: one that is migrated and empty, one with the demo studio of today. */
export const TEMPLATES = { empty: 'clay_pot_test_template', demo: 'clay_pot_test_template_demo' };

const built = (path) => import(join(ROOT, 'packages/server/dist', path));

/** Migrates both templates, each once a run, with the built server’s own migrations. What is computed of the demo’s people is kept in theirs. */
export async function makeTemplates(server) {
  const [{ DataSource }, { dataSourceOptions, migrate }, { seedWhenEmpty }] = [
    await import('typeorm'),
    await built('database/data-source.js'),
    await built('database/demo/seed.js'),
  ];
  for (const [kind, name] of Object.entries(TEMPLATES)) {
    await newDatabase(server, name);
    const source = await new DataSource(dataSourceOptions(server + name)).initialize();
    await migrate(source, () => (kind === 'demo' ? seedWhenEmpty(source, new Date()) : Promise.resolve()));
    await source.destroy();
  }
  await lookAtEverybody(server + TEMPLATES.demo);
}

/** Asks the built server about all of the demo’s people, as a coach’s first look of a morning does. */
async function lookAtEverybody(databaseUrl) {
  const [{ createApp }, { DEMO_SIGN_IN }] = [await built('create-app.js'), await built('database/demo/seed.js')];
  const config = {
    databaseUrl,
    host: '127.0.0.1',
    port: 0,
    webRoot: '/nowhere',
    demo: null,
    logLevel: 'silent',
    secureCookie: false,
    allowedHosts: [],
    trustedProxies: [],
  };
  const app = await createApp(config);
  await app.init();
  const fastify = app.getHttpAdapter().getInstance();
  await fastify.ready();
  const signedIn = await fastify.inject({ method: 'POST', url: '/api/sign-in', payload: DEMO_SIGN_IN });
  const cookie = String(signedIn.headers['set-cookie']).split(';')[0];
  const read = async (path) => (await fastify.inject({ url: `/api${path}`, headers: { cookie } })).json();
  while ((await read('/suggestions')).toLookAt > 0);
  for (const { id } of await read('/athletes')) await read(`/athletes/${id}/evidence`);
  await app.close();
}
