import type { TireSize, WheelFit } from '@keen/core';
import { CasterHeightDrawing } from '../drawing/bench/fromTheSide.tsx';
import { createElement } from 'react';
import { RideHeightSheet } from '../drawing/bench/charts.tsx';
import { OneWheelDrawing, ThrustDrawing } from '../drawing/bench/fromAbove.tsx';
import { TireSizeDrawing } from '../drawing/bench/fromBehind.tsx';
import { WheelFitDrawing } from '../drawing/bench/wheelFit.tsx';
import { showDegrees } from '../shared/format.ts';
import { tool } from './tool.ts';
import type { BenchTool } from './tool.ts';
import { RACKS, TOE_UNITS } from './choices.ts';

const UNIT_SIGN = { deg: '°', min: '′', mm: ' mm', in: ' in' } as const;

/** What angles and sizes mean on the road. */
export const MEANING_TOOLS: readonly BenchTool[] = [
  tool<'toeConvert', { value: number }>({
    name: 'toeConvert',
    title: 'Toe in other units',
    question: 'One wheel’s toe between degrees, minutes, millimetres and inches.',
    fields: [
      { kind: 'number', path: 'value', label: 'Toe of one wheel', unit: '' },
      { kind: 'choice', path: 'from', label: 'From', options: TOE_UNITS },
      { kind: 'choice', path: 'to', label: 'To', options: TOE_UNITS },
      {
        kind: 'number',
        path: 'diameter',
        label: 'Diameter it is measured at',
        unit: 'mm',
        hint: 'Needed between an angle and a length',
        optional: true,
      },
    ],
    example: { value: 0.15, from: 'deg', to: 'mm', diameter: 635 },
    exampleWords: '0.15° on one wheel is 1.66 mm at the edge of a 635 mm tire.',
    results: ({ value }, { to }) => [
      {
        label: 'Toe of one wheel',
        value: `${value.toFixed(to === 'min' || to === 'mm' ? 2 : 3)}${UNIT_SIGN[to]}`,
        isMain: true,
      },
    ],
    formula: 'length = diameter × sin(angle)',
    source: 'The definition of toe as a length. For a total toe convert half of it and double.',
    Drawing: ({ input, output }) =>
      createElement(OneWheelDrawing, {
        toeDeg: Math.sign(input.value || output.value) * 1,
        words: 'a wheel from above, drawn larger than life',
      }),
  }),
  tool<'slip', { metresPerKm: number; feetPerMile: number }>({
    name: 'slip',
    title: 'Sideways drag',
    question: 'How far toe drags a tire sideways over a kilometre or a mile.',
    fields: [{ kind: 'number', path: 'toe', label: 'Toe of one wheel', unit: '°' }],
    example: { toe: 0.15 },
    exampleWords: '0.15° of toe drags a tire 2.6 m sideways in every kilometre.',
    results: ({ metresPerKm, feetPerMile }) => [
      { label: 'In a kilometre', value: `${metresPerKm.toFixed(2)} m`, isMain: true },
      { label: 'In a mile', value: `${feetPerMile.toFixed(1)} ft` },
    ],
    formula: 'sideways = distance × sin(toe)',
    source:
      'Plain geometry. The trade’s 28 ft a mile for 1/8 in on a 24 in tire counts both wheels.',
    Drawing: ({ input, output }) =>
      createElement(OneWheelDrawing, {
        toeDeg: input.toe,
        words: 'a left wheel from above, drawn larger than life',
        drift: `${Math.abs(output.metresPerKm).toFixed(2)} m each km`,
      }),
  }),
  tool<'thrust', { thrustAngle: number; totalToe: number; steeringWheelOffset?: number }>({
    name: 'thrust',
    title: 'Thrust',
    question: 'Where the rear axle points, and how far that turns the steering wheel.',
    fields: [
      { kind: 'number', path: 'toeLr', label: 'Toe, left rear', unit: '°' },
      { kind: 'number', path: 'toeRr', label: 'Toe, right rear', unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: 'Steering ratio',
        unit: ': 1',
        hint: 'For the steering wheel; may be left out',
        optional: true,
      },
    ],
    example: { toeLr: 0.3, toeRr: 0.1, steeringRatio: 16 },
    exampleWords: 'More toe-in on the left rear pushes to the right: the wheel stands 1.6° right.',
    results: ({ thrustAngle, totalToe, steeringWheelOffset }) => [
      {
        label: 'Thrust',
        value: `${showDegrees(thrustAngle, 2)} ${sideOf(thrustAngle)}`,
        isMain: true,
      },
      { label: 'Total toe, rear', value: showDegrees(totalToe, 2) },
      ...(steeringWheelOffset === undefined
        ? []
        : [
            {
              label: 'Steering wheel stands',
              value: `${Math.abs(steeringWheelOffset).toFixed(1)}° ${sideOf(steeringWheelOffset)}`,
              isMain: true,
            },
          ]),
    ],
    formula: 'thrust = (left − right) / 2; steering wheel = thrust × ratio',
    source:
      'A car that crabs steers its front wheels along the thrust line. Thrust shows at the steering wheel, not in the wear.',
    Drawing: ThrustDrawing,
  }),
  tool<'tireSize', TireSize>({
    name: 'tireSize',
    title: 'Tire size',
    question: 'What a size on the sidewall means in millimetres.',
    fields: [
      {
        kind: 'text',
        path: 'size',
        label: 'As moulded on the sidewall',
        hint: '205/55R16 91V, 33x12.50R15LT, 18x8.50-8',
      },
    ],
    example: { size: '205/55R16 91V' },
    exampleWords: '205 mm wide, a sidewall of 55 % of that, on a 16 inch rim: 632 mm across.',
    results: (out) => [
      { label: 'Diameter', value: `${out.diameter.toFixed(0)} mm`, isMain: true },
      { label: 'Section width', value: `${out.sectionWidth.toFixed(0)} mm` },
      { label: 'Sidewall', value: `${out.sidewall.toFixed(1)} mm` },
      { label: 'Rim', value: `${out.rimDiameter.toFixed(1)} mm` },
      { label: 'Turns a km, unloaded', value: out.revsPerKm.toFixed(1) },
    ],
    formula: 'sidewall = width × aspect / 100; diameter = rim + 2 sidewalls',
    source:
      'Size designations of ISO 4000-1 and the ETRTO standards manual. Loaded, a tire turns some 3 % more often.',
    Drawing: TireSizeDrawing,
  }),
  tool<'rideHeight', { camberChange: number; toeChange: number }>({
    name: 'rideHeight',
    title: 'Changed ride height',
    question: 'What lifting or lowering does to a wheel’s camber and toe, from its joints.',
    fields: [
      { kind: 'number', path: 'change', label: 'Body up (+) or down (−)', unit: 'mm' },
      { kind: 'point', path: 'points.lowerInner', label: 'Lower arm, inner joint', unit: 'mm' },
      { kind: 'point', path: 'points.lowerOuter', label: 'Lower arm, outer joint', unit: 'mm' },
      { kind: 'point', path: 'points.upperInner', label: 'Upper arm, inner joint', unit: 'mm' },
      { kind: 'point', path: 'points.upperOuter', label: 'Upper arm, outer joint', unit: 'mm' },
      { kind: 'point', path: 'points.strutTop', label: 'or strut top', unit: 'mm' },
      { kind: 'point', path: 'points.tieInner', label: 'Tie rod, inner end', unit: 'mm' },
      { kind: 'point', path: 'points.tieOuter', label: 'Tie rod, outer end', unit: 'mm' },
      { kind: 'number', path: 'steeringArm', label: 'Steering arm', unit: 'mm' },
      { kind: 'choice', path: 'rack', label: 'Rack', options: RACKS },
    ],
    example: {
      change: -30,
      points: {
        lowerInner: [360, 190],
        lowerOuter: [710, 180],
        strutTop: [580, 820],
        tieInner: [340, 260],
        tieOuter: [690, 250],
      },
      steeringArm: 130,
      rack: 'behind',
    },
    exampleWords:
      'This strut, lowered by 30 mm, gains 0.5° of negative camber and 0.28° of toe-in a wheel.',
    results: ({ camberChange, toeChange }) => [
      { label: 'Camber changes by', value: showDegrees(camberChange, 2), isMain: true },
      { label: 'Toe of this wheel by', value: showDegrees(toeChange, 2), isMain: true },
    ],
    formula:
      'joints on their arcs, the upright and the tie rod as long as before; toe = asin(d / steering arm)',
    source:
      'Plane geometry of the front view. Points are outward; up, from the middle of the car and the floor.',
    caution: 'The maker’s ride height decides; parts that change it need their own approval.',
    Drawing: RideHeightSheet,
  }),
  tool<'casterWithHeight', { caster: number; casterChange: number }>({
    name: 'casterWithHeight',
    title: 'Caster after a change of height',
    question: 'What lifting or lowering does to caster, seen from the side.',
    fields: [
      { kind: 'number', path: 'change', label: 'Body up (+) or down (−)', unit: 'mm' },
      { kind: 'number', path: 'caster', label: 'Caster before', unit: '°' },
      {
        kind: 'choice',
        path: 'upper',
        label: 'Above the lower arm',
        options: [
          { value: 'strut', label: 'A strut' },
          { value: 'arm', label: 'An upper arm' },
        ],
      },
      {
        kind: 'number',
        path: 'height',
        label: 'Strut top or upper joint above the lower one',
        unit: 'mm',
      },
      {
        kind: 'number',
        path: 'lowerAxis',
        label: 'Lower arm’s axis rises to the front by',
        unit: '°',
        hint: 'Level where nobody knows',
        optional: true,
      },
      {
        kind: 'number',
        path: 'upperAxis',
        label: 'Upper arm’s axis rises to the front by',
        unit: '°',
        optional: true,
      },
    ],
    example: { change: -30, caster: 5, height: 640, upper: 'strut' },
    exampleWords: 'A strut lowered by 30 mm gains a quarter of a degree.',
    results: ({ caster, casterChange }) => [
      { label: 'Caster after', value: showDegrees(caster, 2), isMain: true },
      { label: 'Changes by', value: showDegrees(casterChange, 2) },
    ],
    formula:
      'caster = atan(ahead / above); strut: above + change; ahead + change × tan(lower axis) − change × tan(upper axis)',
    source: 'Plane geometry of the side view; positive leans back.',
    caution: 'The maker’s ride height decides; parts that change it need their own approval.',
    Drawing: CasterHeightDrawing,
  }),
  tool<'wheelFit', WheelFit>({
    name: 'wheelFit',
    title: 'Other wheels',
    question:
      'Where the edges of other wheels stand, and what that does to track, scrub and speedometer.',
    fields: [
      { kind: 'number', path: 'old.width', label: 'Old rim, width', unit: 'in' },
      {
        kind: 'number',
        path: 'old.offset',
        label: 'Old rim, offset (ET)',
        unit: 'mm',
        hint: 'Plus sets the wheel further in',
      },
      { kind: 'number', path: 'new.width', label: 'New rim, width', unit: 'in' },
      { kind: 'number', path: 'new.offset', label: 'New rim, offset (ET)', unit: 'mm' },
      { kind: 'number', path: 'spacer', label: 'Spacer', unit: 'mm', optional: true },
      {
        kind: 'text',
        path: 'old.size',
        label: 'Old tire size',
        hint: 'For diameter and speed',
        optional: true,
      },
      { kind: 'text', path: 'new.size', label: 'New tire size', optional: true },
    ],
    example: {
      old: { width: 6.5, offset: 45, size: '205/55R16' },
      new: { width: 8, offset: 35, size: '225/45R17' },
    },
    exampleWords:
      'One and a half inches wider and 10 mm less offset: 29 mm further out, 9 mm further in.',
    results: (fit) => [
      { label: 'Outer edge', value: movedWords(fit.outerMoves, 'out', 'in'), isMain: true },
      { label: 'Inner edge', value: movedWords(fit.innerMoves, 'in', 'out'), isMain: true },
      { label: 'Track', value: changeWords(fit.trackChange, 'wider', 'narrower') },
      { label: 'Scrub radius', value: changeWords(fit.scrubChange, 'further out', 'further in') },
      {
        label: 'Tires for the rim',
        value: `about ${fit.tireWidths.map((mm) => (5 * Math.round(mm / 5)).toFixed(0)).join(' to ')} mm wide`,
      },
      ...(fit.heightChange === null || fit.speedShownPercent === null
        ? []
        : [
            { label: 'Axle', value: changeWords(fit.heightChange, 'higher', 'lower') },
            {
              label: 'Speedometer',
              value: `shows ${Math.abs(fit.speedShownPercent).toFixed(1)} % ${fit.speedShownPercent < 0 ? 'less' : 'more'} than before`,
            },
          ]),
    ],
    formula:
      'outer edge = width / 2 − offset, inner edge = width / 2 + offset, from the bolted face',
    source:
      'The definition of wheel offset, plain geometry. The rim’s lips add alike to old and new.',
    caution:
      'Clearance is looked at on the car, at full lock and full travel; load rating, and what the law and the maker allow, decide.',
    Drawing: WheelFitDrawing,
  }),
];

function movedWords(mm: number, way: string, back: string): string {
  return Math.abs(mm) < 0.05
    ? 'where it was'
    : `${Math.abs(mm).toFixed(1)} mm further ${mm > 0 ? way : back}`;
}

function changeWords(mm: number, more: string, less: string): string {
  return Math.abs(mm) < 0.05
    ? 'as it was'
    : `${Math.abs(mm).toFixed(1)} mm ${mm > 0 ? more : less}`;
}

function sideOf(value: number): string {
  return value > 0 ? 'right' : value < 0 ? 'left' : '';
}
