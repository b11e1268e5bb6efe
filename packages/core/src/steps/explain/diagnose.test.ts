import { beforeAll, describe, expect, it } from 'vitest';
import type { CaseFile } from '@keen/contract';
import { diagnosisSchema } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import type { Wheel } from '@keen/contract/words';
import { exampleCase, mirrored, wear } from '../../../tests/exampleCase.ts';
import { FULL_SWEEPS, LIVE_SWEEPS } from '../../engine/diagnosis/diagnose.ts';
import { createDiagnosisRun, diagnose } from './diagnose.ts';
import type { Answer } from '../../engine/diagnosis/diagnose.ts';

/** Spread of a probability between two long runs of the sampler. */
const MONTE_CARLO = 0.06;

const toeIn = exampleCase((file) => {
  wear(file, 'lf', [5.3, 4.5, 3.4]);
  wear(file, 'rf', [5.2, 4.4, 3.3]);
  file.tires.lf.feather = 'catchesOutward';
  file.tires.rf.feather = 'catchesOutward';
});
const camberLf = exampleCase((file) => {
  wear(file, 'lf', [1.2, 4.6, 5]);
  file.tires.lf.feather = 'none';
  file.tires.rf.feather = 'none';
});
const softRr = exampleCase((file) => {
  wear(file, 'rr', [4.4, 5.7, 4.4]);
  file.tires.rr.pressure = { measured: 170, target: 230 };
});
const unread = exampleCase((file) => {
  for (const wheel of WHEELS)
    file.tires[wheel].stations = [{ inner: null, centre: null, outer: null }];
});

function topOf({ diagnosis }: Answer): string {
  const [top] = diagnosis.ranked.filter(({ probability }) => probability >= 0.45);
  return top ? `${top.cause} ${top.where}` : 'nothing';
}

