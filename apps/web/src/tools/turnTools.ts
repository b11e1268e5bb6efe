import { CamberInTurnDrawing, SwingDrawing } from '../drawing/bench/charts.tsx';
import { CamberInTurnsDrawing } from '../drawing/bench/inTurns.tsx';
import { showDegrees } from '../shared/format.ts';
import { SIDES, SWING_CAUTION } from './choices.ts';
import { tool } from './tool.ts';
import type { BenchTool, Field } from './tool.ts';

/** What a steered front wheel shows: caster by the swing, camber in turns. */
export const TURN_TOOLS: readonly BenchTool[] = [
  tool<'casterFromSwing', { caster: number }>({
    name: 'casterFromSwing',
    title: 'Caster by swing',
    question: 'Camber read with the wheel turned out and turned in, by the same angle each way.',
    fields: [
      {
        kind: 'number',
        path: 'camberTurnedOut',
        label: 'Camber, front turned away from the car',
        unit: '°',
      },
      {
        kind: 'number',
        path: 'camberTurnedIn',
        label: 'Camber, front turned toward the car',
        unit: '°',
      },
      { kind: 'number', path: 'angle', label: 'Turned by, each way', unit: '°' },
    ],
    example: { camberTurnedOut: 1.2, camberTurnedIn: -2.2, angle: 20 },
    exampleWords: '3.4° of camber between 20° out and 20° in is 4.97° of caster.',
    results: ({ caster }) => [{ label: 'Caster', value: showDegrees(caster, 2), isMain: true }],
    formula: 'caster = (turned out − turned in) / (2 sin angle)',
    source:
      'The caster swing: linear by nature, within about 0.05° up to 8° of caster. Positive leans back.',
    caution: SWING_CAUTION,
    Drawing: SwingDrawing,
  }),
  tool<'camberInTurn', { camber: number }>({
    name: 'camberInTurn',
    title: 'Camber in a turn',
    question: 'What caster and SAI do to a front wheel’s camber when it is steered.',
    fields: [
      { kind: 'number', path: 'camber', label: 'Camber straight ahead', unit: '°' },
      { kind: 'number', path: 'caster', label: 'Caster', unit: '°' },
      { kind: 'number', path: 'sai', label: 'Steering axis inclination (SAI, KPI)', unit: '°' },
      { kind: 'number', path: 'steer', label: 'Steered to, front toward the car +', unit: '°' },
    ],
    example: { camber: -1, caster: 4, sai: 13, steer: 20 },
    exampleWords: 'At 20° of steer the outside wheel stands at −1.57°, the inside one at +1.17°.',
    results: ({ camber }) => [
      { label: 'Camber then', value: showDegrees(camber, 2), isMain: true },
    ],
    formula: 'the spin axis turned about the steering axis (Rodrigues) until it heads as steered',
    source: 'Rigid rotation, exact; the wheel starts at toe 0.',
    Drawing: CamberInTurnDrawing,
  }),
  tool<
    'camberInTurns',
    {
      camber: { left: number; right: number };
      steeringWheelTurns: number | null;
      rise: { inside: number; outside: number } | null;
    }
  >({
    name: 'camberInTurns',
    title: 'Both wheels in a turn',
    question: 'Camber of each front wheel at its own angle, and which corner the turn lifts.',
    fields: [
      ...(['left', 'right'] as const).flatMap((side): Field[] => [
        { kind: 'number', path: `${side}.camber`, label: `Camber, ${side}`, unit: '°' },
        { kind: 'number', path: `${side}.caster`, label: `Caster, ${side}`, unit: '°' },
        { kind: 'number', path: `${side}.sai`, label: `SAI, ${side}`, unit: '°' },
      ]),
      { kind: 'choice', path: 'turning', label: 'Turning', options: SIDES },
      { kind: 'number', path: 'inside', label: 'Inside wheel steers', unit: '°' },
      { kind: 'number', path: 'outside', label: 'Outside wheel steers', unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: 'Steering ratio',
        unit: ': 1',
        optional: true,
      },
      {
        kind: 'number',
        path: 'radius',
        label: 'Tire, loaded radius',
        unit: 'mm',
        hint: 'With the scrub radius, for the lift',
        optional: true,
      },
      {
        kind: 'number',
        path: 'scrub',
        label: 'Scrub radius',
        unit: 'mm',
        hint: 'Plus: the axis meets the floor inside of the tire’s middle',
        optional: true,
      },
    ],
    example: {
      left: { camber: -2.25, caster: 8, sai: 13 },
      right: { camber: -2.25, caster: 8, sai: 13 },
      turning: 'left',
      inside: 24,
      outside: 20.5,
      steeringRatio: 16,
      radius: 320,
      scrub: 25,
    },
    exampleWords:
      'Much caster swings the inside wheel from −2.25° to above +2° in a turn of the steering wheel.',
    results: ({ camber, steeringWheelTurns, rise }, { turning }) => [
      {
        label: 'Inside wheel',
        value: showDegrees(camber[turning], 2),
        isMain: true,
      },
      {
        label: 'Outside wheel',
        value: showDegrees(camber[turning === 'left' ? 'right' : 'left'], 2),
        isMain: true,
      },
      ...(steeringWheelTurns === null
        ? []
        : [{ label: 'Steering wheel', value: `${steeringWheelTurns.toFixed(2)} turns` }]),
      ...(rise === null
        ? []
        : [
            {
              label: 'Body at the corners',
              value: `inside ${riseWords(rise.inside)}, outside ${riseWords(rise.outside)}`,
            },
          ]),
    ],
    formula:
      'each spin axis turned about its steering axis; lift = how much lower the wheel’s middle then stands to the body',
    source:
      'Rigid rotation. The steering wheel turns by the mean of both wheels times the ratio; the axis is taken through the wheel’s middle seen from the side.',
    caution: SWING_CAUTION,
    Drawing: CamberInTurnsDrawing,
  }),
];

function riseWords(mm: number): string {
  return Math.abs(mm) < 0.5
    ? 'as it was'
    : `${Math.abs(mm).toFixed(0)} mm ${mm > 0 ? 'up' : 'down'}`;
}
