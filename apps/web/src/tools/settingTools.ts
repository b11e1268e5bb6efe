import type { CalculatorOutput } from '@keen/contract';
import { CALCULATOR_EXAMPLES, rodTurn } from '@keen/core';
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
import { t } from '../words/settingTools.ts';

const ROD_FIELDS: readonly Field[] = [
  {
    kind: 'number',
    path: 'steeringArm',
    label: t('steeringArm'),
    unit: 'mm',
    hint: t('steeringAxisToThe'),
  },
  {
    kind: 'number',
    path: 'threadPitch',
    label: t('threadPitch'),
    unit: 'mm',
    hint: t('threadsPerInchAs'),
  },
  { kind: 'choice', path: 'rack', label: t('rack'), options: RACKS },
  { kind: 'choice', path: 'adjuster', label: t('rodHas'), options: ADJUSTERS },
];

/** Angles are shown to hundredths of a degree. */
const SHOWN_DEG = 0.005;

type Rod = CalculatorOutput<'tieRod'>;

const rodWords = ({ turns, action }: Rod) =>
  action === 'none' ? t('leaveIt') : t('turns', { turns: turns.toFixed(2), action });

/** What no shim in stock gives; nothing where it is less than is shown. */
function missingWords(camber: number, toe: number): ResultLine[] {
  const missing = [
    Math.abs(camber) < SHOWN_DEG ? null : t('ofCamber', { camber: showDegrees(camber, 2) }),
    Math.abs(toe) < SHOWN_DEG ? null : t('ofToe', { toe: showDegrees(toe, 2) }),
  ].filter((words) => words !== null);
  return missing.length === 0 ? [] : [{ label: t('remainingError'), value: missing.join(', ') }];
}

