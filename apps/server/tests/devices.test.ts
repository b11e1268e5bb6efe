import {
  DEFAULT_GAUGE,
  DEFAULT_READER,
  DEFAULT_RIG,
  gaugeMessageSchema,
  readerMessageSchema,
  rigReadingSchema,
  treadPassSchema,
} from '@keen/contract';
import type {
  GaugeMessage,
  GaugeState,
  ReaderMessage,
  ReaderState,
  RigReading,
  RigState,
} from '@keen/contract';
import { createRandom, passFaults, passReadings } from '@keen/core';
import { mean, standardDeviation } from 'simple-statistics';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { WebSocket } from 'ws';
import type { RunningServer } from '../src/createServer.ts';
import { pressGauge } from '../src/devices/simulatedGauge.ts';
import { drivePast } from '../src/devices/simulatedReader.ts';
import { rigReading } from '../src/devices/simulatedRig.ts';
import {
  agentOf,
  bodyOf,
  createDatabase,
  LEAD,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';

const AT = '2026-03-01T09:00:00.000Z';

describe('the simulated rig', () => {
  const looks = (change: Partial<RigState>, wheel: 'lf' | 'rf' = 'lf') => {
    const random = createRandom(7);
    return Array.from({ length: 200 }, () => rigReading({ ...DEFAULT_RIG, ...change }, random, AT))
      .map(({ angles }) => angles.wheels[wheel]?.toe)
      .filter((toe) => toe !== undefined);
  };
  const truth = DEFAULT_RIG.wheels.lf.toe!;

  it('scatters a little about how the wheel stands', () => {
    expect(mean(looks({}))).toBeCloseTo(truth, 2);
    expect(standardDeviation(looks({}))).toBeLessThan(0.02);
  });

  it('swings with a loose clamp at that wheel only', () => {
    const loose = { fault: 'looseClamp', faultAt: 'lf' } as const;
    expect(standardDeviation(looks(loose))).toBeGreaterThan(0.2);
    expect(standardDeviation(looks(loose, 'rf'))).toBeLessThan(0.02);
  });

  it('reads steadily wrong over a bent rim that nobody compensated', () => {
    const bent = looks({ fault: 'runOut', faultAt: 'lf' });
    expect(mean(bent) - truth).toBeGreaterThan(0.2);
    expect(standardDeviation(bent)).toBeLessThan(0.02);
  });

  it('sees no blocked target, and nothing when it is off', () => {
    const random = createRandom(7);
    const blocked = rigReading({ ...DEFAULT_RIG, fault: 'blockedTarget' }, random, AT);
    expect(blocked).toMatchObject({ status: 'partly', unseen: ['lf'] });
    expect(blocked.angles.wheels.lf).toBeUndefined();
    expect(blocked.angles.wheels.rf).toBeDefined();
    const off = rigReading({ ...DEFAULT_RIG, isOn: false }, random, AT);
    expect(off).toMatchObject({ status: 'off', angles: { wheels: {} } });
  });
});

describe('the rig of a shop', () => {
  let server: RunningServer;
  beforeAll(async () => {
    server = await serve(await createDatabase());
  });
  afterAll(() => server.close());

  it('stands for the car that is played on it', async () => {
    const agent = agentOf(server);
    await agent.get('/api/devices/rig/reading').expect(401);
    await setUpShop(agent);
    const rig = bodyOf<RigState>(await agent.get('/api/devices/rig').expect(200));
    expect(rig).toEqual(DEFAULT_RIG);
    const played = { ...rig, wheels: { ...rig.wheels, lf: { camber: -2, toe: 1.5 } } };
    await agent.put('/api/devices/rig').send(played).expect(200);
    const reading = bodyOf<RigReading>(await agent.get('/api/devices/rig/reading').expect(200));
    expect(rigReadingSchema.safeParse(reading).success).toBe(true);
    expect(reading.angles.wheels.lf!.toe).toBeCloseTo(1.5, 1);
    await agent
      .put('/api/devices/rig')
      .send({ ...played, fault: 'tired' })
      .expect(400);
  });
});

describe('the gauge of a shop', () => {
  let server: RunningServer;
  beforeAll(async () => {
    server = await serve(await createDatabase());
  });
  afterAll(() => server.close());

  /** Listens on the gauge's line as a page would. */
  function listen(cookie: string, origin?: string) {
    const url = `ws://127.0.0.1:${server.port}/api/devices/gauge/stream`;
    const line = new WebSocket(url, { headers: { cookie }, ...(origin ? { origin } : {}) });
    const heard: GaugeMessage[] = [];
    line.on('message', (data: Buffer) => heard.push(JSON.parse(data.toString()) as GaugeMessage));
    const ended = new Promise<string>((done) => {
      line.on('close', () => done('closed'));
      line.on('error', (error) => done(error.message));
    });
    return { line, heard, ended };
  }

  it('greets, numbers its readings, breaks off, and speaks to its own shop only', async () => {
    const agent = agentOf(server);
    const setUp = await agent.post('/api/setup').send(LEAD).expect(200);
    const cookie = (setUp.headers['set-cookie'] as unknown as string[])[0]!.split(';')[0]!;
    expect(await listen('').ended).toMatch(/401/);
    expect(await listen(cookie, 'http://elsewhere.example').ended).toMatch(/403/);

    const { line, heard, ended } = listen(cookie);
    await expect.poll(() => heard.length).toBe(1);
    expect(gaugeMessageSchema.parse(heard[0])).toMatchObject({ kind: 'hello' });
    const press = (mm: number) => agent.post('/api/devices/gauge/press').send({ mm });
    await press(4.207).expect(200);
    await expect.poll(() => heard.length).toBe(2);
    expect(heard[1]).toMatchObject({ kind: 'reading', n: 1, mm: 4.21 });
    await press(99).expect(400);
    const other = await secondShop(server);
    await other.post('/api/devices/gauge/press').send({ mm: 7 }).expect(200);
    await agent.put('/api/devices/gauge').send({ isOn: false, battery: 1, fault: 'none' });
    expect(await ended).toBe('closed');
    expect(heard).toHaveLength(2);
    line.terminate();
  });

  it('plays each of its faults', () => {
    const at = (fault: GaugeState['fault']) =>
      pressGauge({ ...DEFAULT_GAUGE, fault }, 5).says.map((said) =>
        said === 'breaksOff' ? said : said.kind,
      );
    expect(at('none')).toEqual(['reading']);
    expect(at('repeats')).toEqual(['reading', 'reading']);
    expect(at('outOfRange')).toEqual(['outOfRange']);
    expect(at('dropsOut')).toEqual(['breaksOff']);
    expect(pressGauge({ ...DEFAULT_GAUGE, isOn: false }, 5).says).toEqual([]);
  });

  it('writes its readings out when it types or is on a serial line', () => {
    const says = (change: Partial<GaugeState>) =>
      pressGauge({ ...DEFAULT_GAUGE, speaks: 'keys', ...change }, 5.3).says;
    expect(says({})).toEqual([{ kind: 'text', n: 1, by: 'keys', text: '5.30' }]);
    expect(says({ writes: 'mm', speaks: 'serial' })).toEqual([
      { kind: 'text', n: 1, by: 'serial', text: '5.30 mm' },
    ]);
    expect(says({ writes: 'in' })).toMatchObject([{ text: '0.2087 in' }]);
    expect(says({ fault: 'outOfRange' })).toMatchObject([{ text: '----' }]);
    expect(says({ fault: 'dropsOut' })).toEqual(['breaksOff']);
    const twice = pressGauge({ ...DEFAULT_GAUGE, speaks: 'serial', fault: 'repeats' }, 5.3);
    expect(twice.says).toMatchObject([{ n: 1 }, { n: 2 }]);
    expect(twice.after.n).toBe(2);
  });
});

describe('the drive-over reader', () => {
  const pass = (change: Partial<ReaderState>) =>
    drivePast({ ...DEFAULT_READER, ...change }, createRandom(5), AT);

  it('delivers cuts from which the tread is read as it really is', () => {
    const driven = pass({});
    expect(treadPassSchema.safeParse(driven).success).toBe(true);
    const readings = passReadings(driven);
    for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
      expect(readings[wheel]).toHaveLength(6);
      for (const place of readings[wheel]!) {
        for (const rib of ['inner', 'outer'] as const) {
          expect(Math.abs(place[rib]! - DEFAULT_READER.tires[wheel][rib])).toBeLessThan(0.15);
        }
        // The middle third is read at its two grooves, which lie a little off the centre.
        expect(Math.abs(place.centre! - DEFAULT_READER.tires[wheel].centre)).toBeLessThan(0.3);
      }
    }
  });

  it('finds no steady grooves through a dirty window, at that tire only', () => {
    const readings = passReadings(pass({ fault: 'dirtyWindow', faultAt: 'rf' }));
    const spread = (wheel: 'lf' | 'rf') =>
      standardDeviation(readings[wheel]!.flatMap(({ inner }) => inner ?? []));
    expect(spread('rf')).toBeGreaterThan(5 * spread('lf'));
  });

  it('is played, drives over, and speaks over its own line', async () => {
    const server = await serve(await createDatabase());
    try {
      const agent = agentOf(server);
      const setUp = await agent.post('/api/setup').send(LEAD).expect(200);
      const cookie = (setUp.headers['set-cookie'] as unknown as string[])[0]!.split(';')[0]!;
      const line = new WebSocket(`ws://127.0.0.1:${server.port}/api/devices/reader/stream`, {
        headers: { cookie },
      });
      const heard: ReaderMessage[] = [];
      line.on('message', (data: Buffer) =>
        heard.push(readerMessageSchema.parse(JSON.parse(data.toString()))),
      );
      const ended = new Promise((done) => line.on('close', done));
      await expect.poll(() => heard.length).toBe(1);
      await agent.put('/api/devices/reader').send({ speed: 900 }).expect(400);
      await agent
        .put('/api/devices/reader')
        .send({ ...DEFAULT_READER, speed: 21 })
        .expect(200);
      await agent.post('/api/devices/reader/pass').expect(200);
      await expect.poll(() => heard.length).toBe(2);
      const said = heard[1]!;
      expect(said).toMatchObject({ kind: 'pass', n: 1, pass: { passing: { speed: 21 } } });
      expect(said.kind === 'pass' && passFaults(said.pass.passing)).toEqual(['tooFast']);
      await agent
        .put('/api/devices/reader')
        .send({ ...DEFAULT_READER, isOn: false })
        .expect(200);
      await ended;
    } finally {
      await server.close();
    }
  });
});
