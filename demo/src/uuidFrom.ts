import type { Random } from '@keen/core';

/** A version 4 UUID out of the demo's own stream, so that the demo is the same everywhere. */
export function uuidFrom(random: Random): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random.uniform() * 16).toString(16));
  hex[12] = '4';
  hex[16] = '89ab'[Math.floor(random.uniform() * 4)]!;
  const text = hex.join('');
  return [
    text.slice(0, 8),
    text.slice(8, 12),
    text.slice(12, 16),
    text.slice(16, 20),
    text.slice(20),
  ].join('-');
}
