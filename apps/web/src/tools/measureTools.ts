import { LevelDrawing, SquareDrawing } from '../drawing/bench/fromBehind.tsx';
import {
  FlagsDrawing,
  GaugesDrawing,
  StringsDrawing,
  TapeDrawing,
} from '../drawing/bench/fromAbove.tsx';
import { showDegrees } from '../shared/format.ts';
import { WHEEL_LABELS } from '../shared/wheelLabels.ts';
import { tool } from './tool.ts';
import type { BenchTool, Field } from './tool.ts';
import { LENGTH_UNITS, SIDES, TOE_UNITS } from './choices.ts';

const stringFields = Object.entries(WHEEL_LABELS).flatMap(([wheel, name]): Field[] => [
  { kind: 'number', path: `wheels.${wheel}.front`, label: `${name}, ahead of the hub`, unit: '' },
  { kind: 'number', path: `wheels.${wheel}.rear`, label: `${name}, behind it`, unit: '' },
]);

/** Angles out of tapes, strings, gauges, squares and levels. */
export const MEASURE_TOOLS: readonly BenchTool[] = [
  tool<'toeFromTape', { totalToe: number; totalToeLength: number; direction: string }>({
    name: 'toeFromTape',
    title: 'Toe by tape',
    question: 'Two tape readings between the same marks, ahead of the axle and behind it.',
    fields: [
      {
        kind: 'number',
        path: 'front',
        label: 'Ahead of the axle',
        unit: '',
        hint: '39 3/8 is read too; straightedges stand clear of the sidewall’s bulge',
      },
      { kind: 'number', path: 'rear', label: 'Behind the axle', unit: '' },
      {
        kind: 'number',
        path: 'span',
        label: 'Along the wheel between the two',
        unit: '',
        isSize: true,
        hint: 'The tire’s diameter at hub height, the shorter chord when lower',
      },
      { kind: 'choice', path: 'unit', label: 'In', options: LENGTH_UNITS },
    ],
    example: { front: 1502, rear: 1505, span: 640, unit: 'mm' },
    exampleWords: '3 mm narrower in front on a 640 mm tire is 0.27° of toe-in.',
    results: ({ totalToe, totalToeLength, direction }) => [
      {
        label: 'Total toe',
        value:
          direction === 'none'
            ? showDegrees(0, 2)
            : `${Math.abs(totalToe).toFixed(2)}° toe-${direction}`,
        isMain: true,
      },
      { label: 'As a length', value: `${Math.abs(totalToeLength).toFixed(1)} mm` },
    ],
    formula: 'total toe = 2 asin( (rear − front) / 2 / span )',
    source: 'Plain geometry. A tape does not know where straight ahead is: only the total is told.',
    caution:
      'Marks at equal height, the car settled by rolling; a helper keeps hands clear of the wheels.',
    Drawing: TapeDrawing,
  }),
  tool<
    'toeFromStrings',
    {
      parallelError: number;
      parallel: boolean;
      toe: Record<'lf' | 'rf' | 'lr' | 'rr', number>;
      totalToe: { front: number; rear: number };
      thrustAngle: number;
    }
  >({
    name: 'toeFromStrings',
    title: 'Toe by strings',
    question: 'A string along each side, set off the hubs, and a rule to the rim’s edge.',
    fields: [
      {
        kind: 'number',
        path: 'stringGap.front',
        label: 'String to string, front axle',
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'stringGap.rear',
        label: 'String to string, rear axle',
        unit: '',
        isSize: true,
      },
      { kind: 'number', path: 'wheelbase', label: 'Wheelbase', unit: '', isSize: true },
      {
        kind: 'number',
        path: 'rimDiameter.front',
        label: 'Rim edge to rim edge, front',
        unit: '',
        isSize: true,
        hint: 'Between the two points measured: a straightedge clear of the bulge, or a hub stand’s plate',
      },
      {
        kind: 'number',
        path: 'rimDiameter.rear',
        label: 'Rim edge to rim edge, rear',
        unit: '',
        isSize: true,
      },
      { kind: 'choice', path: 'unit', label: 'All in', options: LENGTH_UNITS },
      ...stringFields,
    ],
    example: {
      stringGap: { front: 1906, rear: 1900 },
      wheelbase: 2650,
      wheels: {
        lf: { front: 152, rear: 150 },
        rf: { front: 152, rear: 150 },
        lr: { front: 180, rear: 180 },
        rr: { front: 180, rear: 180 },
      },
      rimDiameter: { front: 440, rear: 440 },
      unit: 'mm',
    },
    exampleWords:
      'Strings 6 mm wider in front make every wheel look 0.06° more toed in than it is.',
    results: ({ toe, totalToe, thrustAngle, parallel, parallelError }) => [
      { label: 'Total toe, front', value: showDegrees(totalToe.front, 2), isMain: true },
      { label: 'Total toe, rear', value: showDegrees(totalToe.rear, 2), isMain: true },
      { label: 'Thrust', value: showDegrees(thrustAngle, 2) },
      {
        label: 'Each wheel',
        value: (['lf', 'rf', 'lr', 'rr'] as const)
          .map((wheel) => `${wheel.toUpperCase()} ${showDegrees(toe[wheel], 2)}`)
          .join(', '),
      },
      {
        label: 'Strings',
        value: parallel ? 'parallel' : `off by ${showDegrees(parallelError, 3)}, taken out`,
      },
    ],
    formula:
      'error = atan( (gap front − gap rear) / wheelbase ), half on each string\ntoe = asin( (front − rear) / rim ) − error / 2',
    source: 'Plain geometry. Strings set off the hubs take the track as equal on both sides.',
    caution:
      'A string that sags, or a bump under it, fakes a reading: tension both, look along them.',
    Drawing: StringsDrawing,
  }),
  tool<
    'toeFromGauges',
    {
      toe: Record<'lf' | 'rf' | 'lr' | 'rr', number>;
      totalToe: { front: number; rear: number };
      thrustAngle: number;
    }
  >({
    name: 'toeFromGauges',
    title: 'Toe by gauges',
    question: 'Laser or flag gauges that read each wheel, the rear axle first as the reference.',
    fields: [
      { kind: 'choice', path: 'unit', label: 'They read', options: TOE_UNITS },
      {
        kind: 'number',
        path: 'diameter',
        label: 'Diameter at the scale',
        unit: 'mm',
        hint: 'Needed for millimetres and inches',
        optional: true,
      },
      {
        kind: 'choice',
        path: 'toeInReads',
        label: 'A wheel whose front points in reads',
        options: [
          { value: 'plus', label: 'Plus' },
          { value: 'minus', label: 'Minus' },
        ],
      },
      {
        kind: 'choice',
        path: 'frontAgainst',
        label: 'Front wheels are read against',
        options: [
          { value: 'rearAxle', label: 'The rear axle' },
          { value: 'centreLine', label: 'The middle of the car' },
        ],
      },
      ...(['lr', 'rr', 'lf', 'rf'] as const).map((wheel): Field => ({
        kind: 'number',
        path: `wheels.${wheel}`,
        label: WHEEL_LABELS[wheel],
        unit: '',
      })),
    ],
    example: {
      wheels: { lf: 1.5, rf: 0.5, lr: 2, rr: 0.5 },
      unit: 'mm',
      diameter: 430,
      toeInReads: 'plus',
      frontAgainst: 'rearAxle',
    },
    exampleWords:
      'The rear rolls 0.10° to the right of the middle, so the left front toes in 0.10° more than it reads.',
    results: ({ toe, totalToe, thrustAngle }) => [
      { label: 'Total toe, front', value: showDegrees(totalToe.front, 2), isMain: true },
      { label: 'Total toe, rear', value: showDegrees(totalToe.rear, 2), isMain: true },
      { label: 'Thrust', value: showDegrees(thrustAngle, 2) },
      {
        label: 'Each wheel',
        value: (['lf', 'rf', 'lr', 'rr'] as const)
          .map((wheel) => `${wheel.toUpperCase()} ${showDegrees(toe[wheel], 2)}`)
          .join(', '),
      },
    ],
    formula:
      'toe = ± asin( reading / diameter )\nread against the rear axle: left + thrust, right − thrust',
    source: 'Plain geometry. Whether a plus is toe-in differs from maker to maker of gauges.',
    caution: 'A laser is never looked into; stand out of its line, and so does the customer.',
    Drawing: GaugesDrawing,
  }),
  tool<'toeFromFlags', { toe: { left: number; right: number }; totalToe: number }>({
    name: 'toeFromFlags',
    title: 'Toe by rear flags',
    question: 'A beam or a straight bar from each front wheel back to a rule at the rear one.',
    fields: [
      { kind: 'number', path: 'distance', label: 'Beam to flag, along the car', unit: 'mm' },
      {
        kind: 'number',
        path: 'beam',
        label: 'Beam off the front wheel’s face',
        unit: 'mm',
        hint: 'Clear of the sidewall’s bulge; on a hub stand, off its plate',
      },
      { kind: 'number', path: 'flags.left', label: 'Left flag shows', unit: 'mm' },
      { kind: 'number', path: 'flags.right', label: 'Right flag shows', unit: 'mm' },
      { kind: 'number', path: 'track.front', label: 'Face to face, front', unit: 'mm' },
      { kind: 'number', path: 'track.rear', label: 'Face to face, rear', unit: 'mm' },
    ],
    example: {
      distance: 2600,
      beam: 120,
      flags: { left: 139, right: 130 },
      track: { front: 1520, rear: 1500 },
    },
    exampleWords: '9 mm further out than the tracks differ, over 2.6 m: 0.20° of toe-in, left.',
    results: ({ toe, totalToe }) => [
      { label: 'Total toe, front', value: showDegrees(totalToe, 2), isMain: true },
      {
        label: 'Each wheel',
        value: `left ${showDegrees(toe.left, 2)}, right ${showDegrees(toe.right, 2)}`,
      },
    ],
    formula: 'toe = atan( (flag − beam − (front − rear track) / 2) / distance )',
    source:
      'Plain geometry; each wheel against the middle of the car as the rear hubs have it. A thrust of the rear axle is not seen.',
    caution: 'A laser is never looked into; stand out of its line, and so does the customer.',
    Drawing: FlagsDrawing,
  }),
  tool<'camberFromSquare', { camber: number }>({
    name: 'camberFromSquare',
    title: 'Camber by square',
    question: 'A square on the floor beside the wheel, and its gap to the rim above and below.',
    fields: [
      { kind: 'number', path: 'top', label: 'Gap at the top of the rim', unit: '' },
      {
        kind: 'number',
        path: 'bottom',
        label: 'Gap at the bottom of the rim',
        unit: '',
        hint: '0 where the square touches',
      },
      { kind: 'number', path: 'span', label: 'Rim edge to rim edge', unit: '', isSize: true },
      { kind: 'choice', path: 'unit', label: 'All in', options: LENGTH_UNITS },
    ],
    example: { top: 5, bottom: 0, span: 210, unit: 'mm' },
    exampleWords: '5 mm more at the top of an 8 inch rim is 1.4° of the top leaning in.',
    results: ({ camber }) => [{ label: 'Camber', value: showDegrees(camber, 2), isMain: true }],
    formula: 'camber = asin( (bottom − top) / span )',
    source:
      'Plain geometry; top outward is positive (SAE J670). Equal side to side is what counts.',
    Drawing: SquareDrawing,
  }),
  tool<'camberFromLevel', { camber: number }>({
    name: 'camberFromLevel',
    title: 'Camber by level',
    question: 'A level, phone or bubble gauge against the wheel, whichever way it counts.',
    fields: [
      {
        kind: 'number',
        path: 'reading',
        label: 'Reading',
        unit: '°',
        hint: 'The size shown, without a sign',
      },
      {
        kind: 'choice',
        path: 'zeroIs',
        label: 'An upright wheel shows',
        options: [
          { value: 'vertical', label: '0°' },
          { value: 'horizontal', label: '90°' },
        ],
      },
      {
        kind: 'choice',
        path: 'leans',
        label: 'The top leans',
        options: [
          { value: 'in', label: 'In' },
          { value: 'out', label: 'Out' },
        ],
      },
      { kind: 'choice', path: 'side', label: 'Wheel', options: SIDES },
      {
        kind: 'choice',
        path: 'floorSlope.high',
        label: 'The floor is high on the',
        options: SIDES,
        optional: true,
      },
      {
        kind: 'number',
        path: 'floorSlope.degrees',
        label: 'Floor slope',
        unit: '°',
        hint: 'None when the level was zeroed on this floor',
        optional: true,
      },
    ],
    example: {
      reading: 1.5,
      zeroIs: 'vertical',
      leans: 'in',
      side: 'left',
      floorSlope: { degrees: 0.4, high: 'left' },
    },
    exampleWords: 'A floor 0.4° high on the left makes a left wheel of −1.1° read −1.5°.',
    results: ({ camber }) => [{ label: 'Camber', value: showDegrees(camber, 2), isMain: true }],
    formula:
      'camber = ± size shown, corrected by the floor: + slope on its high side, − on the other',
    source: 'Plain geometry; top outward is positive (SAE J670).',
    Drawing: LevelDrawing,
  }),
];
