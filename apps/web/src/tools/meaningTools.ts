import type { TireSize, WheelFit } from '@keen/core';
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
import { t } from '../words/tools.ts';

const UNIT_SIGN = { deg: '°', min: '′', mm: ' mm', in: ' in' } as const;

/** What angles and sizes mean on the road. */
export const MEANING_TOOLS: readonly BenchTool[] = [
  tool<'toeConvert', { value: number }>({
    name: 'toeConvert',
    title: t('meaningTools.toeInOtherUnits'),
    question: t('meaningTools.oneWheelsToeBetween'),
    fields: [
      { kind: 'number', path: 'value', label: t('meaningTools.toeOfOneWheel'), unit: '' },
      { kind: 'choice', path: 'from', label: t('meaningTools.from'), options: TOE_UNITS },
      { kind: 'choice', path: 'to', label: t('meaningTools.to'), options: TOE_UNITS },
      {
        kind: 'number',
        path: 'diameter',
        label: t('meaningTools.diameterItIsMeasured'),
        unit: 'mm',
        hint: t('meaningTools.neededBetweenAnAngle'),
        optional: true,
      },
    ],
    example: { value: 0.15, from: 'deg', to: 'mm', diameter: 635 },
    exampleWords: t('meaningTools.onOneWheelIs'),
    results: ({ value }, { to }) => [
      {
        label: t('meaningTools.toeOfOneWheel'),
        value: `${value.toFixed(to === 'min' || to === 'mm' ? 2 : 3)}${UNIT_SIGN[to]}`,
        isMain: true,
      },
    ],
    formula: 'length = diameter × sin(angle)',
    source: t('meaningTools.theDefinitionOfToe'),
    Drawing: ({ input, output }) =>
      createElement(OneWheelDrawing, {
        toeDeg: Math.sign(input.value || output.value) * 1,
        words: 'a wheel from above, drawn larger than life',
      }),
  }),
  tool<'slip', { metresPerKm: number; feetPerMile: number }>({
    name: 'slip',
    title: t('meaningTools.sidewaysDrag'),
    question: t('meaningTools.howFarToeDrags'),
    fields: [{ kind: 'number', path: 'toe', label: t('meaningTools.toeOfOneWheel'), unit: '°' }],
    example: { toe: 0.15 },
    exampleWords: t('meaningTools.ofToeDragsA'),
    results: ({ metresPerKm, feetPerMile }) => [
      { label: t('meaningTools.inAKilometre'), value: `${metresPerKm.toFixed(2)} m`, isMain: true },
      { label: t('meaningTools.inAMile'), value: `${feetPerMile.toFixed(1)} ft` },
    ],
    formula: 'sideways = distance × sin(toe)',
    source: t('meaningTools.plainGeometryTheTrades'),
    Drawing: ({ input, output }) =>
      createElement(OneWheelDrawing, {
        toeDeg: input.toe,
        words: 'a left wheel from above, drawn larger than life',
        drift: `${Math.abs(output.metresPerKm).toFixed(2)} m each km`,
      }),
  }),
  tool<'thrust', { thrustAngle: number; totalToe: number; steeringWheelOffset?: number }>({
    name: 'thrust',
    title: t('meaningTools.thrust'),
    question: t('meaningTools.whereTheRearAxle'),
    fields: [
      { kind: 'number', path: 'toeLr', label: t('meaningTools.toeLeftRear'), unit: '°' },
      { kind: 'number', path: 'toeRr', label: t('meaningTools.toeRightRear'), unit: '°' },
      {
        kind: 'number',
        path: 'steeringRatio',
        label: t('meaningTools.steeringRatio'),
        unit: ': 1',
        hint: t('meaningTools.forTheSteeringWheel'),
        optional: true,
      },
    ],
    example: { toeLr: 0.3, toeRr: 0.1, steeringRatio: 16 },
    exampleWords: t('meaningTools.moreToeInOn'),
    results: ({ thrustAngle, totalToe, steeringWheelOffset }) => [
      {
        label: t('meaningTools.thrust'),
        value: sideWords(showDegrees(thrustAngle, 2), thrustAngle),
        isMain: true,
      },
      { label: t('meaningTools.totalToeRear'), value: showDegrees(totalToe, 2) },
      ...(steeringWheelOffset === undefined
        ? []
        : [
            {
              label: t('meaningTools.steeringWheelStands'),
              value: sideWords(`${Math.abs(steeringWheelOffset).toFixed(1)}°`, steeringWheelOffset),
              isMain: true,
            },
          ]),
    ],
    formula: t('meaningTools.thrustLeftRight2'),
    source: t('meaningTools.aCarThatCrabs'),
    Drawing: ThrustDrawing,
  }),
  tool<'tireSize', TireSize>({
    name: 'tireSize',
    title: t('meaningTools.tireSize'),
    question: t('meaningTools.whatASizeOn'),
    fields: [
      {
        kind: 'text',
        path: 'size',
        label: t('meaningTools.asMouldedOnThe'),
        hint: t('meaningTools.sizeHint'),
      },
    ],
    example: { size: '205/55R16 91V' },
    exampleWords: t('meaningTools.mmWideASidewall'),
    results: (out) => [
      { label: t('meaningTools.diameter'), value: `${out.diameter.toFixed(0)} mm`, isMain: true },
      { label: t('meaningTools.sectionWidth'), value: `${out.sectionWidth.toFixed(0)} mm` },
      { label: t('meaningTools.sidewall'), value: `${out.sidewall.toFixed(1)} mm` },
      { label: t('meaningTools.rim'), value: `${out.rimDiameter.toFixed(1)} mm` },
      { label: t('meaningTools.turnsAKmUnloaded'), value: out.revsPerKm.toFixed(1) },
    ],
    formula: 'sidewall = width × aspect / 100; diameter = rim + 2 sidewalls',
    source: t('meaningTools.sizeDesignationsOfIso'),
    Drawing: TireSizeDrawing,
  }),
  tool<'rideHeight', { camberChange: number; toeChange: number }>({
    name: 'rideHeight',
    title: t('meaningTools.changedRideHeight'),
    question: t('meaningTools.whatLiftingOrLowering'),
    fields: [
      { kind: 'number', path: 'change', label: t('meaningTools.bodyUpOrDown'), unit: 'mm' },
      {
        kind: 'point',
        path: 'points.lowerInner',
        label: t('meaningTools.lowerArmInnerJoint'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.lowerOuter',
        label: t('meaningTools.lowerArmOuterJoint'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.upperInner',
        label: t('meaningTools.upperArmInnerJoint'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.upperOuter',
        label: t('meaningTools.upperArmOuterJoint'),
        unit: 'mm',
      },
      { kind: 'point', path: 'points.strutTop', label: t('meaningTools.orStrutTop'), unit: 'mm' },
      {
        kind: 'point',
        path: 'points.tieInner',
        label: t('meaningTools.tieRodInnerEnd'),
        unit: 'mm',
      },
      {
        kind: 'point',
        path: 'points.tieOuter',
        label: t('meaningTools.tieRodOuterEnd'),
        unit: 'mm',
      },
      { kind: 'number', path: 'steeringArm', label: t('meaningTools.steeringArm'), unit: 'mm' },
      { kind: 'choice', path: 'rack', label: t('meaningTools.rack'), options: RACKS },
    ],
    example: {
      change: -30,
      points: {
        lowerInner: [360, 190],
        lowerOuter: [710, 180],
        strutTop: [580, 820],
        tieInner: [340, 260],
        tieOuter: [690, 250],
      },
      steeringArm: 130,
      rack: 'behind',
    },
    exampleWords: t('meaningTools.thisStrutLoweredBy'),
    results: ({ camberChange, toeChange }) => [
      {
        label: t('meaningTools.camberChangesBy'),
        value: showDegrees(camberChange, 2),
        isMain: true,
      },
      { label: t('meaningTools.toeOfThisWheel'), value: showDegrees(toeChange, 2), isMain: true },
    ],
    formula: t('meaningTools.jointsOnTheirArcs'),
    source: t('meaningTools.planeGeometryOfThe'),
    caution: t('meaningTools.theMakersRideHeight'),
    Drawing: RideHeightSheet,
  }),
  tool<'casterWithHeight', { caster: number; casterChange: number }>({
    name: 'casterWithHeight',
    title: t('meaningTools.casterAfterAChange'),
    question: t('meaningTools.whatLiftingOrLoweringDoes'),
    fields: [
      { kind: 'number', path: 'change', label: t('meaningTools.bodyUpOrDown'), unit: 'mm' },
      { kind: 'number', path: 'caster', label: t('meaningTools.casterBefore'), unit: '°' },
      {
        kind: 'choice',
        path: 'upper',
        label: t('meaningTools.aboveTheLowerArm'),
        options: [
          { value: 'strut', label: t('meaningTools.aStrut') },
          { value: 'arm', label: t('meaningTools.anUpperArm') },
        ],
      },
      {
        kind: 'number',
        path: 'height',
        label: t('meaningTools.strutTopOrUpper'),
        unit: 'mm',
      },
      {
        kind: 'number',
        path: 'lowerAxis',
        label: t('meaningTools.lowerArmsAxisRises'),
        unit: '°',
        hint: t('meaningTools.levelWhereNobodyKnows'),
        optional: true,
      },
      {
        kind: 'number',
        path: 'upperAxis',
        label: t('meaningTools.upperArmsAxisRises'),
        unit: '°',
        optional: true,
      },
    ],
    example: { change: -30, caster: 5, height: 640, upper: 'strut' },
    exampleWords: t('meaningTools.aStrutLoweredBy'),
    results: ({ caster, casterChange }) => [
      { label: t('meaningTools.casterAfter'), value: showDegrees(caster, 2), isMain: true },
      { label: t('meaningTools.changesBy'), value: showDegrees(casterChange, 2) },
    ],
    formula: t('meaningTools.casterAtanAheadAbove'),
    source: t('meaningTools.planeGeometryOfTheSide'),
    caution: t('meaningTools.theMakersRideHeight'),
    Drawing: CasterHeightDrawing,
  }),
  tool<'wheelFit', WheelFit>({
    name: 'wheelFit',
    title: t('meaningTools.otherWheels'),
    question: t('meaningTools.whereTheEdgesOf'),
    fields: [
      { kind: 'number', path: 'old.width', label: t('meaningTools.oldRimWidth'), unit: 'in' },
      {
        kind: 'number',
        path: 'old.offset',
        label: t('meaningTools.oldRimOffsetEt'),
        unit: 'mm',
        hint: t('meaningTools.plusSetsTheWheel'),
      },
      { kind: 'number', path: 'new.width', label: t('meaningTools.newRimWidth'), unit: 'in' },
      { kind: 'number', path: 'new.offset', label: t('meaningTools.newRimOffsetEt'), unit: 'mm' },
      {
        kind: 'number',
        path: 'spacer',
        label: t('meaningTools.spacer'),
        unit: 'mm',
        optional: true,
      },
      {
        kind: 'text',
        path: 'old.size',
        label: t('meaningTools.oldTireSize'),
        hint: t('meaningTools.forDiameterAndSpeed'),
        optional: true,
      },
      { kind: 'text', path: 'new.size', label: t('meaningTools.newTireSize'), optional: true },
    ],
    example: {
      old: { width: 6.5, offset: 45, size: '205/55R16' },
      new: { width: 8, offset: 35, size: '225/45R17' },
    },
    exampleWords: t('meaningTools.oneAndAHalf'),
    results: (fit) => [
      {
        label: t('meaningTools.outerEdge'),
        value: movedWords(fit.outerMoves, 'furtherOut', 'furtherIn'),
        isMain: true,
      },
      {
        label: t('meaningTools.innerEdge'),
        value: movedWords(fit.innerMoves, 'furtherIn', 'furtherOut'),
        isMain: true,
      },
      {
        label: t('meaningTools.track'),
        value: movedWords(fit.trackChange, 'wider', 'narrower', 'asItWas'),
      },
      {
        label: t('meaningTools.scrubRadius'),
        value: movedWords(fit.scrubChange, 'furtherOut', 'furtherIn', 'asItWas'),
      },
      {
        label: t('meaningTools.tiresForTheRim'),
        value: `about ${fit.tireWidths.map((mm) => (5 * Math.round(mm / 5)).toFixed(0)).join(' to ')} mm wide`,
      },
      ...(fit.heightChange === null || fit.speedShownPercent === null
        ? []
        : [
            {
              label: t('meaningTools.axle'),
              value: movedWords(fit.heightChange, 'higher', 'lower', 'asItWas'),
            },
            {
              label: t('meaningTools.speedometer'),
              value: `shows ${Math.abs(fit.speedShownPercent).toFixed(1)} % ${fit.speedShownPercent < 0 ? 'less' : 'more'} than before`,
            },
          ]),
    ],
    formula: t('meaningTools.outerEdgeWidth2'),
    source: t('meaningTools.theDefinitionOfWheel'),
    caution: t('meaningTools.clearanceIsLookedAt'),
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
    ? t(`meaningTools.${unmoved}`)
    : t(`meaningTools.${mm > 0 ? way : back}`, { mm: Math.abs(mm).toFixed(1) });
}

/** An angle with the side that it is to; positive is right. */
function sideWords(angle: string, value: number): string {
  if (value === 0) return angle;
  return t(value > 0 ? 'meaningTools.right' : 'meaningTools.left', { angle });
}
