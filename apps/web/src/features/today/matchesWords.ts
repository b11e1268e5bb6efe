import type { Visit } from '@keen/contract';

/**
 * Whether every word typed is somewhere in what a visit is known by, as the server's search has it: accents
 * and dashes do not count, one or two letters begin a word.
 */
export function matchesWords(visit: Visit, words: string): boolean {
  const { plate, label, customer, phone, vin } = visit.vehicle;
  const known = [
    plate,
    plate.replace(/[^\p{L}\p{N}]/gu, ''),
    label,
    customer,
    phone,
    phone.replace(/\D/g, ''),
    vin,
    `#${visit.number}`,
    visit.draft.visit?.words ?? '',
  ];
  const text = ` ${plain(known.join(' '))}`;
  return plain(words)
    .split(/\s+/)
    .filter((word) => word !== '')
    .every((word) => {
      const bare = word.replace(/[^\p{L}\p{N}]/gu, '');
      return has(text, word) || (bare !== '' && has(text, bare));
    });
}

function has(text: string, word: string): boolean {
  return text.includes(word.length < 3 ? ` ${word}` : word);
}

function plain(text: string): string {
  return text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
}
