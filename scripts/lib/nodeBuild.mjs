import { createHash, randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';

const SOURCES = [
  'apps/server/src',
  'apps/cli/src',
  'packages/contract/src',
  'packages/core/src',
  'packages/simulator/src',
  'demo/src',
  'bench/speed.ts',
  'bench/statistics.ts',
  'bench/jags',
  'package-lock.json',
  'scripts/lib/nodeBuild.mjs',
];
/** Bundles of other states of the sources; a server may still be running from the latest. */
const MOST_OTHERS = 3;

/** What runs on Node, by the name of its bundle; workers have the names that the sources start them by. */
const PROGRAMS = {
  server: {
    home: 'apps/server',
    entries: {
      main: 'src/main.ts',
      admin: 'src/admin.ts',
      worker: 'src/jobs/diagnosisWorker.ts',
      workshopWorker: 'src/jobs/workshopTasks.ts',
      archiveWorker: 'src/jobs/archiveWorker.ts',
      yearsWorker: 'src/demo/yearsWorker.ts',
      jobWorker: 'src/work/jobWorker.ts',
    },
    isWhole: false,
  },
  cli: {
    home: 'apps/cli',
    entries: { main: 'src/main.ts', worker: 'src/batchWorker.ts' },
    isWhole: true,
  },
  // What is timed is what ships.
  bench: { home: 'bench', entries: { main: 'speed.ts' }, isWhole: false },
};

/**
 * Bundles a program unless it was bundled from just these sources: started from its bundle it is there at
 * once, and its inner loops run faster than through a loader.
 * @param {string} root
 * @param {keyof typeof PROGRAMS} name
 * @returns {Promise<string>} folder of the bundle, two levels below the program's own as the sources are
 */
export async function buildNode(root, name) {
  const { home, entries, isWhole } = PROGRAMS[name];
  const dist = join(root, home, 'dist');
  const folder = join(dist, stateOf(root));
  if (existsSync(join(folder, 'main.mjs'))) return folder;
  const { build } = await import('rolldown');
  mkdirSync(dist, { recursive: true });
  // Beside its place, and moved there whole: another process may be doing the same.
  const beside = join(dist, `.new-${randomUUID()}`);
  await build({
    cwd: root,
    input: Object.fromEntries(
      Object.entries(entries).map(([entry, file]) => [entry, join(root, home, file)]),
    ),
    platform: 'node',
    // With their own files or native parts, the server's packages stay where they were installed.
    external: isWhole ? [] : isInstalled,
    logLevel: 'warn',
    output: {
      dir: beside,
      format: 'esm',
      entryFileNames: '[name].mjs',
      chunkFileNames: 'part-[hash].mjs',
      sourcemap: true,
      // Constants stay constants: as plain variables they cost the engine's inner loops a sixth of their time.
      topLevelVar: false,
    },
  });
  try {
    renameSync(beside, folder);
  } catch {
    rmSync(beside, { recursive: true, force: true });
  }
  prune(dist, folder);
  return folder;
}

/** Whether a name is of a package of others, not of a file or a package of ours. */
function isInstalled(name) {
  return /^[^./]/.test(name) && !name.startsWith('@keen/');
}

/** Names, sizes and times of the sources: looking at them takes some milliseconds, reading them would not. */
function stateOf(root) {
  const hash = createHash('sha256').update(process.version);
  for (const source of SOURCES) addTo(hash, join(root, source), source);
  return hash.digest('hex').slice(0, 16);
}

function addTo(hash, path, name) {
  const stat = statSync(path);
  if (!stat.isDirectory()) {
    hash.update(`${name} ${stat.size} ${stat.mtimeMs}\n`);
    return;
  }
  for (const entry of readdirSync(path).sort()) addTo(hash, join(path, entry), `${name}/${entry}`);
}

function prune(dist, current) {
  const others = readdirSync(dist)
    .map((name) => join(dist, name))
    .filter((path) => path !== current)
    .map((path) => ({ path, at: statSync(path).mtimeMs }))
    .sort((a, b) => b.at - a.at);
  for (const { path } of others.slice(MOST_OTHERS)) rmSync(path, { recursive: true, force: true });
}
