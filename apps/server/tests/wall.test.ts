import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  appUrlOf,
  arrive,
  asOwner,
  createDatabase,
  entry,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';

/** Tables of a shop's rows, with the column that says whose they are. */
const SHOP_TABLES = [
  ['shops', 'id'],
  ['people', 'shop_id'],
  // Of people of the shop; each works in one shop here.
  ['accounts', 'last_shop_id'],
  ['vehicles', 'shop_id'],
  ['visits', 'shop_id'],
  ['entries', 'shop_id'],
  ['decisions', 'shop_id'],
  ['photos', 'shop_id'],
  ['sheet_links', 'shop_id'],
  ['shop_logos', 'shop_id'],
  ['spec_sheets', 'shop_id'],
  ['audit_log', 'shop_id'],
  ['password_links', 'shop_id'],
  ['practice_deals', 'shop_id'],
  ['practice_drills', 'shop_id'],
  ['practice_tries', 'shop_id'],
  ['visit_search', 'shop_id'],
  ['reminders', 'shop_id'],
  ['tire_lines', 'shop_id'],
  ['car_merges', 'shop_id'],
  ['customer_merges', 'shop_id'],
  ['gauge_studies', 'shop_id'],
  ['study_readings', 'shop_id'],
  ['instruments', 'shop_id'],
  ['instrument_checks', 'shop_id'],
  ['stored_tires', 'shop_id'],
  ['learning_runs', 'shop_id'],
  ['learning_evidence', 'shop_id'],
  ['advice_days', 'shop_id'],
  ['api_keys', 'shop_id'],
  ['batches', 'shop_id'],
  ['batch_cases', 'shop_id'],
  ['car_codes', 'shop_id'],
  ['chains', 'id'],
  ['chain_leads', 'chain_id'],
  ['chain_log', 'chain_id'],
  ['chain_sheets', 'chain_id'],
] as const;
const APPENDED = ['entries', 'decisions', 'spec_sheets', 'audit_log', 'instrument_checks'];

let server: RunningServer;
let app: pg.Client;
let own: { shop: string; person: string; visit: string; vehicle: string };
let other: typeof own;

beforeAll(async () => {
  const url = await createDatabase();
  server = await serve(url);
  const lead = agentOf(server);
  await setUpShop(lead);
  const visit = await arrive(lead);
  await lead
    .post(`/api/visits/${visit.id}/entries`)
    .send({ entries: [entry('visit.words', 'own')] })
    .expect(200);
  const stranger = await secondShop(server);
  const theirs = await arrive(stranger);
  await stranger
    .post(`/api/visits/${theirs.id}/entries`)
    .send({ entries: [entry('visit.words', 'theirs')] })
    .expect(200);
  const rowOf = async (id: string) => {
    const [row] = await asOwner<{ shop: string; vehicle: string; person: string }>(
      server,
      `select v.shop_id as shop, v.vehicle_id as vehicle, e.person_id as person
       from visits v join entries e on e.visit_id = v.id where v.id = $1 limit 1`,
      [id],
    );
    return { ...row!, visit: id };
  };
  own = await rowOf(visit.id);
  other = await rowOf(theirs.id);
  app = new pg.Client({ connectionString: appUrlOf(url) });
  await app.connect();
});
afterAll(async () => {
  await app.end();
  await server.close();
});

/** Runs statements as the app's role, for a shop or for none, and takes everything back. */
async function asApp<T>(shop: string | null, work: () => Promise<T>): Promise<T> {
  await app.query('begin');
  try {
    if (shop !== null) await app.query(`select set_config('keen.shop', $1, true)`, [shop]);
    return await work();
  } finally {
    await app.query('rollback');
  }
}
const code = (work: Promise<unknown>) =>
  work.then(
    () => null,
    (error: unknown) => (error as pg.DatabaseError).code,
  );
const DENIED = '42501';

describe('the role that the app connects as', () => {
  it('is no superuser, makes no roles or databases, owns nothing and goes by row security', async () => {
    const { rows } = await app.query(
      `select rolsuper, rolcreaterole, rolcreatedb, rolbypassrls, rolreplication,
              (select count(*)::int from pg_class where relowner = pg_roles.oid) as owned
       from pg_roles where rolname = current_user`,
    );
    expect(rows[0]).toEqual({
      rolsuper: false,
      rolcreaterole: false,
      rolcreatedb: false,
      rolbypassrls: false,
      rolreplication: false,
      owned: 0,
    });
  });

  it.each([
    'create table mine (x int)',
    'drop table entries',
    'alter table entries disable row level security',
    'drop policy entries_own_shop on entries',
    'truncate audit_log',
    'set role keen',
    'create function mine() returns int language sql as $$ select 1 $$',
    'select * from drizzle.__drizzle_migrations',
    "copy entries to program 'cat'",
    "select pg_read_file('/etc/passwd')",
  ])('may not: %s', async (statement) => {
    expect(await asApp(own.shop, () => code(app.query(statement)))).toBe(DENIED);
  });

  it.each(
    APPENDED.flatMap((table) => [`update ${table} set shop_id = shop_id`, `delete from ${table}`]),
  )('may not change what is appended: %s', async (statement) => {
    expect(await asApp(own.shop, () => code(app.query(statement)))).toBe(DENIED);
  });

  it('has rights on every table that there is, and row security on all of a shop', async () => {
    const { rows } = await app.query<{ name: string; secured: boolean; policies: number }>(
      `select c.relname as name, c.relrowsecurity as secured,
              (select count(*)::int from pg_policy p where p.polrelid = c.oid) as policies
       from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where n.nspname = 'public' and c.relkind = 'r' order by 1`,
    );
    const secured = rows.filter((row) => row.secured && row.policies > 0).map(({ name }) => name);
    expect(secured.toSorted()).toEqual(SHOP_TABLES.map(([name]) => name as string).toSorted());
    const open = rows.map(({ name }) => name).filter((name) => !secured.includes(name));
    expect(open).toEqual(['secrets', 'session', 'sign_in_tries']);
  });
});

