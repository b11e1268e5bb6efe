import { describe, expect, it } from 'vitest';
import { AXLE_CAUSES, LANGUAGES, WHEEL_CAUSES } from '@keen/contract/words';
import type { Axle, Cause, Wheel } from '@keen/contract/words';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import { depthIn, hundredIn, numberIn, sureIn } from './texts.ts';
import { textsOf } from './textsOf.ts';

/** English words of the trade, which no Spanish sentence has. */
const ENGLISH = /\b(the|wheel|tire|toe|camber|wear|edge|axle|with|and)s?\b/i;

function placesOf(cause: Cause): (Wheel | Axle)[][] {
  return (WHEEL_CAUSES as readonly Cause[]).includes(cause)
    ? [...WHEEL_ORDER.map((wheel) => [wheel]), ['lf', 'rf'], ['lf', 'rr'], [...WHEEL_ORDER]]
    : [['front'], ['rear']];
}

describe.each(LANGUAGES)('texts in %s', (language) => {
  const { texts } = textsOf(language);

  it('say each cause at each place as whole sentences', () => {
    for (const cause of [...WHEEL_CAUSES, ...AXLE_CAUSES]) {
      for (const places of placesOf(cause)) {
        for (const isOutright of [true, false]) {
          const { what, eating } = texts.verdict.happened(cause, places, isOutright);
          for (const sentence of [what, eating ?? what]) {
            expect(sentence).toMatch(/^\p{Lu}.*\.$/u);
            expect(sentence).not.toMatch(/undefined|\s\s|\.\./);
            if (language === 'es') expect(sentence).not.toMatch(ENGLISH);
          }
        }
        const [where] = places;
        expect(texts.verdict.unclear(cause, where!)).toMatch(/\.$/);
      }
    }
  });

  it('are less sure the less likely it is', () => {
    const words = [0.99, 0.9, 0.7, 0.5, 0.3, 0.1, 0.01].map((p) => sureIn(texts, p));
    expect(new Set(words).size).toBe(7);
    expect(hundredIn(texts, 0.001)).not.toBe(hundredIn(texts, 0.999));
    expect(hundredIn(texts, 0.874)).toContain('87');
  });
});

describe('writing', () => {
  it('of numbers is each language’s own', () => {
    const [en, es] = LANGUAGES.map((language) => textsOf(language).texts);
    expect(numberIn(en!, -1234.5, 2)).toBe('−1234.50');
    expect(numberIn(es!, -1234.5, 2)).toBe('−1234,50');
    expect(depthIn(es!, 5.3, 'mm')).toBe('5,3 mm');
    expect(depthIn(en!, 5.25, 'in32')).toMatch(/^5\.[23]\/32 in$/);
  });

  it('knows masculine tires and feminine wheels in Spanish', () => {
    const { verdict } = textsOf('es').texts;
    expect(verdict.happened('pressureLow', ['lf'], true).what).toBe(
      'El neumático delantero izquierdo ha rodado con poca presión.',
    );
    expect(verdict.happened('camberTooNegative', ['lr', 'rr'], true)).toEqual({
      what: 'Las dos ruedas traseras se inclinan hacia dentro por arriba.',
      eating: 'Eso está gastando los bordes interiores.',
    });
    expect(verdict.happened('camberTooPositive', ['lf', 'rr'], false).what).toBe(
      'Parece que las ruedas delantera izquierda y trasera derecha se inclinan hacia fuera por arriba.',
    );
  });
});
