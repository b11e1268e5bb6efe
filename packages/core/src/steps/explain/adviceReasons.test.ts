import type { CaseFile } from '@keen/contract';
import type { Action, Complaint } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { ENGLISH } from '../../words/english.ts';
import { SPANISH } from '../../words/spanish.ts';
import { evenCar } from '../../../tests/evenCar.ts';
import { adviceReason } from './adviceReasons.ts';
import { withAction } from './recommend.ts';
import { diagnose } from './diagnose.ts';
import { verdictOf } from './verdict.ts';

const SOFT: [number, number, number] = [3.6, 5.6, 3.7];

describe('reasons of an advice', () => {
  it('say a cause once for all the places where it is about as likely', () => {
    const car = evenCar({ lf: SOFT, rf: SOFT, lr: SOFT, rr: SOFT });
    for (const tire of Object.values(car.tires)) delete tire.pressure;
    const { codes, reasons } = diagnose(car).diagnosis.recommendation;
    const pressure = reasons.filter((reason) => reason.startsWith('Pressure too low'));
    expect(pressure).toEqual([
      expect.stringMatching(/^Pressure too low at all four wheels: .* likely\.$/),
    ]);
    expect(codes!.filter(({ code }) => code === 'causeAt')).toHaveLength(1);
  });

  it('give the span of the chances in each language, and one place as before', () => {
    const two = { code: 'causeAt', figures: ['camberTooNegative', 0.94, 0.96, 'lr', 'rr'] };
    expect(adviceReason(two, ENGLISH)).toBe(
      'Camber too negative at both rear wheels: 94 to 96 % likely.',
    );
    expect(adviceReason(two, SPANISH)).toMatch(
      /en las dos ruedas traseras: probable en un 94 a 96 %\.$/,
    );
    const one = { code: 'causeAt', figures: ['toeTooFarIn', 0.999, 0.999, 'front'] };
    expect(adviceReason(one, ENGLISH)).toBe('Too much toe-in at the front axle: over 99 % likely.');
    const axles = { code: 'causeAt', figures: ['looseness', 0.5, 0.999, 'front', 'rear'] };
    expect(adviceReason(axles, ENGLISH)).toBe(
      'Loose joints at both axles: 50 to over 99 % likely.',
    );
    // As it was saved before places were put together.
    const old = { code: 'cause', figures: ['toeTooFarIn', 'front', 0.5] };
    expect(adviceReason(old, ENGLISH)).toBe('Too much toe-in at the front axle: 50 % likely.');
  });

  it('put play that was found by hand first, whatever the tread says', () => {
    const car = evenCar({}, (file) => {
      file.play = { lf: 'excessive', rf: 'none' };
    });
    const { action, reasons, beforeFitting } = diagnose(car).diagnosis.recommendation;
    expect([action, beforeFitting]).toEqual(['partsThenAlign', true]);
    expect(reasons[0]).toMatch(/^Excessive play was found at the left front: not safe to drive/);
    expect(reasons).not.toContain('The tread looks like that of a car with nothing out.');
    const found = { code: 'playFound', figures: ['lf', 'rr'] };
    expect(adviceReason(found, SPANISH)).toMatch(
      /^Holgura excesiva en la rueda delantera izquierda y /,
    );
  });

  it('answer some play and some waves that a hand has found, though nothing is likely to be worn', () => {
    const car = evenCar({}, (file) => {
      file.play = { lf: 'some', rf: 'none', lr: 'none', rr: 'none' };
      file.tires.rr.cupping = 'some';
    });
    const { action, reasons } = diagnose(car).diagnosis.recommendation;
    expect(action).toBe('fitOnly');
    expect(reasons).toEqual([
      'The tread looks like that of a car with nothing out.',
      'Some play was found at the left front: check it against the maker’s limit.',
      expect.stringMatching(/^Waves were felt at the right rear, too slight to blame a damper/),
    ]);
    const found = { code: 'somePlay', figures: ['lf', 'rr'] };
    expect(adviceReason(found, SPANISH)).toMatch(
      /^Algo de holgura en la rueda delantera izquierda y /,
    );
  });

  it('measure before anything is set on a car that was aligned lately, and look for what a kerb has bent', () => {
    const toeOut = { lf: [3.3, 4.2, 4.9], rf: [3.4, 4.2, 4.9] } as const;
    const advised = (history: CaseFile['history']) =>
      diagnose(
        evenCar({ lf: [...toeOut.lf], rf: [...toeOut.rf] }, (file) => {
          for (const wheel of ['lf', 'rf'] as const) file.tires[wheel].feather = 'catchesInward';
          file.history = history;
        }),
      ).diagnosis.recommendation;
    const lately = advised({ alignedAgo: 2_000 });
    expect(lately.action).toBe('checkAlignment');
    expect(lately.reasons[1]).toMatch(/^The car was aligned after most of this wear/);
    const knocked = advised({ startedAfter: ['kerb'] });
    expect(knocked.action).toBe('align');
    expect(knocked.reasons[1]).toMatch(/^It started after a kerb or a pothole: look for a bent/);
    // What an alignment has put right is not so any more.
    const both = advised({ alignedAgo: 2_000, startedAfter: ['kerb'] });
    expect(both.codes!.map(({ code }) => code)).toEqual(['causeAt', 'bentFirst']);
  });

  it('answer a vibration with balancing while the tires stay, and with new tires where they go', () => {
    const shakes = (worn: Parameters<typeof evenCar>[0]) =>
      diagnose(
        evenCar(worn, (file) => {
          file.complaints = ['vibration'];
        }),
      ).diagnosis.recommendation;
    const stays = shakes({});
    expect(stays.action).toBe('balanceOrDampers');
    expect(stays.reasons[0]).toMatch(/^The driver feels a vibration/);
    const low: [number, number, number] = [2.6, 2.7, 2.6];
    const goes = shakes({ lf: low, rf: low });
    expect(goes.action).toBe('fitOnly');
    expect(goes.codes!.map(({ code }) => code)).not.toContain('shaking');
  });

  describe('of a car that a rig has looked at', () => {
    const measured = (complaint: Complaint, angles: Partial<Record<'lf' | 'rf', object>> = {}) => {
      const plain = { camber: -0.4, toe: 0.05, caster: 4 };
      return diagnose(
        evenCar({}, (file) => {
          file.complaints = [complaint];
          file.angles = { lf: plain, rf: plain, lr: plain, rr: plain, ...angles };
        }),
      ).diagnosis.recommendation;
    };

    it('name the difference from side to side that pulls as the driver says', () => {
      // Each within its own limits, and no tread would show it.
      const left = { camber: 0.4, toe: 0.05, caster: 4 };
      const right = { camber: -0.6, toe: 0.05, caster: 4 };
      const pulls = measured('pullsLeft', { lf: left, rf: right });
      expect(pulls.action).toBe('align');
      expect(pulls.reasons).toEqual([
        'Front camber differs by 1.0° from left to right, which pulls the car to the left: set both sides alike.',
      ]);
      const [code] = pulls.codes!;
      expect(adviceReason(code!, SPANISH)).toMatch(/difiere en 1,0° .* hacia la izquierda/);
      // The other way, it explains nothing.
      const other = measured('pullsRight', { lf: left, rf: right });
      expect(other.codes!.map((one) => one.code)).toEqual(['unexplained']);
      // Less caster pulls, more does not.
      const less = { camber: -0.4, toe: 0.05, caster: 3.2 };
      expect(measured('pullsRight', { rf: less }).reasons[0]).toMatch(
        /^Front caster differs by 0\.8°/,
      );
      expect(measured('pullsLeft', { rf: less }).codes![0]!.code).toBe('unexplained');
    });

    it('have joints looked through once: not where all were found tight', () => {
      const tight = evenCar({}, (file) => {
        const plain = { camber: -0.4, toe: 0.05 };
        file.complaints = ['wander'];
        file.angles = { lf: plain, rf: plain, lr: plain, rr: plain };
        file.play = { lf: 'none', rf: 'none', lr: 'none', rr: 'none' };
      });
      const { action, codes } = diagnose(tight).diagnosis.recommendation;
      expect(action).toBe('inflateAndWatch');
      expect(codes!.map(({ code }) => code)).toEqual(['unexplained']);
    });

    it.each([
      ['pullsLeft', 'inflateAndWatch', /swap the two front tires/],
      ['wheelOffRight', 'align', /set it straight with both tie rods/],
      ['wander', 'partsThenAlign', /check joints, bushings and caster/],
      ['noReturn', 'partsThenAlign', /a strut mount that binds/],
    ] as const)('answer %s though every angle is in order', (complaint, action, said) => {
      const advised = measured(complaint);
      expect(advised.action).toBe(action);
      expect(advised.reasons).toEqual([expect.stringMatching(said)]);
    });
  });

  it('say that a tread that has hardly worn cannot tell, and sell no alignment on it', () => {
    const new500 = evenCar({}, (file) => {
      for (const tire of Object.values(file.tires)) {
        Object.assign(tire, { newDepth: 8, distance: 500 });
        tire.stations = [{ inner: 7.9, centre: 7.9, outer: 7.8 }];
      }
    });
    const { diagnosis } = diagnose(new500);
    expect(diagnosis.recommendation).toMatchObject({
      action: 'fitOnly',
      codes: [{ code: 'hardlyWorn', figures: [] }],
    });
    expect(verdictOf(diagnosis, new500)).toMatchObject({
      headline: 'The tires have worn too little to tell.',
      detail: '',
      isHealthy: false,
    });
    const pulling = evenCar({}, (file) => {
      file.tires = new500.tires;
      file.complaints = ['pullsLeft'];
    });
    expect(diagnose(pulling).diagnosis.recommendation.action).toBe('checkAlignment');
  });

  it('ask for a reading again that is likely wrong, and nothing else of its tire', () => {
    const { action, codes } = diagnose(evenCar({ rf: [5.6, 0.5, 5.6] })).diagnosis.recommendation;
    expect(action).toBe('inflateAndWatch');
    expect(codes!.map(({ code }) => code)).toEqual(['readAgain', 'atLimit']);
  });

  const { recommendation } = diagnose(evenCar({})).diagnosis;

  it('say why causes that they name are left alone, and nothing of it once they are seen to', () => {
    const named = (cause: string) => ({ code: 'causeAt', figures: [cause, 0.32, 0.32, 'front'] });
    const closing = (cause: string, action: Action, isInOrder = false) => {
      const changed = { ...recommendation, codes: [named(cause)] };
      return withAction(changed, action, isInOrder).codes!.map(({ code }) => code);
    };
    expect(closing('toeTooFarIn', 'fitOnly')).toEqual(['causeAt', 'leftAlone']);
    expect(closing('toeTooFarIn', 'fitOnly', true)).toEqual(['causeAt', 'nothingToSet']);
    expect(closing('toeTooFarIn', 'checkAlignment')).toEqual(['causeAt']);
    expect(closing('pressureLow', 'inflateAndWatch')).toEqual(['causeAt']);
    expect(closing('looseness', 'inflateAndWatch')).toEqual(['causeAt', 'leftAlone']);
    const lately = [named('toeTooFarIn'), { code: 'alignedLately', figures: [] }];
    expect(withAction({ ...recommendation, codes: lately }, 'fitOnly', false).codes).toEqual(
      lately,
    );
    // That is driving, and no work would change it.
    expect(closing('hardCornering', 'fitOnly')).toEqual(['causeAt']);
    const both = [named('toeTooFarIn'), named('hardCornering')];
    expect(withAction({ ...recommendation, codes: both }, 'fitOnly', false).codes).toEqual([
      both[0],
      { code: 'leftAlone', figures: [] },
      both[1],
    ]);
  });

  it('take back what other prices make untrue', () => {
    const codes = [{ code: 'oneIsOut', figures: [0.33] }];
    const left = withAction({ ...recommendation, codes }, 'fitOnly', false);
    expect(left.reasons.at(-1)).toMatch(/^Not likely enough to pay for work now/);
    const checked = withAction(left, 'checkAlignment', false);
    expect(checked).toMatchObject({ action: 'checkAlignment', beforeFitting: true, codes });
  });

  it('never say that nothing is needed where a rig has found an angle out today', () => {
    const angles = (toe: number) => ({
      lf: { camber: -0.5, toe },
      rf: { camber: -0.5, toe },
      lr: { camber: -0.8, toe: 0.1 },
      rr: { camber: -0.8, toe: 0.1 },
    });
    const advised = (change: Parameters<typeof evenCar>[1]) => {
      const file = evenCar({}, change);
      const { diagnosis } = diagnose(file);
      return { ...diagnosis.recommendation, headline: verdictOf(diagnosis, file).headline };
    };
    const out = advised((file) => (file.angles = angles(0.4)));
    expect(out.action).toBe('checkAlignment');
    expect(out.reasons).toEqual([
      expect.stringMatching(/^An angle measured today .* measure it again/),
    ]);
    expect(out.headline).toMatch(/an angle measured today is outside its limits/);
    // A kerb explains both: out today, and not yet in the tread.
    const knocked = advised((file) => {
      file.angles = angles(0.4);
      file.history = { startedAfter: ['kerb'] };
    });
    expect(knocked.action).toBe('align');
    // One axle measured is enough to know that it is out.
    const front = advised((file) => {
      file.angles = { lf: { toe: 0.4 }, rf: { toe: 0.4 } };
    });
    expect(front.action).toBe('checkAlignment');
    expect(advised((file) => (file.angles = angles(0.05))).action).toBe('fitOnly');
  });

  it('never say that nothing is needed where a pressure is off today, or the driver reports a pull', () => {
    const advised = (change: Parameters<typeof evenCar>[1]) =>
      diagnose(evenCar({}, change)).diagnosis.recommendation;
    const flat = advised((file) => (file.tires.lr.pressure = { target: 230, measured: 120 }));
    expect(flat.action).toBe('inflateAndWatch');
    expect(flat.reasons).toEqual([
      expect.stringMatching(/^Off the placard today: left rear\. .* leak/),
    ]);
    // Within the tolerance and the gauge's error nothing is found.
    const near = advised((file) => (file.tires.lr.pressure = { target: 230, measured: 205 }));
    expect(near.action).toBe('fitOnly');
    const crooked = advised((file) => (file.complaints = ['wheelOffRight']));
    expect([crooked.action, crooked.reasons.length]).toEqual(['checkAlignment', 1]);
    // A pull under the brakes is the brakes', and noise is no matter of angles.
    const braking = advised((file) => {
      file.complaints = ['pullsLeft'];
      file.history = { occasions: ['braking'] };
    });
    expect(braking.action).toBe('fitOnly');
    const always = advised((file) => {
      file.complaints = ['pullsLeft'];
      file.history = { occasions: ['braking', 'always'] };
    });
    expect(always.action).toBe('checkAlignment');
    expect(advised((file) => (file.complaints = ['noise'])).action).toBe('fitOnly');
  });

  it('ask for a reading that does not fit again, and call no tread even by leaving it out', () => {
    const inOrder = (worn: Parameters<typeof evenCar>[0]) => {
      const file = evenCar(worn, (car) => {
        car.angles = {
          lf: { camber: -0.5, toe: 0.03 },
          rf: { camber: -0.5, toe: 0.02 },
          lr: { camber: -0.8, toe: 0.05 },
          rr: { camber: -0.8, toe: 0.05 },
        };
      });
      const { diagnosis } = diagnose(file);
      return { ...diagnosis.recommendation, headline: verdictOf(diagnosis, file).headline };
    };
    const misread = inOrder({ lf: [2.8, 5.5, 5.5] });
    expect(misread.headline).toMatch(/left front inner reading does not fit the others/);
    expect(misread.reasons[0]).toBe(misread.headline);
    expect(misread.reasons).not.toContain('The tread looks like that of a car with nothing out.');
    expect(misread.action).toBe('inflateAndWatch');
    // Low across all its ribs: that was not misread, and the angles of today do not explain it.
    const sloped = inOrder({ lf: [2.8, 4.4, 5.4] });
    expect(sloped.headline).toMatch(/^The left front tire is worn on its inner edge/);
    expect(sloped.action).toBe('partsThenAlign');
  });

  it('ask for an edge that was not read where the rest of the tire is uneven', () => {
    const read = (centre: number, outer: number) => {
      const file = evenCar({}, (car) => {
        car.tires.rr.stations = [{ inner: null, centre, outer }];
      });
      const { diagnosis } = diagnose(file);
      return { ...diagnosis.recommendation, headline: verdictOf(diagnosis, file).headline };
    };
    const uneven = read(4.9, 5.9);
    expect(uneven.headline).toMatch(/^The right rear inner rib was not read/);
    expect(uneven.reasons).toContain(uneven.headline);
    expect(uneven.action).not.toBe('fitOnly');
    const even = read(6.2, 6.3);
    expect(even.headline).toBe('This tread fits a car with nothing out.');
    expect(even.action).toBe('fitOnly');
  });

  it('say why joints are looked at where the angles are in order, and that dampers come before them', () => {
    const toedOut: Parameters<typeof evenCar>[0] = { lf: [3.0, 4.0, 4.8], rf: [3.1, 4.0, 4.8] };
    const found = diagnose(
      evenCar(toedOut, (file) => {
        file.tires.lf.feather = file.tires.rf.feather = 'catchesInward';
        file.angles = {
          lf: { camber: -0.5, toe: 0.03 },
          rf: { camber: -0.5, toe: 0.02 },
          lr: { camber: -0.8, toe: 0.05 },
          rr: { camber: -0.8, toe: 0.05 },
        };
      }),
    ).diagnosis.recommendation;
    expect(found.action).toBe('partsThenAlign');
    expect(found.reasons).toContainEqual(
      expect.stringMatching(/angles measured today are in order, so look for what moves them/),
    );
    const waves = diagnose(
      evenCar(toedOut, (file) => {
        file.tires.lf.feather = file.tires.rf.feather = 'catchesInward';
        file.tires.lf.cupping = file.tires.rf.cupping = 'heavy';
      }),
    ).diagnosis.recommendation;
    expect(waves.reasons).toContainEqual(expect.stringMatching(/^Dampers and balance before/));
  });

  it('say how likely a loose joint is where no axle stands out but joints are looked at first', () => {
    const { action, reasons, codes } = diagnose(
      evenCar({ lr: [4.3, 5.2, 6.0], rr: [4.4, 5.2, 6.0] }, (file) => {
        file.tires.lr.feather = file.tires.rr.feather = 'catchesInward';
        file.complaints = ['wander'];
      }),
    ).diagnosis.recommendation;
    expect(action).toBe('partsThenAlign');
    const code = codes!.find((one) => one.code === 'oneIsLoose');
    expect(code?.figures[0]).toBeGreaterThanOrEqual(0.3);
    expect(reasons).toContainEqual(
      expect.stringMatching(/^A joint on one of the axles is .* likely to be loose/),
    );
    expect(adviceReason(code!, SPANISH)).toMatch(/^Que haya una articulación floja/);
  });
});
