import { describe, expect, it } from 'vitest';
import { threadLeft } from './threadLeft.ts';
import { tieRod } from './tieRod.ts';

const rod = { steeringArm: 140, threadPitch: 1.5, rack: 'behind', adjuster: 'single' } as const;

describe('thread left in a rod end', () => {
  it('is less by the turns times the pitch when the rod is made longer', () => {
    const { lengthChange, turns } = tieRod({ ...rod, toeChange: 0.25 });
    const { left } = threadLeft({ engaged: 20, diameter: 14, lengthChange, adjuster: 'single' });
    expect(20 - left).toBeCloseTo(turns * 1.5, 10);
  });

  it('grows when the rod is made shorter', () => {
    const { lengthChange } = tieRod({ ...rod, toeChange: -0.5 });
    const after = threadLeft({ engaged: 13, diameter: 14, lengthChange, adjuster: 'single' });
    expect(after.left).toBeGreaterThan(14);
    expect(after.holds).toBe(true);
  });

  it('is shared by the two ends of a turnbuckle', () => {
    const given = { engaged: 20, diameter: 14, lengthChange: 4 };
    expect(threadLeft({ ...given, adjuster: 'single' }).left).toBe(16);
    expect(threadLeft({ ...given, adjuster: 'turnbuckle' }).left).toBe(18);
  });

  it('does not hold below one diameter, and is never less than nothing', () => {
    const given = { diameter: 14, adjuster: 'single' } as const;
    expect(threadLeft({ ...given, engaged: 15, lengthChange: 1 }).holds).toBe(true);
    expect(threadLeft({ ...given, engaged: 15, lengthChange: 1.1 }).holds).toBe(false);
    expect(threadLeft({ ...given, engaged: 3, lengthChange: 9 })).toMatchObject({
      left: 0,
      holds: false,
    });
  });
});
