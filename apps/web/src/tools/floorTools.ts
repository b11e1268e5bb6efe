import { CALCULATOR_EXAMPLES } from '@keen/core';
import { AxleSquareDrawing } from '../drawing/bench/fromAbove.tsx';
import { FloorDrawing } from '../drawing/bench/fromBehind.tsx';
import { showDegrees } from '../shared/format.ts';
import { LENGTH_UNITS, SIDES } from './choices.ts';
import { tool } from './tool.ts';
import type { BenchTool } from './tool.ts';
import { t } from '../words/floorTools.ts';

/** What the floor and the axles do to every reading. */
export const FLOOR_TOOLS: readonly BenchTool[] = [
  tool<'floorSlope'>({
    name: 'floorSlope',
    title: t('floorAcrossTheCar'),
    question: t('howFarTheFloor'),
    fields: [
      { kind: 'number', path: 'over', label: t('overTheTrack'), unit: '', isSize: true },
      { kind: 'choice', path: 'unit', label: t('allIn'), options: LENGTH_UNITS },
      {
        kind: 'number',
        path: 'rise',
        label: t('riseOverIt'),
        unit: '',
        hint: t('byAWaterHose'),
        optional: true,
      },
      {
        kind: 'choice',
        path: 'high',
        label: t('highOnThe'),
        options: SIDES,
        optional: true,
      },
      {
        kind: 'number',
        path: 'first',
        label: t('orALevelAcross'),
        unit: '°',
        optional: true,
      },
      {
        kind: 'number',
        path: 'turned',
        label: t('theSameTurnedEnd'),
        unit: '°',
        hint: t('tellsTheFloorFrom'),
        optional: true,
      },
    ],
    example: CALCULATOR_EXAMPLES.floorSlope,
    exampleWords: t('mmOverAM'),
    results: ({ degrees, high, levelError, tile }, { unit }) => [
      {
        label: t('slope'),
        value: t(high === 'left' ? 'highOnLeft' : 'highOnRight', {
          degrees: degrees.toFixed(2),
        }),
        isMain: true,
      },
      {
        label: t(high === 'left' ? 'underRight' : 'underLeft'),
        value: `${tile.toFixed(unit === 'mm' ? 1 : 3)} ${unit}`,
      },
      ...(levelError === null
        ? []
        : [{ label: t('theLevelsOwnError'), value: showDegrees(levelError, 2) }]),
    ],
    formula: t('slopeAtanRiseTrack'),
    source: t('plainGeometryReversingA'),
    caution: t('tilesUnderWheelsMust'),
    Drawing: FloorDrawing,
  }),
  tool<'axleSquare'>({
    name: 'axleSquare',
    title: t('axlesByTwoTapes'),
    question: t('hubToHubOn'),
    fields: [
      { kind: 'number', path: 'left', label: t('wheelbaseLeft'), unit: 'mm' },
      { kind: 'number', path: 'right', label: t('wheelbaseRight'), unit: 'mm' },
      { kind: 'number', path: 'track', label: t('track'), unit: 'mm' },
    ],
    example: CALCULATOR_EXAMPLES.axleSquare,
    exampleWords: t('mmLongerOnThe'),
    results: ({ angle, difference }) => [
      { label: t('rearAxleAgainstThe'), value: thrustWords(angle), isMain: true },
      {
        label: t('difference'),
        value:
          difference === 0
            ? t('none')
            : t(difference > 0 ? 'longerRight' : 'longerLeft', {
                mm: Math.abs(difference).toFixed(1),
              }),
      },
    ],
    formula: t('formulaOfTheSkew'),
    source: t('plainGeometryTheTapes'),
    caution: t('frontWheelsStraightAhead'),
    Drawing: AxleSquareDrawing,
  }),
];

function thrustWords(angle: number): string {
  if (Math.abs(angle) < 0.005) return t('square');
  return t(angle > 0 ? 'toTheRight' : 'toTheLeft', {
    degrees: Math.abs(angle).toFixed(2),
  });
}
