/** What follows a size: how much the tire carries and how fast it may go. */
export interface ServiceDescription {
  loadIndex: number;
  /** kg a tire. */
  loadKg: number;
  speedSymbol: string;
  /** km/h. */
  speedKmh: number;
}

/** kg by load index from 70 on. Source: ISO 4000-1, UN ECE R30, recalled from memory. */
const LOAD_FROM = 70;
const LOAD_KG = [
  335, 345, 355, 365, 375, 387, 400, 412, 425, 437, 450, 462, 475, 487, 500, 515, 530, 545, 560,
  580, 600, 615, 630, 650, 670, 690, 710, 730, 750, 775, 800, 825, 850, 875, 900, 925, 950, 975,
  1000, 1030, 1060, 1090, 1120, 1150, 1180, 1215, 1250, 1285, 1320, 1360, 1400, 1450, 1500, 1550,
  1600, 1650, 1700,
] as const;
/** km/h; H comes after U. Source: ISO 4000-1, UN ECE R30, recalled from memory. */
const SPEED_KMH: Record<string, number> = {
  L: 120,
  M: 130,
  N: 140,
  P: 150,
  Q: 160,
  R: 170,
  S: 180,
  T: 190,
  U: 200,
  H: 210,
  V: 240,
  W: 270,
  Y: 300,
};

/**
 * Reads load index and speed symbol behind a size (`205/55R16 91V`); null where they are not there.
 * @param size - as moulded on the sidewall
 * @example serviceDescription('205/55R16 91V') // { loadIndex: 91, loadKg: 615, speedSymbol: 'V', speedKmh: 240 }
 */
export function serviceDescription(size: string): ServiceDescription | null {
  const match = /\s(\d{2,3})(?:\/\d{2,3})?\s?([A-Z])\b/i.exec(size);
  if (!match) return null;
  const loadIndex = Number(match[1]);
  const speedSymbol = match[2]!.toUpperCase();
  const loadKg = LOAD_KG[loadIndex - LOAD_FROM];
  const speedKmh = SPEED_KMH[speedSymbol];
  if (loadKg === undefined || speedKmh === undefined) return null;
  return { loadIndex, loadKg, speedSymbol, speedKmh };
}

/** What of a fitted tire falls below the placard. */
export type BelowPlacard =
  | { kind: 'load'; loadIndex: number; loadKg: number; askedKg: number }
  | { kind: 'speed'; symbol: string; asked: string };

/**
 * What of a fitted tire falls below the placard; empty where nothing does or nobody knows.
 * @param fitted - size with load index and speed symbol
 * @param placard - the same of the placard
 * @example belowPlacard('205/55R16 88V', '205/55R16 91V')[0].loadIndex // 88
 */
export function belowPlacard(fitted: string, placard: string): BelowPlacard[] {
  const [has, needs] = [serviceDescription(fitted), serviceDescription(placard)];
  if (!has || !needs) return [];
  const below: BelowPlacard[] = [];
  if (has.loadKg < needs.loadKg) {
    const { loadIndex, loadKg } = has;
    below.push({ kind: 'load', loadIndex, loadKg, askedKg: needs.loadKg });
  }
  if (has.speedKmh < needs.speedKmh) {
    below.push({ kind: 'speed', symbol: has.speedSymbol, asked: needs.speedSymbol });
  }
  return below;
}
