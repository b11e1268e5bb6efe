import { rodTurn } from '@keen/core';
import {
  CamDrawing,
  clockWords,
  ShimClockDrawing,
  SteeringWheelDrawing,
  TieRodDrawing,
  TwoCamsDrawing,
  WishboneDrawing,
} from '../drawing/bench/adjusters.tsx';
import { showDegrees } from '../shared/format.ts';
import { tool } from './tool.ts';
import type { BenchTool, Field, ResultLine } from './tool.ts';
import { ADJUSTERS, LIFT_CAUTION, RACKS, SIDES } from './choices.ts';

const ROD_FIELDS: readonly Field[] = [
  {
    kind: 'number',
    path: 'steeringArm',
    label: 'Steering arm',
    unit: 'mm',
    hint: 'Steering axis to the line of the rod, square to it, from above',
  },
  {
    kind: 'number',
    path: 'threadPitch',
    label: 'Thread pitch',
    unit: 'mm',
    hint: 'Threads per inch as 16 tpi',
  },
  { kind: 'choice', path: 'rack', label: 'Rack', options: RACKS },
  { kind: 'choice', path: 'adjuster', label: 'Rod has', options: ADJUSTERS },
];

/** Angles are shown to hundredths of a degree. */
const SHOWN_DEG = 0.005;

interface Rod {
  lengthChange: number;
  turns: number;
  action: 'lengthen' | 'shorten' | 'none';
}

const rodWords = ({ turns, action }: Rod) =>
  action === 'none' ? 'leave it' : `${turns.toFixed(2)} turns, ${action}`;

/** What no shim in stock gives; nothing where it is less than is shown. */
function missingWords(camber: number, toe: number): ResultLine[] {
  const missing = [
    Math.abs(camber) < SHOWN_DEG ? null : `${showDegrees(camber, 2)} of camber`,
    Math.abs(toe) < SHOWN_DEG ? null : `${showDegrees(toe, 2)} of toe`,
  ].filter((words) => words !== null);
  return missing.length === 0 ? [] : [{ label: 'Remaining error', value: missing.join(', ') }];
}

