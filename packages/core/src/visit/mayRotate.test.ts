import { describe, expect, it } from 'vitest';
import { draftToCase } from './draftToCase.ts';
import { isStaggered, mayRotate } from './mayRotate.ts';

const sizes = (front: string, rear: string) => ({
  tires: { lf: { size: front }, lr: { size: rear } },
});

describe('fitment', () => {
  it('is staggered by the size alone', () => {
    expect(isStaggered(sizes('225/45R17 91W', '255/40R17 94W'))).toBe(true);
    expect(isStaggered(sizes('205/55R16 91V', '205/55r16 94H'))).toBe(false);
    expect(isStaggered({ tires: { lf: { size: '205/55R16' } } })).toBe(false);
    expect(isStaggered({})).toBe(false);
  });

  it('keeps tires on their axle without being asked, unless somebody says otherwise', () => {
    const staggered = sizes('225/45R17', '255/40R17');
    expect(mayRotate(staggered)).toBe(false);
    expect(mayRotate({ ...staggered, vehicle: { rotatable: true } })).toBe(true);
    expect(mayRotate(sizes('205/55R16', '205/55R16'))).toBeNull();
    expect(draftToCase(staggered, 'car').file.vehicle.rotatable).toBe(false);
    expect(draftToCase({}, 'car').file.vehicle).not.toHaveProperty('rotatable');
  });
});
