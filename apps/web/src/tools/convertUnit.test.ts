import { describe, expect, it } from 'vitest';
import { withUnit } from './convertUnit.ts';
import { TOOLS } from './tools.ts';
import { workOut } from './toolInput.ts';

const TAPE = TOOLS.find(({ name }) => name === 'toeFromTape')!;

describe('withUnit', () => {
  it('takes the wheel along and leaves what is read', () => {
    const inches = { front: '38 1/8', rear: '39 1/4', span: '18', unit: 'in' };
    expect(withUnit(TAPE, inches, 'mm')).toEqual({ ...inches, span: '457.2', unit: 'mm' });
    expect(withUnit(TAPE, { span: '457.2', unit: 'mm' }, 'in').span).toBe('18');
    expect(withUnit(TAPE, { span: '', unit: 'mm' }, 'in').span).toBe('');
    // Typed before the unit was chosen.
    expect(withUnit(TAPE, { span: '25', unit: 'mm' }, 'in').span).toBe('25');
    expect(withUnit(TAPE, { span: '640', unit: 'in' }, 'mm').span).toBe('640');
  });
});

describe('a wheel of 457 inches', () => {
  it('is refused at its field', () => {
    const worked = workOut(TAPE, { front: '38', rear: '39', span: '457', unit: 'in' });
    expect(worked).toEqual({
      ok: false,
      faults: { span: 'Expected at most 59 in across a wheel' },
    });
  });
});

describe('the inch mark', () => {
  it('is read in inches and nowhere else', () => {
    const inches = workOut(TAPE, { front: '38 1/8"', rear: '39 1/4″', span: '18', unit: 'in' });
    expect(inches).toMatchObject({ ok: true, input: { front: 38.125, rear: 39.25 } });
    const metric = workOut(TAPE, { front: '1502"', rear: '1505', span: '640', unit: 'mm' });
    expect(metric.ok).toBe(false);
  });
});
