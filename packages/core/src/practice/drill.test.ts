import { describe, expect, it } from 'vitest';
import { drillQuestionSchema } from '@keen/contract';
import { dealDrill, isRightAnswer } from './drill.ts';
import { drillAnswer, drillWhy } from './drillWords.ts';
import { ENGLISH_SCREENS } from '../../tests/englishScreens.ts';
import type { DrillItem } from './drill.ts';

const SAY = ENGLISH_SCREENS.practice.drill;
const items = Array.from({ length: 60 }, (_, seed) => dealDrill(seed + 1)).flat();
type Kind = DrillItem['question']['kind'];
const ofKind = <K extends Kind>(kind: K) =>
  items.filter(({ question }) => question.kind === kind) as (DrillItem & {
    question: Extract<DrillItem['question'], { kind: K }>;
  })[];

describe('a drill', () => {
  it('is the same for the same seed, with two questions of each kind', () => {
    expect(dealDrill(3)).toEqual(dealDrill(3));
    expect(dealDrill(3)).not.toEqual(dealDrill(4));
    const kinds = dealDrill(3).map(({ question }) => question.kind);
    expect(kinds.toSorted()).toEqual(
      ['rod', 'rod', 'shim', 'shim', 'sign', 'sign', 'tape', 'tape'].toSorted(),
    );
    for (const { question } of items) {
      expect(drillQuestionSchema.safeParse(question).error).toBeUndefined();
    }
  });

  it('takes a tape as a hand writes it, in any fraction, and nothing a mark off', () => {
    for (const item of ofKind('tape')) {
      const { inches } = item.question;
      expect(isRightAnswer(item, item.right)).toBe(true);
      expect(isRightAnswer(item, String(inches))).toBe(true);
      const sixteenths = Math.round((inches % 1) * 16);
      expect(isRightAnswer(item, `${Math.floor(inches)}-${sixteenths}/16`)).toBe(true);
      expect(isRightAnswer(item, String(inches + 1 / 16))).toBe(false);
      expect(isRightAnswer(item, 'about so')).toBe(false);
    }
  });

  // ISO 8855 and SAE J670, recalled from memory: camber + top outward, static toe + front inward.
  it('has signs as the standards do', () => {
    for (const { question, right } of ofKind('sign')) {
      expect(right).toBe(question.degrees > 0 ? 'plus' : 'minus');
      const isOut = question.angle === 'camber' ? question.degrees > 0 : question.degrees < 0;
      expect(drillWhy(question, right, SAY)).toContain(
        isOut ? 'away from the car' : 'toward the car',
      );
    }
  });

  // Worked from above: a rod behind the axle that grows pushes the wheel's rear out, its front in.
  it('says which rod goes which way, ahead of the axle the other way than behind', () => {
    for (const { question, right } of ofKind('rod')) {
      const { rack, toe, target } = question;
      const wrong = (['lf', 'rf'] as const).filter((wheel) => toe[wheel] !== target);
      expect(wrong).toHaveLength(1);
      const needsIn = target > toe[wrong[0]!];
      expect(right).toBe(
        `${wrong[0] === 'lf' ? 'left' : 'right'}.${(rack === 'behind') === needsIn ? 'longer' : 'shorter'}`,
      );
    }
    expect(
      new Set(ofKind('rod').map(({ question, right }) => `${question.rack} ${right}`)).size,
    ).toBe(8);
  });

  it('asks for shims by the tangent, one of four that differ', () => {
    for (const { question, right } of ofKind('shim')) {
      const { camber, target, armHeight, options } = question;
      expect(new Set(options).size).toBe(4);
      expect(options).toContain(right);
      const mm = armHeight * Math.tan(((target - camber) * Math.PI) / 180);
      // Shims that move the arm in make camber more negative.
      expect(right).toBe(`${mm < 0 ? '+' : '-'}${Math.abs(mm).toFixed(1)}`);
    }
  });

  it('takes the words that answers were before they were codes', () => {
    for (const item of [...ofKind('rod'), ...ofKind('shim'), ...ofKind('sign')]) {
      expect(isRightAnswer(item, drillAnswer(item.question, item.right, SAY))).toBe(true);
    }
  });

  it('says why in figures that come to the right answer', () => {
    for (const { question, right } of items) {
      const why = drillWhy(question, right, SAY);
      if (question.kind === 'tape') expect(why).toContain(`: ${right} in.`);
      if (question.kind === 'shim') expect(why).toContain(`= ${right.slice(1)} mm`);
      if (question.kind === 'rod') expect(why).toContain(`The ${right.split('.')[0]} wheel`);
    }
  });
});
