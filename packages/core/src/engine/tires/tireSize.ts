import { InputError } from '../errors/InputError.ts';
import { MM_PER_IN } from '../units/units.ts';

const MM_PER_KM = 1e6;

/** What a size says, lengths in mm, unloaded. */
export interface TireSize {
  sectionWidth: number;
  sidewall: number;
  diameter: number;
  circumference: number;
  revsPerKm: number;
  rimDiameter: number;
}

const NUMBER = String.raw`\d+(?:\.\d+)?`;
const CONSTRUCTION = String.raw`(?:ZR|[RBD-])`;
/** After the rim C or LT may stand; after a space anything. */
const TAIL = String.raw`(?:C|LT)?(?:\s.*)?`;

const METRIC = new RegExp(
  `^(?:P|LT|ST|T)?(${NUMBER})/(${NUMBER})${CONSTRUCTION}(${NUMBER})${TAIL}$`,
  'is',
);
const FLOTATION = new RegExp(
  `^(?:P|LT|ST|T)?(${NUMBER})x(${NUMBER})${CONSTRUCTION}(${NUMBER})${TAIL}$`,
  'is',
);

/**
 * Reads a tire size: metric (`205/55R16 91V`), flotation (`33x12.50R15LT`) or cart (`18x8.50-8`).
 *
 * Metric: sidewall = width x aspect / 100, diameter = rim + 2 sidewalls. Inch sizes name diameter
 * and width outright. The rim is its code in inches; decimals are allowed (19.5).
 * @param size - as moulded on the sidewall
 * @returns lengths in mm, revolutions per km, all of the unloaded tire
 * @throws {InputError} at `size` when it cannot be read, or leaves no sidewall
 * Source: size designations of ISO 4000-1 and the ETRTO standards manual; a loaded tire turns about
 * 3 % more often than `revsPerKm`.
 * @example Math.round(parseTireSize('205/55R16').diameter) // 632
 */
export function parseTireSize(size: string): TireSize {
  const metric = METRIC.exec(size);
  if (metric) {
    const [width, aspect, rim] = metric.slice(1).map(Number) as [number, number, number];
    return complete(width, (width * aspect) / 100, rim * MM_PER_IN);
  }
  const inch = FLOTATION.exec(size);
  if (inch) {
    const [diameter, width, rim] = inch.slice(1).map((code) => Number(code) * MM_PER_IN) as [
      number,
      number,
      number,
    ];
    return complete(width, (diameter - rim) / 2, rim);
  }
  throw new InputError('size', 'tireSize');
}

function complete(sectionWidth: number, sidewall: number, rimDiameter: number): TireSize {
  if (!(sectionWidth > 0 && sidewall > 0 && rimDiameter > 0)) {
    throw new InputError('size', 'tireAboveZero');
  }
  const diameter = rimDiameter + 2 * sidewall;
  const circumference = Math.PI * diameter;
  const result = {
    sectionWidth,
    sidewall,
    diameter,
    circumference,
    revsPerKm: MM_PER_KM / circumference,
    rimDiameter,
  };
  if (!Object.values(result).every(Number.isFinite)) throw new InputError('size', 'tireSize');
  return result;
}
