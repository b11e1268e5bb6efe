import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { LANGUAGES, validationIssue } from '@keen/contract';
import { runBatch } from './batch.ts';
import type { DiagnoseOptions } from './diagnoseCase.ts';
import { refused } from './outcome.ts';
import type { Outcome, Refused } from './outcome.ts';
import type { Streams } from './streams.ts';

const USAGE = `keen diagnose FILE          one case file, or - for standard input
keen diagnose --batch FILE  one case a line (NDJSON), one result a line
    --prices FILE           either: weigh the advice at this price list
    --language es           either: sentences in Spanish
keen calc NAME '{...}'      one calculator
keen calc --batch FILE      one {"name": ..., "in": {...}} a line
`;

const REFUSED = 2;

/**
 * The headless command.
 * @returns the exit code: 0, or 2 when the case, the call or the command line is refused
 */
export async function run(args: readonly string[], streams: Streams): Promise<number> {
  const [command, ...given] = args;
  try {
    let code: number | null = null;
    if (command === 'diagnose') code = await runDiagnose(given, streams);
    if (command === 'calc') code = await runCalculator(given, streams);
    if (code !== null) return code;
  } catch (error) {
    if (!isMissingFile(error)) throw error;
    return print(refused(validationIssue('', 'readableFile', { why: error.message })), streams);
  }
  streams.stderr.write(USAGE);
  return command === '--help' || command === 'help' ? 0 : REFUSED;
}

/** @returns the exit code, or null for arguments that are none of {@link USAGE} */
async function runDiagnose(args: string[], streams: Streams): Promise<number | null> {
  const line = parseLine(args);
  const [file] = line?.positionals ?? [];
  if (!line || !file || line.positionals.length > 1) return null;
  const options = await readOptions(line.values, streams);
  if ('error' in options) return print(options, streams);
  if (line.values.batch) {
    await runBatch('diagnose', file, streams, options);
    return 0;
  }
  // Each command loads what it needs alone: a calculator answers at once.
  const { diagnoseCase } = await import('./diagnoseCase.ts');
  return print(diagnoseCase(await readText(file, streams), options), streams);
}

async function runCalculator(
  [name, input, ...more]: readonly string[],
  streams: Streams,
): Promise<number | null> {
  if (!name || !input || more.length > 0) return null;
  if (name === '--batch') {
    await runBatch('calc', input, streams);
    return 0;
  }
  const { calculateCall } = await import('./calculateCall.ts');
  return print(calculateCall(name, input), streams);
}

/** What stands after `diagnose`; null when it is none of {@link USAGE}. */
function parseLine(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: {
        batch: { type: 'boolean' },
        prices: { type: 'string' },
        language: { type: 'string' },
      },
    });
  } catch {
    return null;
  }
}

async function readOptions(
  { prices, language }: { prices?: string; language?: string },
  streams: Streams,
): Promise<DiagnoseOptions | Refused> {
  const options: DiagnoseOptions = {};
  if (language !== undefined) {
    const known = LANGUAGES.find((one) => one === language);
    const list = LANGUAGES.join(', ');
    if (!known) return refused(validationIssue('language', 'oneOf', { list }));
    options.language = known;
  }
  if (prices !== undefined) {
    const { readPrices } = await import('./diagnoseCase.ts');
    const read = readPrices(await readText(prices, streams));
    if ('error' in read) return read;
    options.prices = read.prices;
  }
  return options;
}

function print(outcome: Outcome, { stdout, stderr }: Streams): number {
  const refused = 'error' in outcome;
  (refused ? stderr : stdout).write(`${JSON.stringify(refused ? outcome : outcome.result)}\n`);
  return refused ? REFUSED : 0;
}

async function readText(file: string, { stdin }: Streams): Promise<string> {
  return file === '-' ? text(stdin) : readFile(file, 'utf8');
}

function isMissingFile(error: unknown): error is NodeJS.ErrnoException {
  return error instanceof Error && 'code' in error && typeof error.code === 'string';
}