describe('diagnose', () => {
  let answers: Record<'toeIn' | 'camberLf' | 'softRr' | 'healthy' | 'unread', Answer>;
  beforeAll(() => {
    answers = {
      toeIn: diagnose(toeIn),
      camberLf: diagnose(camberLf),
      softRr: diagnose(softRr),
      healthy: diagnose(exampleCase()),
      unread: diagnose(unread),
    };
  });

  it('gives what the contract publishes', () => {
    for (const { diagnosis } of Object.values(answers)) {
      expect(diagnosisSchema.safeParse(diagnosis).error).toBeUndefined();
    }
  });

  it('names the angle, pressure or nothing that the pattern points to', () => {
    expect(topOf(answers.toeIn)).toBe('toeTooFarIn front');
    expect(topOf(answers.camberLf)).toBe('camberTooNegative lf');
    expect(topOf(answers.softRr)).toBe('pressureLow rr');
    expect(topOf(answers.healthy)).toBe('nothing');
  });

  it('advises what puts the cause right, and nothing for a healthy car', () => {
    expect(answers.toeIn.diagnosis.recommendation.action).toBe('align');
    // Which angle wore one tire alone is not sure enough to sell an alignment unmeasured.
    expect(answers.camberLf.diagnosis.recommendation.action).toBe('checkAlignment');
    expect(answers.softRr.diagnosis.recommendation.action).toBe('inflateAndWatch');
    expect(answers.healthy.diagnosis.recommendation.action).toBe('fitOnly');
    expect(answers.camberLf.diagnosis.recommendation.replace).toEqual(['lf']);
  });

  it('does not call a tire worn alone toe', () => {
    const { toeTooFarIn, toeTooFarOut } = answers.camberLf.diagnosis.axles.front.probability;
    expect(toeTooFarIn + toeTooFarOut).toBeLessThan(0.5);
  });

  it('splits the lost rubber into parts that add up to the total', () => {
    for (const { diagnosis } of Object.values(answers)) {
      for (const { wear: parts } of Object.values(diagnosis.wheels)) {
        const { total, ...rest } = parts;
        expect(Object.values(rest).reduce((sum, part) => sum + part, 0)).toBeCloseTo(total, 9);
        expect(Math.min(...Object.values(rest))).toBeGreaterThanOrEqual(0);
      }
    }
    expect(answers.toeIn.diagnosis.wheels.lf.wear.total).toBeCloseTo(8 - 3.4, 9);
  });

  it('returns the prior when nothing was read: the rates of the trade', () => {
    // Common practice, no source: 30 % front toe, 15 % rear toe, 10 % hard cornering, over all cars.
    const { front, rear } = answers.unread.diagnosis.axles;
    expect(front.probability.toeTooFarIn + front.probability.toeTooFarOut).toBeCloseTo(0.3, 1);
    expect(rear.probability.toeTooFarIn + rear.probability.toeTooFarOut).toBeCloseTo(0.15, 1);
    expect(Math.abs(front.probability.hardCornering - 0.1)).toBeLessThan(MONTE_CARLO);
    expect(Math.abs(front.probability.looseness - 0.085)).toBeLessThan(MONTE_CARLO);
  });

  it('widens with ribs that were not read', () => {
    const three = exampleCase((file) => {
      file.tires.lf.stations = [{ inner: null, centre: null, outer: null }];
    });
    expect(diagnose(three).diagnosis.wheels.lf.camber.sd).toBeGreaterThan(
      1.1 * answers.healthy.diagnosis.wheels.lf.camber.sd,
    );
  });

  it('answers the mirrored car with the mirrored answer', () => {
    const swapped = diagnose(mirrored(camberLf)).diagnosis;
    const straight = answers.camberLf.diagnosis;
    for (const [wheel, other] of [
      ['lf', 'rf'],
      ['lr', 'rr'],
    ] as [Wheel, Wheel][]) {
      const a = straight.wheels[wheel].probability;
      const b = swapped.wheels[other].probability;
      for (const cause of Object.keys(a) as (keyof typeof a)[]) {
        expect(Math.abs(a[cause] - b[cause])).toBeLessThan(2 * MONTE_CARLO);
      }
    }
  });

  it('takes measured angles as evidence, both ways', () => {
    const measured = (toe: number) =>
      diagnose({
        ...toeIn,
        angles: { lf: { toe: toe / 2, camber: -0.4 }, rf: { toe: toe / 2, camber: -0.4 } },
      }).diagnosis.axles.front.probability;
    expect(measured(0.6).toeTooFarIn).toBeGreaterThan(0.95);
    const good = measured(0.1);
    expect(good.toeTooFarIn).toBeLessThan(
      answers.toeIn.diagnosis.axles.front.probability.toeTooFarIn,
    );
  });

  it('points to play for toe wear that came back although the toe is right and was set before it', () => {
    const aligned = (alignedAgo: number | undefined) =>
      diagnose({
        ...toeIn,
        angles: { lf: { toe: 0.05 }, rf: { toe: 0.05 } },
        ...(alignedAgo === undefined ? {} : { history: { alignedAgo } }),
      }).diagnosis.axles.front.probability.looseness;
    expect(aligned(29_000)).toBeGreaterThan(
      2 * answers.toeIn.diagnosis.axles.front.probability.looseness,
    );
    expect(aligned(29_000)).toBeGreaterThan(aligned(undefined));
  });

  it('moves the blame to where the tire was before a rotation', () => {
    const rotated: CaseFile = {
      ...camberLf,
      rotations: [{ atDistance: 29_000, moves: { lf: 'lr', lr: 'lf' } }],
    };
    const { wheels } = diagnose(rotated).diagnosis;
    expect(wheels.lr.probability.camberTooNegative).toBeGreaterThan(
      wheels.lf.probability.camberTooNegative,
    );
  });

  it('believes waves felt on one tire', () => {
    const waves = exampleCase((file) => {
      for (const wheel of WHEELS) file.tires[wheel].cupping = wheel === 'lr' ? 'heavy' : 'none';
      wear(file, 'lr', [5.6, 6.1, 5.2]);
      file.complaints = ['noise'];
    });
    const { wheels, recommendation } = diagnose(waves).diagnosis;
    expect(wheels.lr.probability.bounce).toBeGreaterThan(0.6);
    expect(wheels.lf.probability.bounce).toBeLessThan(0.1);
    expect(recommendation.action).toBe('balanceOrDampers');
  });

  it('asks for checks that have not been made, most telling first', () => {
    const { nextChecks } = answers.toeIn.diagnosis;
    expect(nextChecks.length).toBeGreaterThan(3);
    expect(nextChecks.map(({ gain }) => gain)).toEqual(
      nextChecks.map(({ gain }) => gain).toSorted((a, b) => b - a),
    );
    expect(nextChecks).not.toContainEqual(
      expect.objectContaining({ check: 'feelFeather', where: 'lf' }),
    );
    expect(nextChecks.some(({ check }) => check === 'readRib')).toBe(false);
  });

  it('gives the same answer again, whatever order the keys of the case are in', () => {
    const { tires, ...rest } = toeIn;
    const { rr, lr, rf, lf } = tires;
    const shuffled = { tires: { rr, lr, rf, lf }, ...rest, visit: { note: 1 } } as CaseFile;
    expect(JSON.stringify(diagnose(shuffled))).toBe(JSON.stringify(answers.toeIn));
  });
});

describe('createDiagnosisRun', () => {
  it('ends at the full answer however it was stepped', () => {
    const whole = createDiagnosisRun(softRr);
    whole.step(FULL_SWEEPS);
    const parts = createDiagnosisRun(softRr);
    parts.step(LIVE_SWEEPS);
    parts.answer();
    while (!parts.isDone) parts.step(997);
    expect(JSON.stringify(parts.answer())).toBe(JSON.stringify(whole.answer()));
  });

  it('already names the cause in the quick answer', () => {
    const run = createDiagnosisRun(softRr);
    run.step(LIVE_SWEEPS);
    expect(topOf(run.answer())).toBe('pressureLow rr');
  });
});
