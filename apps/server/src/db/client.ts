import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema/index.ts';

export type Database = NodePgDatabase<typeof schema> & { $client: pg.Pool };
/** What services ask: the database or a transaction on it, whichever the caller has. */
export type Handle = Pick<
  Database,
  | '$count'
  | 'delete'
  | 'execute'
  | 'insert'
  | 'select'
  | 'selectDistinct'
  | 'selectDistinctOn'
  | 'update'
>;
/** A transaction that can have steps within it, each taken back by itself. */
export type SteppedHandle = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Runs work for one shop; see {@link inShop}. */
export type InShop = <T>(work: (tx: Handle) => Promise<T>) => Promise<T>;

const MAX_CONNECTIONS = 10;
const CONNECT_MS = 5_000;
/** While the demo is made both cores are busy and nobody waits for an answer. */
export const PATIENT_CONNECT_MS = 60_000;
const STATEMENT_MS = 20_000;
/** Work that the database ended for a deadlock is done again so often. */
const MOST_TRIES = 3;
const DEADLOCK = '40P01';

/**
 * @param name - by which the database lists its connections
 * @param connectMs - how long a new connection may take, ms
 */
export function connect(
  url: string,
  { name = 'keen', connectMs = CONNECT_MS }: { name?: string; connectMs?: number } = {},
): { pool: pg.Pool; db: Database } {
  const pool = new pg.Pool({
    connectionString: url,
    max: MAX_CONNECTIONS,
    connectionTimeoutMillis: connectMs,
    statement_timeout: STATEMENT_MS,
    // A database that hangs without a word must not hold requests for ever.
    query_timeout: STATEMENT_MS + CONNECT_MS,
    idle_in_transaction_session_timeout: STATEMENT_MS,
    keepAlive: true,
    // Statements that do not wait for one another's answers travel together.
    pipeline: true,
    application_name: name,
  });
  // A connection that breaks in the middle of a transaction, between two queries, says so on the client
  // itself: the next query fails anyway, but without a listener the process would end.
  pool.on('connect', (client) => client.on('error', () => undefined));
  return { pool, db: drizzle(pool, { schema }) };
}

/** One query builder for each connection, since building one takes longer than a statement. */
const handles = new WeakMap<pg.PoolClient, Handle>();
const clients = new WeakMap<Handle, pg.PoolClient>();

function handleOf(client: pg.PoolClient): Handle {
  const known = handles.get(client);
  if (known) return known;
  const handle = drizzle(client, { schema });
  handles.set(client, handle);
  clients.set(handle, client);
  return handle;
}

/** Asks in a transaction of {@link inShop} as the driver does, for packages that write their own statements. */
export function queryIn<Row extends pg.QueryResultRow>(
  tx: Handle,
  text: string,
  values: unknown[],
): Promise<pg.QueryResult<Row>> {
  const client = clients.get(tx);
  if (!client) throw new Error('no transaction of a shop');
  return client.query<Row>(text, values);
}

const preparedStatements = new WeakMap<Handle, Map<string, unknown>>();

/**
 * A statement that is asked all day, built once for each connection and planned once by the database.
 * @param name - its name in the database; the same name is always the same statement
 */
export function prepared<Statement>(tx: Handle, name: string, build: () => Statement): Statement {
  const known = preparedStatements.get(tx) ?? new Map<string, unknown>();
  preparedStatements.set(tx, known);
  let statement = known.get(name) as Statement | undefined;
  if (statement === undefined) known.set(name, (statement = build()));
  return statement;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/**
 * Runs work in a transaction that sees and writes the rows of one shop only: PostgreSQL's row security
 * reads the setting, which ends with the transaction. The work's first statements travel with the
 * beginning; should that fail, they see no shop at all. Work may be done again after a deadlock, so it does
 * nothing that the transaction does not take back.
 */
export async function inShop<T>(
  db: Database,
  shopId: string,
  work: (tx: Handle) => Promise<T>,
): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await once(db, shopId, work);
    } catch (error) {
      if (tries === MOST_TRIES || !isDeadlock(error)) throw error;
    }
  }
}

/** Of two that wait for each other the database ends one: it did nothing yet, and does it again. */
function isDeadlock(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return ('code' in error && error.code === DEADLOCK) || isDeadlock(error.cause);
}

async function once<T>(db: Database, shopId: string, work: (tx: Handle) => Promise<T>): Promise<T> {
  const { client, result } = await begun(db, 'begin', shopId, work);
  try {
    await client.query('commit');
  } catch (error) {
    await rollBack(client);
    throw error;
  }
  client.release();
  return result;
}

/** The same for work that only reads: nobody waits for the end of it, and the database refuses to write. */
export async function readInShop<T>(
  db: Database,
  shopId: string,
  work: (tx: Handle) => Promise<T>,
): Promise<T> {
  const { client, result } = await begun(db, 'begin read only', shopId, work);
  client.query('commit').then(
    () => client.release(),
    (broken: Error) => client.release(broken),
  );
  return result;
}

async function begun<T>(
  db: Database,
  beginning: string,
  shopId: string,
  work: (tx: Handle) => Promise<T>,
): Promise<{ client: pg.PoolClient; result: T }> {
  if (!UUID.test(shopId)) throw new Error('no id of a shop');
  const client = await db.$client.connect();
  // Both in one message, which takes no parameters.
  const set = client.query(`${beginning}; select set_config('keen.shop', '${shopId}', true)`);
  // Either may fail, and both are waited for: a connection that is given back has nothing more to do for us.
  const [isSet, done] = await Promise.allSettled([set, begin(() => work(handleOf(client)))]);
  if (isSet.status === 'fulfilled' && done.status === 'fulfilled') {
    return { client, result: done.value };
  }
  await rollBack(client);
  throw isSet.status === 'rejected' ? isSet.reason : (done as PromiseRejectedResult).reason;
}

/** Starts work at once; what it throws before it waits for anything is its rejection as well. */
async function begin<T>(work: () => Promise<T>): Promise<T> {
  return work();
}

/** A connection that cannot even roll back is not used again. */
async function rollBack(client: pg.PoolClient): Promise<void> {
  await client.query('rollback').then(
    () => client.release(),
    (broken: Error) => client.release(broken),
  );
}

/**
 * Works for another shop within a transaction of {@link inShop}, and then for the first one again. Who calls this
 * says by what right: a customer's code, a chain that opens a shop.
 * @param from - the shop that the transaction is for
 */
export async function inOtherShop<T>(
  tx: Handle,
  { from, to }: { from: string; to: string },
  work: () => Promise<T>,
): Promise<T> {
  await tx.execute(sql`select set_config('keen.shop', ${to}, true)`);
  const result = await work();
  await tx.execute(sql`select set_config('keen.shop', ${from}, true)`);
  return result;
}

/** The same for work that has steps of its own to take back, as an import has. */
export function inShopWithSteps<T>(
  db: Database,
  shopId: string,
  work: (tx: SteppedHandle) => Promise<T>,
): Promise<T> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select set_config('keen.shop', ${shopId}, true)`);
    return work(tx);
  });
}
