import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';

const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const made: string[] = [];
afterAll(() => made.forEach((dir) => rmSync(dir, { recursive: true, force: true })));

interface Violation {
  rule: { name: string };
  from: string;
}
interface Report {
  summary: { violations: Violation[]; totalCruised: number };
}

/** Runs the import rules over a small tree that holds just these files. */
function cruise(files: Record<string, string>): Report['summary'] {
  const dir = mkdtempSync(join(tmpdir(), 'keen-imports-'));
  made.push(dir);
  for (const [path, text] of Object.entries(files)) {
    mkdirSync(dirname(join(dir, path)), { recursive: true });
    writeFileSync(join(dir, path), text);
  }
  writeFileSync(join(dir, 'package.json'), '{"type": "module"}');
  symlinkSync(join(root, 'node_modules'), join(dir, 'node_modules'));
  const { stdout } = spawnSync(
    process.execPath,
    [
      join(root, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs'),
      ...['--config', join(root, '.dependency-cruiser.cjs')],
      ...[
        '--output-type',
        'json',
        ...new Set(Object.keys(files).map((path) => path.split('/')[0]!)),
      ],
    ],
    { cwd: dir, encoding: 'utf8' },
  );
  return (JSON.parse(stdout) as Report).summary;
}

const LEAF = 'export const x = 1;\n';

/** Imports that each rule must refuse: the rule, who imports, and what. */
const PLANTED: readonly (readonly [rule: string, from: string, to: string])[] = [
  ['core-floor-engine', 'packages/core/src/engine/a.ts', 'packages/core/src/words/leaf.ts'],
  ['core-floor-visit', 'packages/core/src/visit/a.ts', 'packages/core/src/steps/read/leaf.ts'],
  ['core-floor-words', 'packages/core/src/words/a.ts', 'packages/core/src/steps/measure/leaf.ts'],
  [
    'core-floor-steps-explain',
    'packages/core/src/steps/explain/a.ts',
    'packages/core/src/steps/decide/leaf.ts',
  ],
  ['core-imports-contract-only', 'packages/core/src/a.ts', 'apps/web/src/leaf.ts'],
  ['core-imports-contract-only', 'packages/core/src/b.ts', 'packages/simulator/src/leaf.ts'],
  ['simulator-imports-core-and-contract', 'packages/simulator/src/a.ts', 'demo/src/leaf.ts'],
  ['apps-do-not-simulate', 'apps/web/src/b.ts', 'packages/simulator/src/leaf.ts'],
  ['contract-imports-nothing-of-ours', 'packages/contract/src/a.ts', 'packages/core/src/leaf.ts'],
  ['apps-do-not-import-one-another', 'apps/web/src/a.ts', 'apps/server/src/leaf.ts'],
  [
    'features-do-not-import-one-another',
    'apps/web/src/features/a/x.ts',
    'apps/web/src/features/b/leaf.ts',
  ],
  [
    'features-do-not-import-one-another',
    'apps/server/src/features/a/x.ts',
    'apps/server/src/features/b/leaf.ts',
  ],
  [
    'shared-and-drawing-know-no-feature',
    'apps/web/src/shared/a.ts',
    'apps/web/src/features/b/leaf.ts',
  ],
  ['demo-knows-no-app', 'demo/src/a.ts', 'apps/server/src/leaf.ts'],
  ['e2e-sees-the-product-from-outside', 'e2e/a.ts', 'packages/core/src/leaf.ts'],
];

describe('import directions', () => {
  const up = (from: string) => '../'.repeat(from.split('/').length - 1);
  const files: Record<string, string> = {
    'packages/core/src/usesNode.ts': "import fs from 'node:fs';\nexport const x = fs;\n",
    'packages/core/src/usesPackage.ts': "import z from 'zod';\nexport const x = z;\n",
    'apps/web/src/circleA.ts': "export { y } from './circleB.ts';\nexport const x = 1;\n",
    'apps/web/src/circleB.ts': "export { x } from './circleA.ts';\nexport const y = 1;\n",
    'apps/web/src/features/c/allowed.ts': "export { x } from '../../leaf.ts';\n",
  };
  for (const [, from, to] of PLANTED) {
    files[from] = `export { x } from '${up(from)}${to}';\n`;
    files[to] = LEAF;
  }
  const { violations, totalCruised } = cruise(files);
  const found = violations.map(({ rule, from }) => `${rule.name}: ${from}`);

  it('are read from every file of the planted tree', () => {
    expect(totalCruised).toBeGreaterThanOrEqual(Object.keys(files).length);
  });

  it.each(PLANTED)('%s refuses %s importing %s', (rule, from) => {
    expect(found).toContain(`${rule}: ${from}`);
  });

  it('keep core free of Node and of packages, and find circles', () => {
    expect(found).toContain('core-is-pure: packages/core/src/usesNode.ts');
    expect(found).toContain('core-takes-no-packages: packages/core/src/usesPackage.ts');
    expect(found.some((line) => /^no-circular: apps\/web\/src\/circle[AB]/.test(line))).toBe(true);
  });

  it('refuse nothing that is allowed', () => {
    expect(found.filter((line) => line.includes('allowed.ts') || line.includes('leaf.ts'))).toEqual(
      [],
    );
  });
});

/** Folders of sources, and which others they import from; tests may look anywhere. */
function folderImports(...places: string[]): Map<string, Set<string>> {
  const { stdout } = spawnSync(
    process.execPath,
    [
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      ...['--config', '.dependency-cruiser.cjs', '--output-type', 'json', ...places],
    ],
    { cwd: root, encoding: 'utf8', maxBuffer: 100_000_000 },
  );
  const { modules } = JSON.parse(stdout) as {
    modules: { source: string; dependencies: { resolved: string }[] }[];
  };
  const isSource = (file: string) => /\/src\/.+\//.test(file) && !/\.test\.tsx?$/.test(file);
  const folders = new Map<string, Set<string>>();
  for (const { source, dependencies } of modules) {
    if (!isSource(source)) continue;
    const from = dirname(source);
    const to = folders.get(from) ?? new Set();
    folders.set(from, to);
    for (const { resolved } of dependencies) {
      if (isSource(resolved) && dirname(resolved) !== from) to.add(dirname(resolved));
    }
  }
  return folders;
}

/** A way from a folder back to itself, or null. */
function circleFrom(start: string, imports: Map<string, Set<string>>): string[] | null {
  const ways: string[][] = [[start]];
  const seen = new Set<string>();
  for (let way = ways.shift(); way; way = ways.shift()) {
    for (const next of imports.get(way.at(-1)!) ?? []) {
      if (next === start) return [...way, start];
      if (seen.has(next)) continue;
      seen.add(next);
      ways.push([...way, next]);
    }
  }
  return null;
}

describe('folders', () => {
  it('of core, web and server do not import one another in circles', { timeout: 120_000 }, () => {
    const imports = folderImports('packages', 'apps');
    expect(imports.size).toBeGreaterThan(50);
    const circles = [...imports.keys()].map((folder) => circleFrom(folder, imports));
    expect(circles.filter((circle) => circle !== null)).toEqual([]);
  });

  it('in a circle are found', () => {
    const planted = new Map([
      ['a', new Set(['b'])],
      ['b', new Set(['c'])],
      ['c', new Set(['a'])],
    ]);
    expect(circleFrom('a', planted)).toEqual(['a', 'b', 'c', 'a']);
    expect(circleFrom('a', new Map([['a', new Set(['b'])]]))).toBeNull();
  });
});

describe('the pages that say where things are', () => {
  it.each(['docs/architecture.md', 'CONTRIBUTING.md'])('%s names files that are there', (page) => {
    const text = readFileSync(join(root, page), 'utf8');
    const paths = [
      ...text.matchAll(/`((?:contract|core|simulator|server|web|bench|e2e)\/[\w./-]+)`/g),
    ].map(([, path]) => path!);
    expect(paths.length).toBeGreaterThan(20);
    const missing = paths.filter(
      (path) => !['packages', 'apps', '.'].some((place) => existsSync(join(root, place, path))),
    );
    expect(missing).toEqual([]);
  });
});

describe('lock file', () => {
  it('names no host of a package registry', () => {
    expect(readFileSync(join(root, 'package-lock.json'), 'utf8')).not.toMatch(
      /"resolved": "https?:/,
    );
  });
});

describe('migrations', () => {
  it('are just what the schema says: generating again writes nothing', () => {
    const out = mkdtempSync(join(tmpdir(), 'keen-drizzle-'));
    made.push(out);
    const { stdout, status } = spawnSync('npx', ['drizzle-kit', 'generate', '--name', 'check'], {
      cwd: join(root, 'apps/server'),
      encoding: 'utf8',
    });
    const isUnchanged = stdout.includes('No schema changes');
    if (!isUnchanged) spawnSync('git', ['checkout', '--', 'apps/server/drizzle'], { cwd: root });
    expect(status).toBe(0);
    expect(isUnchanged).toBe(true);
  });
});
