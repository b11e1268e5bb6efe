import type {
  Axle,
  Complaint,
  Cupping,
  Drive,
  DriverKind,
  Load,
  Occasion,
  Play,
  Season,
  TroubleEvent,
  Use,
  Waits,
  Wheel,
} from '@keen/contract';

/** How far a made-up visit has come. */
export type Stage = 'arrived' | 'reading' | 'read' | 'felt' | 'decided';

/** What is really wrong with a made-up car; the tread is worked out from it by the wear model. */
export interface Truth {
  camber?: Partial<Record<Wheel, number>>;
  toe?: { front?: number; rear?: number };
  pressure?: Partial<Record<Wheel, number>>;
  looseness?: { front?: number; rear?: number };
  cornering?: number;
  bounce?: readonly Wheel[];
}

export interface DemoCar {
  plate: string;
  label: string;
  customer: string;
  drive: Drive;
  use: Use;
  size: { front: string; rear: string };
  newDepthMm: number;
  distanceKm: number;
  /** Of the rear tires, where they are older. */
  rearDistanceKm?: number;
  /** What its sidewalls say where front and rear differ. */
  lines?: { front: string; rear: string };
  /** What the odometer shows. */
  odometerKm: number;
  /** Since the last alignment. */
  events?: readonly TroubleEvent[];
  occasions?: readonly Occasion[];
  driver?: DriverKind;
  load?: Load;
  targetKpa: { front: number; rear: number };
  truth: Truth;
  stage: Stage;
  words: string;
  complaints: readonly Complaint[];
  waits: Waits;
  play?: Partial<Record<Wheel, Play>>;
  cupping?: Partial<Record<Wheel, Cupping>>;
  /** Minutes before now that it rolled in. */
  arrivedMinutesAgo: number;
  /** Earlier visits, one each so many months ago. */
  history: readonly number[];
  /** A visit at which what was advised was declined; the fault has stayed since. */
  declined?: { monthsAgo: number; distanceKm: number; words: string };
  /** The other season's tires, stored in the shop since so many months ago. */
  stored?: { place: string; season: Season; onRims: boolean; monthsAgo: number };
  rideHeightMm?: { front: number; rear: number };
  /** Axles whose camber has no adjuster as the car was built. */
  fixedCamber?: readonly Axle[];
  rotatable?: boolean;
  damage?: Partial<Record<Wheel, readonly ('cords' | 'bulge' | 'cut')[]>>;
  readIn?: 'mm' | 'in32';
}
