import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { createInterface } from 'node:readline';
import { BATCH_LIMITS, parseCaseFile, validationIssue, unstorable } from '@keen/contract';
import type { Batch, CaseFile, NewBatchQuery, ValidationIssue } from '@keen/contract';
import { and, count, eq, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle, InShop } from '../../db/client.ts';
import type { JobQueue } from '../../db/jobQueue.ts';
import { batchCases, batches } from '../../db/schema/index.ts';
import { AppError, conflict, invalid } from '../../errors.ts';
import type { Program } from '../../http/programRoutes.ts';
import { findBatch, oneBatch } from './batches.service.ts';

const MOST_RUNNING = 20;
/** Lines that one job answers: some seconds of work, after which another batch has its turn. */
const LINES_A_JOB = 5;
/** Rows of one statement. */
const ROWS_AT_ONCE = 100;

interface Line {
  line: number;
  file: CaseFile | null;
  refusal: ValidationIssue | null;
}

interface Order {
  program: Program;
  query: NewBatchQuery;
  /** What was posted, one case a line. */
  file: string;
  address: string | undefined;
}

/**
 * Takes in a batch: lines that are no case are refused at once, the others go on the queue. All of it is there,
 * or nothing. One that is there already is answered as it is.
 * @throws {AppError} 400 when it is empty or too long, 409 when too many run
 */
export async function postBatch(inShop: InShop, queue: JobQueue, order: Order): Promise<Batch> {
  const { program, query, address } = order;
  const { shopId, keyId } = program;
  const id = query.id ?? randomUUID();
  const known = await inShop((tx) => findBatch(tx, shopId, id));
  if (known) return known;
  const lines = await readLines(order.file);
  const refused = lines.filter(({ refusal }) => refusal !== null).length;
  return inShop(async (tx) => {
    await refuseTooMany(tx, shopId);
    const isDone = refused === lines.length;
    await tx.insert(batches).values({
      id,
      shopId,
      keyId,
      name: query.name ?? '',
      state: isDone ? 'done' : 'running',
      cases: lines.length,
      done: refused,
      refused,
      callbackUrl: query.callback ?? null,
      callbackState: query.callback ? 'waiting' : null,
      endedAt: isDone ? new Date() : null,
    });
    for (let at = 0; at < lines.length; at += ROWS_AT_ONCE) {
      const rows = lines.slice(at, at + ROWS_AT_ONCE);
      await tx.insert(batchCases).values(rows.map((line) => ({ shopId, batchId: id, ...line })));
    }
    await sendCases(tx, queue, shopId, id, lines);
    if (isDone && query.callback) await queue.send(tx, 'callback', { shopId, batchId: id });
    await addAudit(
      tx,
      { shopId, personId: null },
      'batchPosted',
      { key: program.name, cases: lines.length },
      address,
    );
    return oneBatch(tx, shopId, id);
  });
}

/** Two that are posted at once wait for each other, so that their number holds. */
async function refuseTooMany(tx: Handle, shopId: string): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`batches ${shopId}`}))`);
  const [running] = await tx
    .select({ n: count() })
    .from(batches)
    .where(and(eq(batches.shopId, shopId), eq(batches.state, 'running')));
  if ((running?.n ?? 0) >= MOST_RUNNING) throw conflict('mostBatches', { most: MOST_RUNNING });
}

/**
 * The first lines of every batch go before the later ones of any, so a short one never waits for the whole of a
 * long one.
 */
async function sendCases(
  tx: Handle,
  queue: JobQueue,
  shopId: string,
  batchId: string,
  lines: readonly Line[],
): Promise<void> {
  const waiting = lines.filter(({ file }) => file !== null);
  for (let at = 0; at < waiting.length; at += LINES_A_JOB) {
    const from = waiting[at]!.line;
    const to = waiting[Math.min(at + LINES_A_JOB, waiting.length) - 1]!.line;
    const priority = -Math.floor(at / LINES_A_JOB);
    await queue.send(tx, 'cases', { shopId, batchId, from, to }, { priority });
  }
}

/** @throws {AppError} 400 when there is no line, or more than a batch has */
async function readLines(file: string): Promise<Line[]> {
  const lines: Line[] = [];
  let line = 0;
  // Each piece of the file leaves room for others' requests.
  const input = createReadStream(file, 'utf8');
  try {
    for await (const text of createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY })) {
      line++;
      if (text.trim() === '') continue;
      if (lines.length >= BATCH_LIMITS.cases) {
        throw new AppError(400, 'invalid', 'batchTooLarge', {
          values: { cases: BATCH_LIMITS.cases },
        });
      }
      lines.push({ line, ...readLine(text) });
    }
  } finally {
    input.destroy();
  }
  if (lines.length === 0) throw invalid([], 'batchEmpty');
  return lines;
}

function readLine(text: string): Pick<Line, 'file' | 'refusal'> {
  const refuse = (why: ValidationIssue) => ({ file: null, refusal: why });
  if (Buffer.byteLength(text) > BATCH_LIMITS.lineBytes) {
    return refuse(validationIssue('', 'shortLine', { most: BATCH_LIMITS.lineBytes }));
  }
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return refuse(validationIssue('', 'json'));
  }
  const never = unstorable(value);
  if (never) return refuse(never);
  const parsed = parseCaseFile(value);
  return parsed.ok ? { file: parsed.value, refusal: null } : refuse(parsed.error);
}
