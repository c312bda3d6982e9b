import { randomInt } from 'node:crypto';
import { join } from 'node:path';
import { bundled, bundleTests } from './scripts/bundle-tests.mjs';
import { ROOT } from './scripts/places.mjs';

/** What the projects have in common: their tests are bundled (`scripts/bundle-tests.mjs`) whenever Jest begins. */
const project = (name, more = {}) => ({
  displayName: name,
  rootDir: bundled(name),
  testMatch: ['**/*.test.js'],
  testEnvironment: 'node',
  transform: {},
  ...more,
});

/** Unit tests of the core, the server over a real database, and the web's stores. Each package's tests stand in one project. */
export default async () => {
  // Properties are tried on other cases with each run; the same seed tries the same again.
  process.env.PROPERTY_SEED ??= String(randomInt(2 ** 31));
  process.stdout.write(`Properties by PROPERTY_SEED=${process.env.PROPERTY_SEED}, PROPERTY_SIZE=${process.env.PROPERTY_SIZE ?? 1}\n`);
  await bundleTests();
  return {
    // Its own choice on two cores is one worker; each begins anew before modules that were loaded in it fill the memory.
    maxWorkers: 2,
    // Beside types and lint a house takes longer to open.
    testTimeout: 30_000,
    workerIdleMemoryLimit: '1500MB',
    projects: [
      project('core', { setupFiles: ['<rootDir>/jest.properties.js'] }),
      project('contracts'),
      project('server'),
      project('web', { setupFiles: ['<rootDir>/jest.storage.js'] }),
      // Pieces of interface, in a document without a browser; whole screens are looked at in e2e/.
      project('pieces', {
        testEnvironment: 'jsdom',
        setupFiles: [join(ROOT, 'packages/web/jest.browser.mjs')],
        setupFilesAfterEnv: ['<rootDir>/jest.document.js'],
      }),
    ],
  };
};
