import type { CalculatorInput } from '@keen/contract';
import { moveBody } from '@keen/core';
import type { Point } from '@keen/core';
import { joined } from '../../shared/joined.ts';
import { showDegrees } from '../../shared/format.ts';
import { Block, drawnDegrees, Frame, FRAME, Span, Words } from './frame.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';
import { term } from '../../words/terms.ts';

/** Camber, levels and suspensions, seen from behind or in front. */

export function LevelDrawing({ input, output }: ToolDrawing<'camberFromLevel'>) {
  const isLeft = input.side === 'left';
  const x = isLeft ? 130 : FRAME.width - 130;
  const turn = drawnDegrees(output.camber, 5) * (isLeft ? -1 : 1);
  const slope = input.floorSlope
    ? drawnDegrees(input.floorSlope.degrees, 4, 8) * (input.floorSlope.high === 'left' ? 1 : -1)
    : 0;
  const outside = isLeft ? -1 : 1;
  return (
    <Frame
      label={t('fromBehind.wheelFromBehindCamber', {
        side: term(`side.${input.side}`),
        camber: showDegrees(output.camber, 2),
      })}
    >
      <g transform={`rotate(${slope} ${FRAME.width / 2} 188)`}>
        <line
          x1={20}
          x2={FRAME.width - 20}
          y1={188}
          y2={188}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
        <line x1={x} x2={x} y1={24} y2={188} stroke="var(--control)" strokeDasharray="3 4" />
        <g transform={`rotate(${turn} ${x} 188)`}>
          <Block x={x} y={112} width={64} height={152} />
          <rect
            x={x + outside * 40 - 5}
            y={50}
            width={10}
            height={124}
            fill="var(--sheet)"
            stroke="var(--marker)"
            strokeWidth={2}
          />
          <circle cx={x + outside * 40} cy={112} r={3.4} fill="var(--marker)" />
        </g>
        <line
          x1={x - outside * 32}
          x2={isLeft ? FRAME.width - 30 : 30}
          y1={128}
          y2={128}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      </g>
      <Words x={isLeft ? FRAME.width - 24 : 24} y={60} anchor={isLeft ? 'end' : 'start'} strong>
        {t('fromBehind.camber', { camber: showDegrees(output.camber, 2) })}
      </Words>
      <Words x={isLeft ? FRAME.width - 24 : 24} y={78} anchor={isLeft ? 'end' : 'start'}>
        {joined(
          t(input.leans === 'in' ? 'fromBehind.topLeansIn' : 'fromBehind.topLeansOut'),
          input.floorSlope &&
            t('fromBehind.floorHighOnThe', { high: term(`side.${input.floorSlope.high}`) }),
        )}
      </Words>
      <Words x={FRAME.width / 2} y={226}>
        {t('fromBehind.wheelFromBehindDrawn', { side: term(`side.${input.side}`) })}
      </Words>
    </Frame>
  );
}

export function SquareDrawing({ input, output }: ToolDrawing<'camberFromSquare'>) {
  const x = 150;
  const lean = drawnDegrees(output.camber, 4, 12);
  const [square, rimTop, rimBottom] = [236, 62, 162];
  const edge = (y: number) => x + 32 + (112 - y) * Math.tan((lean * Math.PI) / 180);
  return (
    <Frame label={t('fromBehind.aWheelAndA', { camber: showDegrees(output.camber, 2) })}>
      <line x1={20} x2={FRAME.width - 20} y1={192} y2={192} stroke="var(--ink)" strokeWidth={1.6} />
      <Block x={x} y={112} turn={lean} width={64} height={152} />
      <path
        d={`M${square} 24V190H${square + 76}`}
        fill="none"
        stroke="var(--marker)"
        strokeWidth={4}
      />
      {(
        [
          [rimTop, input.top],
          [rimBottom, input.bottom],
        ] as const
      ).map(([y, gap]) => (
        <g key={y}>
          <line x1={edge(y)} x2={square - 2} y1={y} y2={y} stroke="var(--ink)" />
          <Words x={square + 14} y={y + 5} anchor="start">
            {t('fromBehind.gap', { number: Number(gap.toFixed(2)), unit: input.unit })}
          </Words>
        </g>
      ))}
      <Words x={square + 14} y={117} anchor="start" strong>
        {t('fromBehind.camber', { camber: showDegrees(output.camber, 2) })}
      </Words>
      <Words x={FRAME.width / 2} y={226}>
        {t('fromBehind.fromBehindTheCar')}
      </Words>
    </Frame>
  );
}

