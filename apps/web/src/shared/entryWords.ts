const WORDS: Record<string, string> = {
  lf: 'left front',
  rf: 'right front',
  lr: 'left rear',
  rr: 'right rear',
  visit: '',
  tires: '',
  stations: 'place',
};

/** A field of a visit by its path, roughly in words: `tires.lf.stations.0.inner` is left front, place 1, inner. */
export function fieldWords(path: string): string {
  return path
    .split('.')
    .map((part) => {
      if (/^\d+$/.test(part)) return String(Number(part) + 1);
      return WORDS[part] ?? part.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
    })
    .filter((part) => part !== '')
    .join(', ')
    .replace('place, ', 'place ');
}

/** A typed value as it may be shown beside its field. */
export function valueWords(value: unknown): string {
  if (value === null) return 'cleared';
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  const text = JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}
