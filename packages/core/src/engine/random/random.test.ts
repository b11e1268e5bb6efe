import { describe, expect, it } from 'vitest';
import { canonicalJson } from './canonicalJson.ts';
import { createRandom, hashSeed } from './random.ts';

const DRAWS = 200_000;
/** Five standard errors of the mean of so many draws with sd 1. */
const FIVE_ERRORS = 5 / Math.sqrt(DRAWS);

function meanAndVariance(draw: () => number): [mean: number, variance: number] {
  let sum = 0;
  let squares = 0;
  for (let i = 0; i < DRAWS; i++) {
    const value = draw();
    sum += value;
    squares += value * value;
  }
  const mean = sum / DRAWS;
  return [mean, squares / DRAWS - mean * mean];
}

describe('createRandom', () => {
  it('gives the same stream for the same seed and another for another', () => {
    const draw = (seed: number) => Array.from({ length: 5 }, createRandom(seed).uniform);
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });

  it('has the moments of its distributions', () => {
    const random = createRandom(42);
    const [uniformMean, uniformVariance] = meanAndVariance(() => random.uniform());
    expect(Math.abs(uniformMean - 0.5)).toBeLessThan(FIVE_ERRORS);
    expect(Math.abs(uniformVariance - 1 / 12)).toBeLessThan(FIVE_ERRORS);
    const [normalMean, normalVariance] = meanAndVariance(() => random.normal());
    expect(Math.abs(normalMean)).toBeLessThan(FIVE_ERRORS);
    expect(Math.abs(normalVariance - 1)).toBeLessThan(2 * FIVE_ERRORS);
    const [exponentialMean] = meanAndVariance(() => random.exponential());
    expect(Math.abs(exponentialMean - 1)).toBeLessThan(FIVE_ERRORS);
  });
});

describe('hashSeed', () => {
  // Published test values of FNV-1a, 32 bit (Fowler, Noll, Vo), recalled from memory.
  it.each([
    ['', 0x811c9dc5],
    ['a', 0xe40c292c],
    ['foobar', 0xbf9cf968],
  ])('hashes %j as published', (text, hash) => {
    expect(hashSeed(text)).toBe(hash);
  });
});

describe('canonicalJson', () => {
  it('does not depend on the order of keys, at any depth', () => {
    expect(canonicalJson({ b: [{ y: 1, x: 2 }], a: null })).toBe(
      canonicalJson({ a: null, b: [{ x: 2, y: 1 }] }),
    );
    expect(canonicalJson([1, 2])).not.toBe(canonicalJson([2, 1]));
  });
});