export function FloorDrawing({ input, output }: ToolDrawing<'floorSlope'>) {
  const isLeftHigh = output.high === 'left';
  const slope = drawnDegrees(output.degrees, 8, 9) * (isLeftHigh ? 1 : -1);
  const [near, far] = [96, FRAME.width - 96];
  const lowX = isLeftHigh ? far : near;
  const drop = 142 * Math.tan((Math.abs(slope) * Math.PI) / 180);
  const floorAt = (x: number) => 150 + (x - FRAME.width / 2) * Math.tan((slope * Math.PI) / 180);
  const tile = `${output.tile.toFixed(input.unit === 'mm' ? 1 : 3)} ${input.unit}`;
  return (
    <Frame
      label={t('fromBehind.aFloorDegreesHigh', {
        degrees: output.degrees.toFixed(2),
        high: term(`side.${output.high}`),
      })}
    >
      <line
        x1={20}
        x2={FRAME.width - 20}
        y1={floorAt(20)}
        y2={floorAt(FRAME.width - 20)}
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      {[near, far].map((x) => (
        <Block
          key={x}
          x={x}
          y={(isLeftHigh ? floorAt(near) : floorAt(far)) - 46}
          width={42}
          height={92}
        />
      ))}
      <rect
        x={lowX - 32}
        y={floorAt(lowX) - Math.max(3, drop)}
        width={64}
        height={Math.max(3, drop)}
        fill="var(--marker)"
      />
      <Words x={FRAME.width / 2} y={16} strong>
        {t('fromBehind.highOnThe', {
          degrees: output.degrees.toFixed(2),
          high: term(`side.${output.high}`),
        })}
      </Words>
      <Words x={FRAME.width / 2} y={34} marked>
        {t(isLeftHigh ? 'fromBehind.underRight' : 'fromBehind.underLeft', { tile })}
      </Words>
      <Words x={FRAME.width / 2} y={226}>
        {t('fromBehind.fromBehindSlopeDrawn')}
      </Words>
    </Frame>
  );
}

export function TireSizeDrawing({ output }: ToolDrawing<'tireSize'>) {
  const scale = 178 / output.diameter;
  const radius = (output.diameter * scale) / 2;
  const rim = (output.rimDiameter * scale) / 2;
  const width = output.sectionWidth * scale;
  const y = 112;
  const sectionX = 300;
  return (
    <Frame label={t('fromBehind.aTireMmAcross', { diameter: output.diameter.toFixed(0) })}>
      <circle cx={112} cy={y} r={radius} fill="var(--rubber)" />
      <circle cx={112} cy={y} r={rim} fill="var(--sheet)" stroke="var(--ink)" />
      <circle cx={112} cy={y} r={3} fill="var(--ink)" />
      <Span from={[112 - rim, y]} to={[112 + rim, y]}>
        {output.rimDiameter.toFixed(0)}
      </Span>
      <rect
        x={sectionX - width / 2}
        y={y - radius}
        width={width}
        height={radius - rim}
        rx={6}
        fill="var(--rubber)"
      />
      <rect
        x={sectionX - width / 2}
        y={y + rim}
        width={width}
        height={radius - rim}
        rx={6}
        fill="var(--rubber)"
      />
      <path
        d={`M${sectionX - width / 2} ${y - rim}V${y + rim}M${sectionX + width / 2} ${y - rim}V${y + rim}`}
        stroke="var(--ink)"
      />
      <Span from={[sectionX - width / 2, y]} to={[sectionX + width / 2, y]}>
        {output.sectionWidth.toFixed(0)}
      </Span>
      <Span from={[224, y - radius]} to={[224, y + radius]} marked>
        {output.diameter.toFixed(0)}
      </Span>
      <Words x={FRAME.width / 2} y={226}>
        {t('fromBehind.toScaleMm')}
      </Words>
    </Frame>
  );
}

type View = CalculatorInput<'rideHeight'>['points'];

export function RideHeightDrawing({ input, output }: ToolDrawing<'rideHeight'>) {
  const { points, change } = input;
  const moved = moveBody(points, change);
  const all = Object.values(points).filter((point): point is [number, number] => Boolean(point));
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const [left, low] = [Math.min(...xs) - 40, Math.min(...ys) - 70];
  const scale = Math.min(330 / (Math.max(...xs) - left + 90), 190 / (Math.max(...ys) - low + 50));
  const edge = (FRAME.width - (Math.max(...xs) + 80 - left) * scale) / 2;
  const at = ([x, y]: Point): string => `${edge + (x - left) * scale} ${204 - (y - low) * scale}`;
  const upperInner = points.strutTop ?? points.upperInner!;
  const before: View = points;
  const links = (lower: Point, upper: Point, tie: Point) =>
    `M${at(before.lowerInner)}L${at(lower)}M${at(upperInner)}L${at(upper)}M${at(lower)}L${at(upper)}M${at(before.tieInner)}L${at(tie)}`;
  const upperBefore = points.strutTop ?? points.upperOuter!;
  const wheelX = Math.max(...xs) + 40;
  return (
    <Frame
      label={t(change < 0 ? 'fromBehind.bodyDown' : 'fromBehind.bodyUp', { mm: Math.abs(change) })}
    >
      <path
        d={links(points.lowerOuter, upperBefore, points.tieOuter)}
        fill="none"
        stroke="var(--control)"
        strokeWidth={1.4}
        strokeDasharray="4 4"
      />
      <path
        d={links(moved.lowerOuter, moved.upperOuter, moved.rodEnd)}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2.4}
      />
      {[
        moved.lowerOuter,
        moved.upperOuter,
        moved.rodEnd,
        before.lowerInner,
        upperInner,
        before.tieInner,
      ].map((point, i) => {
        const [x, y] = at(point).split(' ').map(Number) as [number, number];
        return (
          <circle
            key={i}
            cx={x}
            cy={y}
            r={4}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        );
      })}
      <g
        transform={`translate(${edge + (wheelX - left) * scale} ${204 - ((moved.lowerOuter[1] + moved.upperOuter[1]) / 2 - low) * scale}) rotate(${drawnDegrees(output.camberChange, 6)})`}
      >
        <Block x={0} y={0} width={26} height={92} />
      </g>
      <Words x={FRAME.width / 2} y={228}>
        {t('fromBehind.rightSideSeenFrom')}
      </Words>
    </Frame>
  );
}
