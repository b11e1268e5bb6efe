import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { installDependencies } from './lib/dependencies.mjs';
import { complain, say } from './lib/say.mjs';

/**
 * Runs every check of the project: types, lint with the import directions, format, unit tests, the
 * API against a PostgreSQL of its own, the browser. All of them run, also when one has failed; the
 * last line counts tests, each of the first three as one.
 */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const reports = join(root, '.cache/reports');

/** Steps of one row run side by side: they wait for different things, or use one core each. */
const ROWS = [
  [
    { name: 'types', command: ['npm', 'run', '-s', 'types'] },
    { name: 'lint', command: ['npm', 'run', '-s', 'lint'] },
    { name: 'format', command: ['npm', 'run', '-s', 'format:check'] },
  ],
  [
    {
      name: 'unit and api',
      command: ['npx', 'vitest', 'run', ...vitestReport('unit and api')],
      count: vitestCount,
    },
  ],
  [{ name: 'browser', command: ['npm', 'run', '-s', 'e2e'], count: playwrightCount }],
];

function vitestReport(name) {
  return [
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(reports, `${name}.json`)}`,
  ];
}

function vitestCount(report) {
  return { passed: report.numPassedTests, failed: report.numFailedTests };
}

function playwrightCount(report) {
  const { expected, unexpected, flaky } = report.stats;
  return { passed: expected, failed: unexpected + flaky };
}

/** Runs a step; what it prints is shown at once when it runs alone, else when it has ended. */
function run({ name, command }, isAlone) {
  return new Promise((done) => {
    const [program, ...args] = command;
    const child = spawn(program, args, {
      cwd: root,
      stdio: ['ignore', isAlone ? 'inherit' : 'pipe', isAlone ? 'inherit' : 'pipe'],
      env: { ...process.env, KEEN_REPORT: join(reports, `${name}.json`) },
    });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream?.on('data', (data) => (printed += data));
    }
    child.on('error', (error) => done({ ok: false, printed: error.message }));
    child.on('close', (code) => done({ ok: code === 0, printed: printed.trim() }));
  });
}

/** What a step counted; one that fell over before it wrote a report has failed once. */
function result({ name, count }, ok) {
  if (!count) return { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
  const file = join(reports, `${name}.json`);
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const counted = count(JSON.parse(readFileSync(file, 'utf8')));
  const nothingRan = counted.passed + counted.failed === 0;
  return { ...counted, failed: (!ok || nothingRan) && counted.failed === 0 ? 1 : counted.failed };
}

async function main() {
  await installDependencies(root);
  rmSync(reports, { recursive: true, force: true });
  mkdirSync(reports, { recursive: true });
  const total = { passed: 0, failed: 0 };
  const failedSteps = [];
  for (const row of ROWS) {
    say(`\n== ${row.map(({ name }) => name).join(', ')}`);
    await Promise.all(
      row.map(async (part) => {
        const started = performance.now();
        const { ok, printed } = await run(part, row.length === 1);
        const { passed, failed } = result(part, ok);
        total.passed += passed;
        total.failed += failed;
        if (failed > 0) failedSteps.push(part.name);
        if (printed) say(printed);
        const seconds = ((performance.now() - started) / 1000).toFixed(0);
        say(`== ${part.name}: ${passed} passed, ${failed} failed, ${seconds} s`);
      }),
    );
  }
  if (failedSteps.length > 0) say(`\nfailed: ${failedSteps.join(', ')}`);
  say(`${total.passed} passed, ${total.failed} failed`);
  process.exit(total.failed === 0 ? 0 : 1);
}

main().catch((error) => {
  complain(error);
  say('0 passed, 1 failed');
  process.exit(1);
});
