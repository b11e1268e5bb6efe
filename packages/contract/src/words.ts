/**
 * The fixed words of the case file, free of any library so that core and workers can use them
 * without carrying the validator along.
 */

/** Languages that the papers handed over are written in. */
export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];

export const ROLES = ['advisor', 'technician', 'lead'] as const;
export type Role = (typeof ROLES)[number];

/** Where the customer is while the car is looked at. */
export const WAITS = ['counter', 'phone', 'later'] as const;
export type Waits = (typeof WAITS)[number];

/** Wheel positions, in walk-round order from the left front. */
export const WHEELS = ['lf', 'lr', 'rr', 'rf'] as const;
export type Wheel = (typeof WHEELS)[number];

export const AXLES = ['front', 'rear'] as const;
export type Axle = (typeof AXLES)[number];

export type Side = 'left' | 'right';

/** Ribs across one tire; inner is towards the car, wherever the tire is mounted now. */
export const RIBS = ['inner', 'centre', 'outer'] as const;
export type Rib = (typeof RIBS)[number];

export const DRIVES = ['fwd', 'rwd', 'awd'] as const;
export type Drive = (typeof DRIVES)[number];

export const USES = ['street', 'towing', 'track', 'drag', 'drift', 'cart'] as const;
export type Use = (typeof USES)[number];

/** What the hand feels across the ribs; catchesOutward is the toe-in signature. */
export const FEATHERS = ['none', 'catchesOutward', 'catchesInward', 'unknown'] as const;
export type Feather = (typeof FEATHERS)[number];

export const CUPPINGS = ['none', 'some', 'heavy', 'unknown'] as const;
export type Cupping = (typeof CUPPINGS)[number];

export const DAMAGES = ['cords', 'bulge', 'cut', 'puncture', 'sidewallCrack', 'flatSpot'] as const;
export type Damage = (typeof DAMAGES)[number];

/** Damage that makes a tire unsafe whatever its depth. */
export const UNSAFE_DAMAGES: readonly Damage[] = ['cords', 'bulge', 'cut'];

export const COMPLAINTS = [
  'pullsLeft',
  'pullsRight',
  'wheelOffLeft',
  'wheelOffRight',
  'vibration',
  'noise',
  'wander',
  'noReturn',
  'heavySteering',
] as const;
export type Complaint = (typeof COMPLAINTS)[number];

export const PLAYS = ['none', 'some', 'excessive', 'unknown'] as const;
export type Play = (typeof PLAYS)[number];

export const DEPTH_UNITS = ['mm', 'in32'] as const;
export type DepthUnit = (typeof DEPTH_UNITS)[number];
export const DISTANCE_UNITS = ['km', 'mi'] as const;
export type DistanceUnit = (typeof DISTANCE_UNITS)[number];
export const PRESSURE_UNITS = ['kPa', 'psi', 'bar'] as const;
export type PressureUnit = (typeof PRESSURE_UNITS)[number];

export const STATUSES = ['unsafe', 'replace', 'plan', 'ok'] as const;
export type WheelStatus = (typeof STATUSES)[number];

export const WHEEL_CAUSES = [
  'camberTooNegative',
  'camberTooPositive',
  'pressureLow',
  'pressureHigh',
  'bounce',
] as const;
export type WheelCause = (typeof WHEEL_CAUSES)[number];

export const AXLE_CAUSES = ['toeTooFarIn', 'toeTooFarOut', 'looseness', 'hardCornering'] as const;
export type AxleCause = (typeof AXLE_CAUSES)[number];

export type Cause = WheelCause | AxleCause;

export const CHECKS = [
  'feelFeather',
  'feelWaves',
  'readRib',
  'checkPressure',
  'checkPlay',
  'swingRepeat',
  'measureAngles',
] as const;
export type Check = (typeof CHECKS)[number];

export const ACTIONS = [
  'fitOnly',
  'checkAlignment',
  'align',
  'partsThenAlign',
  'inflateAndWatch',
  'balanceOrDampers',
] as const;
export type Action = (typeof ACTIONS)[number];

/** Work that bears on how tires wear afterwards. */
export const WORKS = ['aligned', 'partsThenAligned', 'balancedOrDampers', 'inflated'] as const;
export type Work = (typeof WORKS)[number];
/** How it is seen that something came back. */
export const RETURNS = ['measured', 'tread', 'bounce', 'pressure'] as const;
export type Return = (typeof RETURNS)[number];
/** Why a visit could have caught it. */
export const CATCHES = [
  'leftOut',
  'notMeasuredAfter',
  'playLeft',
  'checkNotMade',
  'notDecided',
  'notRead',
  'notShaken',
] as const;
export type Catch = (typeof CATCHES)[number];

/** How much deeper than new a reading may be before it is refused, mm. */
export const DEPTH_SLACK_MM = 0.5;

/** 1/32 in, exactly. */
export const MM_PER_IN32 = 0.79375;
/** 1 mi, exactly: 5280 ft of 304.8 mm. */
export const KM_PER_MI = 1.609344;
/** The bar exactly; the psi as the case file defines it, 4.3e-8 below lbf/in2 from the exact pound and gravity. */
export const KPA_PER_PRESSURE = { kPa: 1, psi: 6.894757, bar: 100 } as const;