/** Turns, bolt angles and shims that set an angle right. */
export const SETTING_TOOLS: readonly BenchTool[] = [
  tool<'tieRod'>({
    name: 'tieRod',
    title: t('tieRod'),
    question: t('howManyTurnsChange'),
    fields: [
      { kind: 'number', path: 'toeChange', label: t('changeOfThisWheel'), unit: '°' },
      ...ROD_FIELDS,
    ],
    example: CALCULATOR_EXAMPLES.tieRod,
    exampleWords: t('aQuarterDegreeOn'),
    results: (rod) => [
      { label: t('turn'), value: rodWords(rod), isMain: true },
      { label: t('length'), value: `${rod.lengthChange.toFixed(2)} mm` },
      ...(rod.action === 'none'
        ? []
        : [
            {
              label: t('fromTheWheel'),
              value: t('lookingIn', {
                turn: t(rodTurn(rod.action) === 'clockwise' ? 'clockwise' : 'anticlockwise'),
              }),
            },
          ]),
    ],
    formula: t('lengthSteeringArmSin'),
    source: t('plainGeometryATurnbuckles'),
    caution: t('freeTheJamNut'),
    Drawing: TieRodDrawing,
  }),
  tool<'steeringWheelCentre'>({
    name: 'steeringWheelCentre',
    title: t('steeringWheelStraight'),
    question: t('theWheelStandsOff'),
    fields: [
      { kind: 'number', path: 'offset', label: t('standsOffToThe'), unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: t('steeringRatio'),
        unit: ': 1',
      },
      ...ROD_FIELDS,
    ],
    example: CALCULATOR_EXAMPLES.steeringWheelCentre,
    exampleWords: t('offAtIsHalf'),
    results: ({ lf, rf }) => [
      { label: t('leftRod'), value: rodWords(lf), isMain: true },
      { label: t('rightRod'), value: rodWords(rf), isMain: true },
      {
        label: t('toeOfEachWheel'),
        value: t('leftAndRight', {
          left: showDegrees(lf.toeChange, 2),
          right: showDegrees(rf.toeChange, 2),
        }),
      },
    ],
    formula: t('leftOffsetRatioRight'),
    source: t('plainGeometryRearThrust'),
    caution: t('lockTheWheelStraight'),
    Drawing: SteeringWheelDrawing,
  }),
  tool<'rearShim'>({
    name: 'rearShim',
    title: t('rearHubShim'),
    question: t('oneTaperedShimFrom'),
    fields: [
      {
        kind: 'number',
        path: 'camberChange',
        label: t('camberWantedChange'),
        unit: '°',
      },
      { kind: 'number', path: 'toeChange', label: t('toeWantedChangeToe'), unit: '°' },
      { kind: 'choice', path: 'side', label: t('wheel'), options: SIDES },
      {
        kind: 'list',
        path: 'stock',
        label: t('tapersInStock'),
        unit: '°',
        hint: t('apartBySemicolons'),
      },
    ],
    example: CALCULATOR_EXAMPLES.rearShim,
    exampleWords: t('aHalfDegreeTaper'),
    results: ({ angle, clock, camberAchieved, toeAchieved }, { camberChange, toeChange }) => [
      {
        label: t('shim'),
        value:
          angle === 0
            ? t('none')
            : t('thickestAt', {
                angle,
                clock: clockWords(clock),
                degrees: clock.toFixed(0),
              }),
        isMain: true,
      },
      {
        label: t('gives'),
        value: t('camberAndToe', {
          camber: showDegrees(camberAchieved, 2),
          toe: showDegrees(toeAchieved, 2),
        }),
      },
      ...missingWords(camberChange - camberAchieved, toeChange - toeAchieved),
    ],
    formula: t('camberACosC'),
    source: t('geometryOfAFull'),
    caution: t('takeOldShimsOut', { liftCaution: LIFT_CAUTION }),
    Drawing: ShimClockDrawing,
  }),
  tool<'eccentric'>({
    name: 'eccentric',
    title: t('camBolt'),
    question: t('howFarAnEccentric'),
    fields: [
      { kind: 'number', path: 'change', label: t('changeWanted'), unit: '°' },
      { kind: 'number', path: 'offset', label: t('boltCentreToCam'), unit: 'mm' },
      {
        kind: 'number',
        path: 'leverArm',
        label: t('camToThePoint'),
        unit: 'mm',
      },
    ],
    example: CALCULATOR_EXAMPLES.eccentric,
    exampleWords: t('halfADegreeOn'),
    results: ({ turn, reachable, range }) => [
      {
        label: t('turnFromMidTravel'),
        value: reachable ? `${turn.toFixed(1)}°` : t('outOfReach'),
        isMain: true,
      },
      ...(reachable
        ? [{ label: t('theSameOnThe'), value: `${(180 - turn).toFixed(1)}°` }]
        : [{ label: t('atItsEndStop'), value: `${turn.toFixed(0)}°` }]),
      {
        label: t('itReaches'),
        value: t('fromTo', {
          from: showDegrees(range[0], 2),
          to: showDegrees(range[1], 2),
        }),
      },
    ],
    formula: t('changeAtanOffsetSin'),
    source: t('plainGeometryTwoBolt'),
    caution: t('clampBoltsFirstCam', { liftCaution: LIFT_CAUTION }),
    Drawing: CamDrawing,
  }),
  tool<'wishboneShims'>({
    name: 'wishboneShims',
    title: t('upperArmShims'),
    question: t('thicknessToAddOr'),
    fields: [
      {
        kind: 'number',
        path: 'camberChange',
        label: t('camberWantedChange'),
        unit: '°',
      },
      {
        kind: 'number',
        path: 'casterChange',
        label: t('casterWantedChange'),
        unit: '°',
      },
      { kind: 'number', path: 'boltSpacing', label: t('betweenTheBolts'), unit: 'mm' },
      { kind: 'number', path: 'armLength', label: t('boltsToTheBall'), unit: 'mm' },
      {
        kind: 'number',
        path: 'armHeight',
        label: t('upperJointAboveLower'),
        unit: 'mm',
      },
    ],
    example: CALCULATOR_EXAMPLES.wishboneShims,
    exampleWords: t('moreNegativeCamberAnd'),
    results: ({ front, rear }) => [
      { label: t('frontBolt'), value: shimWords(front), isMain: true },
      { label: t('rearBolt'), value: shimWords(rear), isMain: true },
    ],
    formula: t('inFrontRear2'),
    source: t('plainGeometryForShims'),
    caution: LIFT_CAUTION,
    Drawing: WishboneDrawing,
  }),
  tool<'twoCams'>({
    name: 'twoCams',
    title: t('twoCamsOnOne'),
    question: t('aLowerArmOn'),
    fields: [
      {
        kind: 'number',
        path: 'camberChange',
        label: t('camberWantedChange'),
        unit: '°',
      },
      {
        kind: 'number',
        path: 'casterChange',
        label: t('casterWantedChange'),
        unit: '°',
      },
      { kind: 'number', path: 'camSpacing', label: t('betweenTheCams'), unit: 'mm' },
      { kind: 'number', path: 'armLength', label: t('camsToTheBall'), unit: 'mm' },
      {
        kind: 'number',
        path: 'armHeight',
        label: t('upperJointAboveLower'),
        unit: 'mm',
      },
      { kind: 'number', path: 'offset', label: t('boltCentreToCam'), unit: 'mm' },
    ],
    example: CALCULATOR_EXAMPLES.twoCams,
    exampleWords: t('aLittleCamberAnd'),
    results: ({ front, rear }) => [
      { label: t('frontCam'), value: camWords(front), isMain: true },
      { label: t('rearCam'), value: camWords(rear), isMain: true },
    ],
    formula: t('outFrontRear2'),
    source: t('plainGeometryBothCams'),
    caution: t('clampBoltsFirstCams', { liftCaution: LIFT_CAUTION }),
    Drawing: TwoCamsDrawing,
  }),
];

type Cam = CalculatorOutput<'twoCams'>['front'];

function camWords({ turn, moves, reachable }: Cam): string {
  const mm = Math.abs(moves).toFixed(1);
  if (!reachable) {
    return t(moves > 0 ? 'outOfReachOut' : 'outOfReachIn', { mm });
  }
  if (Math.abs(moves) < 0.005) return t('leave');
  const degrees = Math.abs(turn).toFixed(0);
  return t(moves > 0 ? 'camOut' : 'camIn', { degrees, mm });
}

function shimWords(value: number): string {
  if (Math.abs(value) < 0.005) return t('leave');
  const mm = Math.abs(value).toFixed(1);
  return t(value > 0 ? 'addMm' : 'takeOutMm', { mm });
}
