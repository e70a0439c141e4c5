import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { alone } from './lock.mjs';
import { inPackage, inRoot, root } from './paths.mjs';
import { run } from './run.mjs';
import { PlainError, say } from './say.mjs';

const leastNode = [20, 11];

const checkNode = () => {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < leastNode[0] || (major === leastNode[0] && minor < leastNode[1]))
    throw new PlainError(`Vitrum needs Node.js ${leastNode.join('.')} or newer; this is ${process.versions.node}.`);
};

const fingerprint = (files) => {
  const hash = createHash('sha256');
  for (const file of [...files].sort())
    hash
      .update(file)
      .update('\0')
      .update(readFileSync(inRoot(file)))
      .update('\0');
  return hash.digest('hex');
};

const readStamp = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

const filesUnder = (folder) =>
  readdirSync(inRoot(folder)).flatMap((name) => {
    const file = path.posix.join(folder, name);
    return statSync(inRoot(file)).isDirectory() ? filesUnder(file) : [file];
  });

const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

const installPackages = async () => {
  const stamp = inRoot('node_modules', '.vitrum-installed');
  const wanted = fingerprint(['package-lock.json']);
  if (readStamp(stamp) === wanted) return;
  say('Installing npm packages …');
  await run(npm, ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root });
  writeFileSync(stamp, wanted);
};

const sourceFolders = [
  'packages/core/src',
  'packages/contract/src',
  'apps/server/src',
  'apps/cli/src',
  'apps/web/src',
  'apps/web/public',
];
const sourceFiles = [
  'package-lock.json',
  'scripts/lib/bundle-core.mjs',
  'tsconfig.base.json',
  'tsconfig.json',
  'apps/web/index.html',
  'apps/web/vite.config.ts',
  'apps/web/with-service-worker.ts',
  'apps/web/without-work.ts',
  'apps/web/tsconfig.json',
  'apps/server/tsconfig.json',
  'packages/core/package.json',
  'packages/contract/package.json',
  'packages/core/tsconfig.json',
  'packages/contract/tsconfig.json',
  'apps/cli/tsconfig.json',
];
const products = [
  'packages/core/dist/index.js',
  'packages/core/dist/bundle/index.js',
  'packages/contract/dist/index.js',
  'apps/server/dist/main.js',
  'apps/cli/dist/main.js',
  'apps/web/dist/index.html',
];

const build = async () => {
  const stamp = inRoot('.vitrum', 'built');
  const folders = sourceFolders.filter((folder) => existsSync(inRoot(folder)));
  const wanted = fingerprint([...folders.flatMap(filesUnder), ...sourceFiles]);
  if (readStamp(stamp) === wanted && products.every((file) => existsSync(inRoot(file)))) return;
  say('Building …');
  await run('node', [inRoot('node_modules/typescript/bin/tsc'), '-b'], { cwd: root });
  await run('node', [inRoot('scripts/lib/bundle-core.mjs')], { cwd: root });
  await run('node', [inPackage('apps/web', 'vite', 'bin/vite.js'), 'build', '--logLevel', 'warn'], {
    cwd: inRoot('apps/web'),
  });
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, wanted);
};

/** Brings npm packages and the build up to date; quick when they are. One command at a time does it. */
export const setUp = async ({ withBuild = true } = {}) => {
  checkNode();
  await alone('setup', async () => {
    await installPackages();
    if (withBuild) await build();
  });
};
