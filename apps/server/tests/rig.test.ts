import { DEFAULT_RIG, rigReadingSchema } from '@keen/contract';
import type { RigReading, RigState } from '@keen/contract';
import { createRandom } from '@keen/core';
import { mean, standardDeviation } from 'simple-statistics';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { rigReading } from '../src/devices/simulatedRig.ts';
import { agentOf, bodyOf, createDatabase, serve, setUpShop } from './testServer.ts';

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
