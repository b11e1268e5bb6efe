import type { Cause, Wheel, Axle } from '@keen/contract/words';

/** One thing that can be out, with where; the order fixes the columns of every fault matrix. */
export interface Fault {
  cause: Cause;
  where: Wheel | Axle;
  /** Wheel (0 to 3) or axle (0, 1) index in the engine's order. */
  index: number;
  isAxle: boolean;
}

const wheels: readonly Wheel[] = ['lf', 'rf', 'lr', 'rr'];
const axles: readonly Axle[] = ['front', 'rear'];

function atWheels(cause: Cause): Fault[] {
  return wheels.map((where, index) => ({ cause, where, index, isAxle: false }));
}
function atAxles(cause: Cause): Fault[] {
  return axles.map((where, index) => ({ cause, where, index, isAxle: true }));
}

/** All faults that the diagnosis speaks of. */
export const FAULTS: readonly Fault[] = [
  ...atWheels('camberTooNegative'),
  ...atWheels('camberTooPositive'),
  ...atWheels('pressureLow'),
  ...atWheels('pressureHigh'),
  ...atWheels('bounce'),
  ...atAxles('toeTooFarIn'),
  ...atAxles('toeTooFarOut'),
  ...atAxles('looseness'),
  ...atAxles('hardCornering'),
];

/** Column of a fault in {@link FAULTS}. */
export const FAULT_COLUMN = {
  camberTooNegative: 0,
  camberTooPositive: 4,
  pressureLow: 8,
  pressureHigh: 12,
  bounce: 16,
  toeTooFarIn: 20,
  toeTooFarOut: 22,
  looseness: 24,
  hardCornering: 26,
} as const satisfies Record<Cause, number>;

/** Wander from play that counts as loose, degrees rms. */
export const LOOSE_DEG = 0.12;
/** Cornering that counts as hard, as a multiple of the usual. */
export const HARD_CORNERING = 1.5;

const columnsOf = (...causes: Cause[]): readonly number[] =>
  FAULTS.flatMap(({ cause }, column) => (causes.includes(cause) ? [column] : []));

/** Columns of what one piece of work puts right. */
export const ALIGNMENT_COLUMNS = columnsOf(
  'camberTooNegative',
  'camberTooPositive',
  'toeTooFarIn',
  'toeTooFarOut',
);
export const LOOSENESS_COLUMNS = columnsOf('looseness');
export const BOUNCE_COLUMNS = columnsOf('bounce');
export const PRESSURE_COLUMNS = columnsOf('pressureLow', 'pressureHigh');