/** How angles were measured, for what they can and cannot know. */
export const METHODS = [
  'readout',
  'gauges',
  'tape',
  'helperTape',
  'strings',
  'level',
  'square',
  'swing',
] as const;
export type Method = (typeof METHODS)[number];
/** What an instrument of the shop is for: tread depth, or one of the ways to measure angles. */
export const INSTRUMENT_KINDS = ['depth', ...METHODS] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];
/** Angles that a method is noted for. */
export const ANGLE_KINDS = ['camber', 'toe', 'caster'] as const;
export type AngleKind = (typeof ANGLE_KINDS)[number];
/** The calculators that turn the readings of a gauge into angles. */
export const GAUGE_CALCULATORS = [
  'toeFromTape',
  'toeFromStrings',
  'toeFromGauges',
  'camberFromLevel',
  'camberFromSquare',
  'casterFromSwing',
] as const;
export type GaugeCalculator = (typeof GAUGE_CALCULATORS)[number];
/** What comes before the first reading. */
export const SETUP_POINTS = [
  'grease',
  'pressures',
  'load',
  'height',
  'floor',
  'chocks',
  'turnPlates',
  'clamps',
  'runOut',
  'pinsOut',
  'settled',
  'oldShims',
  'brakeHeld',
  'wheelStraight',
  'levelZero',
  'stringHeight',
] as const;
export type SetupPoint = (typeof SETUP_POINTS)[number];
export const SETUP_STATES = ['done', 'skipped', 'notNeeded'] as const;
export type SetupState = (typeof SETUP_STATES)[number];
/** Whether the reading comes back after the wheels were turned lock to lock. */
export const REPEATS = ['returns', 'moves'] as const;
export type Repeat = (typeof REPEATS)[number];

/** What an angle is set with on a car. */
export const ADJUSTERS = [
  'tieRod',
  'turnbuckle',
  'cam',
  'twoCams',
  'hubShim',
  'armShims',
  'slots',
  'adjustableArm',
  'none',
] as const;
export type Adjuster = (typeof ADJUSTERS)[number];
/** Steps of setting a car right: what, and at which wheel. */
export const SET_STEPS = [
  'parts',
  'caster-lf',
  'caster-rf',
  'camber-lf',
  'camber-rf',
  'camber-lr',
  'camber-rr',
  'toe-lf',
  'toe-rf',
  'toe-lr',
  'toe-rr',
  /** Where only the sum of both wheels is known. */
  'toe-front',
  'toe-rear',
  'steeringWheel',
] as const;
export type SetStep = (typeof SET_STEPS)[number];

/** What comes after the last angle, before the car is given back. */
export const CLOSING_POINTS = [
  'finalReading',
  'torque',
  'lockToLock',
  'clampsOff',
  'brakeFree',
  'turnPlates',
  'sensorReset',
  'roadTest',
] as const;
export type ClosingPoint = (typeof CLOSING_POINTS)[number];

/** How the steering wheel stands while the car goes straight. */
export const STEERING_WHEEL = ['straight', 'left', 'right'] as const;
export type SteeringWheel = (typeof STEERING_WHEEL)[number];

/** How an angle stands against its limits; stale: something that moves it was set since it was read. */
export const LEDGER_STATES = ['in', 'out', 'tooClose', 'noLimit', 'stale'] as const;
export type LedgerState = (typeof LEDGER_STATES)[number];

/** Whose figures a specification sheet holds. */
export const SPEC_KINDS = ['maker', 'shop', 'startingPoint'] as const;
export type SpecKind = (typeof SPEC_KINDS)[number];

/** With the steering wheel straight, the front wheel that is not; its side needs the work. */
export const CROOKED_WHEELS = ['left', 'right', 'neither'] as const;
export type CrookedWheel = (typeof CROOKED_WHEELS)[number];

/** After what the trouble began. */
export const EVENTS = ['kerb', 'pothole', 'parts', 'lift', 'newTires', 'unknown'] as const;
export type TroubleEvent = (typeof EVENTS)[number];
/** When it shows. */
export const OCCASIONS = ['speed', 'braking', 'bumps', 'corners', 'always'] as const;
export type Occasion = (typeof OCCASIONS)[number];

export const SUSPENSIONS = ['strut', 'twoArms', 'multiLink', 'beam', 'solidAxle'] as const;
export type Suspension = (typeof SUSPENSIONS)[number];
/** Which side of the wheel centre the steering rack is on. */
export const RACKS = ['ahead', 'behind'] as const;
export type Rack = (typeof RACKS)[number];

export const KNOWN = ['yes', 'no', 'unknown'] as const;
export type Known = (typeof KNOWN)[number];
/** What weighs the car down just now. */
export const LOADS = ['none', 'cabin', 'trunk', 'both'] as const;
export type Load = (typeof LOADS)[number];
export const DRIVERS = ['gentle', 'usual', 'hard'] as const;
export type DriverKind = (typeof DRIVERS)[number];
/** Tires known to differ in line, age or season: the two of an axle, or the front pair from the rear pair. */
export const TIRE_PAIRS = ['front', 'rear', 'axles'] as const;
export type TirePair = (typeof TIRE_PAIRS)[number];
export const LAMPS = ['good', 'fault'] as const;

