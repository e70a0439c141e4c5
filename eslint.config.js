import reactHooks from 'eslint-plugin-react-hooks';
import { readFileSync } from 'node:fs';
import tseslint from 'typescript-eslint';

/** The builds that are registered, as the folders of the core name them. */
const registry = readFileSync(new URL('packages/core/src/builds/registry.ts', import.meta.url), 'utf8');
const buildNames = [...registry.matchAll(/from '\.\/([^/]+)\/index\.js'/g)].map(([, folder]) => folder);
if (buildNames.length === 0) throw new Error('no build is found in the registry');
const anyOf = (names) => `/^(${names.join('|')})$/`;
/** Words of joinery that are names of builds as well: what wood has in it. */
const joineryWords = ['groove'];
/** Drawings, parts, films and coats have layers: as a field the word names no build, as a value it does. */
const ordinaryFields = ['layers'];
const without = (names, words) => names.filter((name) => !words.includes(name));
/** A component that takes a whole store renders anew at every change of any part of it. */
const wholeStore = {
  selector:
    'CallExpression[callee.name=/^use(Bench|Document|Evaluation|Files|Finder|Meter|Practice|Selection|Tryouts|View)$/][arguments.length=0]',
  message: 'Subscribe to the parts that are shown: a selector, or useParts.',
};
const whatBuildsTell = 'What differs between builds stands in their folders; ask buildOf or pageOf.';

/** No build is named, and none is told by what it has. */
const namesNoBuild = (names) => [
  'error',
  wholeStore,
  {
    // The type of a field may be asked for by its name.
    selector: `:not(TSIndexedAccessType > TSLiteralType) > Literal[value=${anyOf(names)}]`,
    message: `A build is named. ${whatBuildsTell}`,
  },
  {
    selector: `Property > Identifier.key[name=${anyOf(without(names, ordinaryFields))}]`,
    message: `A build is named. ${whatBuildsTell}`,
  },
  {
    selector:
      "BinaryExpression[operator='in']:matches([right.name=/^(glow|own|results|materials|geometry|assembly|evaluation)$/], [right.property.name=/^(glow|results|materials|geometry|assembly|evaluation)$/])",
    message: `A kind is told by what it has. ${whatBuildsTell}`,
  },
];

export default tseslint.config(
  {
    ignores: ['**/dist/**', '**/.tsbuild/**', '**/node_modules/**', '.vitrum/**', 'apps/server/drizzle/**', '**/*.cjs'],
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { project: './tsconfig.test.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      // A field taken out of the rest is left out, not used.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      eqeqeq: 'error',
      'no-console': 'error',
      'prefer-const': 'error',
    },
  },
  {
    // Nest finds its dependencies by the classes it sees at run time, so imports that look like types are not.
    files: ['apps/server/**/*.ts', 'packages/contract/**/*.ts'],
    rules: { '@typescript-eslint/consistent-type-imports': 'off' },
  },
  { files: ['apps/web/**/*.tsx', 'apps/web/**/*.ts'], ...reactHooks.configs.flat['recommended-latest'] },
  {
    files: ['packages/**/*.ts', 'apps/**/*.ts', 'apps/**/*.tsx'],
    ignores: ['**/builds/**', '**/testing/**', '**/*.test.ts', '**/*.test.tsx'],
    rules: { 'no-restricted-syntax': namesNoBuild(buildNames) },
  },
  {
    files: ['packages/core/src/joinery/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': namesNoBuild(without(buildNames, joineryWords)) },
  },
  {
    files: ['apps/web/src/builds/**/*.tsx'],
    rules: { 'no-restricted-syntax': ['error', wholeStore] },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'Buffer',
        'fetch',
        'setTimeout',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass a seeded Random in.' },
      ],
    },
  },
);
