import { evenCar } from '../../../tests/evenCar.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Doubted, SeenWear } from '../../engine/diagnosis/treadSeen.ts';
import type { Diagnosis, RankedCause } from '@keen/contract';
import { ACTIONS, AXLE_CAUSES, WHEEL_CAUSES } from '@keen/contract/words';
import type { Wheel } from '@keen/contract/words';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { inHundred, sureWords } from '../../words/causeWords.ts';
import { diagnose } from './diagnose.ts';
import {
  barredCourses,
  chooseAction,
  isDampersFirst,
  SAID_FROM,
} from '../../engine/diagnosis/chooseAction.ts';
import type { GroupChances } from '../../engine/diagnosis/chooseAction.ts';
import type { PlainFacts } from '../../engine/diagnosis/plainFacts.ts';
import { affectedRibs } from './affectedRibs.ts';
import { actionWords, courseWords, verdictOf } from './verdict.ts';

const healthy = diagnose(exampleCase()).diagnosis;
/** Outer edges lowest in front, inner ones at the rear, shoulders below the centre everywhere. */
const file = exampleCase((worn) => {
  for (const wheel of ['lf', 'rf'] as const) wear(worn, wheel, [4.5, 5, 4]);
  for (const wheel of ['lr', 'rr'] as const) wear(worn, wheel, [4, 5.2, 5]);
});

function told(...ranked: Partial<RankedCause>[]): ReturnType<typeof verdictOf> {
  const diagnosis: Diagnosis = {
    ...healthy,
    ranked: ranked.map((cause) => ({
      cause: 'toeTooFarIn',
      where: 'front',
      probability: 0.9,
      excess: 1,
      because: [],
      against: [],
      ...cause,
    })),
  };
  return verdictOf(diagnosis, file);
}

