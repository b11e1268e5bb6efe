import type { ShopSettings } from '@keen/contract';

type HubShims = Pick<ShopSettings, 'hubShims' | 'hubShimParts'>;

/** Hub shims in stock as one types them: each taper with its part number and the index of its template. */
export function hubShimText({ hubShims, hubShimParts }: HubShims): string {
  return hubShims
    .map((taper) => {
      const row = hubShimParts.find((one) => one.taper === taper);
      return [taper, row?.part, row?.template].filter(Boolean).join(' ');
    })
    .join('; ');
}

/** Reads it back: rows apart by semicolons or lines; tapers alone may stand with spaces between. */
export function hubShimsIn(text: string): HubShims {
  const rows = text
    .split(/[;\n]+/)
    .map((row) => row.trim().split(/\s+/))
    .flatMap((words) => (words.every(isNumber) ? words.map((word) => [word]) : [words]))
    .filter(([taper]) => taper);
  return {
    hubShims: rows.map(([taper]) => numberOf(taper!)),
    hubShimParts: rows.flatMap(([taper, part, ...template]) =>
      part ? [{ taper: numberOf(taper!), part, template: template.join(' ') }] : [],
    ),
  };
}

function numberOf(word: string): number {
  return Number(word.replace(',', '.'));
}

function isNumber(word: string): boolean {
  return word === '' || Number.isFinite(numberOf(word));
}
