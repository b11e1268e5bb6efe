import type { VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { wheelsInSight } from './wheelsInSight.ts';

const CAR: VisitDraft = {
  angles: {
    lf: { camber: -0.6, toe: 0.42 },
    rf: { camber: -0.5, toe: 0.1 },
    lr: { camber: -1.2, toe: 0.12 },
    rr: { camber: -1.1, toe: 0.1 },
  },
};

describe('wheelsInSight', () => {
  it('turns the left wheel clockwise for toe-in from above, and for a top leaning in from behind', () => {
    const { times, axles } = wheelsInSight(CAR);
    const [left, right] = axles.front.wheels;
    expect(left.toe!.turn).toBeCloseTo(0.42 * times.toe, 9);
    expect(right.toe!.turn).toBeCloseTo(-0.1 * times.toe, 9);
    expect(left.camber!.turn).toBeCloseTo(0.6 * times.camber, 9);
    expect(right.camber!.turn).toBeCloseTo(-0.5 * times.camber, 9);
  });

  it('mirrors: left and right changed over is the same picture turned over', () => {
    const { lf, rf, lr, rr } = CAR.angles!;
    const there = wheelsInSight(CAR);
    const mirrored = wheelsInSight({ angles: { lf: rf!, rf: lf!, lr: rr!, rr: lr! } });
    for (const axle of ['front', 'rear'] as const) {
      const [left, right] = there.axles[axle].wheels;
      const [mirroredLeft, mirroredRight] = mirrored.axles[axle].wheels;
      expect(mirroredLeft.toe!.turn).toBeCloseTo(-right.toe!.turn, 9);
      expect(mirroredRight.camber!.turn).toBeCloseTo(-left.camber!.turn, 9);
    }
    expect(mirrored.axles.rear.thrust!.turn).toBeCloseTo(-there.axles.rear.thrust!.turn, 9);
  });

  it('draws large angles less enlarged, so that none lies on its side', () => {
    const { times, axles } = wheelsInSight({ angles: { lf: { camber: -3.2, toe: 1.9 } } });
    expect(times.toe).toBe(10);
    expect(times.camber).toBe(6);
    expect(Math.abs(axles.front.wheels[0].toe!.turn)).toBeLessThanOrEqual(24);
  });

  it('draws a total as half at each wheel, and says that it is one', () => {
    const { axles } = wheelsInSight({
      angles: { lf: { toe: 0.4 }, rf: { toe: 0.4 } },
      visit: { measure: { method: { toe: 'tape' } } },
    });
    expect(axles.front.total!.value).toBeCloseTo(0.8, 9);
    expect(axles.front.wheels[0].toe!.value).toBeCloseTo(0.4, 9);
    expect(axles.rear.total).toBeNull();
  });

  it('keeps what was found behind what is now', () => {
    const { axles, times } = wheelsInSight({
      ...CAR,
      visit: { setRight: { before: { ...CAR.angles, lf: { camber: -0.6, toe: 0.7 } } } },
    });
    expect(axles.front.wheels[0].toe!.was).toEqual({ value: 0.7, turn: 0.7 * times.toe });
    expect(axles.front.wheels[1].toe!.was).toBeNull();
  });
});
