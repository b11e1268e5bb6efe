import { AxleSquareDrawing } from '../drawing/bench/fromAbove.tsx';
import { FloorDrawing } from '../drawing/bench/fromBehind.tsx';
import { showDegrees } from '../shared/format.ts';
import { LENGTH_UNITS, SIDES } from './choices.ts';
import { tool } from './tool.ts';
import type { BenchTool } from './tool.ts';
import { t } from '../words/tools.ts';

/** What the floor and the axles do to every reading. */
export const FLOOR_TOOLS: readonly BenchTool[] = [
  tool<
    'floorSlope',
    { degrees: number; high: 'left' | 'right'; levelError: number | null; tile: number }
  >({
    name: 'floorSlope',
    title: t('floorTools.floorAcrossTheCar'),
    question: t('floorTools.howFarTheFloor'),
    fields: [
      { kind: 'number', path: 'over', label: t('floorTools.overTheTrack'), unit: '', isSize: true },
      { kind: 'choice', path: 'unit', label: t('floorTools.allIn'), options: LENGTH_UNITS },
      {
        kind: 'number',
        path: 'rise',
        label: t('floorTools.riseOverIt'),
        unit: '',
        hint: t('floorTools.byAWaterHose'),
        optional: true,
      },
      {
        kind: 'choice',
        path: 'high',
        label: t('floorTools.highOnThe'),
        options: SIDES,
        optional: true,
      },
      {
        kind: 'number',
        path: 'first',
        label: t('floorTools.orALevelAcross'),
        unit: '°',
        optional: true,
      },
      {
        kind: 'number',
        path: 'turned',
        label: t('floorTools.theSameTurnedEnd'),
        unit: '°',
        hint: t('floorTools.tellsTheFloorFrom'),
        optional: true,
      },
    ],
    example: { over: 1500, unit: 'mm', rise: 6, high: 'left' },
    exampleWords: t('floorTools.mmOverAM'),
    results: ({ degrees, high, levelError, tile }, { unit }) => [
      {
        label: t('floorTools.slope'),
        value: t(high === 'left' ? 'floorTools.highOnLeft' : 'floorTools.highOnRight', {
          degrees: degrees.toFixed(2),
        }),
        isMain: true,
      },
      {
        label: t(high === 'left' ? 'floorTools.underRight' : 'floorTools.underLeft'),
        value: `${tile.toFixed(unit === 'mm' ? 1 : 3)} ${unit}`,
      },
      ...(levelError === null
        ? []
        : [{ label: t('floorTools.theLevelsOwnError'), value: showDegrees(levelError, 2) }]),
    ],
    formula: t('floorTools.slopeAtanRiseTrack'),
    source: t('floorTools.plainGeometryReversingA'),
    caution: t('floorTools.tilesUnderWheelsMust'),
    Drawing: FloorDrawing,
  }),
  tool<'axleSquare', { angle: number; difference: number }>({
    name: 'axleSquare',
    title: t('floorTools.axlesByTwoTapes'),
    question: t('floorTools.hubToHubOn'),
    fields: [
      { kind: 'number', path: 'left', label: t('floorTools.wheelbaseLeft'), unit: 'mm' },
      { kind: 'number', path: 'right', label: t('floorTools.wheelbaseRight'), unit: 'mm' },
      { kind: 'number', path: 'track', label: t('floorTools.track'), unit: 'mm' },
    ],
    example: { left: 2660, right: 2650, track: 1500 },
    exampleWords: t('floorTools.mmLongerOnThe'),
    results: ({ angle, difference }) => [
      { label: t('floorTools.rearAxleAgainstThe'), value: thrustWords(angle), isMain: true },
      {
        label: t('floorTools.difference'),
        value:
          difference === 0
            ? 'none'
            : `${Math.abs(difference).toFixed(1)} mm, longer on the ${difference > 0 ? 'right' : 'left'}`,
      },
    ],
    formula: 'angle = atan( (right − left) / track )',
    source: t('floorTools.plainGeometryTheTapes'),
    caution: t('floorTools.frontWheelsStraightAhead'),
    Drawing: AxleSquareDrawing,
  }),
];

function thrustWords(angle: number): string {
  if (Math.abs(angle) < 0.005) return t('floorTools.square');
  return t(angle > 0 ? 'floorTools.toTheRight' : 'floorTools.toTheLeft', {
    degrees: Math.abs(angle).toFixed(2),
  });
}
