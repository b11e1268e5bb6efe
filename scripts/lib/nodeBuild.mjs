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
    // With their own files or native parts, the server's packages stay where they were installed.
    isWhole: false,
  },
  cli: {
    home: 'apps/cli',
    entries: { main: 'src/main.ts', worker: 'src/batchWorker.ts' },
    isWhole: true,
  },
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
  const { build } = await import('esbuild');
  mkdirSync(dist, { recursive: true });
  // Beside its place, and moved there whole: another process may be doing the same.
  const beside = join(dist, `.new-${randomUUID()}`);
  await build({
    entryPoints: Object.fromEntries(
      Object.entries(entries).map(([entry, file]) => [entry, join(root, home, file)]),
    ),
    outdir: beside,
    outExtension: { '.js': '.mjs' },
    chunkNames: 'part-[hash]',
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: 'linked',
    logLevel: 'warning',
    plugins: isWhole ? [] : [installedPackages],
    // A package in the old format asks for its parts by a function that modules do not have.
    banner: isWhole
      ? {
          js: "import { createRequire as keenRequire } from 'node:module'; const require = keenRequire(import.meta.url);",
        }
      : {},
  });
  try {
    renameSync(beside, folder);
  } catch {
    rmSync(beside, { recursive: true, force: true });
  }
  prune(dist, folder);
  return folder;
}

/** Leaves packages of others where they were installed; ours are bundled. */
const installedPackages = {
  name: 'installed-packages',
  setup(build) {
    build.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@keen/') ? undefined : { path, external: true },
    );
  },
};

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
