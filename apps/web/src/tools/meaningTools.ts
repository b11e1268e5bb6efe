import { CALCULATOR_EXAMPLES } from '@keen/core';
import { CasterHeightDrawing } from '../drawing/bench/fromTheSide.tsx';
import { createElement } from 'react';
import { RideHeightSheet } from '../drawing/bench/charts.tsx';
import { OneWheelDrawing, ThrustDrawing } from '../drawing/bench/fromAbove.tsx';
import { TireSizeDrawing } from '../drawing/bench/fromBehind.tsx';
import { WheelFitDrawing } from '../drawing/bench/wheelFit.tsx';
import { showDegrees } from '../shared/format.ts';
import { tool } from './tool.ts';
import type { BenchTool } from './tool.ts';
import { RACKS, TOE_UNITS } from './choices.ts';
import { t } from '../words/meaningTools.ts';

const UNIT_SIGN = { deg: '°', min: '′', mm: ' mm', in: ' in' } as const;

/** What angles and sizes mean on the road. */
export const MEANING_TOOLS: readonly BenchTool[] = [
  tool<'toeConvert'>({
    name: 'toeConvert',
    title: t('toeInOtherUnits'),
    question: t('oneWheelsToeBetween'),
    fields: [
      { kind: 'number', path: 'value', label: t('toeOfOneWheel'), unit: '' },
      { kind: 'choice', path: 'from', label: t('from'), options: TOE_UNITS },
      { kind: 'choice', path: 'to', label: t('to'), options: TOE_UNITS },
      {
        kind: 'number',
        path: 'diameter',
        label: t('diameterItIsMeasured'),
        unit: 'mm',
        hint: t('neededBetweenAnAngle'),
        optional: true,
      },
    ],
    example: CALCULATOR_EXAMPLES.toeConvert,
    exampleWords: t('onOneWheelIs'),
    results: ({ value }, { to }) => [
      {
        label: t('toeOfOneWheel'),
        value: `${value.toFixed(to === 'min' || to === 'mm' ? 2 : 3)}${UNIT_SIGN[to]}`,
        isMain: true,
      },
    ],
    formula: t('formulaOfToeLength'),
    source: t('theDefinitionOfToe'),
    Drawing: ({ input, output }) =>
      createElement(OneWheelDrawing, {
        toeDeg: Math.sign(input.value || output.value) * 1,
        words: t('aWheelFromAbove'),
      }),
  }),
  tool<'slip'>({
    name: 'slip',
    title: t('sidewaysDrag'),
    question: t('howFarToeDrags'),
    fields: [{ kind: 'number', path: 'toe', label: t('toeOfOneWheel'), unit: '°' }],
    example: CALCULATOR_EXAMPLES.slip,
    exampleWords: t('ofToeDragsA'),
    results: ({ metresPerKm, feetPerMile }) => [
      { label: t('inAKilometre'), value: `${metresPerKm.toFixed(2)} m`, isMain: true },
      { label: t('inAMile'), value: `${feetPerMile.toFixed(1)} ft` },
    ],
    formula: t('formulaOfSlip'),
    source: t('plainGeometryTheTrades'),
    Drawing: ({ input, output }) =>
      createElement(OneWheelDrawing, {
        toeDeg: input.toe,
        words: t('aLeftWheelFromAbove'),
        drift: t('metresEachKm', { metres: Math.abs(output.metresPerKm).toFixed(2) }),
      }),
  }),
  tool<'thrust'>({
    name: 'thrust',
    title: t('thrust'),
    question: t('whereTheRearAxle'),
    fields: [
      { kind: 'number', path: 'toeLr', label: t('toeLeftRear'), unit: '°' },
      { kind: 'number', path: 'toeRr', label: t('toeRightRear'), unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: t('steeringRatio'),
        unit: ': 1',
        hint: t('forTheSteeringWheel'),
        optional: true,
      },
    ],
    example: CALCULATOR_EXAMPLES.thrust,
    exampleWords: t('moreToeInOn'),
    results: ({ thrustAngle, totalToe, steeringWheelOffset }) => [
      {
        label: t('thrust'),
        value: sideWords(showDegrees(thrustAngle, 2), thrustAngle),
        isMain: true,
      },
      { label: t('totalToeRear'), value: showDegrees(totalToe, 2) },
      ...(steeringWheelOffset === undefined
        ? []
        : [
            {
              label: t('steeringWheelStands'),
              value: sideWords(`${Math.abs(steeringWheelOffset).toFixed(1)}°`, steeringWheelOffset),
              isMain: true,
            },
          ]),
    ],
    formula: t('thrustLeftRight2'),
    source: t('aCarThatCrabs'),
    Drawing: ThrustDrawing,
  }),
  tool<'tireSize'>({
    name: 'tireSize',
    title: t('tireSize'),
    question: t('whatASizeOn'),
    fields: [
      {
        kind: 'text',
        path: 'size',
        label: t('asMouldedOnThe'),
        hint: t('sizeHint'),
      },
    ],
    example: CALCULATOR_EXAMPLES.tireSize,
    exampleWords: t('mmWideASidewall'),
    results: (out) => [
      { label: t('diameter'), value: `${out.diameter.toFixed(0)} mm`, isMain: true },
      { label: t('sectionWidth'), value: `${out.sectionWidth.toFixed(0)} mm` },
      { label: t('sidewall'), value: `${out.sidewall.toFixed(1)} mm` },
      { label: t('rim'), value: `${out.rimDiameter.toFixed(1)} mm` },
      { label: t('turnsAKmUnloaded'), value: out.revsPerKm.toFixed(1) },
    ],
    formula: t('formulaOfTireSize'),
    source: t('sizeDesignationsOfIso'),
    Drawing: TireSizeDrawing,
  }),
  tool<'rideHeight'>({
    name: 'rideHeight',
    title: t('changedRideHeight'),
    question: t('whatLiftingOrLowering'),
    fields: [
      { kind: 'number', path: 'change', label: t('bodyUpOrDown'), unit: 'mm' },
      {
        kind: 'point',
        path: 'points.lowerInner',
        label: t('lowerArmInnerJoint'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.lowerOuter',
        label: t('lowerArmOuterJoint'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.upperInner',
        label: t('upperArmInnerJoint'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.upperOuter',
        label: t('upperArmOuterJoint'),
        unit: 'mm',
      },
      { kind: 'point', path: 'points.strutTop', label: t('orStrutTop'), unit: 'mm' },
      {
        kind: 'point',
        path: 'points.tieInner',
        label: t('tieRodInnerEnd'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.tieOuter',
        label: t('tieRodOuterEnd'),
        unit: 'mm',
      },
      { kind: 'number', path: 'steeringArm', label: t('steeringArm'), unit: 'mm' },
      { kind: 'choice', path: 'rack', label: t('rack'), options: RACKS },
    ],
    example: CALCULATOR_EXAMPLES.rideHeight,
    exampleWords: t('thisStrutLoweredBy'),
    results: ({ camberChange, toeChange }) => [
      {
        label: t('camberChangesBy'),
        value: showDegrees(camberChange, 2),
        isMain: true,
      },
      { label: t('toeOfThisWheel'), value: showDegrees(toeChange, 2), isMain: true },
    ],
    formula: t('jointsOnTheirArcs'),
    source: t('planeGeometryOfThe'),
    caution: t('theMakersRideHeight'),
    Drawing: RideHeightSheet,
  }),
  tool<'casterWithHeight'>({
    name: 'casterWithHeight',
    title: t('casterAfterAChange'),
    question: t('whatLiftingOrLoweringDoes'),
    fields: [
      { kind: 'number', path: 'change', label: t('bodyUpOrDown'), unit: 'mm' },
      { kind: 'number', path: 'caster', label: t('casterBefore'), unit: '°' },
      {
        kind: 'choice',
        path: 'upper',
        label: t('aboveTheLowerArm'),
        options: [
          { value: 'strut', label: t('aStrut') },
          { value: 'arm', label: t('anUpperArm') },
        ],
      },
      {
        kind: 'number',
        path: 'height',
        label: t('strutTopOrUpper'),
        unit: 'mm',
      },
      {
        kind: 'number',
        path: 'lowerAxis',
        label: t('lowerArmsAxisRises'),
        unit: '°',
        hint: t('levelWhereNobodyKnows'),
        optional: true,
      },
      {
        kind: 'number',
        path: 'upperAxis',
        label: t('upperArmsAxisRises'),
        unit: '°',
        optional: true,
      },
    ],
    example: CALCULATOR_EXAMPLES.casterWithHeight,
    exampleWords: t('aStrutLoweredBy'),
    results: ({ caster, casterChange }) => [
      { label: t('casterAfter'), value: showDegrees(caster, 2), isMain: true },
      { label: t('changesBy'), value: showDegrees(casterChange, 2) },
    ],
    formula: t('casterAtanAheadAbove'),
    source: t('planeGeometryOfTheSide'),
    caution: t('theMakersRideHeight'),
    Drawing: CasterHeightDrawing,
  }),
  tool<'wheelFit'>({
    name: 'wheelFit',
    title: t('otherWheels'),
    question: t('whereTheEdgesOf'),
    fields: [
      { kind: 'number', path: 'old.width', label: t('oldRimWidth'), unit: 'in' },
      {
        kind: 'number',
        path: 'old.offset',
        label: t('oldRimOffsetEt'),
        unit: 'mm',
        hint: t('plusSetsTheWheel'),
      },
      { kind: 'number', path: 'new.width', label: t('newRimWidth'), unit: 'in' },
      { kind: 'number', path: 'new.offset', label: t('newRimOffsetEt'), unit: 'mm' },
      {
        kind: 'number',
        path: 'spacer',
        label: t('spacer'),
        unit: 'mm',
        optional: true,
      },
      {
        kind: 'text',
        path: 'old.size',
        label: t('oldTireSize'),
        hint: t('forDiameterAndSpeed'),
        optional: true,
      },
      { kind: 'text', path: 'new.size', label: t('newTireSize'), optional: true },
    ],
    example: CALCULATOR_EXAMPLES.wheelFit,
    exampleWords: t('oneAndAHalf'),
    results: (fit) => [
      {
        label: t('outerEdge'),
        value: movedWords(fit.outerMoves, 'furtherOut', 'furtherIn'),
        isMain: true,
      },
      {
        label: t('innerEdge'),
        value: movedWords(fit.innerMoves, 'furtherIn', 'furtherOut'),
        isMain: true,
      },
      {
        label: t('track'),
        value: movedWords(fit.trackChange, 'wider', 'narrower', 'asItWas'),
      },
      {
        label: t('scrubRadius'),
        value: movedWords(fit.scrubChange, 'furtherOut', 'furtherIn', 'asItWas'),
      },
      {
        label: t('tiresForTheRim'),
        value: t('aboutMmWide', {
          low: 5 * Math.round(fit.tireWidths[0] / 5),
          high: 5 * Math.round(fit.tireWidths[1] / 5),
        }),
      },
      ...(fit.heightChange === null || fit.speedShownPercent === null
        ? []
        : [
            {
              label: t('axle'),
              value: movedWords(fit.heightChange, 'higher', 'lower', 'asItWas'),
            },
            {
              label: t('speedometer'),
              value: t(fit.speedShownPercent < 0 ? 'showsLess' : 'showsMore', {
                percent: Math.abs(fit.speedShownPercent).toFixed(1),
              }),
            },
          ]),
    ],
    formula: t('outerEdgeWidth2'),
    source: t('theDefinitionOfWheel'),
    caution: t('clearanceIsLookedAt'),
    Drawing: WheelFitDrawing,
  }),
];

type Way = 'furtherOut' | 'furtherIn' | 'wider' | 'narrower' | 'higher' | 'lower';

function movedWords(
  mm: number,
  way: Way,
  back: Way,
  unmoved: 'whereItWas' | 'asItWas' = 'whereItWas',
): string {
  return Math.abs(mm) < 0.05
    ? t(`moved.${unmoved}`)
    : t(`moved.${mm > 0 ? way : back}`, { mm: Math.abs(mm).toFixed(1) });
}

/** An angle with the side that it is to; positive is right. */
function sideWords(angle: string, value: number): string {
  if (value === 0) return angle;
  return t(value > 0 ? 'right' : 'left', { angle });
}