describe('verdictOf', () => {
  it('says plainly that nothing is out', () => {
    expect(verdictOf(healthy, file).headline).toBe('This tread fits a car with nothing out.');
    expect(verdictOf(healthy, file).causes).toEqual([]);
  });

  it('names the likeliest fault of such a car from one in a hundred on', () => {
    expect(told({ probability: 0.04 }).detail).toBe(
      'The likeliest fault is too much toe-in at the front axle, at 4 in 100.',
    );
    expect(told({ probability: 0.004 }).detail).toBe('No cause stands out.');
  });

  it('names one cause in the words one would use', () => {
    expect(told({}).headline).toBe(
      'The front wheels have been toeing in. That is eating both outer edges.',
    );
    expect(told({ cause: 'camberTooNegative', where: 'rr' }).headline).toBe(
      'The right rear wheel leans in at the top. That is eating the inner edge.',
    );
  });

  it('says where the tires are that it wore, and reads them there', () => {
    // Moved to the rear, whose inner edges are low: toe-out in front has eaten them.
    const moved = told({ cause: 'toeTooFarOut', tires: ['lr', 'rr'] });
    expect(moved.headline).toBe(
      'The front wheels have been toeing out. That is eating both inner edges.',
    );
    expect(moved.detail).toMatch(/^The tires it wore are at both rear wheels now\./);
    const crossed = told({ cause: 'camberTooNegative', where: 'lf', tires: ['rr'] });
    expect(crossed.detail).toMatch(/^The tire it wore is at the right rear now\./);
    expect(told({}).detail).not.toMatch(/now\./);
  });

  it('says what is being eaten only where the readings bear it out', () => {
    expect(told({ where: 'rear' }).headline).toBe(
      'The rear wheels have been toeing in. That scrubs rubber off the whole tread.',
    );
    expect(told({ cause: 'pressureHigh', where: 'lf' }).headline).toBe(
      'The left front tire has run too hard.',
    );
  });

  it('takes the same cause in several places together', () => {
    const { headline, causes } = told(
      { cause: 'camberTooNegative', where: 'lr' },
      { cause: 'camberTooNegative', where: 'rr' },
    );
    expect(headline).toBe('Both rear wheels lean in at the top. That is eating the inner edges.');
    expect(causes).toHaveLength(2);
    const four = ['lf', 'rf', 'lr', 'rr'] as const;
    expect(
      told(...four.map((where) => ({ cause: 'pressureLow' as const, where }))).headline,
    ).toMatch(/^All four tires have run too soft/);
  });

  it('names only places that are about as likely, and the others as likely too', () => {
    const soft = (where: Wheel, probability: number) =>
      ({ cause: 'pressureLow', where, probability }) as const;
    const { headline, causes, also } = told(
      ...[soft('lf', 0.92), soft('rf', 0.9), soft('lr', 0.53), soft('rr', 0.52)],
    );
    expect(headline).toMatch(/^Both front tires have run too soft/);
    expect(causes.map(({ where }) => where)).toEqual(['lf', 'rf']);
    expect(also).toBe('Also likely: pressure too low (left rear, right rear).');
    // Two sides of an even pair are not parted by a draw more or less.
    const pair = told(...[soft('lf', 0.66), soft('rf', 0.64)]);
    expect(pair.causes).toHaveLength(2);
    expect(pair.also).toBe('');
  });

  it('calls nothing eaten that is lower by less than readings scatter', () => {
    const inward = evenCar({}, ({ tires }) => {
      for (const wheel of ['lf', 'rf'] as const) tires[wheel].feather = 'catchesInward';
    });
    const { headline } = verdictOf(diagnose(inward).diagnosis, inward);
    expect(headline).toMatch(/front wheels have been toeing out\. That scrubs rubber/);
  });

  it('does not call a tread healthy before which it advises to measure', () => {
    const slopes = evenCar({
      lf: [4.4, 5.0, 5.6],
      rf: [4.4, 5.0, 5.6],
      lr: [4.8, 5.6, 6.2],
      rr: [4.8, 5.6, 6.2],
    });
    const { diagnosis } = diagnose(slopes);
    expect(diagnosis.recommendation.action).toBe('checkAlignment');
    expect(verdictOf(diagnosis, slopes)).toMatchObject({
      headline: 'No single cause stands out, but one of the angles may well be out.',
      isHealthy: false,
    });
  });

  it('names what else is likely, kind by kind with its places', () => {
    const { also } = told(
      {},
      { cause: 'camberTooNegative', where: 'lf', probability: 0.6 },
      { cause: 'camberTooNegative', where: 'rf', probability: 0.5 },
      { cause: 'bounce', where: 'lr', probability: 0.2 },
    );
    expect(also).toBe('Also likely: camber too negative (left front, right front).');
    expect(told({}).also).toBe('');
  });

  it('is no surer than the chance behind it', () => {
    expect(told({ probability: 0.55 }).headline).toBe(
      'It looks as if the front wheels have been toeing in. That would be eating both outer edges.',
    );
  });

  it('says so when it is only a guess', () => {
    const { headline, sure } = told({ probability: 0.3 });
    expect(headline).toMatch(/^Not clear yet\. The best guess is too much toe-in/);
    expect(sure).toBe('Possible, 30 in 100.');
  });

  it('has a sentence for every cause and every action', () => {
    for (const cause of WHEEL_CAUSES) expect(told({ cause, where: 'lf' }).headline).toMatch(/\.$/);
    for (const cause of AXLE_CAUSES)
      expect(told({ cause, where: 'front' }).headline).toMatch(/\.$/);
    for (const action of ACTIONS) expect(actionWords(action, true).length).toBeGreaterThan(10);
  });

  it('says that dampers come first with each course that sets the angles, and with no other', () => {
    for (const action of ACTIONS) {
      const said = courseWords(action, { fitsTires: true, dampersFirst: true });
      const isMore = ['checkAlignment', 'align', 'partsThenAlign'].includes(action);
      if (isMore) expect(said).toMatch(/ampers.* first, then .*align.*, then new tires$/);
      else expect(said).toBe(actionWords(action, true));
      expect(courseWords(action, { fitsTires: false, dampersFirst: false })).toBe(
        actionWords(action, false),
      );
    }
  });
});

describe('an angle inside its limits that eats an edge', () => {
  const said = (front: [number, number] | undefined) => {
    const file = evenCar({ lf: [3.9, 4.8, 5.6] }, (change) => {
      if (front) change.tolerances = { camber: { front } };
    });
    return verdictOf(diagnose(file).diagnosis, file);
  };

  it('is named as what made the wear, and its chance of being out is said apart', () => {
    for (const { headline, sure } of [said(undefined), said([-2.6, 0])]) {
      expect(headline).toBe('Camber is eating the inner edge of the left front tire.');
      expect(sure).toMatch(/^Chance that it is outside its limits: \d+ in 100\.$/);
    }
  });
});

