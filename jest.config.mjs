/** Unit tests of the core, the server over a real database, and the web's stores. Each package's tests stand in one project. */
const shared = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
};
const swc = (decorators) => ({
  '^.+\\.ts$': [
    '@swc/jest',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', decorators },
        ...(decorators && {
          transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false },
        }),
      },
      module: { type: 'es6' },
    },
  ],
});

export default {
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
      setupFiles: ['<rootDir>/jest.storage.mjs'],
      transform: swc(false),
    },
  ],
};
