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
import { t } from '../words/tools.ts';

const ROD_FIELDS: readonly Field[] = [
  {
    kind: 'number',
    path: 'steeringArm',
    label: t('settingTools.steeringArm'),
    unit: 'mm',
    hint: t('settingTools.steeringAxisToThe'),
  },
  {
    kind: 'number',
    path: 'threadPitch',
    label: t('settingTools.threadPitch'),
    unit: 'mm',
    hint: t('settingTools.threadsPerInchAs'),
  },
  { kind: 'choice', path: 'rack', label: t('settingTools.rack'), options: RACKS },
  { kind: 'choice', path: 'adjuster', label: t('settingTools.rodHas'), options: ADJUSTERS },
];

/** Angles are shown to hundredths of a degree. */
const SHOWN_DEG = 0.005;

interface Rod {
  lengthChange: number;
  turns: number;
  action: 'lengthen' | 'shorten' | 'none';
}

const rodWords = ({ turns, action }: Rod) =>
  action === 'none'
    ? t('settingTools.leaveIt')
    : t('settingTools.turns', { turns: turns.toFixed(2), action });

/** What no shim in stock gives; nothing where it is less than is shown. */
function missingWords(camber: number, toe: number): ResultLine[] {
  const missing = [
    Math.abs(camber) < SHOWN_DEG
      ? null
      : t('settingTools.ofCamber', { camber: showDegrees(camber, 2) }),
    Math.abs(toe) < SHOWN_DEG ? null : t('settingTools.ofToe', { toe: showDegrees(toe, 2) }),
  ].filter((words) => words !== null);
  return missing.length === 0
    ? []
    : [{ label: t('settingTools.remainingError'), value: missing.join(', ') }];
}

