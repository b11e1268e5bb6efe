import { beforeEach, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { rememberedMapping } from './rememberedMapping.ts';

const mappings = rememberedMapping('testMappings', z.record(z.string(), z.number()));

describe('rememberedMapping', () => {
  beforeEach(() => localStorage.clear());

  it('finds a table again by its heading', () => {
    expect(mappings.find(['a', 'b'])).toBeNull();
    mappings.keep(['a', 'b'], 1);
    mappings.keep(['a', 'c'], 2);
    mappings.keep(['a', 'b'], 3);
    expect(mappings.find(['a', 'b'])).toBe(3);
    expect(mappings.find(['a', 'c'])).toBe(2);
  });

  it('forgets the oldest of many, and starts empty from what is broken', () => {
    for (let i = 0; i < 25; i++) mappings.keep([`h${i}`], i);
    expect(mappings.find(['h0'])).toBeNull();
    expect(mappings.find(['h24'])).toBe(24);
    localStorage.setItem('keen.testMappings', '{"a": "b"}');
    expect(mappings.find(['a'])).toBeNull();
    localStorage.setItem('keen.testMappings', '{broken');
    expect(mappings.find(['a'])).toBeNull();
  });
});
