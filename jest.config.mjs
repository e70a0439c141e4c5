/** Unit tests of every workspace; the server's want a PostgreSQL (see scripts/test.mjs). */
const shared = {
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: {
            legacyDecorator: true,
            decoratorMetadata: true,
            useDefineForClassFields: false,
            react: { runtime: 'automatic' },
            // What the page’s bundler puts there.
            optimizer: { globals: { vars: { 'import.meta.env.PROD': 'false' } } },
          },
        },
        module: { type: 'es6' },
      },
    ],
  },
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testEnvironment: '<rootDir>/scripts/lib/jest-plain-environment.mjs',
};

const project = (name, folder) => ({
  ...shared,
  displayName: name,
  rootDir: import.meta.dirname,
  roots: [`<rootDir>/${folder}`],
  testMatch: ['**/*.test.ts'],
});

export default {
  // Hooks that bring a server up share the machine with everything else that runs on it.
  testTimeout: 240_000,
  projects: [
    project('core', 'packages/core/src'),
    // The contract of builds once more, with a build that is in the tests alone: one line more in the registry.
    {
      ...project('new-build', 'packages/core/src'),
      testMatch: ['**/builds/contract.test.ts'],
      globals: { onlyBuild: 'lit-disc' },
      moduleNameMapper: {
        '^\\./registry\\.js$': '<rootDir>/packages/core/src/testing/builds/lit-disc/registry.ts',
        ...shared.moduleNameMapper,
      },
    },
    project('contract', 'packages/contract/src'),
    project('web', 'apps/web/src'),
    // Components, in a document that is made up.
    {
      ...project('web-parts', 'apps/web/src'),
      testMatch: ['**/*.test.tsx'],
      testEnvironment: '<rootDir>/scripts/lib/jest-dom-environment.mjs',
      setupFilesAfterEnv: ['<rootDir>/scripts/lib/tests-of-parts.mjs'],
    },
    project('cli', 'apps/cli/src'),
    project('server', 'apps/server/src'),
  ],
};
