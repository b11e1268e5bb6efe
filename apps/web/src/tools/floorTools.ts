import { AxleSquareDrawing } from '../drawing/bench/fromAbove.tsx';
import { FloorDrawing } from '../drawing/bench/fromBehind.tsx';
import { showDegrees } from '../shared/format.ts';
import { LENGTH_UNITS, SIDES } from './choices.ts';
import { tool } from './tool.ts';
import type { BenchTool } from './tool.ts';

/** What the floor and the axles do to every reading. */
export const FLOOR_TOOLS: readonly BenchTool[] = [
  tool<
    'floorSlope',
    { degrees: number; high: 'left' | 'right'; levelError: number | null; tile: number }
  >({
    name: 'floorSlope',
    title: 'Floor across the car',
    question: 'How far the floor is off level, and what goes under the low wheels.',
    fields: [
      { kind: 'number', path: 'over', label: 'Over, the track', unit: '', isSize: true },
      { kind: 'choice', path: 'unit', label: 'All in', options: LENGTH_UNITS },
      {
        kind: 'number',
        path: 'rise',
        label: 'Rise over it',
        unit: '',
        hint: 'By a water hose, or a block under one end of a long level',
        optional: true,
      },
      { kind: 'choice', path: 'high', label: 'High on the', options: SIDES, optional: true },
      {
        kind: 'number',
        path: 'first',
        label: 'Or a level across shows, left high +',
        unit: '°',
        optional: true,
      },
      {
        kind: 'number',
        path: 'turned',
        label: 'The same turned end for end, left high +',
        unit: '°',
        hint: 'Tells the floor from the level’s own error',
        optional: true,
      },
    ],
    example: { over: 1500, unit: 'mm', rise: 6, high: 'left' },
    exampleWords: '6 mm over a 1.5 m track is 0.23°: every camber reads that much wrong.',
    results: ({ degrees, high, levelError, tile }, { unit }) => [
      { label: 'Slope', value: `${degrees.toFixed(2)}°, high on the ${high}`, isMain: true },
      {
        label: `Under the ${high === 'left' ? 'right' : 'left'} wheels`,
        value: `${tile.toFixed(unit === 'mm' ? 1 : 3)} ${unit}`,
      },
      ...(levelError === null
        ? []
        : [{ label: 'The level’s own error', value: showDegrees(levelError, 2) }]),
    ],
    formula: 'slope = atan( rise / track ), or (first − turned) / 2; error = (first + turned) / 2',
    source:
      'Plain geometry; reversing a level is the usual way to check it. Within 1/16 in across the car where tenths of a degree matter (common practice, no source).',
    caution: 'Tiles under wheels must not slide or break: chock both sides, nobody in the car.',
    Drawing: FloorDrawing,
  }),
  tool<'axleSquare', { angle: number; difference: number }>({
    name: 'axleSquare',
    title: 'Axles by two tapes',
    question: 'Hub to hub on both sides at once: whether the axles stand square to one another.',
    fields: [
      { kind: 'number', path: 'left', label: 'Wheelbase, left', unit: 'mm' },
      { kind: 'number', path: 'right', label: 'Wheelbase, right', unit: 'mm' },
      { kind: 'number', path: 'track', label: 'Track', unit: 'mm' },
    ],
    example: { left: 2660, right: 2650, track: 1500 },
    exampleWords: '10 mm longer on the left over a 1.5 m track: the rear axle heads 0.38° left.',
    results: ({ angle, difference }) => [
      { label: 'Rear axle against the front', value: thrustWords(angle), isMain: true },
      {
        label: 'Difference',
        value:
          difference === 0
            ? 'none'
            : `${Math.abs(difference).toFixed(1)} mm, longer on the ${difference > 0 ? 'right' : 'left'}`,
      },
    ],
    formula: 'angle = atan( (right − left) / track )',
    source:
      'Plain geometry. The tapes tell that the axles are not square, not which one is crooked: setback in front looks the same.',
    caution:
      'Front wheels straight ahead; both tapes at the same height, pulled alike. Nobody in the car.',
    Drawing: AxleSquareDrawing,
  }),
];

function thrustWords(angle: number): string {
  if (Math.abs(angle) < 0.005) return 'square';
  return `${Math.abs(angle).toFixed(2)}° to the ${angle > 0 ? 'right' : 'left'}`;
}
