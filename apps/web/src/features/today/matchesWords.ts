import type { Visit } from '@keen/contract';

/** Whether every word typed is somewhere in what a visit is known by. */
export function matchesWords(visit: Visit, words: string): boolean {
  const { plate, label, customer, phone, vin } = visit.vehicle;
  const text = [
    plate,
    plate.replace(/\W/g, ''),
    label,
    customer,
    phone,
    vin,
    visit.draft.visit?.words ?? '',
    `#${visit.number}`,
  ]
    .join(' ')
    .toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
