import type { CaseFile } from '@keen/contract';
import type { Action } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { evenCar } from '../../../tests/evenCar.ts';
import { createDiagnosisRun } from '../../steps/explain/diagnose.ts';
import { LIVE_SWEEPS } from './diagnose.ts';

/** Both fronts worn at their inner edges like a saw: toe-out over the tires' life, with hardly a doubt. */
function outlookWith(change: (file: CaseFile) => void) {
  const file = evenCar({ lf: [3.3, 4.2, 4.9], rf: [3.4, 4.2, 4.9] }, (car) => {
    for (const wheel of ['lf', 'rf'] as const) car.tires[wheel].feather = 'catchesInward';
    change(car);
  });
  const run = createDiagnosisRun(file);
  run.step(LIVE_SWEEPS);
  const { courses, cars } = run.outlook();
  const course = (name: Action) => courses.find((one) => one.course === name)!;
  const out = cars.filter(({ isOut }) => isOut).length / cars.length;
  return { out, comesBack: course('fitOnly').comesBack, lifeKm: course('fitOnly').lifeKm.median };
}

const rig = (frontToe: number) => (file: CaseFile) => {
  file.angles = {
    lf: { camber: -0.4, toe: frontToe },
    rf: { camber: -0.4, toe: frontToe },
    lr: { camber: -0.7, toe: 0.07 },
    rr: { camber: -0.7, toe: 0.07 },
  };
};

describe('a car as it stands today', () => {
  const asItWas = outlookWith(() => undefined);

  it('is as it has been where nothing was set or knocked lately', () => {
    expect(asItWas.out).toBeGreaterThan(0.95);
    expect(asItWas.comesBack).toBeGreaterThan(0.95);
  });

  it('is in order four times in five where it was aligned after most of the wear', () => {
    const { out, comesBack, lifeKm } = outlookWith(
      (file) => (file.history = { alignedAgo: 2_000 }),
    );
    expect(out).toBeGreaterThan(0.15);
    expect(out).toBeLessThan(0.25);
    expect(comesBack).toBeLessThan(0.4);
    expect(lifeKm).toBeGreaterThan(1.2 * asItWas.lifeKm);
  });

  it('is as it has been where a kerb came into it, however lately it was aligned', () => {
    const { out } = outlookWith((file) => {
      file.history = { alignedAgo: 2_000, startedAfter: ['kerb'] };
    });
    expect(out).toBeGreaterThan(0.9);
  });

  it('is as a rig has found it since, in or out', () => {
    const found = (toe: number) =>
      outlookWith((file) => {
        file.history = { alignedAgo: 2_000 };
        rig(toe)(file);
      });
    expect(found(0.05).out).toBe(0);
    // Out by less than the rig's own error, -0.13 where -0.10 is fine, is in.
    expect(found(-0.065).out).toBe(0);
    expect(found(-0.2).out).toBe(1);
  });
});