/** Turns, bolt angles and shims that set an angle right. */
export const SETTING_TOOLS: readonly BenchTool[] = [
  tool<'tieRod', Rod>({
    name: 'tieRod',
    title: 'Tie rod',
    question: 'How many turns change a wheel’s toe, and which way.',
    fields: [
      { kind: 'number', path: 'toeChange', label: 'Change of this wheel, toe-in +', unit: '°' },
      ...ROD_FIELDS,
    ],
    example: {
      toeChange: 0.25,
      steeringArm: 140,
      threadPitch: 1.5,
      rack: 'behind',
      adjuster: 'single',
    },
    exampleWords: 'A quarter degree on a 140 mm arm is 0.61 mm, 0.41 turns of a 1.5 mm thread.',
    results: (rod) => [
      { label: 'Turn', value: rodWords(rod), isMain: true },
      { label: 'Length', value: `${rod.lengthChange.toFixed(2)} mm` },
      ...(rod.action === 'none'
        ? []
        : [{ label: 'From the wheel', value: `${rodTurn(rod.action)}, looking in` }]),
    ],
    formula:
      'length = steering arm × sin(toe change); longer for toe-in with the rack behind, shorter ahead',
    source:
      'Plain geometry; a turnbuckle’s two threads move two pitches a turn. The way round is for a right-handed thread at the outer end, kneeling at the wheel; the other way where it is left-handed.',
    caution:
      'Free the jam nut first, hold the joint, torque it after; as many threads in as the maker asks.',
    Drawing: TieRodDrawing,
  }),
  tool<'steeringWheelCentre', { lf: Rod & { toeChange: number }; rf: Rod & { toeChange: number } }>(
    {
      name: 'steeringWheelCentre',
      title: 'Steering wheel straight',
      question: 'The wheel stands off while driving straight: what one rod gives, the other takes.',
      fields: [
        { kind: 'number', path: 'offset', label: 'Stands off, to the right +', unit: '°' },
        { kind: 'number', path: 'steeringRatio', label: 'Steering ratio', unit: ': 1' },
        ...ROD_FIELDS,
      ],
      example: {
        offset: 8,
        steeringRatio: 16,
        steeringArm: 140,
        threadPitch: 1.5,
        rack: 'behind',
        adjuster: 'single',
      },
      exampleWords:
        '8° off at 16 : 1 is half a degree a wheel: 0.81 turns longer left, shorter right.',
      results: ({ lf, rf }) => [
        { label: 'Left rod', value: rodWords(lf), isMain: true },
        { label: 'Right rod', value: rodWords(rf), isMain: true },
        {
          label: 'Toe of each wheel',
          value: `${showDegrees(lf.toeChange, 2)} left, ${showDegrees(rf.toeChange, 2)} right`,
        },
      ],
      formula: 'left + offset / ratio, right − offset / ratio: the total toe stays',
      source: 'Plain geometry. Rear thrust comes first: it would turn the wheel off again.',
      caution: 'Lock the wheel straight while the rods are turned; check that the rack is centred.',
      Drawing: SteeringWheelDrawing,
    },
  ),
  tool<'rearShim', { angle: number; clock: number; camberAchieved: number; toeAchieved: number }>({
    name: 'rearShim',
    title: 'Rear hub shim',
    question: 'One tapered shim from stock for a rear wheel’s camber and toe, and where it points.',
    fields: [
      { kind: 'number', path: 'camberChange', label: 'Camber wanted, change', unit: '°' },
      { kind: 'number', path: 'toeChange', label: 'Toe wanted, change, toe-in +', unit: '°' },
      { kind: 'choice', path: 'side', label: 'Wheel', options: SIDES },
      {
        kind: 'list',
        path: 'stock',
        label: 'Tapers in stock',
        unit: '°',
        hint: 'Apart by semicolons',
      },
    ],
    example: { camberChange: 0.4, toeChange: 0.3, side: 'left', stock: [0.25, 0.5, 0.75, 1] },
    exampleWords: 'A half degree taper, thickest near 1 o’clock, gives the left wheel both.',
    results: ({ angle, clock, camberAchieved, toeAchieved }, { camberChange, toeChange }) => [
      {
        label: 'Shim',
        value:
          angle === 0
            ? 'none'
            : `${angle}°, thickest at ${clockWords(clock)} (${clock.toFixed(0)}°)`,
        isMain: true,
      },
      {
        label: 'Gives',
        value: `camber ${showDegrees(camberAchieved, 2)}, toe ${showDegrees(toeAchieved, 2)}`,
      },
      ...missingWords(camberChange - camberAchieved, toeChange - toeAchieved),
    ],
    formula: 'camber = A cos c; toe = A sin c on the left, − A sin c on the right',
    source:
      'Geometry of a full-contact taper. Toe is met first, since toe wears tires most; then the nearest camber.',
    caution: `${LIFT_CAUTION} Take old shims out first, clean both faces, tighten in a star.`,
    Drawing: ShimClockDrawing,
  }),
  tool<'eccentric', { turn: number; reachable: boolean; range: [number, number] }>({
    name: 'eccentric',
    title: 'Cam bolt',
    question: 'How far an eccentric has to turn, and whether it reaches.',
    fields: [
      { kind: 'number', path: 'change', label: 'Change wanted', unit: '°' },
      { kind: 'number', path: 'offset', label: 'Bolt centre to cam centre', unit: 'mm' },
      {
        kind: 'number',
        path: 'leverArm',
        label: 'Cam to the point the arm turns about',
        unit: 'mm',
      },
    ],
    example: { change: 0.5, offset: 5, leverArm: 300 },
    exampleWords: 'Half a degree on a 300 mm arm takes 32° of a cam with 5 mm of throw.',
    results: ({ turn, reachable, range }) => [
      {
        label: 'Turn from mid travel',
        value: reachable ? `${turn.toFixed(1)}°` : 'out of reach',
        isMain: true,
      },
      ...(reachable
        ? [{ label: 'The same on the far half', value: `${(180 - turn).toFixed(1)}°` }]
        : [{ label: 'At its end stop', value: `${turn.toFixed(0)}°` }]),
      { label: 'It reaches', value: `${showDegrees(range[0], 2)} to ${showDegrees(range[1], 2)}` },
    ],
    formula: 'change = atan( offset × sin(turn) / lever arm )',
    source: 'Plain geometry; two bolt angles give the same change, the nearer one is told.',
    caution: `${LIFT_CAUTION} Clamp bolts first, cam last, then recheck, unless the maker says otherwise.`,
    Drawing: CamDrawing,
  }),
  tool<'wishboneShims', { front: number; rear: number }>({
    name: 'wishboneShims',
    title: 'Upper arm shims',
    question: 'Thickness to add or take at the front and rear bolt for camber and caster.',
    fields: [
      { kind: 'number', path: 'camberChange', label: 'Camber wanted, change', unit: '°' },
      { kind: 'number', path: 'casterChange', label: 'Caster wanted, change', unit: '°' },
      { kind: 'number', path: 'boltSpacing', label: 'Between the bolts', unit: 'mm' },
      { kind: 'number', path: 'armLength', label: 'Bolts to the ball joint', unit: 'mm' },
      { kind: 'number', path: 'armHeight', label: 'Upper joint above lower', unit: 'mm' },
    ],
    example: {
      camberChange: -0.5,
      casterChange: 1,
      boltSpacing: 200,
      armLength: 250,
      armHeight: 230,
    },
    exampleWords:
      'More negative camber and a degree more caster: 0.4 mm in front, 3.6 mm at the rear.',
    results: ({ front, rear }) => [
      { label: 'Front bolt', value: shimWords(front), isMain: true },
      { label: 'Rear bolt', value: shimWords(rear), isMain: true },
    ],
    formula:
      'in = (front + rear) / 2; forward = arm × (front − rear) / spacing; camber = − atan(in / height), caster = − atan(forward / height)',
    source:
      'Plain geometry, for shims that move the arm in. Where they push it out, change both signs.',
    caution: LIFT_CAUTION,
    Drawing: WishboneDrawing,
  }),
  tool<'twoCams', { front: Cam; rear: Cam }>({
    name: 'twoCams',
    title: 'Two cams on one arm',
    question: 'A lower arm on two cams: together they set camber, against one another caster.',
    fields: [
      { kind: 'number', path: 'camberChange', label: 'Camber wanted, change', unit: '°' },
      { kind: 'number', path: 'casterChange', label: 'Caster wanted, change', unit: '°' },
      { kind: 'number', path: 'camSpacing', label: 'Between the cams', unit: 'mm' },
      { kind: 'number', path: 'armLength', label: 'Cams to the ball joint', unit: 'mm' },
      { kind: 'number', path: 'armHeight', label: 'Upper joint above lower', unit: 'mm' },
      { kind: 'number', path: 'offset', label: 'Bolt centre to cam centre', unit: 'mm' },
    ],
    example: {
      camberChange: -0.4,
      casterChange: 0.5,
      camSpacing: 300,
      armLength: 350,
      armHeight: 250,
      offset: 6,
    },
    exampleWords: 'A little camber and caster together: mostly the rear cam turns.',
    results: ({ front, rear }) => [
      { label: 'Front cam', value: camWords(front), isMain: true },
      { label: 'Rear cam', value: camWords(rear), isMain: true },
    ],
    formula:
      'out = (front + rear) / 2; forward = arm × (rear − front) / spacing; camber = − atan(out / height), caster = atan(forward / height); end moves offset × sin(turn)',
    source: 'Plain geometry, both cams from mid travel. Toe moves with either: it is set after.',
    caution: `${LIFT_CAUTION} Clamp bolts first, cams last, then recheck, unless the maker says otherwise.`,
    Drawing: TwoCamsDrawing,
  }),
];

interface Cam {
  turn: number;
  moves: number;
  reachable: boolean;
}

function camWords({ turn, moves, reachable }: Cam): string {
  if (!reachable)
    return `out of reach, ${Math.abs(moves).toFixed(1)} mm ${moves > 0 ? 'out' : 'in'}`;
  if (Math.abs(moves) < 0.005) return 'leave';
  return `${Math.abs(turn).toFixed(0)}°, ${Math.abs(moves).toFixed(1)} mm ${moves > 0 ? 'out' : 'in'}`;
}

function shimWords(mm: number): string {
  if (Math.abs(mm) < 0.005) return 'leave';
  return `${mm > 0 ? 'add' : 'take out'} ${Math.abs(mm).toFixed(1)} mm`;
}
