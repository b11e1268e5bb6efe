import { describe, expect, it } from 'vitest';
import { WHEELS } from '@keen/contract/words';
import { rotationPlan } from './rotationPlan.ts';

const size = (front: string, rear: string) => ({
  tires: { lf: { size: front }, rf: { size: front }, lr: { size: rear }, rr: { size: rear } },
});

describe('rotationPlan', () => {
  it('follows the drive, and gives each place one tire', () => {
    const plan = (drive: 'fwd' | 'rwd' | 'awd') => rotationPlan({ vehicle: { drive } })!;
    expect(plan('fwd').pattern).toBe('forwardCross');
    expect(plan('rwd').pattern).toBe('rearwardCross');
    expect(plan('awd').pattern).toBe('crossed');
    for (const drive of ['fwd', 'rwd', 'awd'] as const) {
      expect(new Set(Object.values(plan(drive).moves))).toEqual(new Set(WHEELS));
    }
  });

  it('keeps different sizes on their axle, and leaves alone what is to stay', () => {
    const staggered = rotationPlan(size('225/40R18', '255/35R18'))!;
    expect(staggered.moves).toEqual({ lf: 'rf', rf: 'lf', lr: 'rr', rr: 'lr' });
    expect(rotationPlan({ vehicle: { rotatable: false } })).toBeNull();
    const oneWay = { visit: { car: { directional: true } } };
    expect(rotationPlan({ vehicle: { drive: 'rwd' }, ...oneWay })!.pattern).toBe('frontToRear');
    expect(rotationPlan({ ...size('225/40R18', '255/35R18'), ...oneWay })).toBeNull();
  });
});
