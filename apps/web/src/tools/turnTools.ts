import { CamberInTurnDrawing, SwingDrawing } from '../drawing/bench/charts.tsx';
import { CamberInTurnsDrawing } from '../drawing/bench/inTurns.tsx';
import { showDegrees } from '../shared/format.ts';
import { SIDES, SWING_CAUTION } from './choices.ts';
import { tool } from './tool.ts';
import type { BenchTool, Field } from './tool.ts';
import { t } from '../words/tools.ts';
import { term } from '../words/terms.ts';

/** What a steered front wheel shows: caster by the swing, camber in turns. */
export const TURN_TOOLS: readonly BenchTool[] = [
  tool<'casterFromSwing', { caster: number }>({
    name: 'casterFromSwing',
    title: t('turnTools.casterBySwing'),
    question: t('turnTools.camberReadWithThe'),
    fields: [
      {
        kind: 'number',
        path: 'camberTurnedOut',
        label: t('turnTools.camberFrontTurnedAway'),
        unit: '°',
      },
      {
        kind: 'number',
        path: 'camberTurnedIn',
        label: t('turnTools.camberFrontTurnedToward'),
        unit: '°',
      },
      { kind: 'number', path: 'angle', label: t('turnTools.turnedByEachWay'), unit: '°' },
    ],
    example: { camberTurnedOut: 1.2, camberTurnedIn: -2.2, angle: 20 },
    exampleWords: t('turnTools.ofCamberBetweenOut'),
    results: ({ caster }) => [
      { label: t('turnTools.caster'), value: showDegrees(caster, 2), isMain: true },
    ],
    formula: t('turnTools.casterTurnedOutTurned'),
    source: t('turnTools.theCasterSwingLinear'),
    caution: SWING_CAUTION,
    Drawing: SwingDrawing,
  }),
  tool<'camberInTurn', { camber: number }>({
    name: 'camberInTurn',
    title: t('turnTools.camberInATurn'),
    question: t('turnTools.whatCasterAndSai'),
    fields: [
      { kind: 'number', path: 'camber', label: t('turnTools.camberStraightAhead'), unit: '°' },
      { kind: 'number', path: 'caster', label: t('turnTools.caster'), unit: '°' },
      { kind: 'number', path: 'sai', label: t('turnTools.steeringAxisInclinationSai'), unit: '°' },
      { kind: 'number', path: 'steer', label: t('turnTools.steeredToFrontToward'), unit: '°' },
    ],
    example: { camber: -1, caster: 4, sai: 13, steer: 20 },
    exampleWords: t('turnTools.at20OfSteer'),
    results: ({ camber }) => [
      { label: t('turnTools.camberThen'), value: showDegrees(camber, 2), isMain: true },
    ],
    formula: t('turnTools.theSpinAxisTurned'),
    source: t('turnTools.rigidRotationExactThe'),
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
    title: t('turnTools.bothWheelsInA'),
    question: t('turnTools.camberOfEachFront'),
    fields: [
      ...(['left', 'right'] as const).flatMap((side): Field[] => [
        {
          kind: 'number',
          path: `${side}.camber`,
          label: t('turnTools.camber', { side: term(`side.${side}`) }),
          unit: '°',
        },
        {
          kind: 'number',
          path: `${side}.caster`,
          label: t('turnTools.casterOfSide', { side: term(`side.${side}`) }),
          unit: '°',
        },
        {
          kind: 'number',
          path: `${side}.sai`,
          label: t('turnTools.sai', { side: term(`side.${side}`) }),
          unit: '°',
        },
      ]),
      { kind: 'choice', path: 'turning', label: t('turnTools.turning'), options: SIDES },
      { kind: 'number', path: 'inside', label: t('turnTools.insideWheelSteers'), unit: '°' },
      { kind: 'number', path: 'outside', label: t('turnTools.outsideWheelSteers'), unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: t('turnTools.steeringRatio'),
        unit: ': 1',
        optional: true,
      },
      {
        kind: 'number',
        path: 'radius',
        label: t('turnTools.tireLoadedRadius'),
        unit: 'mm',
        hint: t('turnTools.withTheScrubRadius'),
        optional: true,
      },
      {
        kind: 'number',
        path: 'scrub',
        label: t('turnTools.scrubRadius'),
        unit: 'mm',
        hint: t('turnTools.plusTheAxisMeets'),
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
    exampleWords: t('turnTools.muchCasterSwingsThe'),
    results: ({ camber, steeringWheelTurns, rise }, { turning }) => [
      {
        label: t('turnTools.insideWheel'),
        value: showDegrees(camber[turning], 2),
        isMain: true,
      },
      {
        label: t('turnTools.outsideWheel'),
        value: showDegrees(camber[turning === 'left' ? 'right' : 'left'], 2),
        isMain: true,
      },
      ...(steeringWheelTurns === null
        ? []
        : [
            {
              label: t('turnTools.steeringWheel'),
              value: `${steeringWheelTurns.toFixed(2)} turns`,
            },
          ]),
      ...(rise === null
        ? []
        : [
            {
              label: t('turnTools.bodyAtTheCorners'),
              value: `inside ${riseWords(rise.inside)}, outside ${riseWords(rise.outside)}`,
            },
          ]),
    ],
    formula: t('turnTools.eachSpinAxisTurned'),
    source: t('turnTools.rigidRotationTheSteering'),
    caution: SWING_CAUTION,
    Drawing: CamberInTurnsDrawing,
  }),
];

function riseWords(mm: number): string {
  return Math.abs(mm) < 0.5
    ? t('turnTools.asItWas')
    : t(mm > 0 ? 'turnTools.up' : 'turnTools.down', { mm: Math.abs(mm).toFixed(0) });
}
