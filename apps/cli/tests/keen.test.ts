import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { DEFAULT_PRICES, diagnosisSchema } from '@keen/contract';
import { buildNode } from '../../../scripts/lib/nodeBuild.mjs';

const root = fileURLToPath(new URL('../../..', import.meta.url));
const dir = mkdtempSync(join(tmpdir(), 'keen-cli-'));

/** The command as it ships, bundled. */
const main = join(await buildNode(root, 'cli'), 'main.mjs');

/** Runs the command without npm in between, which takes as long again. */
function keen(args: string[], input = '') {
  const { status, stdout, stderr } = spawnSync(process.execPath, [main, ...args], {
    cwd: root,
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

function exampleCase(inner = 3.4): object {
  const tire = { newDepth: 8, distance: 30_000, stations: [{ inner, centre: 5, outer: 5.2 }] };
  return {
    format: 'keen-groove/case',
    version: 1,
    units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
    vehicle: { label: 'car', drive: 'fwd', use: 'street' },
    tires: { lf: tire, rf: tire, lr: tire, rr: tire },
  };
}

function file(name: string, text: string): string {
  const path = join(dir, name);
  writeFileSync(path, text);
  return path;
}

describe('keen diagnose', () => {
  it('prints one diagnosis and exits 0, the same bytes from file and standard input', () => {
    const text = JSON.stringify(exampleCase());
    const first = keen(['diagnose', file('a.keen.json', text)]);
    expect(first.status).toBe(0);
    expect(diagnosisSchema.safeParse(JSON.parse(first.stdout)).success).toBe(true);
    expect(keen(['diagnose', '-'], text).stdout).toBe(first.stdout);
  });

  it('weighs the advice at prices from a flag or the case, and says whose it used', () => {
    const even = exampleCase(5);
    const plain = diagnosisSchema.parse(
      JSON.parse(keen(['diagnose', '-'], JSON.stringify(even)).stdout),
    );
    expect(plain.recommendation.prices).toBe('usual');
    const list = file('prices.json', JSON.stringify(DEFAULT_PRICES));
    const flagged = keen(['diagnose', '-', '--prices', list], JSON.stringify(even)).stdout;
    const { recommendation, ...rest } = diagnosisSchema.parse(JSON.parse(flagged));
    expect(recommendation.prices).toBe('given');
    const [cheapest] = recommendation.courses!.filter(({ bar }) => bar === null);
    expect(recommendation.action).toBe(cheapest!.course);
    expect(rest).toEqual({ ...plain, recommendation: undefined });
    const inCase = keen(
      ['diagnose', '-'],
      JSON.stringify({ ...even, prices: DEFAULT_PRICES }),
    ).stdout;
    expect(inCase).toBe(flagged);
    const batch = keen(
      ['diagnose', '--batch', '-', '--prices', list],
      `${JSON.stringify(even)}\n`,
    ).stdout;
    expect(batch).toBe(flagged);
  });

  it('refuses a wrong price list with its path', () => {
    const list = file('wrong.json', JSON.stringify({ ...DEFAULT_PRICES, taxPercent: 90 }));
    const result = keen(['diagnose', '-', '--prices', list], JSON.stringify(exampleCase()));
    expect(result.status).toBe(2);
    expect(JSON.parse(result.stderr)).toMatchObject({ error: { path: 'taxPercent' } });
  });

  it('says the same in Spanish, with the same figures', () => {
    const text = JSON.stringify(exampleCase());
    const english = keen(['diagnose', '-'], text).stdout;
    const spanish = keen(['diagnose', '-', '--language', 'es'], text).stdout;
    const sentences = /"(because|against|reasons)":\[[^\]]*\]|"(part|why)":"[^"]*"/g;
    expect(spanish.replace(sentences, '')).toBe(english.replace(sentences, ''));
    const { ranked, recommendation } = diagnosisSchema.parse(JSON.parse(spanish));
    const said = [...ranked.flatMap((cause) => cause.because), ...recommendation.reasons];
    expect(said.join(' ')).toMatch(/probable en un|borde interior/);
    expect(said.join(' ')).not.toMatch(/\b(the|likely|edge)\b/);
    expect(keen(['diagnose', '-', '--language=en'], text).stdout).toBe(english);
    const batch = keen(['diagnose', '--batch', '-', '--language', 'es'], `${text}\n`).stdout;
    expect(batch).toBe(spanish);
  });

  it('refuses a language that it does not speak, and an option without its value', () => {
    const unknown = keen(['diagnose', '-', '--language', 'xx'], '{}');
    expect(unknown.status).toBe(2);
    expect(JSON.parse(unknown.stderr)).toMatchObject({ error: { path: 'language' } });
    const bare = keen(['diagnose', '-', '--prices'], JSON.stringify(exampleCase()));
    expect(bare.status).toBe(2);
    expect(bare.stdout).toBe('');
    expect(bare.stderr).toContain('--prices FILE');
  });

  it('refuses a wrong case on standard error with its path and exits 2', () => {
    const result = keen(['diagnose', '-'], JSON.stringify(exampleCase(9)));
    expect(result.status).toBe(2);
    expect(result.stdout).toBe('');
    expect(JSON.parse(result.stderr)).toEqual({
      error: { path: 'tires.lf.stations.0.inner', expected: expect.any(String) as string },
    });
  });

  it('answers a batch line by line, in order, a bad line in its place', () => {
    const lines = [3.4, 9, 3.8].map((inner) => JSON.stringify(exampleCase(inner)));
    lines.splice(1, 0, '{broken');
    const batch = file('cases.ndjson', lines.join('\n'));
    const { status, stdout } = keen(['diagnose', '--batch', batch]);
    const results = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(status).toBe(0);
    expect(results.map((result) => 'error' in result)).toEqual([false, true, true, false]);
    const single = keen(['diagnose', '-'], lines[3]);
    expect(stdout.trim().split('\n')[3]).toBe(single.stdout.trim());
  });

  it('says how it is used, and what file it cannot read', () => {
    expect(keen([]).status).toBe(2);
    const missing = keen(['diagnose', join(dir, 'none.json')]);
    expect(missing.status).toBe(2);
    expect(missing.stderr).toContain('a file that can be read');
  });
});

describe('npm run -s keen', () => {
  it('is the command as a person runs it', () => {
    const { status, stdout } = spawnSync(
      'npm',
      ['run', '-s', 'keen', '--', 'calc', 'slip', '{"toe": 0}'],
      {
        cwd: root,
        encoding: 'utf8',
      },
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toEqual({ metresPerKm: 0, feetPerMile: 0 });
  });
});

describe('keen calc', () => {
  it('prints one result', () => {
    const { status, stdout } = keen(['calc', 'slip', '{"toe": 30}']);
    expect(status).toBe(0);
    expect((JSON.parse(stdout) as { metresPerKm: number }).metresPerKm).toBeCloseTo(500, 9);
  });

  it.each([
    ['slip', '{}', 'toe'],
    ['slip', '{"toe": 90}', 'toe'],
    ['slip', '{"toe": 1, "extra": 2}', 'extra'],
    ['toeConvert', '{"value": 1, "from": "mm", "to": "deg"}', 'diameter'],
    ['tireSize', '{"size": "round"}', 'size'],
    ['unknown', '{}', 'name'],
    ['slip', '{', ''],
  ])('refuses %s %s at "%s"', (name, input, path) => {
    const { status, stderr } = keen(['calc', name, input]);
    expect(status).toBe(2);
    expect((JSON.parse(stderr) as { error: { path: string } }).error.path).toBe(path);
  });

  it('answers a batch in order', () => {
    const batch = file(
      'calls.ndjson',
      [
        '{"name":"slip","in":{"toe":1}}',
        '{"name":"nope","in":{}}',
        'x',
        '{"name":"tireSize","in":{"size":"205/55R16"}}',
      ].join('\n'),
    );
    const results = keen(['calc', '--batch', batch])
      .stdout.trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(results).toHaveLength(4);
    expect(results[1]).toHaveProperty('error.path', 'name');
    expect(results[2]).toHaveProperty('error.path', '');
    expect(results[3]).toHaveProperty('diameter');
  });
});
