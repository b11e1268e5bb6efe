import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { run } from './run.mjs';
import { PlainError, step } from './say.mjs';

const CLUSTER_CONFIG = '/etc/postgresql-common/createcluster.conf';

/**
 * Installs Debian packages, or says the one line to run where the rights are missing.
 * @param {string[]} names
 * @param {string} what - in words, for the progress line
 */
export async function installPackages(names, what) {
  if (process.getuid?.() !== 0) {
    throw new PlainError(
      `${what} is missing; run this once: sudo apt-get install -y --no-install-recommends ${names.join(' ')}`,
    );
  }
  // Debian's package would make and start a system cluster; we keep our own and touch no other.
  if (names.includes('postgresql') && !existsSync(CLUSTER_CONFIG)) {
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync(CLUSTER_CONFIG, 'create_main_cluster = false\n');
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  step(`installing ${what}: looking up packages`);
  await run('apt-get', ['update'], { env });
  step(`installing ${what}: this takes a minute`);
  await run('apt-get', ['install', '-y', '--no-install-recommends', ...names], { env });
}