/** Turns, bolt angles and shims that set an angle right. */
export const SETTING_TOOLS: readonly BenchTool[] = [
  tool<'tieRod', Rod>({
    name: 'tieRod',
    title: t('settingTools.tieRod'),
    question: t('settingTools.howManyTurnsChange'),
    fields: [
      { kind: 'number', path: 'toeChange', label: t('settingTools.changeOfThisWheel'), unit: '°' },
      ...ROD_FIELDS,
    ],
    example: {
      toeChange: 0.25,
      steeringArm: 140,
      threadPitch: 1.5,
      rack: 'behind',
      adjuster: 'single',
    },
    exampleWords: t('settingTools.aQuarterDegreeOn'),
    results: (rod) => [
      { label: t('settingTools.turn'), value: rodWords(rod), isMain: true },
      { label: t('settingTools.length'), value: `${rod.lengthChange.toFixed(2)} mm` },
      ...(rod.action === 'none'
        ? []
        : [{ label: t('settingTools.fromTheWheel'), value: `${rodTurn(rod.action)}, looking in` }]),
    ],
    formula: t('settingTools.lengthSteeringArmSin'),
    source: t('settingTools.plainGeometryATurnbuckles'),
    caution: t('settingTools.freeTheJamNut'),
    Drawing: TieRodDrawing,
  }),
  tool<'steeringWheelCentre', { lf: Rod & { toeChange: number }; rf: Rod & { toeChange: number } }>(
    {
      name: 'steeringWheelCentre',
      title: t('settingTools.steeringWheelStraight'),
      question: t('settingTools.theWheelStandsOff'),
      fields: [
        { kind: 'number', path: 'offset', label: t('settingTools.standsOffToThe'), unit: '°' },
        {
          kind: 'number',
          path: 'steeringRatio',
          label: t('settingTools.steeringRatio'),
          unit: ': 1',
        },
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
      exampleWords: t('settingTools.offAtIsHalf'),
      results: ({ lf, rf }) => [
        { label: t('settingTools.leftRod'), value: rodWords(lf), isMain: true },
        { label: t('settingTools.rightRod'), value: rodWords(rf), isMain: true },
        {
          label: t('settingTools.toeOfEachWheel'),
          value: `${showDegrees(lf.toeChange, 2)} left, ${showDegrees(rf.toeChange, 2)} right`,
        },
      ],
      formula: t('settingTools.leftOffsetRatioRight'),
      source: t('settingTools.plainGeometryRearThrust'),
      caution: t('settingTools.lockTheWheelStraight'),
      Drawing: SteeringWheelDrawing,
    },
  ),
  tool<'rearShim', { angle: number; clock: number; camberAchieved: number; toeAchieved: number }>({
    name: 'rearShim',
    title: t('settingTools.rearHubShim'),
    question: t('settingTools.oneTaperedShimFrom'),
    fields: [
      {
        kind: 'number',
        path: 'camberChange',
        label: t('settingTools.camberWantedChange'),
        unit: '°',
      },
      { kind: 'number', path: 'toeChange', label: t('settingTools.toeWantedChangeToe'), unit: '°' },
      { kind: 'choice', path: 'side', label: t('settingTools.wheel'), options: SIDES },
      {
        kind: 'list',
        path: 'stock',
        label: t('settingTools.tapersInStock'),
        unit: '°',
        hint: t('settingTools.apartBySemicolons'),
      },
    ],
    example: { camberChange: 0.4, toeChange: 0.3, side: 'left', stock: [0.25, 0.5, 0.75, 1] },
    exampleWords: t('settingTools.aHalfDegreeTaper'),
    results: ({ angle, clock, camberAchieved, toeAchieved }, { camberChange, toeChange }) => [
      {
        label: t('settingTools.shim'),
        value:
          angle === 0
            ? 'none'
            : `${angle}°, thickest at ${clockWords(clock)} (${clock.toFixed(0)}°)`,
        isMain: true,
      },
      {
        label: t('settingTools.gives'),
        value: `camber ${showDegrees(camberAchieved, 2)}, toe ${showDegrees(toeAchieved, 2)}`,
      },
      ...missingWords(camberChange - camberAchieved, toeChange - toeAchieved),
    ],
    formula: t('settingTools.camberACosC'),
    source: t('settingTools.geometryOfAFull'),
    caution: t('settingTools.takeOldShimsOut', { liftCaution: LIFT_CAUTION }),
    Drawing: ShimClockDrawing,
  }),
  tool<'eccentric', { turn: number; reachable: boolean; range: [number, number] }>({
    name: 'eccentric',
    title: t('settingTools.camBolt'),
    question: t('settingTools.howFarAnEccentric'),
    fields: [
      { kind: 'number', path: 'change', label: t('settingTools.changeWanted'), unit: '°' },
      { kind: 'number', path: 'offset', label: t('settingTools.boltCentreToCam'), unit: 'mm' },
      {
        kind: 'number',
        path: 'leverArm',
        label: t('settingTools.camToThePoint'),
        unit: 'mm',
      },
    ],
    example: { change: 0.5, offset: 5, leverArm: 300 },
    exampleWords: t('settingTools.halfADegreeOn'),
    results: ({ turn, reachable, range }) => [
      {
        label: t('settingTools.turnFromMidTravel'),
        value: reachable ? `${turn.toFixed(1)}°` : t('settingTools.outOfReach'),
        isMain: true,
      },
      ...(reachable
        ? [{ label: t('settingTools.theSameOnThe'), value: `${(180 - turn).toFixed(1)}°` }]
        : [{ label: t('settingTools.atItsEndStop'), value: `${turn.toFixed(0)}°` }]),
      {
        label: t('settingTools.itReaches'),
        value: t('settingTools.fromTo', {
          from: showDegrees(range[0], 2),
          to: showDegrees(range[1], 2),
        }),
      },
    ],
    formula: t('settingTools.changeAtanOffsetSin'),
    source: t('settingTools.plainGeometryTwoBolt'),
    caution: t('settingTools.clampBoltsFirstCam', { liftCaution: LIFT_CAUTION }),
    Drawing: CamDrawing,
  }),
  tool<'wishboneShims', { front: number; rear: number }>({
    name: 'wishboneShims',
    title: t('settingTools.upperArmShims'),
    question: t('settingTools.thicknessToAddOr'),
    fields: [
      {
        kind: 'number',
        path: 'camberChange',
        label: t('settingTools.camberWantedChange'),
        unit: '°',
      },
      {
        kind: 'number',
        path: 'casterChange',
        label: t('settingTools.casterWantedChange'),
        unit: '°',
      },
      { kind: 'number', path: 'boltSpacing', label: t('settingTools.betweenTheBolts'), unit: 'mm' },
      { kind: 'number', path: 'armLength', label: t('settingTools.boltsToTheBall'), unit: 'mm' },
      {
        kind: 'number',
        path: 'armHeight',
        label: t('settingTools.upperJointAboveLower'),
        unit: 'mm',
      },
    ],
    example: {
      camberChange: -0.5,
      casterChange: 1,
      boltSpacing: 200,
      armLength: 250,
      armHeight: 230,
    },
    exampleWords: t('settingTools.moreNegativeCamberAnd'),
    results: ({ front, rear }) => [
      { label: t('settingTools.frontBolt'), value: shimWords(front), isMain: true },
      { label: t('settingTools.rearBolt'), value: shimWords(rear), isMain: true },
    ],
    formula: t('settingTools.inFrontRear2'),
    source: t('settingTools.plainGeometryForShims'),
    caution: LIFT_CAUTION,
    Drawing: WishboneDrawing,
  }),
  tool<'twoCams', { front: Cam; rear: Cam }>({
    name: 'twoCams',
    title: t('settingTools.twoCamsOnOne'),
    question: t('settingTools.aLowerArmOn'),
    fields: [
      {
        kind: 'number',
        path: 'camberChange',
        label: t('settingTools.camberWantedChange'),
        unit: '°',
      },
      {
        kind: 'number',
        path: 'casterChange',
        label: t('settingTools.casterWantedChange'),
        unit: '°',
      },
      { kind: 'number', path: 'camSpacing', label: t('settingTools.betweenTheCams'), unit: 'mm' },
      { kind: 'number', path: 'armLength', label: t('settingTools.camsToTheBall'), unit: 'mm' },
      {
        kind: 'number',
        path: 'armHeight',
        label: t('settingTools.upperJointAboveLower'),
        unit: 'mm',
      },
      { kind: 'number', path: 'offset', label: t('settingTools.boltCentreToCam'), unit: 'mm' },
    ],
    example: {
      camberChange: -0.4,
      casterChange: 0.5,
      camSpacing: 300,
      armLength: 350,
      armHeight: 250,
      offset: 6,
    },
    exampleWords: t('settingTools.aLittleCamberAnd'),
    results: ({ front, rear }) => [
      { label: t('settingTools.frontCam'), value: camWords(front), isMain: true },
      { label: t('settingTools.rearCam'), value: camWords(rear), isMain: true },
    ],
    formula: t('settingTools.outFrontRear2'),
    source: t('settingTools.plainGeometryBothCams'),
    caution: t('settingTools.clampBoltsFirstCams', { liftCaution: LIFT_CAUTION }),
    Drawing: TwoCamsDrawing,
  }),
];

interface Cam {
  turn: number;
  moves: number;
  reachable: boolean;
}

function camWords({ turn, moves, reachable }: Cam): string {
  const mm = Math.abs(moves).toFixed(1);
  if (!reachable) {
    return t(moves > 0 ? 'settingTools.outOfReachOut' : 'settingTools.outOfReachIn', { mm });
  }
  if (Math.abs(moves) < 0.005) return t('settingTools.leave');
  const degrees = Math.abs(turn).toFixed(0);
  return t(moves > 0 ? 'settingTools.camOut' : 'settingTools.camIn', { degrees, mm });
}

function shimWords(value: number): string {
  if (Math.abs(value) < 0.005) return t('settingTools.leave');
  const mm = Math.abs(value).toFixed(1);
  return t(value > 0 ? 'settingTools.addMm' : 'settingTools.takeOutMm', { mm });
}
