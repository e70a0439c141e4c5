import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { findChromium } from './lib/chromium.mjs';
import { inPackage, inRoot, root } from './lib/paths.mjs';
import { findPostgres } from './lib/postgres.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';
import { temporaryDatabase } from './lib/stage.mjs';

const seconds = (since) => `${Math.round((Date.now() - since) / 1000)} s`;

/** What runs now. */
const running = new Set();

/** Runs to its end, its output shown in one piece then, for others run beside it; resolves with the exit code. */
const exitCode = (name, args, environment = {}) =>
  new Promise((resolve) => {
    const since = Date.now();
    const child = spawn('node', args, { cwd: root, env: { ...process.env, ...environment } });
    running.add(child);
    const said = [];
    child.stdout.on('data', (chunk) => said.push(chunk));
    child.stderr.on('data', (chunk) => said.push(chunk));
    child.on('exit', (code) => {
      running.delete(child);
      say(`\n— ${name}, ${seconds(since)}`);
      process.stdout.write(Buffer.concat(said));
      resolve(code ?? 1);
    });
  });

/** Most of what is made is gone at once: with more room for it, less time goes into collecting it. */
const roomForYoung = '--max-semi-space-size=128';

const tool = (name, file) => inPackage('.', name, file);

/** Found only when they are wanted: on a fresh clone the packages are not there yet. */
const listChecks = () => [
  ['types and lint', [roomForYoung, inRoot('scripts/lib/types-and-lint.mjs')]],
  ['generated documents', [inRoot('scripts/docs.mjs'), '--check']],
  ['formatting', [tool('prettier', 'bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']],
  [
    'import directions',
    [
      tool('dependency-cruiser', 'bin/dependency-cruise.mjs'),
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'packages',
      'apps',
      'e2e',
    ],
  ],
];

const runChecks = async () => {
  const checks = listChecks();
  const failed = [];
  for (const [name, args] of checks) {
    if ((await exitCode(name, args)) !== 0) failed.push(name);
  }
  return { passed: checks.length - failed.length, failed: failed.length };
};

const runJest = async (projects, environment, folder) => {
  const report = path.join(folder, `jest-${projects[0]}.json`);
  const args = [
    '--experimental-vm-modules',
    '--disable-warning=ExperimentalWarning',
    roomForYoung,
    tool('jest', 'bin/jest.js'),
    '--config',
    inRoot('scripts/lib/jest-together.config.mjs'),
    '--selectProjects',
    ...projects,
    '--json',
    `--outputFile=${report}`,
    '--silent',
    // All results are in by then: a thread that is still ending must not hold up the rest.
    '--forceExit',
    `--maxWorkers=${workersEach}`,
  ];
  const code = await exitCode(`unit tests: ${projects.join(', ')}`, args, environment);
  try {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
    const failed = numFailedTests + numRuntimeErrorTestSuites;
    return { passed: numPassedTests, failed: code !== 0 && failed === 0 ? 1 : failed };
  } catch {
    return { passed: 0, failed: 1 };
  }
};

/** Titles of the tests that failed once and passed when they were run again. */
const secondTries = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky')).map(({ title }) => title),
    ...secondTries(inner),
  ]);

const runBrowser = async (environment, folder) => {
  const report = path.join(folder, 'browser.json');
  const executable = await findChromium();
  const code = await exitCode(
    'browser tests',
    [tool('@playwright/test', 'cli.js'), 'test', '--config', inRoot('e2e/playwright.config.ts')],
    { ...environment, VITRUM_CHROMIUM: executable, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  );
  try {
    const { stats, suites } = JSON.parse(readFileSync(report, 'utf8'));
    const failed = stats.unexpected;
    for (const title of secondTries(suites)) say(`passed at the second try only: ${title}`);
    return { passed: stats.expected + stats.flaky, failed: code !== 0 && failed === 0 ? 1 : failed };
  } catch {
    return { passed: 0, failed: 1 };
  }
};

const parts = ['checks', 'unit', 'server', 'browser'];

/** Two lanes run side by side, about as long as each other, each with half of the cores. */
const workersEach = Math.max(1, Math.floor(os.availableParallelism() / 2));

await runMain(async () => {
  const asked = process.argv.slice(2);
  const wanted = (part) => asked.length === 0 || asked.includes(part);
  const unknown = asked.filter((part) => !parts.includes(part));
  if (unknown.length > 0) throw new Error(`there is no part “${unknown[0]}”; there is ${parts.join(', ')}`);
  const needsDatabase = wanted('server') || wanted('browser');
  /** Debian's packages, one after the other, while npm's come. */
  const bringPrograms = async () => {
    if (needsDatabase) await findPostgres();
    if (wanted('browser')) await findChromium();
  };
  await Promise.all([setUp({ withBuild: false }), bringPrograms()]);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vitrum-reports-'));
  const database = needsDatabase ? await temporaryDatabase() : null;
  const environment = { VITRUM_TEST_POSTGRES: database?.server ?? '' };
  const ended = () => {
    // Where all went well nothing runs any more; a build that fails ends what began beside it.
    for (const child of running) child.kill();
    database?.end();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      ended();
      process.exit(1);
    });
  const since = Date.now();
  /** Made once, by the first that asks for it; what wants none begins at once. */
  let built = null;
  const withBuild = (work) => async () => {
    await (built ??= setUp());
    return work();
  };
  const runs = {
    core: () => runJest(['core', 'new-build'], environment, folder),
    page: withBuild(() => runJest(['contract', 'web', 'web-parts', 'cli'], environment, folder)),
    checks: withBuild(runChecks),
    server: withBuild(() => runJest(['server'], environment, folder)),
    browser: withBuild(() => runBrowser(environment, folder)),
  };
  // Each lane takes what is left as soon as it is free, the longest first.
  const left = ['browser', 'core', 'server', 'checks', 'page'].filter((part) =>
    wanted(part === 'core' || part === 'page' ? 'unit' : part),
  );
  const lane = async () => {
    const found = [];
    for (let name = left.shift(); name !== undefined; name = left.shift()) found.push(await runs[name]());
    return found;
  };
  let results = [];
  try {
    results = (await Promise.all([lane(), lane()])).flat();
  } finally {
    ended();
  }
  const total = (key) => results.reduce((sum, result) => sum + result[key], 0);
  say(`\n${total('passed')} passed, ${total('failed')} failed, ${seconds(since)}`);
  process.exitCode = total('failed') === 0 && total('passed') > 0 ? 0 : 1;
});
process.exit(process.exitCode ?? 0);
