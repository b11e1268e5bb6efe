import { log } from '../math/elementary.ts';

/** Draws from one seeded stream: the same seed gives the same numbers on every machine. */
export interface Random {
  /** Uniform in [0, 1). */
  uniform: () => number;
  /** Standard normal. */
  normal: () => number;
  /** Exponential with mean 1. */
  exponential: () => number;
}

const TWO_POW_32 = 4294967296;

/**
 * Makes a stream from a seed.
 * Source: sfc32 (Chris Doty-Humphrey, PractRand), a small fast counting generator that passes
 * PractRand and TestU01; normals by the polar method (Marsaglia and Bray 1964), which needs no sine.
 * @param seed - any 32-bit number; see {@link hashSeed}
 * @example createRandom(1).uniform() === createRandom(1).uniform() // true
 */
export function createRandom(seed: number): Random {
  let a = 0;
  let b = seed | 0;
  let c = 0x9e3779b9;
  let counter = 1;
  let spare = Number.NaN;

  function next(): number {
    const sum = (((a + b) | 0) + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + sum) | 0;
    return sum >>> 0;
  }
  for (let i = 0; i < 15; i++) next();

  function uniform(): number {
    return next() / TWO_POW_32;
  }
  function positive(): number {
    return (next() + 1) / TWO_POW_32;
  }
  function normal(): number {
    if (!Number.isNaN(spare)) {
      const second = spare;
      spare = Number.NaN;
      return second;
    }
    for (;;) {
      const x = 2 * uniform() - 1;
      const y = 2 * uniform() - 1;
      const square = x * x + y * y;
      if (square >= 1 || square === 0) continue;
      const factor = Math.sqrt((-2 * log(square)) / square);
      spare = y * factor;
      return x * factor;
    }
  }
  return { uniform, normal, exponential: () => -log(positive()) };
}

/**
 * A 32-bit seed from a text (FNV-1a), so that a case always gets the same stream.
 * @param text - any
 * @returns an integer from 0 to 2^32 - 1
 * @example hashSeed('a') // 3826002220
 */
export function hashSeed(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i);
    hash = Math.imul(hash, 0x01000193);
  }
  return hash >>> 0;
}
