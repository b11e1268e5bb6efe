import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';
import { step } from './say.mjs';

const SOURCES = [
  'apps/web/src',
  'apps/web/public',
  'apps/web/index.html',
  'apps/web/vite.config.ts',
  'packages/contract/src',
  'packages/core/src',
  'package-lock.json',
];

/** Builds the web app unless it was built from just these sources. @returns its folder */
export async function buildWeb(root) {
  const dist = join(root, 'apps/web/dist');
  const mark = join(dist, '.built-from');
  const wanted = hashOf(root);
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return dist;
  step('building the web app');
  // Whoever asks, a test too: with another NODE_ENV the page would be built for development, slow and
  // without its service worker.
  await run('npm', ['run', '-s', 'build', '-w', 'apps/web'], {
    cwd: root,
    env: { ...process.env, NODE_ENV: 'production' },
  });
  writeFileSync(mark, wanted);
  return dist;
}

function hashOf(root) {
  const hash = createHash('sha256').update(process.version);
  for (const source of SOURCES) {
    for (const file of filesBelow(join(root, source))) hash.update(file).update(readFileSync(file));
  }
  return hash.digest('hex');
}

function filesBelow(path) {
  if (!existsSync(path)) return [];
  let entries;
  try {
    entries = readdirSync(path, { withFileTypes: true, recursive: true });
  } catch {
    return [path];
  }
  return entries
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
}