describe('affectedRibs', () => {
  it('points at the edges that the cause eats', () => {
    expect(affectedRibs({ cause: 'toeTooFarIn', where: 'front' })).toEqual([
      { wheel: 'lf', rib: 'outer' },
      { wheel: 'rf', rib: 'outer' },
    ]);
    expect(affectedRibs({ cause: 'camberTooNegative', where: 'rr' })).toEqual([
      { wheel: 'rr', rib: 'inner' },
    ]);
    expect(affectedRibs({ cause: 'looseness', where: 'rear' })).toHaveLength(6);
  });
});

describe('words for chances', () => {
  it('never claim certainty', () => {
    expect(inHundred(0.9999)).toBe('over 99 in 100');
    expect(inHundred(0.0001)).toBe('under 1 in 100');
    expect(inHundred(0.94)).toBe('94 in 100');
  });

  it('rise with the chance', () => {
    const words = [0.01, 0.1, 0.3, 0.5, 0.7, 0.9, 0.99].map(sureWords);
    expect(new Set(words).size).toBe(words.length);
  });
});

describe('chooseAction', () => {
  const none: GroupChances = { alignment: 0, looseness: 0, bounce: 0, pressure: 0, said: [] };
  const plain: PlainFacts = {
    seen: [],
    doubted: [],
    unread: [],
    moved: null,
    measured: null,
    playFound: [],
    somePlay: [],
    lightWaves: [],
    isAlignedLately: false,
    isKnocked: false,
    pressureFound: [],
    isHandlingOff: false,
    isShaking: false,
    isSetSince: false,
    pull: null,
    unexplained: null,
    areJointsTight: false,
    isHardlyWorn: false,
  };
  it('does what costs least on average', () => {
    expect(chooseAction(none, plain)).toBe('fitOnly');
    expect(chooseAction({ ...none, alignment: 0.95 }, plain)).toBe('align');
    expect(chooseAction({ ...none, alignment: 0.4 }, plain)).toBe('checkAlignment');
    // What was out may have been set right since.
    const lately = { ...plain, isAlignedLately: true };
    expect(chooseAction({ ...none, alignment: 0.95 }, lately)).toBe('checkAlignment');
    const edge = { kind: 'edge', where: 'lf', rib: 'inner', mm: 2.6 } as const;
    expect(barredCourses(none, { ...plain, seen: [edge] }).fitOnly).toBe('seen');
    expect(barredCourses(none, { ...lately, seen: [edge] }).fitOnly).toBe('seenBefore');
    expect(chooseAction({ ...none, pressure: 0.8 }, plain)).toBe('inflateAndWatch');
    expect(chooseAction({ ...none, bounce: 0.9 }, plain)).toBe('balanceOrDampers');
    expect(chooseAction({ ...none, looseness: 0.9, alignment: 0.6 }, plain)).toBe('partsThenAlign');
  });

  it('never fits tires and nothing else onto a tread that is plainly uneven', () => {
    const edge = { kind: 'edge', where: 'lf', rib: 'inner', mm: 2.6 } as const;
    const across = { kind: 'across', where: 'front', lower: 'rf', mm: 1.8 } as const;
    const shoulders = { kind: 'shoulders', where: 'lf', mm: 1.8 } as const;
    const saw = { kind: 'saw', where: 'front', mm: 0 } as const;
    const actionFor = (...seen: SeenWear[]) => chooseAction(none, { ...plain, seen });
    expect(actionFor(saw)).toBe('checkAlignment');
    expect(actionFor(edge)).toBe('checkAlignment');
    expect(actionFor(across)).toBe('checkAlignment');
    expect(actionFor(shoulders)).toBe('inflateAndWatch');
    const waves = { kind: 'waves', where: 'lr', mm: 0 } as const;
    expect(actionFor(waves)).toBe('balanceOrDampers');
    // With something that asks for the angles, dampers come first in that course.
    expect(actionFor(waves, edge)).toBe('checkAlignment');
    expect(isDampersFirst(none, { ...plain, seen: [edge, waves] })).toBe(true);
    expect(actionFor(shoulders, edge)).toBe('checkAlignment');
    expect(chooseAction({ ...none, pressure: 0.9 }, { ...plain, seen: [edge] })).toBe(
      'checkAlignment',
    );
  });

  it('neither measures nor aligns again what a rig has found in order today', () => {
    const likely = { ...none, alignment: 0.95 };
    expect(chooseAction(likely, { ...plain, measured: 'inOrder' })).not.toMatch(/align/i);
    expect(chooseAction(likely, { ...plain, measured: 'out' })).toBe('align');
  });

  it('has the joints looked through where an edge is worn and the angles are in order', () => {
    const edge = { kind: 'edge', where: 'lf', rib: 'inner', mm: 2.6 } as const;
    const found = { ...plain, seen: [edge], measured: 'inOrder' } as const;
    expect(chooseAction(none, found)).toBe('partsThenAlign');
    // But not where they were set since: then what wore it is put right.
    expect(chooseAction(none, { ...found, isSetSince: true })).toBe('fitOnly');
  });

  it('always leaves something to do', () => {
    const chance = fc.double({ min: 0, max: 1, noNaN: true });
    const seen = fc.subarray<SeenWear>([
      { kind: 'edge', where: 'lf', rib: 'inner', mm: 2 },
      { kind: 'across', where: 'rear', lower: 'rr', mm: 2 },
      { kind: 'shoulders', where: 'rf', mm: 2 },
      { kind: 'saw', where: 'front', mm: 0 },
      { kind: 'waves', where: 'lr', mm: 0 },
    ]);
    const facts = fc
      .record({
        seen,
        doubted: fc.subarray<Doubted>([{ wheel: 'lf', rib: 'inner' }]),
        unread: fc.subarray<Doubted>([{ wheel: 'rr', rib: 'outer' }]),
        moved: fc.constantFrom('height' as const, 'parts' as const, null),
        measured: fc.constantFrom('inOrder' as const, 'out' as const, null),
        playFound: fc.subarray<Wheel>(['lf', 'rr']),
        somePlay: fc.subarray<Wheel>(['rf']),
        lightWaves: fc.subarray<Wheel>(['lf', 'lr']),
        isAlignedLately: fc.boolean(),
        isKnocked: fc.boolean(),
        pressureFound: fc.subarray<Wheel>(['rf', 'lr']),
        isHandlingOff: fc.boolean(),
        isShaking: fc.boolean(),
        isSetSince: fc.boolean(),
        pull: fc.constantFrom({ angle: 'camber' as const, to: 'left' as const, by: 0.9 }, null),
        unexplained: fc.constantFrom(
          'pull' as const,
          'wheelOff' as const,
          'wander' as const,
          'noReturn' as const,
          null,
        ),
        areJointsTight: fc.boolean(),
        isHardlyWorn: fc.boolean(),
      })
      // A rig that has looked answers the driver's report.
      .map((drawn) => ({
        ...drawn,
        isHandlingOff: drawn.isHandlingOff && drawn.measured === null,
        pull: drawn.measured === 'out' ? drawn.pull : null,
        unexplained: drawn.measured === 'inOrder' ? drawn.unexplained : null,
      }));
    const groups = ['alignment', 'looseness', 'bounce', 'pressure'] as const;
    const chances = fc
      .record(
        { alignment: chance, looseness: chance, bounce: chance, pressure: chance },
        { requiredKeys: [...groups] },
      )
      .chain((each) =>
        fc
          .subarray(groups.filter((group) => each[group] >= SAID_FROM))
          .map((said) => ({ ...each, said })),
      );
    fc.assert(
      fc.property(chances, facts, (given, plainly) => {
        const action = chooseAction(given, plainly);
        expect(ACTIONS).toContain(action);
        if (given.said.includes('looseness') || plainly.playFound.length > 0) {
          expect(action).toBe('partsThenAlign');
        }
        if (plainly.unexplained !== null) expect(action).not.toBe('fitOnly');
        if (plainly.isShaking) expect(action).not.toMatch(/^(fitOnly|inflateAndWatch)$/);
        if (plainly.pressureFound.length > 0) expect(action).not.toBe('fitOnly');
        if (plainly.doubted.length + plainly.unread.length > 0) expect(action).not.toBe('fitOnly');
        if (plainly.measured === 'out') expect(action).not.toMatch(/^(fitOnly|inflateAndWatch)$/);
        if (plainly.seen.length > 0 && !(plainly.measured === 'inOrder' && plainly.isSetSince)) {
          expect(action).not.toBe('fitOnly');
        }
      }),
      { numRuns: 2_000 },
    );
  });

  it('has the wheels of a car that shakes balanced, and measures only for a reason', () => {
    const shaking = { ...plain, isShaking: true };
    expect(chooseAction(none, shaking)).toBe('balanceOrDampers');
    expect(chooseAction({ ...none, alignment: 0.2 }, shaking)).toBe('balanceOrDampers');
    expect(barredCourses({ ...none, alignment: 0.5 }, shaking).checkAlignment).toBeUndefined();
    expect(chooseAction({ ...none, alignment: 0.95 }, { ...shaking, measured: 'out' })).toBe(
      'align',
    );
  });

  it('does not leave what it says has happened, however little rubber that takes', () => {
    const bounces = { ...none, bounce: 0.98, said: ['bounce'] } satisfies GroupChances;
    expect(Object.keys(barredCourses(bounces, plain))).not.toContain('balanceOrDampers');
    expect(barredCourses(bounces, plain)).toMatchObject({
      fitOnly: 'said',
      inflateAndWatch: 'said',
      checkAlignment: 'said',
    });
    // An edge that is seen asks for the angles beside it.
    const edge = { kind: 'edge', where: 'lf', rib: 'inner', mm: 2.6 } as const;
    expect(barredCourses(bounces, { ...plain, seen: [edge] }).checkAlignment).toBeUndefined();
    // Angles likely enough to be measured: dampers come first in that course, so it leaves nothing.
    const both = { ...bounces, alignment: 0.4 };
    expect(barredCourses(both, plain).checkAlignment).toBeUndefined();
    expect(isDampersFirst(both, plain)).toBe(true);
    // Found in order today, nothing is aligned unless joints are.
    const found = { ...plain, measured: 'inOrder', seen: [edge] } as const;
    expect(isDampersFirst(both, found)).toBe(false);
    expect(isDampersFirst({ ...both, said: ['bounce', 'looseness'] }, found)).toBe(true);
    expect(isDampersFirst(both, { ...found, playFound: ['lf'] })).toBe(true);
    const soft = { ...none, pressure: 0.5, said: ['pressure'] } satisfies GroupChances;
    expect(barredCourses(soft, plain).fitOnly).toBe('said');
    expect(barredCourses(soft, plain).inflateAndWatch).toBeUndefined();
  });

  it('has likely loose joints looked through before anything else', () => {
    const loose = { ...none, looseness: 0.5, alignment: 0.9, said: ['looseness', 'alignment'] };
    const bars = barredCourses(loose as GroupChances, plain);
    const left = ACTIONS.filter((course) => bars[course] === undefined);
    expect(left).toEqual(['partsThenAlign']);
    expect(bars.inflateAndWatch).toBe('loose');
  });

  it('never leaves an angle that a rig has found out, and has it measured again where no tread shows it', () => {
    const found = { ...plain, measured: 'out' } as const;
    expect(chooseAction(none, found)).toBe('checkAlignment');
    expect(barredCourses(none, found)).toMatchObject({
      align: 'measureAgain',
      fitOnly: 'foundOut',
    });
    // After a kerb or new parts the tread cannot show it yet.
    expect(chooseAction(none, { ...found, isSetSince: true })).toBe('align');
    expect(chooseAction({ ...none, alignment: 0.6 }, found)).toBe('align');
  });

  it('puts play that was found by hand before everything', () => {
    const bars = barredCourses({ ...none, alignment: 0.95 }, { ...plain, playFound: ['lf'] });
    expect(ACTIONS.filter((course) => bars[course] === undefined)).toEqual(['partsThenAlign']);
    expect(bars.align).toBe('partsFirst');
  });

  it('sets pressures by themselves only where they are likelier wrong than a suspicion', () => {
    expect(chooseAction({ ...none, pressure: 0.2 }, plain)).toBe('fitOnly');
  });

  it('aligns after a lift or a lowering, whatever the tread says yet', () => {
    expect(chooseAction(none, { ...plain, moved: 'height' })).toBe('align');
    expect(chooseAction(none, { ...plain, moved: 'parts' })).toBe('align');
  });
});
