import type { FieldPattern } from '@keen/contract';
import type { Axle, Part, Wheel } from '@keen/contract/words';
import { AXLES, WHEELS } from '@keen/contract/words';
import { PART_FACTS } from '../visit/wornParts.ts';
import { whereWords } from './causeWords.ts';

/** What people call each field of a visit. */
const FIELD_LABELS: Record<FieldPattern, string> = {
  'units.depth': 'Depth unit',
  'units.distance': 'Distance unit',
  'units.pressure': 'Pressure unit',
  'vehicle.drive': 'Driven wheels',
  'vehicle.use': 'Use',
  'vehicle.rotatable': 'Tires may be rotated',
  'vehicle.rideHeightChange.{axle}': 'Ride height change',
  'tires.{wheel}.size': 'Tire size',
  'tires.{wheel}.newDepth': 'Depth when new',
  'tires.{wheel}.distance': 'Distance on the tire',
  'tires.{wheel}.pressure.measured': 'Pressure found',
  'tires.{wheel}.pressure.target': 'Placard pressure',
  'tires.{wheel}.stations.{place}.{rib}': 'Tread depth',
  'tires.{wheel}.feather': 'Feathering',
  'tires.{wheel}.cupping': 'Cupping',
  'tires.{wheel}.damage': 'Damage',
  complaints: 'Complaints',
  rotations: 'Rotations',
  'angles.{wheel}': 'Angles',
  'play.{wheel}': 'Play',
  limits: 'Tread limits',
  readingSpread: 'Spread of a reading',
  constants: "Shop's own constants",
  tolerances: 'Tolerances',
  'visit.words': "Customer's words",
  'visit.waits': 'Where the customer is',
  'visit.events': 'Started after',
  'visit.occasions': 'When it happens',
  'visit.car.rack': 'Steering rack',
  'visit.car.suspension.{axle}': 'Suspension',
  'visit.car.adjustable.{axle}.{angle}': 'Adjustable',
  'visit.car.load': 'Usual load',
  'visit.car.fuel': 'Fuel',
  'visit.car.driver': 'Driving style',
  'visit.car.awdMatch': 'Largest depth difference for all-wheel drive',
  'visit.car.directional': 'One-way tires',
  'visit.car.learned': 'What its adjusters did',
  'visit.car.wheels': 'Aftermarket wheels',
  'visit.car.placard.{axle}': 'Size on the placard',
  'visit.tires.{wheel}.dateCode': 'Date code',
  'visit.tires.{wheel}.line': 'Tire line',
  'visit.tires.{wheel}.leak': 'Leak',
  'visit.tires.{wheel}.heelToe': 'Heel-and-toe wear',
  'visit.tires.{wheel}.puncturePlace': 'Where the puncture is',
  'visit.tires.{wheel}.season': 'Season',
  'visit.tires.{wheel}.damageAt.{damage}': 'Where the damage is',
  'visit.tiresDiffer': 'Tires that differ',
  'visit.heights.{wheel}': 'Hub to arch',
  'visit.warmBy': 'Tires warmer than the air by',
  'visit.lastAlignment': 'Last alignment',
  'visit.odometer': 'Odometer',
  'visit.inspect.crookedWheel': 'Steering wheel off-center',
  'visit.inspect.thread': 'Thread showing on the tie rods',
  'visit.inspect.overTight': 'Wheel nuts overtightened',
  'visit.inspect.parts.{wheel}.{part}': 'Part',
  'visit.quick.warningLights': 'Warning lights',
  'visit.quick.codes': 'Trouble codes',
  'visit.quick.battery': 'Battery test',
  'visit.quick.nutTorque': 'Wheel nut torque',
  'visit.quick.lamps': 'Lamps',
  'visit.measure.instruments': 'Instruments',
  'visit.measure.what': 'What is measured today',
  'visit.measure.repeat': 'Repeatability check',
  'visit.measure.repeatReadings': 'Repeatability readings',
  'visit.measure.method.{angle}': 'Method',
  'visit.measure.resolution.{angle}': 'Gauge step',
  'visit.measure.setup.{point}': 'Preparation',
  'visit.measure.skipped.{point}': 'Why it was skipped',
  'visit.measure.readings.{wheel}.{angle}': 'Repeat readings',
  'visit.measure.taken.{wheel}.{angle}.{method}': 'Reading',
  'visit.measure.gauge.{gauge}': 'Gauge readings',
  'visit.measure.toeIn': 'Toe unit',
  'visit.measure.lock': 'Angle at full lock',
  'visit.measure.setback': 'Setback',
  'visit.measure.turning.left': 'Angles in a left turn',
  'visit.measure.turning.right': 'Angles in a right turn',
  'visit.setRight.before': 'Angles before adjusting',
  'visit.setRight.adjuster.{step}': 'Adjuster',
  'visit.setRight.reach.{step}': 'Range of the adjuster',
  'visit.setRight.turns.{step}': 'Turns made',
  'visit.setRight.moved.{wheel}.{angle}': 'Last adjusted',
  'visit.setRight.left': 'Left as is',
  'visit.setRight.steeringWheel': 'Steering wheel',
  'visit.setRight.closing.{closing}': 'Final checks',
  'visit.setRight.complaintGone.{complaint}': 'Complaint gone',
  'visit.setRight.recheckKm': 'Recheck after',
  'visit.sheet': 'Specification sheet',
  'visit.estimate': 'Estimate',
  'visit.handOver.language': "Customer's language",
  'visit.handOver.units': "Customer's units",
  'visit.handOver.kmPerYear': 'Distance a year',
  'visit.handOver.given': 'How the sheet was given',
  'visit.handOver.next': 'Reminders',
  'visit.handOver.stored': 'Stored tires',
  'visit.other': 'From the imported file',
};

const PATTERNS = Object.entries(FIELD_LABELS).map(([pattern, label]) => ({
  label,
  path: new RegExp(`^${pattern.replaceAll('.', '\\.').replaceAll(/\{\w+\}/g, '([\\w-]+)')}$`),
}));

/**
 * A field of a visit by its path, in words: "Tread depth, left front, place 1, inner".
 * @returns the path itself where the visit has no such field
 */
export function fieldLabel(path: string): string {
  for (const { label, path: pattern } of PATTERNS) {
    const found = pattern.exec(path);
    if (found) return [label, ...found.slice(1).map(keyWords)].join(', ');
  }
  return path;
}

function keyWords(key: string): string {
  if (isWhere(key)) return whereWords(key);
  if (key in PART_FACTS) return PART_FACTS[key as Part].title.toLowerCase();
  if (/^\d+$/.test(key)) return `place ${Number(key) + 1}`;
  const [what, where] = key.split('-') as [string, string?];
  const words = what.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return where !== undefined && isWhere(where) ? `${words}, ${whereWords(where)}` : words;
}

function isWhere(key: string): key is Wheel | Axle {
  return ([...WHEELS, ...AXLES] as readonly string[]).includes(key);
}
