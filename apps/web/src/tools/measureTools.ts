import { CALCULATOR_EXAMPLES } from '@keen/core';
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
import { t } from '../words/measureTools.ts';

const stringFields = Object.entries(WHEEL_LABELS).flatMap(([wheel, name]): Field[] => [
  {
    kind: 'number',
    path: `wheels.${wheel}.front`,
    label: t('aheadOfTheHub', { name }),
    unit: '',
  },
  {
    kind: 'number',
    path: `wheels.${wheel}.rear`,
    label: t('behindIt', { name }),
    unit: '',
  },
]);

/** Angles out of tapes, strings, gauges, squares and levels. */
export const MEASURE_TOOLS: readonly BenchTool[] = [
  tool<'toeFromTape'>({
    name: 'toeFromTape',
    title: t('toeByTape'),
    question: t('twoTapeReadingsBetween'),
    fields: [
      {
        kind: 'number',
        path: 'front',
        label: t('aheadOfTheAxle'),
        unit: '',
        hint: t('fractionsAreRead'),
      },
      { kind: 'number', path: 'rear', label: t('behindTheAxle'), unit: '' },
      {
        kind: 'number',
        path: 'span',
        label: t('alongTheWheelBetween'),
        unit: '',
        isSize: true,
        hint: t('theTiresDiameterAt'),
      },
      { kind: 'choice', path: 'unit', label: t('in'), options: LENGTH_UNITS },
    ],
    example: CALCULATOR_EXAMPLES.toeFromTape,
    exampleWords: t('mmNarrowerInFront'),
    results: ({ totalToe, totalToeLength, direction }) => [
      {
        label: t('totalToe'),
        value:
          direction === 'none'
            ? showDegrees(0, 2)
            : t(direction === 'in' ? 'toeInOf' : 'toeOutOf', {
                degrees: Math.abs(totalToe).toFixed(2),
              }),
        isMain: true,
      },
      { label: t('asALength'), value: `${Math.abs(totalToeLength).toFixed(1)} mm` },
    ],
    formula: t('totalToe2Asin'),
    source: t('plainGeometryATape'),
    caution: t('marksAtEqualHeight'),
    Drawing: TapeDrawing,
  }),
  tool<'toeFromStrings'>({
    name: 'toeFromStrings',
    title: t('toeByStrings'),
    question: t('aStringAlongEach'),
    fields: [
      {
        kind: 'number',
        path: 'stringGap.front',
        label: t('stringToStringFront'),
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'stringGap.rear',
        label: t('stringToStringRear'),
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'wheelbase',
        label: t('wheelbase'),
        unit: '',
        isSize: true,
      },
      {
        kind: 'number',
        path: 'rimDiameter.front',
        label: t('rimEdgeToRim'),
        unit: '',
        isSize: true,
        hint: t('betweenTheTwoPoints'),
      },
      {
        kind: 'number',
        path: 'rimDiameter.rear',
        label: t('rimEdgeToRimEdge'),
        unit: '',
        isSize: true,
      },
      { kind: 'choice', path: 'unit', label: t('allIn'), options: LENGTH_UNITS },
      ...stringFields,
    ],
    example: CALCULATOR_EXAMPLES.toeFromStrings,
    exampleWords: t('strings6MmWider'),
    results: ({ toe, totalToe, thrustAngle, parallel, parallelError }) => [
      {
        label: t('totalToeFront'),
        value: showDegrees(totalToe.front, 2),
        isMain: true,
      },
      { label: t('totalToeRear'), value: showDegrees(totalToe.rear, 2), isMain: true },
      { label: t('thrust'), value: showDegrees(thrustAngle, 2) },
      {
        label: t('eachWheel'),
        value: (['lf', 'rf', 'lr', 'rr'] as const)
          .map((wheel) => `${wheel.toUpperCase()} ${showDegrees(toe[wheel], 2)}`)
          .join(', '),
      },
      {
        label: t('strings'),
        value: parallel ? t('parallel') : t('offBy', { degrees: showDegrees(parallelError, 3) }),
      },
    ],
    formula: t('errorAtanGapFront'),
    source: t('plainGeometryStringsSet'),
    caution: t('aStringThatSags'),
    Drawing: StringsDrawing,
  }),
  tool<'toeFromGauges'>({
    name: 'toeFromGauges',
    title: t('toeByGauges'),
    question: t('laserOrFlagGauges'),
    fields: [
      { kind: 'choice', path: 'unit', label: t('theyRead'), options: TOE_UNITS },
      {
        kind: 'number',
        path: 'diameter',
        label: t('diameterAtTheScale'),
        unit: 'mm',
        hint: t('neededForMillimetresAnd'),
        optional: true,
      },
      {
        kind: 'choice',
        path: 'toeInReads',
        label: t('aWheelWhoseFront'),
        options: [
          { value: 'plus', label: t('plus') },
          { value: 'minus', label: t('minus') },
        ],
      },
      {
        kind: 'choice',
        path: 'frontAgainst',
        label: t('frontWheelsAreRead'),
        options: [
          { value: 'rearAxle', label: t('theRearAxle') },
          { value: 'centreLine', label: t('theMiddleOfThe') },
        ],
      },
      ...(['lr', 'rr', 'lf', 'rf'] as const).map((wheel): Field => ({
        kind: 'number',
        path: `wheels.${wheel}`,
        label: WHEEL_LABELS[wheel],
        unit: '',
      })),
    ],
    example: CALCULATOR_EXAMPLES.toeFromGauges,
    exampleWords: t('theRearRolls0'),
    results: ({ toe, totalToe, thrustAngle }) => [
      {
        label: t('totalToeFront'),
        value: showDegrees(totalToe.front, 2),
        isMain: true,
      },
      { label: t('totalToeRear'), value: showDegrees(totalToe.rear, 2), isMain: true },
      { label: t('thrust'), value: showDegrees(thrustAngle, 2) },
      {
        label: t('eachWheel'),
        value: (['lf', 'rf', 'lr', 'rr'] as const)
          .map((wheel) => `${wheel.toUpperCase()} ${showDegrees(toe[wheel], 2)}`)
          .join(', '),
      },
    ],
    formula: t('toeAsinReadingDiameter'),
    source: t('plainGeometryWhetherA'),
    caution: t('aLaserIsNever'),
    Drawing: GaugesDrawing,
  }),
  tool<'toeFromFlags'>({
    name: 'toeFromFlags',
    title: t('toeByRearFlags'),
    question: t('aBeamOrA'),
    fields: [
      { kind: 'number', path: 'distance', label: t('beamToFlagAlong'), unit: 'mm' },
      {
        kind: 'number',
        path: 'beam',
        label: t('beamOffTheFront'),
        unit: 'mm',
        hint: t('clearOfTheSidewalls'),
      },
      { kind: 'number', path: 'flags.left', label: t('leftFlagShows'), unit: 'mm' },
      { kind: 'number', path: 'flags.right', label: t('rightFlagShows'), unit: 'mm' },
      { kind: 'number', path: 'track.front', label: t('faceToFaceFront'), unit: 'mm' },
      { kind: 'number', path: 'track.rear', label: t('faceToFaceRear'), unit: 'mm' },
    ],
    example: CALCULATOR_EXAMPLES.toeFromFlags,
    exampleWords: t('mmFurtherOutThan'),
    results: ({ toe, totalToe }) => [
      { label: t('totalToeFront'), value: showDegrees(totalToe, 2), isMain: true },
      {
        label: t('eachWheel'),
        value: t('leftAndRight', {
          left: showDegrees(toe.left, 2),
          right: showDegrees(toe.right, 2),
        }),
      },
    ],
    formula: t('toeAtanFlagBeam'),
    source: t('plainGeometryEachWheel'),
    caution: t('aLaserIsNever'),
    Drawing: FlagsDrawing,
  }),
  tool<'camberFromSquare'>({
    name: 'camberFromSquare',
    title: t('camberBySquare'),
    question: t('aSquareOnThe'),
    fields: [
      { kind: 'number', path: 'top', label: t('gapAtTheTop'), unit: '' },
      {
        kind: 'number',
        path: 'bottom',
        label: t('gapAtTheBottom'),
        unit: '',
        hint: t('whereTheSquareTouches'),
      },
      {
        kind: 'number',
        path: 'span',
        label: t('rimEdgeToRim3'),
        unit: '',
        isSize: true,
      },
      { kind: 'choice', path: 'unit', label: t('allIn'), options: LENGTH_UNITS },
    ],
    example: CALCULATOR_EXAMPLES.camberFromSquare,
    exampleWords: t('mmMoreAtThe'),
    results: ({ camber }) => [{ label: t('camber'), value: showDegrees(camber, 2), isMain: true }],
    formula: t('formulaOfSquare'),
    source: t('plainGeometryTopOutward'),
    Drawing: SquareDrawing,
  }),
  tool<'camberFromLevel'>({
    name: 'camberFromLevel',
    title: t('camberByLevel'),
    question: t('aLevelPhoneOr'),
    fields: [
      {
        kind: 'number',
        path: 'reading',
        label: t('reading'),
        unit: '°',
        hint: t('theSizeShownWithout'),
      },
      {
        kind: 'choice',
        path: 'zeroIs',
        label: t('anUprightWheelShows'),
        options: [
          { value: 'vertical', label: '0°' },
          { value: 'horizontal', label: '90°' },
        ],
      },
      {
        kind: 'choice',
        path: 'leans',
        label: t('theTopLeans'),
        options: [
          { value: 'in', label: t('in') },
          { value: 'out', label: t('out') },
        ],
      },
      { kind: 'choice', path: 'side', label: t('wheel'), options: SIDES },
      {
        kind: 'choice',
        path: 'floorSlope.high',
        label: t('theFloorIsHigh'),
        options: SIDES,
        optional: true,
      },
      {
        kind: 'number',
        path: 'floorSlope.degrees',
        label: t('floorSlope'),
        unit: '°',
        hint: t('noneWhenTheLevel'),
        optional: true,
      },
    ],
    example: CALCULATOR_EXAMPLES.camberFromLevel,
    exampleWords: t('aFloor04'),
    results: ({ camber }) => [{ label: t('camber'), value: showDegrees(camber, 2), isMain: true }],
    formula: t('camberSizeShownCorrected'),
    source: t('plainGeometryTopOutwardIs'),
    Drawing: LevelDrawing,
  }),
];
