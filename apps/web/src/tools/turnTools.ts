import { CALCULATOR_EXAMPLES } from '@keen/core';
import { CamberInTurnDrawing, SwingDrawing } from '../drawing/bench/charts.tsx';
import { CamberInTurnsDrawing } from '../drawing/bench/inTurns.tsx';
import { showDegrees } from '../shared/format.ts';
import { SIDES, SWING_CAUTION } from './choices.ts';
import { tool } from './tool.ts';
import type { BenchTool, Field } from './tool.ts';
import { t } from '../words/turnTools.ts';
import { term } from '../words/terms.ts';

/** What a steered front wheel shows: caster by the swing, camber in turns. */
export const TURN_TOOLS: readonly BenchTool[] = [
  tool<'casterFromSwing'>({
    name: 'casterFromSwing',
    title: t('casterBySwing'),
    question: t('camberReadWithThe'),
    fields: [
      {
        kind: 'number',
        path: 'camberTurnedOut',
        label: t('camberFrontTurnedAway'),
        unit: '°',
      },
      {
        kind: 'number',
        path: 'camberTurnedIn',
        label: t('camberFrontTurnedToward'),
        unit: '°',
      },
      { kind: 'number', path: 'angle', label: t('turnedByEachWay'), unit: '°' },
    ],
    example: CALCULATOR_EXAMPLES.casterFromSwing,
    exampleWords: t('ofCamberBetweenOut'),
    results: ({ caster }) => [{ label: t('caster'), value: showDegrees(caster, 2), isMain: true }],
    formula: t('casterTurnedOutTurned'),
    source: t('theCasterSwingLinear'),
    caution: SWING_CAUTION,
    Drawing: SwingDrawing,
  }),
  tool<'camberInTurn'>({
    name: 'camberInTurn',
    title: t('camberInATurn'),
    question: t('whatCasterAndSai'),
    fields: [
      { kind: 'number', path: 'camber', label: t('camberStraightAhead'), unit: '°' },
      { kind: 'number', path: 'caster', label: t('caster'), unit: '°' },
      { kind: 'number', path: 'sai', label: t('steeringAxisInclinationSai'), unit: '°' },
      { kind: 'number', path: 'steer', label: t('steeredToFrontToward'), unit: '°' },
    ],
    example: CALCULATOR_EXAMPLES.camberInTurn,
    exampleWords: t('at20OfSteer'),
    results: ({ camber }) => [
      { label: t('camberThen'), value: showDegrees(camber, 2), isMain: true },
    ],
    formula: t('theSpinAxisTurned'),
    source: t('rigidRotationExactThe'),
    Drawing: CamberInTurnDrawing,
  }),
  tool<'camberInTurns'>({
    name: 'camberInTurns',
    title: t('bothWheelsInA'),
    question: t('camberOfEachFront'),
    fields: [
      ...(['left', 'right'] as const).flatMap((side): Field[] => [
        {
          kind: 'number',
          path: `${side}.camber`,
          label: t('camber', { side: term(`side.${side}`) }),
          unit: '°',
        },
        {
          kind: 'number',
          path: `${side}.caster`,
          label: t('casterOfSide', { side: term(`side.${side}`) }),
          unit: '°',
        },
        {
          kind: 'number',
          path: `${side}.sai`,
          label: t('sai', { side: term(`side.${side}`) }),
          unit: '°',
        },
      ]),
      { kind: 'choice', path: 'turning', label: t('turning'), options: SIDES },
      { kind: 'number', path: 'inside', label: t('insideWheelSteers'), unit: '°' },
      { kind: 'number', path: 'outside', label: t('outsideWheelSteers'), unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: t('steeringRatio'),
        unit: ': 1',
        optional: true,
      },
      {
        kind: 'number',
        path: 'radius',
        label: t('tireLoadedRadius'),
        unit: 'mm',
        hint: t('withTheScrubRadius'),
        optional: true,
      },
      {
        kind: 'number',
        path: 'scrub',
        label: t('scrubRadius'),
        unit: 'mm',
        hint: t('plusTheAxisMeets'),
        optional: true,
      },
    ],
    example: CALCULATOR_EXAMPLES.camberInTurns,
    exampleWords: t('muchCasterSwingsThe'),
    results: ({ camber, steeringWheelTurns, rise }, { turning }) => [
      {
        label: t('insideWheel'),
        value: showDegrees(camber[turning], 2),
        isMain: true,
      },
      {
        label: t('outsideWheel'),
        value: showDegrees(camber[turning === 'left' ? 'right' : 'left'], 2),
        isMain: true,
      },
      ...(steeringWheelTurns === null
        ? []
        : [
            {
              label: t('steeringWheel'),
              value: t('turns', { turns: steeringWheelTurns.toFixed(2) }),
            },
          ]),
      ...(rise === null
        ? []
        : [
            {
              label: t('bodyAtTheCorners'),
              value: t('insideAndOutside', {
                inside: riseWords(rise.inside),
                outside: riseWords(rise.outside),
              }),
            },
          ]),
    ],
    formula: t('eachSpinAxisTurned'),
    source: t('rigidRotationTheSteering'),
    caution: SWING_CAUTION,
    Drawing: CamberInTurnsDrawing,
  }),
];

function riseWords(mm: number): string {
  return Math.abs(mm) < 0.5
    ? t('asItWas')
    : t(mm > 0 ? 'up' : 'down', { mm: Math.abs(mm).toFixed(0) });
}
