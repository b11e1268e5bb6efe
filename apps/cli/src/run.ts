import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import { validationIssue } from '@keen/contract';
import { runBatch } from './batch.ts';
import { refused } from './outcome.ts';
import type { Outcome } from './outcome.ts';
import type { Streams } from './streams.ts';

const USAGE = `keen diagnose FILE          one case file, or - for standard input
keen diagnose --batch FILE  one case a line (NDJSON), one result a line
    --prices FILE           either: weigh the advice at this price list
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
    const { rest, prices } = await readPrices(given, streams);
    if (prices && 'error' in prices) return print(prices, streams);
    if ((command === 'diagnose' || command === 'calc') && rest[0] === '--batch' && rest[1]) {
      await runBatch(command, rest[1], streams, prices?.prices);
      return 0;
    }
    if (command === 'diagnose' && rest.length === 1 && rest[0]) {
      // Each command loads what it needs alone: a calculator answers at once.
      const { diagnoseCase } = await import('./diagnoseCase.ts');
      return print(diagnoseCase(await read(rest[0], streams), prices?.prices), streams);
    }
    if (command === 'calc' && rest.length === 2 && rest[0] && rest[1]) {
      const { calculateCall } = await import('./calculateCall.ts');
      return print(calculateCall(rest[0], rest[1]), streams);
    }
  } catch (error) {
    if (!isMissingFile(error)) throw error;
    return print(refused(validationIssue('', 'readableFile', { why: error.message })), streams);
  }
  streams.stderr.write(USAGE);
  return command === '--help' || command === 'help' ? 0 : REFUSED;
}

/** Takes `--prices FILE` out of the arguments. */
async function readPrices(args: readonly string[], streams: Streams) {
  const at = args.indexOf('--prices');
  const file = at < 0 ? undefined : args[at + 1];
  if (file === undefined) return { rest: args, prices: undefined };
  const { readPrices } = await import('./diagnoseCase.ts');
  return { rest: args.toSpliced(at, 2), prices: readPrices(await read(file, streams)) };
}

function print(outcome: Outcome, { stdout, stderr }: Streams): number {
  const refused = 'error' in outcome;
  (refused ? stderr : stdout).write(`${JSON.stringify(refused ? outcome : outcome.result)}\n`);
  return refused ? REFUSED : 0;
}

async function read(file: string, { stdin }: Streams): Promise<string> {
  return file === '-' ? text(stdin) : readFile(file, 'utf8');
}

function isMissingFile(error: unknown): error is NodeJS.ErrnoException {
  return error instanceof Error && 'code' in error && typeof error.code === 'string';
}
