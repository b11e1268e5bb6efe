import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { inShop } from '../src/db/client.ts';
import { vehicles } from '../src/db/schema/index.ts';
import { agentOf, arrive, asOwner, createDatabase, entry, serve, setUpShop } from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
let shopId: string;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  shopId = (await setUpShop(agent)).shop.id;
});
afterAll(() => server.close());

describe('two transactions that wait for each other', () => {
  it('are both done: the one that the database ends is done again', async () => {
    const cars = [(await arrive(agent)).vehicle.id, (await arrive(agent)).vehicle.id] as const;
    const { db } = server.context;
    let begun = 0;
    let bothBegan: () => void;
    const both = new Promise<void>((resolve) => (bothBegan = resolve));
    const mark = (order: readonly [string, string], label: string) =>
      inShop(db, shopId, async (tx) => {
        for (const [at, id] of order.entries()) {
          await tx
            .update(vehicles)
            .set({ label })
            .where(and(eq(vehicles.shopId, shopId), eq(vehicles.id, id)));
          if (at > 0) continue;
          begun++;
          if (begun >= 2) bothBegan();
          await both;
        }
      });
    await Promise.all([mark(cars, 'one'), mark([cars[1], cars[0]], 'other')]);
    // Three beginnings: each once, and one again.
    expect(begun).toBe(3);
    const labels = await inShop(db, shopId, (tx) =>
      tx.select({ label: vehicles.label }).from(vehicles).where(eq(vehicles.shopId, shopId)),
    );
    // Whoever came last wrote both.
    expect(new Set(labels.map(({ label }) => label)).size).toBe(1);
  });

  it('do not come about by naming tires that are known already', async () => {
    const [one, other] = [await arrive(agent), await arrive(agent)];
    const named = (line: string) =>
      ['lf', 'rf', 'lr', 'rr'].flatMap((wheel) => [
        entry(`visit.tires.${wheel}.line`, line),
        entry(`tires.${wheel}.newDepth`, 8),
      ]);
    const save = (id: string, line: string) =>
      agent
        .post(`/api/visits/${id}/entries`)
        .send({ entries: named(line) })
        .expect(200);
    await save(one.id, 'Harbour Eco');
    // The transaction that wrote each row last: a row that is left alone keeps it.
    const writers = () =>
      asOwner<{ line: string; writer: string }>(
        server,
        'select line, xmin::text as writer from tire_lines order by line',
      );
    const before = await writers();
    await save(other.id, 'Harbour Eco');
    expect(await writers()).toEqual(before);
    // Another spelling is news.
    await save(other.id, 'HARBOUR Eco');
    expect(await writers()).not.toEqual(before);
  });
});
