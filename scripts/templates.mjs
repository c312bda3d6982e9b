import { join } from 'node:path';
import { newDatabase } from './copy-database.mjs';
import { ROOT } from './places.mjs';

/** Databases that tests copy: one that is migrated and empty, one with the demo studio of today. */
export const TEMPLATES = { empty: 'clay_pot_test_template', demo: 'clay_pot_test_template_demo' };

const built = (path) => import(join(ROOT, 'packages/server/dist', path));

/** Migrates both templates, each once a run, with the built server’s own migrations. */
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
}
