import { describe, expect, it } from 'vitest';
import { parseCaseFile } from '../src/index.ts';

type Tree = Record<string, unknown>;

function caseWith(
  change: (file: Tree, tires: Record<string, Tree>) => void = () => undefined,
): Tree {
  const tire = (): Tree => ({
    newDepth: 8,
    distance: 30_000,
    stations: [{ inner: 3.4, centre: 5.2, outer: 5.6 }],
  });
  const tires: Record<string, Tree> = { lf: tire(), rf: tire(), lr: tire(), rr: tire() };
  const file: Tree = {
    format: 'keen-groove/case',
    version: 1,
    units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
    vehicle: { label: 'car', drive: 'fwd', use: 'street' },
    tires,
  };
  change(file, tires);
  return file;
}

function refusal(change: (file: Tree, tires: Record<string, Tree>) => void) {
  const parsed = parseCaseFile(caseWith(change));
  return parsed.ok ? null : parsed.error;
}

describe('parseCaseFile', () => {
  it('accepts the least and the fullest file', () => {
    expect(parseCaseFile(caseWith()).ok).toBe(true);
    const full = caseWith((file, tires) => {
      file.tolerances = { camber: { front: [-1, 0.5] }, pressure: 0.1 };
      file.limits = { legal: 1.6, advise: 3 };
      file.rotations = [{ atDistance: 15_000, moves: { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } }];
      file.complaints = ['pullsLeft'];
      file.angles = { lf: { camber: -0.6, toe: 0.05, caster: 4.1, sai: 13 }, rf: {} };
      file.play = { lf: 'none' };
      file.visit = { anything: [1, 2] };
      tires.lf!.feather = 'catchesOutward';
      tires.lf!.damage = ['cords'];
      tires.lf!.pressure = { target: 230 };
    });
    expect(parseCaseFile(full)).toMatchObject({ ok: true });
  });

  it.each<[string, string, (file: Tree, tires: Record<string, Tree>) => void]>([
    [
      'too deep',
      'tires.lf.stations.0.inner',
      (_, t) => (t.lf!.stations = [{ inner: 8.6, centre: 5, outer: 5 }]),
    ],
    ['a negative distance', 'tires.rr.distance', (_, t) => (t.rr!.distance = -1)],
    ['a missing wheel', 'tires.rf', (_, t) => delete t.rf],
    ['an unknown word', 'vehicle.drive', (f) => (f.vehicle = { drive: '4x4', use: 'street' })],
    ['an unknown field', 'tires.lf.colour', (_, t) => (t.lf!.colour = 'black')],
    ['an unknown field at the top', 'extra', (f) => (f.extra = 1)],
    [
      'a missing rib',
      'tires.lf.stations.0.outer',
      (_, t) => (t.lf!.stations = [{ inner: 5, centre: 5 }]),
    ],
    ['no stations', 'tires.lf.stations', (_, t) => (t.lf!.stations = [])],
    [
      'seven stations',
      'tires.lf.stations',
      (_, t) => (t.lf!.stations = Array<object>(7).fill({ inner: 5, centre: 5, outer: 5 })),
    ],
    ['text for a number', 'tires.lf.newDepth', (_, t) => (t.lf!.newDepth = '8')],
    [
      'a number that is not finite',
      'tires.lf.newDepth',
      (_, t) => (t.lf!.newDepth = Number.POSITIVE_INFINITY),
    ],
    [
      'no permutation',
      'rotations.0.moves',
      (f) => (f.rotations = [{ atDistance: 1, moves: { lf: 'lr', rf: 'lr' } }]),
    ],
    [
      'a rotation to come',
      'rotations.0.atDistance',
      (f) => (f.rotations = [{ atDistance: 40_000, moves: { lf: 'lr', lr: 'lf' } }]),
    ],
    [
      'rotations out of order',
      'rotations.1.atDistance',
      (f) =>
        (f.rotations = [9_000, 4_000].map((atDistance) => ({
          atDistance,
          moves: { lf: 'lr', lr: 'lf' },
        }))),
    ],
    ['a wrong version', 'version', (f) => (f.version = 2)],
    [
      'tolerances the wrong way round',
      'tolerances.camber.front',
      (f) => (f.tolerances = { camber: { front: [1, -1] } }),
    ],
    ['an unknown complaint', 'complaints.0', (f) => (f.complaints = ['rattles'])],
    ['an impossible angle', 'angles.lf.camber', (f) => (f.angles = { lf: { camber: 90 } })],
  ])('refuses %s at %s', (_what, path, change) => {
    const error = refusal(change);
    expect(error?.path).toBe(path);
    expect(error?.expected).not.toBe('');
  });

  it('allows half a millimetre over new, in the file’s own unit', () => {
    const at = (depth: number) =>
      refusal((file, tires) => {
        file.units = { depth: 'in32', distance: 'km', pressure: 'kPa' };
        tires.lf!.newDepth = 10;
        tires.lf!.stations = [{ inner: depth, centre: 5, outer: 5 }];
        for (const wheel of ['rf', 'lr', 'rr']) tires[wheel]!.newDepth = 10;
      });
    expect(at(10.6)).toBeNull();
    expect(at(10.7)?.path).toBe('tires.lf.stations.0.inner');
  });

  it('refuses what is no object at the top', () => {
    for (const data of [null, [], 'x', 3]) expect(parseCaseFile(data)).toMatchObject({ ok: false });
  });
});
