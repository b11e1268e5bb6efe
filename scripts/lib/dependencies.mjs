import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';
import { PlainError, step } from './say.mjs';

/** Installs the npm packages of the lock file unless just these are there. */
export async function installDependencies(root) {
  const lock = readFileSync(join(root, 'package-lock.json'));
  const wanted = createHash('sha256').update(lock).update(process.version).digest('hex');
  const mark = join(root, 'node_modules', '.keen-installed');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  step('installing packages: a minute or two the first time');
  try {
    await run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root });
  } catch (error) {
    throw new PlainError(`the npm packages could not be installed: ${error.message}`);
  }
  writeFileSync(mark, wanted);
}
