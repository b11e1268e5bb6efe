import { describe, expect, it } from 'vitest';
import {
  angleFileSchema,
  entrySchema,
  gaugeMessageSchema,
  validationIssueOf,
  rigStateSchema,
  DEFAULT_RIG,
  specSheetSchema,
  visitTakes,
} from '../src/index.ts';

const sheet = (change: object) => ({
  format: 'keen-groove/specification',
  version: 1,
  name: 'Van',
  kind: 'maker',
  source: 'Book',
  camber: { front: { low: -1, high: 0.5 } },
  ...change,
});
const refused = (data: unknown) => {
  const parsed = specSheetSchema.safeParse(data);
  return parsed.success ? null : validationIssueOf(parsed.error);
};

describe('a specification sheet', () => {
  it('is taken with any one angle', () => {
    expect(refused(sheet({}))).toBeNull();
    expect(
      refused(sheet({ camber: undefined, caster: { front: { low: 3, high: 4 } } })),
    ).toBeNull();
  });

  it.each([
    [{ camber: {} }, 'camber'],
    [{ camber: { front: { low: 1, high: 0.5 } } }, 'camber.front.high'],
    [{ camber: { front: { low: 0.5, high: 0.5 } } }, 'camber.front.high'],
    [{ camber: { front: { low: -1, target: 2, high: 0.5 } } }, 'camber.front.target'],
    [{ camber: { front: { low: -400, high: 0.5 } } }, 'camber.front.low'],
    [{ camber: { middle: { low: -1, high: 0.5 } } }, 'camber.middle'],
    [{ caster: { rear: { low: 1, high: 2 } } }, 'caster.rear'],
    [{ thrust: 0 }, 'thrust'],
    [{ reach: { toe: { front: -1 } } }, 'reach.toe.front'],
    [{ source: ' ' }, 'source'],
    [{ sourceDate: '2024-13-01' }, 'sourceDate'],
    [{ torque: [{ fastener: 'Nut', newtonMetres: 0 }] }, 'torque.0.newtonMetres'],
    [{ kind: 'rumour' }, 'kind'],
    [{ version: 2 }, 'version'],
  ])('refuses %j at %s', (change, path) => {
    expect(refused(sheet(change))?.path).toBe(path);
  });

  it('refuses a number that is not finite', () => {
    expect(refused(sheet({ steeringRatio: Number.NaN }))?.path).toBe('steeringRatio');
  });
});

describe('angles as a file', () => {
  const file = { format: 'keen-groove/angles', version: 1, wheels: { lf: { toe: 0.1 }, rr: {} } };

  it('are taken with whatever wheels were seen', () => {
    expect(angleFileSchema.safeParse(file).success).toBe(true);
    const turning = { left: { inside: 20, outside: 18.4 } };
    expect(angleFileSchema.safeParse({ ...file, turning, setback: -4 }).success).toBe(true);
  });

  it.each([
    [{ ...file, wheels: { spare: {} } }],
    [{ ...file, wheels: { lf: { toe: 95 } } }],
    [{ ...file, turning: { left: { inside: 20 } } }],
    [{ ...file, setback: 4000 }],
    [{ ...file, extra: 1 }],
  ])('are refused: %j', (wrong) => {
    expect(angleFileSchema.safeParse(wrong).success).toBe(false);
  });
});

describe('fields of a visit', () => {
  it.each([
    ['visit.measure.readings.lf.toe', [0.1, 0.2], true],
    ['visit.measure.readings.lf.toe', [0.1], false],
    ['visit.measure.resolution.camber', 0, false],
    ['visit.measure.method.toe', 'helperTape', true],
    ['visit.measure.method.toe', 'guess', false],
    ['visit.setRight.reach.camber-lr', [-1, 1], true],
    ['visit.setRight.closing.clampsOff', 'done', true],
    ['visit.inspect.parts.lf.ballJoint', 'excessive', true],
    ['visit.inspect.parts.lf.flux', 'none', false],
    ['visit.tires.rr.dateCode', '2319', true],
    ['visit.tires.rr.dateCode', '23', false],
    ['visit.quick.battery', { rated: 600, measured: 0 }, true],
    ['visit.quick.battery', { rated: 0, measured: 0 }, false],
    ['visit.heights.lf', 620, true],
    ['visit.warmBy', 90, false],
    ['visit.nothing', 1, false],
  ])('%s takes %j: %s', (path, value, takes) => {
    expect(visitTakes(path, value)).toBe(takes);
  });

  it('say what they were entered over', () => {
    const id = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d';
    const entry = { id, path: 'play.lf', value: 'none', at: '2026-03-01T10:00:00.000Z' };
    expect(entrySchema.safeParse(entry).success).toBe(true);
    expect(entrySchema.safeParse({ ...entry, over: [id] }).success).toBe(true);
    expect(entrySchema.safeParse({ ...entry, over: ['him'] }).success).toBe(false);
  });
});

describe('devices', () => {
  it('number their readings from 1', () => {
    const reading = { kind: 'reading', n: 1, mm: 5.31, battery: 0.5 };
    expect(gaugeMessageSchema.safeParse(reading).success).toBe(true);
    expect(gaugeMessageSchema.safeParse({ ...reading, n: 0 }).success).toBe(false);
    expect(gaugeMessageSchema.safeParse({ ...reading, mm: 61 }).success).toBe(false);
    expect(gaugeMessageSchema.safeParse({ ...reading, kind: 'song' }).success).toBe(false);
  });

  it('start from a car that the rig itself would take', () => {
    expect(rigStateSchema.safeParse(DEFAULT_RIG).success).toBe(true);
    const threeWheels = { ...DEFAULT_RIG, wheels: { lf: {}, rf: {}, lr: {} } };
    expect(rigStateSchema.safeParse(threeWheels).success).toBe(false);
  });
});
