import { describe, expect, it } from 'vitest';
import type { Visit } from '@keen/contract';
import { matchesWords } from './matchesWords.ts';

const visit: Visit = {
  id: 'v',
  number: 28,
  vehicle: {
    id: 'c',
    plate: '418 KQ',
    label: 'Courier van',
    customer: 'Gull Line',
    phone: '',
    vin: '',
    drive: null,
  },
  arrivedAt: '2026-03-01T09:00:00.000Z',
  closedAt: null,
  draft: { visit: { words: 'It wanders' } },
  seq: 1,
  waits: null,
  decision: null,
};

describe('matchesWords', () => {
  it.each(['', '418', '418kq', 'gull', 'courier gull', 'WANDERS', '#28'])(
    'finds it by %j',
    (words) => {
      expect(matchesWords(visit, words)).toBe(true);
    },
  );
  it.each(['419', 'courier taxi'])('does not by %j', (words) => {
    expect(matchesWords(visit, words)).toBe(false);
  });
});
