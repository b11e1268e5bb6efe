import { describe, expect, it } from 'vitest';
import { entrySchema, validationIssuesOf } from '../src/index.ts';

function check(path: string, value: unknown) {
  const result = entrySchema.safeParse({
    id: '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d',
    path,
    value,
    at: '2026-03-01T10:00:00.000Z',
  });
  return result.success ? null : validationIssuesOf(result.error)[0];
}

describe('entrySchema', () => {
  it.each([
    ['tires.lf.stations.0.inner', 5.3],
    ['tires.rr.stations.5.outer', 'unreadable'],
    ['tires.lf.pressure.measured', 210],
    ['complaints', ['wander']],
    ['play.rf', 'some'],
    ['visit.words', 'It pulls.'],
    ['tires.lf.damage', null],
  ])('takes %s', (path, value) => {
    expect(check(path, value)).toBeNull();
  });

  it.each([
    ['tires.lf.stations.6.inner', 5, 'path'],
    ['tires.xx.newDepth', 8, 'path'],
    ['__proto__.polluted', 1, 'path'],
    ['constructor', 1, 'path'],
    ['tires.lf.stations.0.inner', -1, 'value'],
    ['tires.lf.stations.0.inner', 'deep', 'value'],
    ['tires.lf.damage', ['scratch'], 'value.0'],
    ['vehicle.drive', 'fwd ', 'value'],
  ])('refuses %s = %j at %s', (path, value, at) => {
    expect(check(path, value)?.path).toBe(at);
  });
});
