import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
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

function rulesBroken(files: Record<string, string>): string[] {
  const { violations, totalCruised } = cruise(files);
  expect(totalCruised).toBeGreaterThanOrEqual(Object.keys(files).length);
  return violations.map(({ rule }) => rule.name);
}

const LEAF = 'export const x = 1;\n';

describe('import directions', () => {
  it.each<[string, string, string]>([
    ['core-imports-contract-only', 'packages/core/src/a.ts', 'apps/web/src/b.ts'],
    ['contract-imports-nothing-of-ours', 'packages/contract/src/a.ts', 'packages/core/src/b.ts'],
    ['apps-do-not-import-one-another', 'apps/web/src/a.ts', 'apps/server/src/b.ts'],
    [
      'features-do-not-import-one-another',
      'apps/web/src/features/a/x.ts',
      'apps/web/src/features/b/y.ts',
    ],
    [
      'features-do-not-import-one-another',
      'apps/server/src/features/a/x.ts',
      'apps/server/src/features/b/y.ts',
    ],
    [
      'shared-and-drawing-know-no-feature',
      'apps/web/src/shared/a.ts',
      'apps/web/src/features/a/x.ts',
    ],
    ['demo-imports-core-and-contract', 'demo/src/a.ts', 'apps/server/src/b.ts'],
    ['e2e-sees-the-product-from-outside', 'e2e/a.ts', 'packages/core/src/b.ts'],
  ])('%s is broken by %s importing %s', (rule, from, to) => {
    const up = '../'.repeat(from.split('/').length - 1);
    expect(rulesBroken({ [from]: `export { x } from '${up}${to}';\n`, [to]: LEAF })).toContain(
      rule,
    );
  });

  it('core stays free of Node and of packages', () => {
    expect(
      rulesBroken({
        'packages/core/src/a.ts': "import fs from 'node:fs';\nexport const x = fs;\n",
      }),
    ).toContain('core-is-pure');
    expect(
      rulesBroken({ 'packages/core/src/a.ts': "import z from 'zod';\nexport const x = z;\n" }),
    ).toContain('core-takes-no-packages');
  });

  it('circles are found, and what is allowed passes', () => {
    expect(
      rulesBroken({
        'apps/web/src/a.ts': "export { y } from './b.ts';\nexport const x = 1;\n",
        'apps/web/src/b.ts': "export { x } from './a.ts';\nexport const y = 1;\n",
      }),
    ).toContain('no-circular');
    expect(
      rulesBroken({
        'apps/web/src/features/a/x.ts': "export { x } from '../../shared/b.ts';\n",
        'apps/web/src/shared/b.ts': LEAF,
      }),
    ).toEqual([]);
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
