import type {
  Complaint,
  Cupping,
  Drive,
  DriverKind,
  Load,
  Occasion,
  Play,
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
  rideHeightMm?: { front: number; rear: number };
  rotatable?: boolean;
  damage?: Partial<Record<Wheel, readonly ('cords' | 'bulge' | 'cut')[]>>;
  readIn?: 'mm' | 'in32';
}

const VAN = { front: '205/65R16', rear: '205/65R16' };
const COMPACT = { front: '195/65R15 91H', rear: '195/65R15 91H' };
const SALOON = { front: '215/60R16', rear: '215/60R16' };
const TRUCK = { front: 'LT265/70R17', rear: 'LT265/70R17' };
const SPORT = { front: '225/45R17', rear: '255/40R17' };
const CART = { front: '18x8.50-8', rear: '18x8.50-8' };

const BOTH_KPA = (kpa: number) => ({ front: kpa, rear: kpa });

/** Cars, people and sheets here are all made up. */
export const CARS: readonly DemoCar[] = [
  {
    plate: '418 KQ',
    label: 'Courier van',
    customer: 'Gull Line Couriers',
    drive: 'fwd',
    use: 'street',
    size: VAN,
    newDepthMm: 8.2,
    distanceKm: 26_400,
    odometerKm: 96_400,
    targetKpa: { front: 260, rear: 300 },
    truth: { toe: { front: 0.62 } },
    stage: 'felt',
    words: 'Nothing wrong with how it drives, tires just do not last.',
    complaints: [],
    waits: 'counter',
    play: { lf: 'none', rf: 'none' },
    arrivedMinutesAgo: 24,
    history: [11, 23],
  },
  {
    plate: 'HT 2207',
    label: 'Harbour taxi',
    customer: 'Oskar Dunmore',
    drive: 'fwd',
    use: 'street',
    size: SALOON,
    newDepthMm: 8,
    distanceKm: 42_000,
    odometerKm: 212_000,
    targetKpa: BOTH_KPA(230),
    truth: { pressure: { lf: 0.76, rf: 0.78, lr: 0.8, rr: 0.77 } },
    stage: 'read',
    words: 'Steering feels heavy in the yard.',
    complaints: ['heavySteering'],
    waits: 'counter',
    arrivedMinutesAgo: 41,
    history: [8, 19, 31],
  },
  {
    plate: 'FR 81 L',
    label: 'Ferry commuter hatchback',
    customer: 'Lena Aldous',
    drive: 'fwd',
    use: 'street',
    size: COMPACT,
    newDepthMm: 8,
    distanceKm: 27_500,
    odometerKm: 61_300,
    targetKpa: BOTH_KPA(220),
    truth: {},
    stage: 'decided',
    words: 'Wants to know whether they last another winter.',
    complaints: [],
    waits: 'phone',
    arrivedMinutesAgo: 150,
    history: [12, 24],
  },
  {
    plate: 'RC 3',
    label: 'Rescue club truck',
    customer: 'Kettle Pass Rescue Club',
    drive: 'awd',
    use: 'towing',
    size: TRUCK,
    newDepthMm: 11,
    distanceKm: 36_000,
    odometerKm: 118_000,
    events: ['lift'],
    targetKpa: BOTH_KPA(280),
    truth: { camber: { lf: -2.6, rf: -2.3 }, toe: { front: 0.55 } },
    stage: 'felt',
    words: 'Lifted last autumn. Wanders on the pass.',
    complaints: ['wander'],
    waits: 'later',
    play: { lf: 'none', rf: 'none' },
    arrivedMinutesAgo: 65,
    history: [14],
    rideHeightMm: { front: 50, rear: 50 },
  },
  {
    plate: 'RC 5',
    label: 'Rescue club truck',
    customer: 'Kettle Pass Rescue Club',
    drive: 'awd',
    use: 'towing',
    size: TRUCK,
    newDepthMm: 11,
    distanceKm: 33_000,
    odometerKm: 104_500,
    events: ['lift'],
    occasions: ['bumps'],
    targetKpa: BOTH_KPA(280),
    truth: { looseness: { front: 0.42 } },
    stage: 'felt',
    words: 'Shakes its head over bumps, wanders.',
    complaints: ['wander'],
    waits: 'later',
    play: { lf: 'excessive', rf: 'some' },
    arrivedMinutesAgo: 190,
    history: [],
    rideHeightMm: { front: 50, rear: 50 },
  },
  {
    plate: 'HILL 9',
    label: 'Hill-climb coupe',
    customer: 'Petra Vance',
    drive: 'rwd',
    use: 'track',
    size: SPORT,
    newDepthMm: 7,
    distanceKm: 9_500,
    odometerKm: 41_200,
    driver: 'hard',
    targetKpa: BOTH_KPA(220),
    truth: { camber: { lf: -2.2, rf: -2.2, lr: -2, rr: -2 }, cornering: 2.6 },
    stage: 'read',
    words: 'Outer front edges go first. Two events this year.',
    complaints: [],
    waits: 'later',
    arrivedMinutesAgo: 95,
    history: [6],
    rideHeightMm: { front: -25, rear: -20 },
    rotatable: false,
  },
  {
    plate: 'M 14 C',
    label: 'Marina luggage cart',
    customer: 'Saltmarsh Marina',
    drive: 'rwd',
    use: 'cart',
    size: CART,
    newDepthMm: 6,
    distanceKm: 4_000,
    odometerKm: 4_000,
    targetKpa: BOTH_KPA(150),
    truth: { toe: { front: 1.6 } },
    stage: 'read',
    words: 'Skates over the boards, front tires feathered.',
    complaints: ['wander'],
    waits: 'later',
    arrivedMinutesAgo: 220,
    history: [],
  },
  {
    plate: '552 BD',
    label: 'Bakery van',
    customer: 'Tarn Street Bakery',
    drive: 'fwd',
    use: 'street',
    size: VAN,
    newDepthMm: 8.2,
    distanceKm: 38_000,
    odometerKm: 88_300,
    occasions: ['speed'],
    targetKpa: { front: 260, rear: 300 },
    truth: { bounce: ['lr'], pressure: { lr: 0.92 } },
    stage: 'felt',
    words: 'Drones at 80, the crates rattle.',
    complaints: ['noise', 'vibration'],
    waits: 'counter',
    cupping: { lr: 'heavy', rr: 'none' },
    play: { lf: 'none', rf: 'none' },
    arrivedMinutesAgo: 12,
    history: [9],
  },
  {
    plate: 'LW 70 R',
    label: 'Lowered estate',
    customer: 'Dario Fenn',
    drive: 'fwd',
    use: 'street',
    size: COMPACT,
    newDepthMm: 8,
    distanceKm: 24_000,
    odometerKm: 73_900,
    events: ['lift'],
    targetKpa: BOTH_KPA(230),
    truth: { camber: { lr: -3.4, rr: -3.2 }, toe: { rear: -0.45 } },
    stage: 'decided',
    words: 'Looks fine from outside, says the owner.',
    complaints: [],
    waits: 'phone',
    arrivedMinutesAgo: 280,
    history: [],
    rideHeightMm: { front: -40, rear: -40 },
    damage: { lr: ['cords'] },
  },
  {
    plate: '907 HG',
    label: 'Courier van',
    customer: 'Gull Line Couriers',
    drive: 'fwd',
    use: 'street',
    size: VAN,
    newDepthMm: 8.2,
    distanceKm: 22_000,
    odometerKm: 22_000,
    targetKpa: { front: 260, rear: 300 },
    truth: { pressure: { lf: 1.24, rf: 1.26, lr: 1.22, rr: 1.25 } },
    stage: 'read',
    words: 'Depot pumps them by the truck gauge.',
    complaints: [],
    waits: 'phone',
    arrivedMinutesAgo: 74,
    history: [],
    readIn: 'in32',
  },
  {
    plate: 'KJ 4410',
    label: 'School run saloon',
    customer: 'Ines Corran',
    drive: 'fwd',
    use: 'street',
    size: SALOON,
    newDepthMm: 8,
    distanceKm: 35_000,
    odometerKm: 66_800,
    events: ['kerb'],
    targetKpa: BOTH_KPA(230),
    truth: { camber: { rf: -3.1 } },
    stage: 'decided',
    words: 'Hit a kerb in spring, pulls left since.',
    complaints: ['pullsLeft', 'wheelOffLeft'],
    waits: 'later',
    play: { lf: 'none', rf: 'none', lr: 'none', rr: 'none' },
    arrivedMinutesAgo: 260,
    history: [13],
  },
  {
    plate: 'PT 12 W',
    label: 'Post van',
    customer: 'Sallowhaven Post',
    drive: 'rwd',
    use: 'street',
    size: VAN,
    newDepthMm: 8,
    distanceKm: 29_000,
    odometerKm: 81_000,
    targetKpa: { front: 250, rear: 290 },
    truth: { toe: { front: -0.6 } },
    stage: 'reading',
    words: 'Front tires look ragged inside.',
    complaints: ['wander'],
    waits: 'counter',
    arrivedMinutesAgo: 8,
    history: [10, 22],
  },
  {
    plate: 'HT 3318',
    label: 'Harbour taxi',
    customer: 'Rowan Isley',
    drive: 'fwd',
    use: 'street',
    size: SALOON,
    newDepthMm: 8,
    distanceKm: 51_000,
    odometerKm: 187_400,
    targetKpa: BOTH_KPA(230),
    truth: { cornering: 1.1 },
    stage: 'reading',
    words: 'Yearly look before the inspection.',
    complaints: [],
    waits: 'counter',
    arrivedMinutesAgo: 16,
    history: [12, 24, 35],
  },
  {
    plate: 'ND 606',
    label: 'Nurse hatchback',
    customer: 'Maud Ferris',
    drive: 'fwd',
    use: 'street',
    size: COMPACT,
    newDepthMm: 8,
    distanceKm: 18_000,
    odometerKm: 18_000,
    targetKpa: BOTH_KPA(220),
    truth: {},
    stage: 'arrived',
    words: 'Pressure light came on over the pass.',
    complaints: [],
    waits: 'counter',
    arrivedMinutesAgo: 3,
    history: [],
  },
  {
    plate: 'BL 200 T',
    label: 'Boat tow car',
    customer: 'Saltmarsh Marina',
    drive: 'awd',
    use: 'towing',
    size: SALOON,
    newDepthMm: 8,
    distanceKm: 24_000,
    odometerKm: 97_500,
    load: 'trunk',
    targetKpa: BOTH_KPA(240),
    truth: { toe: { rear: 0.72 }, pressure: { rr: 0.85 } },
    stage: 'felt',
    words: 'Rear tires howl when loaded.',
    complaints: ['noise'],
    waits: 'phone',
    arrivedMinutesAgo: 120,
    history: [],
    declined: {
      monthsAgo: 12,
      distanceKm: 6_000,
      words: 'After the season, the boat has to go in.',
    },
  },
  {
    plate: 'WG 58 N',
    label: 'Second-hand wagon',
    customer: 'Tobias Renn',
    drive: 'fwd',
    use: 'street',
    size: COMPACT,
    newDepthMm: 8,
    distanceKm: 12_000,
    rearDistanceKm: 58_000,
    lines: { front: 'Harbour Touring', rear: 'Fell All-Road' },
    odometerKm: 74_200,
    targetKpa: BOTH_KPA(220),
    truth: {},
    stage: 'felt',
    words: 'Bought in spring; the seller put new ones on the front.',
    complaints: [],
    waits: 'counter',
    play: { lf: 'none', rf: 'none' },
    arrivedMinutesAgo: 33,
    history: [],
  },
];
