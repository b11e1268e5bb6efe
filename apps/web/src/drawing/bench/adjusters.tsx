import type { CalculatorOutput } from '@keen/contract';
import { Block, drawnDegrees, Frame, FRAME, Words } from './frame.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';
import { term } from '../../words/terms.ts';

/** Rods, cams and shims. */

type Rod = CalculatorOutput<'tieRod'>;

function RodAndNut({ x, y, rod, toRight }: { x: number; y: number; rod: Rod; toRight: boolean }) {
  const sign = toRight ? 1 : -1;
  return (
    <g>
      <line x1={x} x2={x + sign * 112} y1={y} y2={y} stroke="var(--ink)" strokeWidth={5} />
      <rect
        x={x + sign * 44 - 9}
        y={y - 9}
        width={18}
        height={18}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <circle cx={x} cy={y} r={8} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
      {rod.action !== 'none' && (
        <path
          d={`M${x + sign * 74} ${y - 16}h${(rod.action === 'lengthen' ? -sign : sign) * 34}m${(rod.action === 'lengthen' ? sign : -sign) * 8} -5l${(rod.action === 'lengthen' ? -sign : sign) * 8} 5l${(rod.action === 'lengthen' ? sign : -sign) * 8} 5`}
          fill="none"
          stroke="var(--marker)"
          strokeWidth={2}
        />
      )}
    </g>
  );
}

