import { existsSync, writeFileSync } from 'node:fs';
import { outputOf, run } from './run.mjs';
import { PlainError, say } from './say.mjs';

const asRoot = () => {
  if (process.getuid?.() === 0) return [];
  return outputOf('sudo', ['-n', 'true']) === null ? null : ['sudo', '-n'];
};

/** Installs Debian packages when this user may; else says exactly what to install. */
export const installDebian = async (packages, why) => {
  const prefix = asRoot();
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (prefix === null || outputOf('apt-get', ['--version']) === null)
    throw new PlainError(`${why} Install it as root with: ${command}`);
  say(`Installing ${packages.join(', ')} …`);
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const [program, ...rest] = [...prefix, 'apt-get'];
  try {
    await run(program, [...rest, 'update', '-qq'], { env: environment });
    await run(program, [...rest, 'install', '-y', '-qq', '--no-install-recommends', ...packages], { env: environment });
  } catch (error) {
    throw new PlainError(`${why} ${error.message} Install it as root with: ${command}`);
  }
};

const clusterConfig = '/etc/postgresql-common/createcluster.conf';

/** Keeps Debian from making and starting a cluster of its own beside the project's. */
export const keepDebianFromMakingACluster = async () => {
  await installDebian(['postgresql-common'], 'PostgreSQL is not on this machine.');
  if (process.getuid?.() === 0 && !existsSync(clusterConfig))
    writeFileSync(clusterConfig, 'create_main_cluster = false\n');
};
