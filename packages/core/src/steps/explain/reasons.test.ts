import { describe, expect, it } from 'vitest';
import type { CaseFile } from '@keen/contract';
import type { Cause, Wheel, Axle } from '@keen/contract/words';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../../engine/case/resolveCase.ts';
import { FAULTS } from '../../engine/wear/faults.ts';
import { SPANISH } from '../../words/spanish.ts';
import { createReasons } from './reasons.ts';

function reasons(
  cause: Cause,
  where: Wheel | Axle,
  change: (file: CaseFile) => void,
  unit: 'mm' | 'in32' = 'mm',
) {
  const fault = FAULTS.find((one) => one.cause === cause && one.where === where)!;
  return createReasons(resolveCase(exampleCase(change)), unit)(fault);
}

describe('createReasons', () => {
  it('speaks for camber from one tire’s slope, in its own numbers', () => {
    const { because, against } = reasons('camberTooNegative', 'lf', (file) => {
      wear(file, 'lf', [2.4, 4.6, 5]);
      file.tires.lf.feather = 'none';
    });
    expect(because).toContain('The inner edge is 2.6 mm lower than the outer one.');
    expect(because).toContain(
      'The tire across the axle does not slope like it, and toe would show on both.',
    );
    expect(because).toContain('The slope is smooth under the hand, not feathered.');
    expect(against).toEqual([]);
  });

  it('reads the tire that wore at a place, wherever it is mounted today', () => {
    const { because, against } = reasons('camberTooNegative', 'lf', (file) => {
      wear(file, 'rr', [2.4, 4.6, 5]);
      file.tires.rr.feather = 'none';
      const moves = { lf: 'rr', rr: 'rf', rf: 'lr', lr: 'lf' } as const;
      file.rotations = [{ atDistance: 26_000, moves }];
    });
    expect(because[0]).toBe('The left front tire has moved to the right rear.');
    expect(because).toContain('The inner edge is 2.6 mm lower than the outer one.');
    expect(against).toEqual([]);
  });

  it('gives each reason as a code with its figures, so that another language can say it', () => {
    const toe = (unit: 'mm' | 'in32') =>
      reasons(
        'toeTooFarIn',
        'front',
        (file) => {
          wear(file, 'lf', [5.2, 4.4, 3.3]);
          wear(file, 'rf', [5.2, 4.4, 3.5]);
          file.tires.lf.feather = 'catchesOutward';
          file.tires.rf.feather = 'none';
        },
        unit,
      );
    const { because, against, codes } = toe('mm');
    expect(codes).toEqual({
      because: [
        { code: 'bothEdgesLower', figures: ['outer', 1.9, 1.7] },
        { code: 'catches', figures: ['lf', true] },
      ],
      against: [{ code: 'isSmooth', figures: ['rf'] }],
    });
    expect([because.length, against.length]).toEqual([2, 1]);
    // Figures stay in mm whatever the sentence is in.
    expect(toe('in32').codes).toEqual(codes);
    expect(toe('in32').because[0]).toContain('/32 in');
    const spanish = SPANISH.reasons;
    expect(codes.because.every(({ code }) => code in spanish)).toBe(true);
  });

  it('speaks against camber when both tires slope and the ribs are feathered', () => {
    const { against } = reasons('camberTooPositive', 'lf', (file) => {
      wear(file, 'lf', [5, 4.4, 3.6]);
      wear(file, 'rf', [5, 4.4, 3.6]);
      file.tires.lf.feather = 'catchesOutward';
    });
    expect(against).toContain(
      'The tire across the axle slopes the same way, as toe would leave it.',
    );
    expect(against).toContain('The ribs are feathered, which camber alone does not do.');
  });

  it('puts a measured angle on the side it speaks for, with its tolerance', () => {
    const measured = (camber: number) =>
      reasons('camberTooNegative', 'lf', (file) => (file.angles = { lf: { camber } }));
    expect(measured(-2.1).because).toContain(
      'Camber measured −2.1°, where −1.25° to +0.50° is fine.',
    );
    expect(measured(-0.5).against).toContain(
      'Camber measured −0.5°, where −1.25° to +0.50° is fine.',
    );
  });

  it('leans on a lowered body for negative camber', () => {
    const { because } = reasons('camberTooNegative', 'lr', (file) => {
      file.vehicle.rideHeightChange = { front: 0, rear: -40 };
    });
    expect(because).toContain('The car sits lower than it was built, which turns camber negative.');
  });

  it('needs both tires of the axle for toe, and the hand’s direction', () => {
    const both = reasons('toeTooFarIn', 'front', (file) => {
      wear(file, 'lf', [5.3, 4.5, 3.4]);
      wear(file, 'rf', [5.2, 4.4, 3.3]);
      file.tires.lf.feather = 'catchesOutward';
      file.tires.rf.feather = 'catchesInward';
    });
    expect(both.because).toContain('Both outer edges are lower, by 1.9 mm left and 1.9 mm right.');
    expect(both.because).toContain('The left front catches under the hand moving out.');
    expect(both.against).toContain('The right front catches the other way.');
    const one = reasons('toeTooFarOut', 'rear', (file) => wear(file, 'lr', [3, 5, 6]));
    expect(one.against).toContain(
      'The inner edges are not both lower, and toe shows on both tires.',
    );
  });

  it('adds the two measured toes up', () => {
    const { because } = reasons('toeTooFarIn', 'front', (file) => {
      file.angles = { lf: { toe: 0.4 }, rf: { toe: 0.25 } };
    });
    expect(because).toContain('Total toe measured +0.65°, where −0.10° to +0.30° is fine.');
  });

  it('reads pressure from shoulders, centre and gauge', () => {
    const soft = reasons('pressureLow', 'rr', (file) => {
      wear(file, 'rr', [4.6, 5.6, 4.6]);
      file.tires.rr.pressure = { measured: 180, target: 240 };
    });
    expect(soft.because).toEqual([
      'The shoulders are 1.0 mm lower than the centre.',
      'Found 25 % below the placard.',
    ]);
    const hard = reasons('pressureHigh', 'rr', (file) => {
      wear(file, 'rr', [5.6, 4.8, 5.6]);
      file.tires.rr.pressure = { measured: 240, target: 240 };
    });
    expect(hard.because).toEqual(['The centre is 0.8 mm lower than the shoulders.']);
    expect(hard.against).toEqual(['Found at the placard pressure.']);
  });

  it('hears play, fast wear and a wandering car for looseness', () => {
    const { because, against } = reasons('looseness', 'front', (file) => {
      for (const wheel of ['lf', 'rf'] as const) wear(file, wheel, [2, 2, 2]);
      file.play = { lf: 'excessive', rf: 'none' };
      file.complaints = ['wander'];
      file.angles = { lf: { toe: 0.05 }, rf: { toe: 0.05 } };
    });
    expect(because).toContain('Too much play found at the left front.');
    expect(because).toContain('The driver says it wanders.');
    expect(
      because.some((line) => line.startsWith('Both tires of the axle wore fast: 2.0 mm')),
    ).toBe(true);
    expect(because.some((line) => line.includes('may be play'))).toBe(true);
    expect(against).toEqual(['No play found at the right front.']);
  });

  it('feels waves and sees unevenness for bounce', () => {
    const { because } = reasons('bounce', 'lr', (file) => {
      file.tires.lr.cupping = 'heavy';
      file.tires.lr.stations = [
        { inner: 6, centre: 6, outer: 6 },
        { inner: 4.8, centre: 6, outer: 6 },
      ];
      file.complaints = ['noise'];
    });
    expect(because).toEqual([
      'Heavy waves felt along the tread.',
      'Places round the tire differ by 1.2 mm.',
      'The driver reports noise.',
    ]);
  });

  it('tells cornering from toe by the smooth shoulders', () => {
    const { because } = reasons('hardCornering', 'front', (file) => {
      file.vehicle.use = 'track';
      for (const wheel of ['lf', 'rf'] as const) {
        wear(file, wheel, [5.2, 5.2, 4.2]);
        file.tires[wheel].feather = 'none';
      }
    });
    expect(because).toHaveLength(3);
  });

  it('speaks in the unit the depths were read in', () => {
    const { because } = reasons(
      'camberTooNegative',
      'lf',
      (file) => wear(file, 'lf', [2.4, 4.6, 4.78125]),
      'in32',
    );
    expect(because[0]).toBe('The inner edge is 3.0/32 in lower than the outer one.');
  });
});
