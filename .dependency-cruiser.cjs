/** Imports point one way: web → contract, core; server → contract, core; cli → core; core → nothing of ours. */
const only = (name, from, forbidden) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: forbidden },
});

module.exports = {
  forbidden: [
    only('core-stands-alone', '^packages/core/', '^(packages/contract|apps)/'),
    only('contract-below-apps', '^packages/contract/', '^apps/'),
    only('web-not-server', '^apps/web/', '^apps/(server|cli)/'),
    only('server-not-web', '^apps/server/', '^apps/(web|cli)/'),
    only('cli-on-core-only', '^apps/cli/', '^(packages/contract|apps/(web|server))/'),
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '(\\.test\\.ts$|/testing/)' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'stages-by-their-index',
      comment: 'Another stage is imported by its index (or its types), never by its internals.',
      severity: 'error',
      from: {
        path: '^packages/core/src/([^/]+/[^/]+)/',
        pathNot: ['\\.test\\.ts$', '^packages/core/src/(session|testing|validation)/'],
      },
      to: {
        path: '^packages/core/src/[^/]+/[^/]+/.+',
        pathNot: [
          '^packages/core/src/$1/',
          '/index\\.ts$',
          '/types\\.ts$',
          '^packages/core/src/(session|testing|validation)/',
          '^packages/core/src/builds/(letters|shared)/',
        ],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(/dist/|node_modules)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
