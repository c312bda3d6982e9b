/** Unit tests of the core, the server over a real database, and the web's stores. Each package's tests stand in one project. */
const shared = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
};
const swc = (decorators) => ({
  // Of our own packages what was built is read as well.
  '/packages/\\w+/(src|test)/.+\\.tsx?$|/packages/\\w+/dist/.+\\.js$': [
    '<rootDir>/../../jest.globals.mjs',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true, decorators },
        transform: decorators
          ? { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false }
          : { react: { runtime: 'automatic' } },
      },
      module: { type: 'es6' },
    },
  ],
});

export default {
  // Its own choice on two cores is one worker; each begins anew before modules that were loaded in it fill the memory.
  maxWorkers: 2,
  workerIdleMemoryLimit: '1500MB',
  projects: [
    {
      ...shared,
      displayName: 'core',
      rootDir: 'packages/core',
      roots: ['<rootDir>/src', '<rootDir>/test'],
      transform: swc(false),
    },
    {
      ...shared,
      displayName: 'contracts',
      rootDir: 'packages/contracts',
      roots: ['<rootDir>/test'],
      transform: swc(true),
    },
    { ...shared, displayName: 'server', rootDir: 'packages/server', roots: ['<rootDir>/test'], transform: swc(true) },
    {
      ...shared,
      displayName: 'web',
      rootDir: 'packages/web',
      roots: ['<rootDir>/src'],
      testMatch: ['**/*.test.ts'],
      setupFiles: ['<rootDir>/jest.storage.mjs'],
      transform: swc(false),
    },
    {
      // Pieces of interface, in a document without a browser; whole screens are looked at in e2e/.
      ...shared,
      displayName: 'pieces',
      rootDir: 'packages/web',
      roots: ['<rootDir>/src'],
      testMatch: ['**/*.test.tsx'],
      testEnvironment: 'jsdom',
      setupFilesAfterEnv: ['<rootDir>/jest.document.mjs'],
      transform: swc(false),
    },
  ],
};
