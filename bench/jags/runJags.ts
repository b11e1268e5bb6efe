import { spawn } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { CaseFile } from '@keen/contract';
import { jagsData, jagsStart } from './jagsData.ts';

/** Below the folder that benches run in: they may run from a bundle, which the model is no part of. */
const MODEL = resolve('bench/jags/model.bug');
const MONITORED = ['camber', 'toe', 'pressure', 'bounce', 'loose', 'cornering'] as const;

/** Draws of one chain, by the name of the unknown: camber[1], toe[2], cornering. */
export type JagsChain = Map<string, Float64Array>;

/**
 * Samples the posterior of a case with JAGS (Debian's package `jags`).
 * @param sweeps - of JAGS's own, after burn-in
 * @param thin - one of so many is kept
 * @throws when JAGS is not installed or refuses the model
 */
export async function runJags(
  file: CaseFile,
  chain: number,
  sweeps: number,
  thin: number,
  burnIn: number,
): Promise<JagsChain> {
  const dir = mkdtempSync(join(tmpdir(), 'keen-jags-'));
  try {
    copyFileSync(MODEL, join(dir, 'model.bug'));
    writeFileSync(join(dir, 'data.R'), jagsData(file));
    writeFileSync(join(dir, 'start.R'), jagsStart(chain));
    const script = [
      'model in "model.bug"',
      'data in "data.R"',
      'compile, nchains(1)',
      'parameters in "start.R"',
      'initialize',
      `update ${burnIn}`,
      ...MONITORED.map((name) => `monitor ${name}, thin(${thin})`),
      `update ${sweeps}`,
      'coda *, stem("out")',
      'exit',
    ];
    writeFileSync(join(dir, 'script.cmd'), `${script.join('\n')}\n`);
    const said = await run('jags', ['script.cmd'], dir);
    try {
      return readCoda(dir);
    } catch {
      throw new Error(`JAGS did not finish:\n${said}`);
    }
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}

function run(command: string, args: readonly string[], cwd: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd });
    let said = '';
    child.stdout.on('data', (text) => (said += text));
    child.stderr.on('data', (text) => (said += text));
    child.on('error', () => reject(new Error('jags is not installed: apt-get install jags')));
    child.on('close', () => resolve(said));
  });
}

/** Reads the index (name, first line, last line) and the draws (iteration, value) that JAGS left. */
function readCoda(dir: string): JagsChain {
  const values = readFileSync(join(dir, 'outchain1.txt'), 'utf8')
    .trimEnd()
    .split('\n')
    .map((line) => Number(line.split(/\s+/)[1]));
  const chain: JagsChain = new Map();
  for (const line of readFileSync(join(dir, 'outindex.txt'), 'utf8').trimEnd().split('\n')) {
    const [name, first, last] = line.split(/\s+/) as [string, string, string];
    chain.set(name, Float64Array.from(values.slice(Number(first) - 1, Number(last))));
  }
  return chain;
}