/** How tires can change places. */
export const ROTATION_PATTERNS = [
  'frontToRear',
  'forwardCross',
  'rearwardCross',
  'crossed',
  'sideToSide',
] as const;
export type RotationPattern = (typeof ROTATION_PATTERNS)[number];

/** What a tire is made for; winter ones carry the mountain with the snowflake. */
/** What was put right at a visit, so that the tires wear otherwise from there on. */
export const PUT_RIGHT = ['angles', 'parts', 'balance', 'pressures'] as const;
export type PutRight = (typeof PUT_RIGHT)[number];

export const SEASONS = ['summer', 'allSeason', 'winter'] as const;
export type Season = (typeof SEASONS)[number];

/** Where damage is seen on a tire, from its outer side to its inner one. */
export const DAMAGE_ZONES = ['outerSidewall', 'outer', 'centre', 'inner', 'innerSidewall'] as const;
export type DamageZone = (typeof DAMAGE_ZONES)[number];

/** Where a tire is punctured; only the crown can be repaired. */
export const PUNCTURE_PLACES = ['crown', 'shoulder', 'sidewall'] as const;
export type PuncturePlace = (typeof PUNCTURE_PLACES)[number];

/** Parts looked at under the car, in the order one goes round: at each front wheel, then further. */
export const PARTS = [
  'outerTieRod',
  'innerTieRod',
  'rackMount',
  'ballJoint',
  'armBushing',
  'wheelBearing',
  'damper',
  'spring',
  'stabilizer',
  'rearLink',
  'toeLink',
  'bentArm',
  'rim',
] as const;
export type Part = (typeof PARTS)[number];
/** Thread showing at both tie rods. */
export const THREADS = ['equal', 'leftMore', 'rightMore'] as const;
export type Thread = (typeof THREADS)[number];

/** Places round a tire that a case can hold. */
export const MAX_STATIONS = 6;

/** What a drive-over reader hands over of one car: the open format, version 1. */
export const TREAD_PASS_FORMAT = 'keen-groove/tread-pass';
export const TREAD_PASS_VERSION = 1;
/** Points of one cut across a tread. */
export const LEAST_POINTS_ACROSS = 25;
export const MOST_POINTS_ACROSS = 400;
/** Cuts of one tire in a pass. */
export const MOST_PROFILES = 48;

/** What the diagnosis takes to differ from car to car without being a fault, and from shop to shop. */
export const CAR_TRAITS = ['wearRate', 'frontToRear', 'crown', 'hand'] as const;
export type CarTrait = (typeof CAR_TRAITS)[number];
/** Kinds of fault that have a rate of their own among the cars of a shop. */
export const FAULT_KINDS = [
  'frontToe',
  'rearToe',
  'camber',
  'pressure',
  'bounce',
  'looseness',
  'hardCornering',
] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];

/** How a run that learns a shop's constants stands, and what it is at. */
export const LEARNING_STATES = ['running', 'canceled', 'failed', 'done'] as const;
export type LearningState = (typeof LEARNING_STATES)[number];
export const LEARNING_STAGES = ['reading', 'readingAgain', 'trying'] as const;
export type LearningStage = (typeof LEARNING_STAGES)[number];

/** Cars to practise on: from the plain to the hard, and any car. */
export const PRACTICE_LESSONS = [
  'softSet',
  'saw',
  'innerEdge',
  'waves',
  'keenDriver',
  'rotated',
  'twoCauses',
  'fixedArm',
  'falseToe',
  'mixedAges',
  'wrongReading',
  'free',
] as const;
export type PracticeLesson = (typeof PRACTICE_LESSONS)[number];

/** What a learner can ask for beside the depths. */
export const PRACTICE_CHECKS = [
  'stroke',
  'waves',
  'pressure',
  'complaints',
  'play',
  'angles',
] as const;
export type PracticeCheck = (typeof PRACTICE_CHECKS)[number];

/** Kinds of causes that a learner gets better at telling apart. */
export const PRACTICE_SKILLS = ['toe', 'camber', 'pressure', 'parts', 'driving'] as const;
export type PracticeSkill = (typeof PRACTICE_SKILLS)[number];

/** Kinds of questions of the bench drill. */
export const DRILL_KINDS = ['tape', 'sign', 'rod', 'shim'] as const;
export type DrillKind = (typeof DRILL_KINDS)[number];

/** Tires of which a forecast is held against readings: as they were, on a car that was put right, new. */
export const FORECAST_KINDS = ['ranOn', 'putRight', 'fresh'] as const;
export type ForecastKind = (typeof FORECAST_KINDS)[number];

export { expectedText } from './expectedTexts.ts';
export type { ExpectedReason } from './expectedTexts.ts';
export type { SentenceValues } from './fillIn.ts';
