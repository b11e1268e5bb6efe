import { describe, expect, it } from 'vitest';
import { fieldAt } from '@keen/core';
import { showDepth, showDistance, showPercent, showPressure } from './format.ts';
import { newId } from './newId.ts';

describe('format', () => {
  it('shows a depth with the decimals its unit has', () => {
    expect(showDepth(5.3, 'mm')).toBe('5.3');
    expect(showDepth(6.35, 'in32')).toBe('8');
  });

  it('shows distance with a space between thousands', () => {
    expect(showDistance(31_400, 'km')).toBe('31\u00a0400');
    expect(showDistance(16_093.44, 'mi')).toBe('10\u00a0000');
  });

  it('shows pressure in the unit asked for', () => {
    expect(showPressure(230, 'kPa')).toBe('230');
    expect(showPressure(230, 'bar')).toBe('2.3');
    expect(showPressure(241.3, 'psi')).toBe('35');
  });

  it('never says 0 or 100 per cent', () => {
    expect(showPercent(0.9999)).toBe('>\u00a099\u00a0%');
    expect(showPercent(0.001)).toBe('<\u00a01\u00a0%');
    expect(showPercent(0.126)).toBe('13\u00a0%');
  });
});

describe('fieldAt', () => {
  it('finds a field by its path, also in lists, and null where nothing is', () => {
    const draft = { tires: { lf: { stations: [{ outer: 5 }] } } };
    expect(fieldAt(draft, 'tires.lf.stations.0.outer')).toBe(5);
    expect(fieldAt(draft, 'tires.lf.stations.1.outer')).toBeNull();
    expect(fieldAt(draft, 'tires.rr.newDepth')).toBeNull();
  });
});

describe('newId', () => {
  it('makes version 4 UUIDs, each its own', () => {
    const ids = Array.from({ length: 50 }, newId);
    expect(new Set(ids).size).toBe(50);
    for (const id of ids) {
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    }
  });
});
