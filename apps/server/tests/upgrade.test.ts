import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { hash } from '@node-rs/argon2';
import { DEFAULT_PREFERENCES } from '@keen/contract';
import type { DuePage, Session, VisitDetail } from '@keen/contract';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { afterAll, describe, expect, it } from 'vitest';
import { agentOf, bodyOf, createDatabase, entry, serve } from './testServer.ts';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'keen-upgrade-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Brings a database to the schema as it was before row security: the first eight migrations. */
async function migrateToBefore(client: pg.Client): Promise<void> {
  cpSync(MIGRATIONS, folder, { recursive: true });
  const file = join(folder, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { idx: number }[] };
  journal.entries = journal.entries.filter(({ idx }) => idx < 8);
  expect(journal.entries).toHaveLength(8);
  writeFileSync(file, JSON.stringify(journal));
  await migrate(drizzle(client), { migrationsFolder: folder });
}

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const [SHOP, PERSON, CAR, VISIT] = [id(1), id(2), id(3), id(4)];
const PASSWORD = 'seven grey gulls';
const NUTS = { what: 'nuts', on: '2026-03-01', afterKm: 100, state: 'open' };

describe('a data folder from before row security', () => {
  it('is upgraded with everything in it, and people stay signed in', async () => {
    const url = await createDatabase();
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    await migrateToBefore(client);
    const run = (text: string, values: unknown[] = []) => client.query(text, values);
    await run(
      `insert into shops (id, name, town, is_demo) values ($1, 'Old Tires', 'Oldhaven', false)`,
      [SHOP],
    );
    await run(
      `insert into people (id, shop_id, name, email, role, password_hash, preferences)
       values ($1, $2, 'Olga Old', 'olga@old.example', 'lead', $3, $4)`,
      [
        PERSON,
        SHOP,
        await hash(PASSWORD),
        JSON.stringify({ ...DEFAULT_PREFERENCES, readingOrder: 'walkRound' }),
      ],
    );
    await run(
      `insert into vehicles (id, shop_id, plate, plate_key, label, customer) values ($1, $2, 'O 1', 'O1', 'Old van', 'Otis')`,
      [CAR, SHOP],
    );
    await run(
      `insert into visits (id, shop_id, vehicle_id, number, draft, seq) values ($1, $2, $3, 1, $4, 2)`,
      [VISIT, SHOP, CAR, JSON.stringify({ visit: { words: '2319', handOver: { next: [NUTS] } } })],
    );
    for (const [seq, path, value] of [
      [1, 'visit.words', '2319'],
      [2, 'tires.lf.newDepth', 8],
    ] as const) {
      await run(
        `insert into entries (id, shop_id, visit_id, seq, path, value, person_id, at) values ($1, $2, $3, $4, $5, $6, $7, now())`,
        [id(10 + seq), SHOP, VISIT, seq, path, JSON.stringify(value), PERSON],
      );
    }
    await run(
      `insert into decisions (id, shop_id, visit_id, action, replace, answer, reason, diagnosis, entry_seq, person_id)
       values ($1, $2, $3, 'align', '["lf"]', 'yes', 'as advised', '{}', 2, $4)`,
      [id(20), SHOP, VISIT, PERSON],
    );
    await run(
      `insert into photos (id, shop_id, visit_id, subject, type, bytes, picture, person_id) values ($1, $2, $3, '', 'image/png', 3, 'abc', $4)`,
      [id(21), SHOP, VISIT, PERSON],
    );
    await run(
      `insert into session (sid, sess, expire) values ('old', $1, now() + interval '1 day')`,
      [JSON.stringify({ cookie: {}, personId: PERSON, shopId: SHOP })],
    );
    await client.end();

    const server = await serve(url);
    try {
      const [session] = (
        await server.context.pool.query<{ sess: { role: string } }>('select sess from session')
      ).rows;
      expect(session!.sess.role).toBe('lead');
      const agent = agentOf(server);
      const signedIn = bodyOf<Session>(
        await agent
          .post('/api/session')
          .send({ email: 'olga@old.example', password: PASSWORD })
          .expect(200),
      );
      expect(signedIn.preferences.readingOrder).toBe('walkAround');
      const due = bodyOf<DuePage>(await agent.get('/api/due').expect(200));
      expect(due.rows.map(({ reminder }) => reminder)).toEqual([NUTS]);
      const detail = bodyOf<VisitDetail>(await agent.get(`/api/visits/${VISIT}`).expect(200));
      expect(detail.entries.map(({ path, value }) => [path, value])).toEqual([
        ['visit.words', '2319'],
        ['tires.lf.newDepth', 8],
      ]);
      expect(detail.decisions).toHaveLength(1);
      expect(detail.visit.vehicle).toMatchObject({ plate: 'O 1', customer: 'Otis' });
      await agent
        .post(`/api/visits/${VISIT}/entries`)
        .send({ entries: [entry('tires.lf.newDepth', 9)] })
        .expect(200);
      await agent.get(`/api/photos/${id(21)}`).expect(200);
    } finally {
      await server.close();
    }
  });
});
