/** Imports point one way: web → contract, core; server → contract, core; cli → core; core → nothing of ours. */
const only = (name, from, forbidden) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: forbidden },
});

/** The neighbourhoods of the core, in the order of the pipeline: each knows those before it. */
const neighbourhoods = [
  'base',
  'document',
  'joinery',
  'artwork',
  'light',
  'power',
  'making',
  'judging',
  'builds',
  'sign',
  'files',
  'shop',
  'session',
];
const inCore = (names) => `^packages/core/src/(${names.join('|')})/`;
const oneWay = neighbourhoods.slice(0, -1).map((name, place) => ({
  name: `core-${name}-knows-what-comes-before`,
  severity: 'error',
  from: { path: inCore([name]), pathNot: '\\.test\\.ts$' },
  to: { path: inCore([...neighbourhoods.slice(place + 1), 'validation', 'testing']) },
}));

module.exports = {
  forbidden: [
    only('core-stands-alone', '^packages/core/', '^(packages/contract|apps)/'),
    only('contract-below-apps', '^packages/contract/', '^apps/'),
    only('web-not-server', '^apps/web/', '^apps/(server|cli)/'),
    only('server-not-web', '^apps/server/', '^apps/(web|cli)/'),
    only('cli-on-core-only', '^apps/cli/', '^(packages/contract|apps/(web|server))/'),
    ...oneWay,
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
        pathNot: [
          '\\.test\\.ts$',
          '^packages/core/src/(session|testing|validation)/',
          '^packages/core/src/builds/together/',
        ],
      },
      to: {
        path: '^packages/core/src/[^/]+/[^/]+/.+',
        pathNot: [
          '^packages/core/src/$1/',
          '/index\\.ts$',
          '/types\\.ts$',
          '^packages/core/src/(session|testing|validation)/',
          '^packages/core/src/builds/(boxes|faces|letters|common)/',
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