describe('rows of a shop', () => {
  it.each(SHOP_TABLES)(
    '%s: none are seen for no shop, and only its own for one',
    async (table, column) => {
      const count = async () =>
        (await app.query<{ n: number }>(`select count(*)::int as n from ${table}`)).rows[0]!.n;
      expect(await asApp(null, count)).toBe(0);
      const foreign = async () =>
        (
          await app.query<{ n: number }>(
            `select count(*)::int as n from ${table} where ${column} <> $1`,
            [own.shop],
          )
        ).rows[0]!.n;
      expect(await asApp(own.shop, foreign)).toBe(0);
    },
  );

  it('are there for each of the two shops', async () => {
    const words = () =>
      app
        .query<{ value: string }>(`select value from entries where path = 'visit.words'`)
        .then(({ rows }) => rows.map(({ value }) => value));
    expect(await asApp(own.shop, words)).toEqual(['own']);
    expect(await asApp(other.shop, words)).toEqual(['theirs']);
  });

  it('are not written for another shop, nor handed to one', async () => {
    const insert = () =>
      code(
        app.query(
          `insert into vehicles (id, shop_id, plate, plate_key, label, customer) values ($1, $2, 'X', 'X', '', '')`,
          [randomUUID(), other.shop],
        ),
      );
    expect(await asApp(own.shop, insert)).toBe(DENIED);
    const hand = () => code(app.query('update vehicles set shop_id = $1', [other.shop]));
    expect(await asApp(own.shop, hand)).toBe(DENIED);
    const change = async () =>
      (await app.query(`update visits set seq = 9 where id = $1`, [other.visit])).rowCount;
    expect(await asApp(own.shop, change)).toBe(0);
  });

  it.each([
    ['visit', () => ({ visit: other.visit, person: own.person })],
    ['person', () => ({ visit: own.visit, person: other.person })],
  ])('never point at another shop’s %s', async (_what, ids) => {
    const { visit, person } = ids();
    const insert = () =>
      code(
        app.query(
          `insert into entries (id, shop_id, visit_id, seq, path, person_id, at) values ($1, $2, $3, 900, 'x', $4, now())`,
          [randomUUID(), own.shop, visit, person],
        ),
      );
    // 23503 foreign_key_violation: (shop, id) together are not there.
    expect(await asApp(own.shop, insert)).toBe('23503');
  });

  it('of a visit never point at another shop’s car', async () => {
    const insert = () =>
      code(
        app.query(
          `insert into visits (id, shop_id, vehicle_id, number, draft, seq) values ($1, $2, $3, 900, '{}', 0)`,
          [randomUUID(), own.shop, other.vehicle],
        ),
      );
    expect(await asApp(own.shop, insert)).toBe('23503');
  });

  it.each([
    [`update people set role = 'owner'`],
    [`update people set name = repeat('x', 81)`],
    [`update visits set number = 0`],
    [`update vehicles set plate = repeat('x', 41)`],
    [
      `insert into photos (id, shop_id, visit_id, subject, type, bytes, picture, person_id)
      select gen_random_uuid(), shop_id, id, '', 'text/html', 1, '', (select id from people) from visits`,
    ],
  ])('hold words and ranges: %s', async (statement) => {
    // 23514 check_violation
    expect(await asApp(own.shop, () => code(app.query(statement)))).toBe('23514');
  });

  it.each(['keen_find_visits($1, null, 50)', 'keen_find_cars($1, 50)'])(
    'of another shop are not found by words either: %s',
    async (call) => {
      const count = async () =>
        (await app.query<{ n: number }>(`select count(*)::int as n from ${call}`, ['test van']))
          .rows[0]!.n;
      expect(await asApp(own.shop, count)).toBe(1);
      expect(await asApp(other.shop, count)).toBe(1);
      expect(await asApp(null, count)).toBe(0);
    },
  );

  it.each(['visit_search', 'reminders', 'tire_lines', 'stored_tires'])(
    'that are derived are not written by hand: %s',
    async (table) => {
      expect(await asApp(own.shop, () => code(app.query(`delete from ${table}`)))).toBe(DENIED);
    },
  );

  it('of another shop are not erased either', async () => {
    const erase = async () =>
      (
        await app.query<{ done: boolean }>(`select keen_erase_customer($1, '{}') as done`, [
          other.vehicle,
        ])
      ).rows[0]!.done;
    expect(await asApp(own.shop, erase)).toBe(false);
    expect(await asApp(null, erase)).toBe(false);
  });
});

describe('foreign keys', () => {
  it('each have an index that begins with their columns', async () => {
    const rows = await asOwner<{ name: string }>(
      server,
      `select con.conname as name from pg_constraint con
       where con.contype = 'f' and con.connamespace = 'public'::regnamespace
         and not exists (
           select 1 from pg_index i
           where i.indrelid = con.conrelid
             and (i.indkey::int2[])[0:cardinality(con.conkey) - 1] @> con.conkey
         )`,
    );
    expect(rows).toEqual([]);
  });
});
