import { randomUUID } from 'node:crypto';
import type { Photo, TireLine, VehicleRecord } from '@keen/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  bodyOf,
  createDatabase,
  entry,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(() => server.close());

const VIN = '1M8GDM9AXKP042788';

describe('a car', () => {
  const find = async (q: string) =>
    bodyOf<VehicleRecord[]>(await agent.get('/api/vehicles').query({ q }).expect(200)).map(
      ({ plate }) => plate,
    );

  it('is found by a part of plate, name, telephone or VIN', async () => {
    const visit = await arrive(agent, 'FIND 77');
    await agent
      .put(`/api/vehicles/${visit.vehicle.id}`)
      .send({ customer: 'Ottoline Quay', phone: '+00 555-0142', vin: VIN })
      .expect(200);
    for (const words of ['find7', 'ottol', '550 142', 'KP0427']) {
      expect(await find(words), words).toEqual(['FIND 77']);
    }
    expect(await find('f%7')).toEqual([]);
    expect(await find('%')).toEqual([]);
  });

  it('refuses a VIN with a wrong letter, and another car’s plate', async () => {
    const visit = await arrive(agent, 'MINE 1');
    await arrive(agent, 'YOURS 1');
    const url = `/api/vehicles/${visit.vehicle.id}`;
    const answer = await agent.put(url).send({ vin: '1M8GDM9AXKP042789' }).expect(400);
    expect(bodyOf<{ errors: { path: string }[] }>(answer).errors[0]!.path).toBe('vin');
    await agent.put(url).send({ plate: 'yours-1' }).expect(409);
    await agent.put(url).send({ plate: 'MINE 2' }).expect(200);
    expect(await find('MINE')).toEqual(['MINE 2']);
    const other = await secondShop(server);
    await other.put(url).send({ label: 'stolen' }).expect(404);
  });

  it('teaches the shop how deep its line of tires was when new', async () => {
    const visit = await arrive(agent);
    await agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({
        entries: [entry('visit.tires.lf.line', 'Harbour 4S'), entry('tires.lf.newDepth', 8.3)],
      })
      .expect(200);
    const lines = bodyOf<TireLine[]>(await agent.get('/api/tire-lines').expect(200));
    expect(lines).toEqual([{ line: 'Harbour 4S', newDepth: 8.3 }]);
  });
});

const jpeg = () =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: '#234' } })
    .jpeg()
    .toBuffer();

describe('a picture', () => {
  it('is kept with its visit, once, and only for its shop', async () => {
    const visit = await arrive(agent);
    const id = randomUUID();
    const put = (body: Buffer, type = 'image/jpeg') =>
      agent
        .put(`/api/visits/${visit.id}/photos/${id}`)
        .query({ subject: 'ballJoint lf' })
        .set('content-type', type)
        .send(body);
    await put(await jpeg()).expect(200);
    const list = bodyOf<Photo[]>(await put(await jpeg()).expect(200));
    expect(list).toMatchObject([{ id, subject: 'ballJoint lf' }]);
    const shown = await agent.get(`/api/photos/${id}`).expect(200);
    expect(shown.headers['content-type']).toBe('image/jpeg');
    await put(Buffer.from('no picture')).expect(400);
    const other = await secondShop(server).catch(() => null);
    if (other) await other.get(`/api/photos/${id}`).expect(404);
    await agent.delete(`/api/photos/${id}`).expect(204);
    await agent.get(`/api/photos/${id}`).expect(404);
  });

  it('is refused when it is too large', async () => {
    const visit = await arrive(agent);
    await agent
      .put(`/api/visits/${visit.id}/photos/${randomUUID()}`)
      .set('content-type', 'image/jpeg')
      .send(Buffer.alloc(5_000_000))
      .expect(413);
  });
});
