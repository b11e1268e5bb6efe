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
import { t } from '../words/tools.ts';

const stringFields = Object.entries(WHEEL_LABELS).flatMap(([wheel, name]): Field[] => [
  {
    kind: 'number',
    path: `wheels.${wheel}.front`,
    label: t('measureTools.aheadOfTheHub', { name }),
    unit: '',
  },
  {
    kind: 'number',
    path: `wheels.${wheel}.rear`,
    label: t('measureTools.behindIt', { name }),
    unit: '',
  },
]);

/** Angles out of tapes, strings, gauges, squares and levels. */
export const MEASURE_TOOLS: readonly BenchTool[] = [
  tool<'toeFromTape', { totalToe: number; totalToeLength: number; direction: string }>({
    name: 'toeFromTape',
    title: t('measureTools.toeByTape'),
    question: t('measureTools.twoTapeReadingsBetween'),
    fields: [
      {
        kind: 'number',
        path: 'front',
        label: t('measureTools.aheadOfTheAxle'),
        unit: '',
        hint: t('measureTools.fractionsAreRead'),
      },
      { kind: 'number', path: 'rear', label: t('measureTools.behindTheAxle'), unit: '' },
      {
        kind: 'number',
        path: 'span',
        label: t('measureTools.alongTheWheelBetween'),
        unit: '',
        isSize: true,
        hint: t('measureTools.theTiresDiameterAt'),
      },
      { kind: 'choice', path: 'unit', label: t('measureTools.in'), options: LENGTH_UNITS },
    ],
    example: { front: 1502, rear: 1505, span: 640, unit: 'mm' },
    exampleWords: t('measureTools.mmNarrowerInFront'),
    results: ({ totalToe, totalToeLength, direction }) => [
      {
        label: t('measureTools.totalToe'),
        value:
          direction === 'none'
            ? showDegrees(0, 2)
            : `${Math.abs(totalToe).toFixed(2)}° toe-${direction}`,
        isMain: true,
      },
      { label: t('measureTools.asALength'), value: `${Math.abs(totalToeLength).toFixed(1)} mm` },
    ],
    formula: t('measureTools.totalToe2Asin'),
    source: t('measureTools.plainGeometryATape'),
    caution: t('measureTools.marksAtEqualHeight'),
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
    title: t('measureTools.toeByStrings'),
    question: t('measureTools.aStringAlongEach'),
    fields: [
      {
        kind: 'number',
        path: 'stringGap.front',
        label: t('measureTools.stringToStringFront'),
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'stringGap.rear',
        label: t('measureTools.stringToStringRear'),
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'wheelbase',
        label: t('measureTools.wheelbase'),
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'rimDiameter.front',
        label: t('measureTools.rimEdgeToRim'),
        unit: '',
        isSize: true,
        hint: t('measureTools.betweenTheTwoPoints'),
      },
      {
        kind: 'number',
        path: 'rimDiameter.rear',
        label: t('measureTools.rimEdgeToRimEdge'),
        unit: '',
        isSize: true,
      },
      { kind: 'choice', path: 'unit', label: t('measureTools.allIn'), options: LENGTH_UNITS },
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
    exampleWords: t('measureTools.strings6MmWider'),
    results: ({ toe, totalToe, thrustAngle, parallel, parallelError }) => [
      {
        label: t('measureTools.totalToeFront'),
        value: showDegrees(totalToe.front, 2),
        isMain: true,
      },
      { label: t('measureTools.totalToeRear'), value: showDegrees(totalToe.rear, 2), isMain: true },
      { label: t('measureTools.thrust'), value: showDegrees(thrustAngle, 2) },
      {
        label: t('measureTools.eachWheel'),
        value: (['lf', 'rf', 'lr', 'rr'] as const)
          .map((wheel) => `${wheel.toUpperCase()} ${showDegrees(toe[wheel], 2)}`)
          .join(', '),
      },
      {
        label: t('measureTools.strings'),
        value: parallel ? 'parallel' : `off by ${showDegrees(parallelError, 3)}, taken out`,
      },
    ],
    formula: t('measureTools.errorAtanGapFront'),
    source: t('measureTools.plainGeometryStringsSet'),
    caution: t('measureTools.aStringThatSags'),
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
    title: t('measureTools.toeByGauges'),
    question: t('measureTools.laserOrFlagGauges'),
    fields: [
      { kind: 'choice', path: 'unit', label: t('measureTools.theyRead'), options: TOE_UNITS },
      {
        kind: 'number',
        path: 'diameter',
        label: t('measureTools.diameterAtTheScale'),
        unit: 'mm',
        hint: t('measureTools.neededForMillimetresAnd'),
        optional: true,
      },
      {
        kind: 'choice',
        path: 'toeInReads',
        label: t('measureTools.aWheelWhoseFront'),
        options: [
          { value: 'plus', label: t('measureTools.plus') },
          { value: 'minus', label: t('measureTools.minus') },
        ],
      },
      {
        kind: 'choice',
        path: 'frontAgainst',
        label: t('measureTools.frontWheelsAreRead'),
        options: [
          { value: 'rearAxle', label: t('measureTools.theRearAxle') },
          { value: 'centreLine', label: t('measureTools.theMiddleOfThe') },
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
    exampleWords: t('measureTools.theRearRolls0'),
    results: ({ toe, totalToe, thrustAngle }) => [
      {
        label: t('measureTools.totalToeFront'),
        value: showDegrees(totalToe.front, 2),
        isMain: true,
      },
      { label: t('measureTools.totalToeRear'), value: showDegrees(totalToe.rear, 2), isMain: true },
      { label: t('measureTools.thrust'), value: showDegrees(thrustAngle, 2) },
      {
        label: t('measureTools.eachWheel'),
        value: (['lf', 'rf', 'lr', 'rr'] as const)
          .map((wheel) => `${wheel.toUpperCase()} ${showDegrees(toe[wheel], 2)}`)
          .join(', '),
      },
    ],
    formula: t('measureTools.toeAsinReadingDiameter'),
    source: t('measureTools.plainGeometryWhetherA'),
    caution: t('measureTools.aLaserIsNever'),
    Drawing: GaugesDrawing,
  }),
  tool<'toeFromFlags', { toe: { left: number; right: number }; totalToe: number }>({
    name: 'toeFromFlags',
    title: t('measureTools.toeByRearFlags'),
    question: t('measureTools.aBeamOrA'),
    fields: [
      { kind: 'number', path: 'distance', label: t('measureTools.beamToFlagAlong'), unit: 'mm' },
      {
        kind: 'number',
        path: 'beam',
        label: t('measureTools.beamOffTheFront'),
        unit: 'mm',
        hint: t('measureTools.clearOfTheSidewalls'),
      },
      { kind: 'number', path: 'flags.left', label: t('measureTools.leftFlagShows'), unit: 'mm' },
      { kind: 'number', path: 'flags.right', label: t('measureTools.rightFlagShows'), unit: 'mm' },
      { kind: 'number', path: 'track.front', label: t('measureTools.faceToFaceFront'), unit: 'mm' },
      { kind: 'number', path: 'track.rear', label: t('measureTools.faceToFaceRear'), unit: 'mm' },
    ],
    example: {
      distance: 2600,
      beam: 120,
      flags: { left: 139, right: 130 },
      track: { front: 1520, rear: 1500 },
    },
    exampleWords: t('measureTools.mmFurtherOutThan'),
    results: ({ toe, totalToe }) => [
      { label: t('measureTools.totalToeFront'), value: showDegrees(totalToe, 2), isMain: true },
      {
        label: t('measureTools.eachWheel'),
        value: `left ${showDegrees(toe.left, 2)}, right ${showDegrees(toe.right, 2)}`,
      },
    ],
    formula: t('measureTools.toeAtanFlagBeam'),
    source: t('measureTools.plainGeometryEachWheel'),
    caution: t('measureTools.aLaserIsNever'),
    Drawing: FlagsDrawing,
  }),
  tool<'camberFromSquare', { camber: number }>({
    name: 'camberFromSquare',
    title: t('measureTools.camberBySquare'),
    question: t('measureTools.aSquareOnThe'),
    fields: [
      { kind: 'number', path: 'top', label: t('measureTools.gapAtTheTop'), unit: '' },
      {
        kind: 'number',
        path: 'bottom',
        label: t('measureTools.gapAtTheBottom'),
        unit: '',
        hint: t('measureTools.whereTheSquareTouches'),
      },
      {
        kind: 'number',
        path: 'span',
        label: t('measureTools.rimEdgeToRim3'),
        unit: '',
        isSize: true,
      },
      { kind: 'choice', path: 'unit', label: t('measureTools.allIn'), options: LENGTH_UNITS },
    ],
    example: { top: 5, bottom: 0, span: 210, unit: 'mm' },
    exampleWords: t('measureTools.mmMoreAtThe'),
    results: ({ camber }) => [
      { label: t('measureTools.camber'), value: showDegrees(camber, 2), isMain: true },
    ],
    formula: 'camber = asin( (bottom − top) / span )',
    source: t('measureTools.plainGeometryTopOutward'),
    Drawing: SquareDrawing,
  }),
  tool<'camberFromLevel', { camber: number }>({
    name: 'camberFromLevel',
    title: t('measureTools.camberByLevel'),
    question: t('measureTools.aLevelPhoneOr'),
    fields: [
      {
        kind: 'number',
        path: 'reading',
        label: t('measureTools.reading'),
        unit: '°',
        hint: t('measureTools.theSizeShownWithout'),
      },
      {
        kind: 'choice',
        path: 'zeroIs',
        label: t('measureTools.anUprightWheelShows'),
        options: [
          { value: 'vertical', label: '0°' },
          { value: 'horizontal', label: '90°' },
        ],
      },
      {
        kind: 'choice',
        path: 'leans',
        label: t('measureTools.theTopLeans'),
        options: [
          { value: 'in', label: t('measureTools.in') },
          { value: 'out', label: t('measureTools.out') },
        ],
      },
      { kind: 'choice', path: 'side', label: t('measureTools.wheel'), options: SIDES },
      {
        kind: 'choice',
        path: 'floorSlope.high',
        label: t('measureTools.theFloorIsHigh'),
        options: SIDES,
        optional: true,
      },
      {
        kind: 'number',
        path: 'floorSlope.degrees',
        label: t('measureTools.floorSlope'),
        unit: '°',
        hint: t('measureTools.noneWhenTheLevel'),
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
    exampleWords: t('measureTools.aFloor04'),
    results: ({ camber }) => [
      { label: t('measureTools.camber'), value: showDegrees(camber, 2), isMain: true },
    ],
    formula: t('measureTools.camberSizeShownCorrected'),
    source: t('measureTools.plainGeometryTopOutwardIs'),
    Drawing: LevelDrawing,
  }),
];