export function TieRodDrawing({ input, output }: ToolDrawing<'tieRod'>) {
  const behind = input.rack === 'behind';
  const y = 104;
  const rodY = y + (behind ? 56 : -56);
  return (
    <Frame label={t('adjusters.leftWheelFromAbove', { rack: input.rack })}>
      <Block x={90} y={y} width={46} height={128} turn={drawnDegrees(input.toeChange, 14)} />
      <line x1={90} x2={120} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
      <line x1={120} x2={132} y1={y} y2={rodY} stroke="var(--ink)" strokeWidth={4} />
      <RodAndNut x={132} y={rodY} rod={output} toRight />
      <Words x={250} y={rodY + 30} strong marked>
        {output.action === 'none'
          ? t('adjusters.leaveIt')
          : t('adjusters.turns', { turns: output.turns.toFixed(2), action: output.action })}
      </Words>
      <path
        d={`M334 ${y + 40}V${y - 40}m-6 10l6 -10l6 10`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <Words x={334} y={y + 58}>
        {t('adjusters.front')}
      </Words>
      <Words x={FRAME.width / 2} y={228}>
        {t('adjusters.leftWheelFromAboveThe')}
      </Words>
    </Frame>
  );
}

export function SteeringWheelDrawing({ input, output }: ToolDrawing<'steeringWheelCentre'>) {
  const y = 172;
  return (
    <Frame label={t('adjusters.bothTieRodsFrom')}>
      <g
        transform={`translate(${FRAME.width / 2} 62) rotate(${drawnDegrees(input.offset, 1, 90)})`}
      >
        <circle r={42} fill="none" stroke="var(--ink)" strokeWidth={4} />
        <path d="M-40 0H40M0 0V40" stroke="var(--ink)" strokeWidth={4} />
        <circle cy={-42} r={5} fill="var(--marker)" />
      </g>
      <RodAndNut x={40} y={y} rod={output.lf} toRight />
      <RodAndNut x={FRAME.width - 40} y={y} rod={output.rf} toRight={false} />
      <Words x={96} y={y + 28} strong marked>
        {rodWords(output.lf)}
      </Words>
      <Words x={FRAME.width - 96} y={y + 28} strong marked>
        {rodWords(output.rf)}
      </Words>
      <Words x={FRAME.width / 2} y={228}>
        {t('adjusters.leftAndRightRod')}
      </Words>
    </Frame>
  );
}

function rodWords({ action, turns }: Rod): string {
  return action === 'none'
    ? t('adjusters.leaveIt')
    : t('adjusters.turns', { turns: turns.toFixed(2), action });
}

export function ShimClockDrawing({ input, output }: ToolDrawing<'rearShim'>) {
  const [x, y, r] = [128, 112, 84];
  const hand = (clock: number, length: number): [number, number] => [
    x + length * Math.sin((clock * Math.PI) / 180),
    y - length * Math.cos((clock * Math.PI) / 180),
  ];
  const thick = hand(output.clock, r);
  return (
    <Frame
      label={t('adjusters.rearHubFromOutside', {
        side: term(`side.${input.side}`),
        clock: output.clock.toFixed(0),
      })}
    >
      <circle cx={x} cy={y} r={r} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {Array.from({ length: 12 }, (_, hour) => {
        const [x1, y1] = hand(hour * 30, r);
        const [x2, y2] = hand(hour * 30, r - (hour % 3 === 0 ? 12 : 6));
        return (
          <line key={hour} x1={x1} x2={x2} y1={y1} y2={y2} stroke="var(--soft)" strokeWidth={1.4} />
        );
      })}
      <circle cx={x} cy={y} r={30} fill="none" stroke="var(--soft)" strokeDasharray="3 3" />
      {output.angle > 0 ? (
        <>
          <line x1={x} x2={thick[0]} y1={y} y2={thick[1]} stroke="var(--marker)" strokeWidth={4} />
          <circle cx={thick[0]} cy={thick[1]} r={8} fill="var(--marker)" />
          <Words x={238} y={50} anchor="start" strong marked>
            {t('adjusters.thickestAt')}
          </Words>
          <Words x={238} y={70} anchor="start" strong marked>
            {clockWords(output.clock)}
          </Words>
          <path
            d={`M240 96L352 ${96 - 12}V${96 + 12 + output.angle * 14}L240 ${96 + 12}Z`}
            fill="var(--rubber)"
          />
          <Words x={238} y={146} anchor="start" strong>
            {t('adjusters.taper', { angle: output.angle })}
          </Words>
        </>
      ) : (
        <Words x={238} y={100} anchor="start" strong>
          {t('adjusters.noShim')}
        </Words>
      )}
      <Words x={238} y={186} anchor="start">
        {t('adjusters.isUpFrontOf')}
      </Words>
      <Words x={238} y={202} anchor="start">
        {t('adjusters.isAtOclock', { hour: input.side === 'left' ? '9' : '3' })}
      </Words>
      <Words x={FRAME.width / 2} y={228}>
        {t('adjusters.rearHubSeenFrom', { side: term(`side.${input.side}`) })}
      </Words>
    </Frame>
  );
}

/** A clock angle in hours and minutes of a half hour, as one says it. */
export function clockWords(clock: number): string {
  const halfHours = Math.round(clock / 15) % 24;
  const hour = Math.floor(halfHours / 2) || 12;
  return halfHours % 2 === 1 ? t('adjusters.halfPast', { hour }) : t('adjusters.oclock', { hour });
}

export function CamDrawing({ input, output }: ToolDrawing<'eccentric'>) {
  const [x, y, r] = [120, 112, 70];
  const throwPx = 22;
  const angle = (output.turn * Math.PI) / 180;
  const cx = x + throwPx * Math.sin(angle);
  const cy = y + throwPx * Math.cos(angle);
  return (
    <Frame label={t('adjusters.camBoltTurnedDegrees', { turn: output.turn.toFixed(0) })}>
      <rect x={x - r - 10} y={y - r - 22} width={4} height={2 * r + 44} fill="var(--ink)" />
      <rect x={x + r + 6} y={y - r - 22} width={4} height={2 * r + 44} fill="var(--ink)" />
      <circle cx={cx} cy={cy} r={r - 18} fill="var(--rubber)" />
      <circle cx={x} cy={y} r={12} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
      <line x1={x} x2={cx} y1={y} y2={cy} stroke="var(--marker)" strokeWidth={3} />
      <line x1={x} x2={x} y1={y} y2={y + r + 14} stroke="var(--control)" strokeDasharray="3 4" />
      <Words x={222} y={92} anchor="start" strong marked>
        {output.reachable
          ? t('adjusters.turn', { turn: Math.abs(output.turn).toFixed(1) })
          : t('adjusters.atTheEndStop')}
      </Words>
      <Words x={222} y={112} anchor="start">
        {t(output.turn >= 0 ? 'adjusters.toMore' : 'adjusters.toLess')}
      </Words>
      <Words x={222} y={132} anchor="start">
        {t('adjusters.throwArmMm', { offset: input.offset, leverArm: input.leverArm })}
      </Words>
      <Words x={FRAME.width / 2} y={228}>
        {t('adjusters.camBetweenItsGuides')}
      </Words>
    </Frame>
  );
}

export function WishboneDrawing({ output }: ToolDrawing<'wishboneShims'>) {
  const boltX = 96;
  const rows = [
    { name: t('adjusters.frontBolt'), y: 66, mm: output.front },
    { name: t('adjusters.rearBolt'), y: 160, mm: output.rear },
  ];
  return (
    <Frame label={t('adjusters.upperArmFromAbove')}>
      <rect x={36} y={28} width={14} height={170} fill="var(--line)" />
      <path
        d={`M${boltX} 66L300 113L${boltX} 160`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={7}
        strokeLinejoin="round"
      />
      <circle cx={300} cy={113} r={11} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
      {rows.map(({ name, y, mm }) => {
        const plates = Math.min(8, Math.max(1, Math.round(Math.abs(mm))));
        return (
          <g key={name}>
            <line x1={50} x2={boltX} y1={y} y2={y} stroke="var(--ink)" strokeWidth={3} />
            {Math.abs(mm) > 1e-9 &&
              Array.from({ length: plates }, (_, i) => (
                <rect
                  key={i}
                  x={54 + i * 5}
                  y={y - 15}
                  width={3.4}
                  height={30}
                  fill={mm > 0 ? 'var(--marker)' : 'none'}
                  stroke="var(--marker)"
                />
              ))}
            <Words x={150} y={y + (y < 113 ? -22 : 34)} anchor="start" strong marked>
              {name}:{' '}
              {Math.abs(mm) < 5e-3
                ? t('adjusters.leave')
                : t(mm > 0 ? 'adjusters.addMm' : 'adjusters.takeOutMm', {
                    mm: Math.abs(mm).toFixed(1),
                  })}
            </Words>
          </g>
        );
      })}
      <ToTheFront />
      <Words x={FRAME.width / 2} y={228}>
        {t('adjusters.upperArmFromAboveHollow')}
      </Words>
    </Frame>
  );
}

export function TwoCamsDrawing({ output }: ToolDrawing<'twoCams'>) {
  const cams = [
    { name: t('adjusters.frontCam'), y: 62, cam: output.front },
    { name: t('adjusters.rearCam'), y: 162, cam: output.rear },
  ];
  return (
    <Frame label={t('adjusters.lowerArmFromAbove')}>
      <rect x={36} y={22} width={14} height={180} fill="var(--line)" />
      <path
        d="M80 62L306 112L80 162"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={7}
        strokeLinejoin="round"
      />
      <circle cx={306} cy={112} r={11} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
      {cams.map(({ name, y, cam }) => {
        const radians = (cam.turn * Math.PI) / 180;
        const [x2, y2] = [80 + 15 * Math.sin(radians), y - 15 * Math.cos(radians)];
        return (
          <g key={name}>
            <circle
              cx={80}
              cy={y}
              r={21}
              fill="var(--sheet)"
              stroke="var(--rubber)"
              strokeWidth={4}
            />
            <line x1={80} x2={80} y1={y - 27} y2={y - 20} stroke="var(--ink)" strokeWidth={2} />
            <line x1={80} x2={x2} y1={y} y2={y2} stroke="var(--marker)" strokeWidth={3} />
            <Words x={150} y={y + (y < 112 ? -20 : 34)} anchor="start" strong marked>
              {name}:{' '}
              {cam.reachable ? `${Math.abs(cam.turn).toFixed(0)}°, ` : t('adjusters.outOfReach')}
              {Math.abs(cam.moves) < 0.005
                ? t('adjusters.leave')
                : t(cam.moves > 0 ? 'adjusters.mmOut' : 'adjusters.mmIn', {
                    mm: Math.abs(cam.moves).toFixed(1),
                  })}
            </Words>
          </g>
        );
      })}
      <ToTheFront />
      <Words x={FRAME.width / 2} y={228}>
        {t('adjusters.lowerArmFromAboveCams')}
      </Words>
    </Frame>
  );
}

/** Which way the car drives, beside an arm seen from above. */
function ToTheFront() {
  return (
    <>
      <path d="M346 140V86m-6 10l6 -10l6 10" fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <Words x={346} y={156}>
        {t('adjusters.front')}
      </Words>
    </>
  );
}
