import { term } from '../words/terms.ts';
import type { Cupping, Damage, DamageZone, Wheel } from '@keen/contract';
import { axleOf, axleSection, sideOf } from '@keen/core';
import type { SectionTire } from '@keen/core';
import { useId } from 'react';
import { t } from '../words/drawing.ts';
import { FOUND } from '../words/core/inspect.ts';

const WIDTH = 600;
const HEIGHT = 218;
/** Where the tread begins and ends across the drawing; the sidewalls stand outside. */
const TREAD = { from: 72, to: 528 };
const CUT = 84;
const FACE = { from: 98, to: 190 };
const WAVE_STEP = 30;
/** Middle of each zone on a left tire, outer side first. */
const ZONE_X: Record<DamageZone, number> = {
  outerSidewall: 42,
  outer: 148,
  centre: 300,
  inner: 452,
  innerSidewall: 558,
};

interface TireFaceProps {
  wheel: Wheel;
  tires: Record<Wheel, SectionTire>;
  legalMm: number;
  cupping: Cupping;
  /** Damage whose place is known. */
  damageAt: Partial<Record<Damage, DamageZone>>;
  label: string;
}

/**
 * One tire large, seen from behind: the cut through its ribs, and under it the tread as the hand meets
 * it, with waves, and damage where it was seen.
 */
export function TireFace({ wheel, tires, legalMm, cupping, damageAt, label }: TireFaceProps) {
  const grooves = useId();
  const isLeft = sideOf(wheel) === 'left';
  const width = TREAD.to - TREAD.from;
  const section = axleSection(axleOf(wheel), tires, {
    width: 2 * width,
    height: CUT,
    legalMm,
    gap: 0,
  });
  const own = section.tires.find((tire) => tire.wheel === wheel)!;
  const shift = TREAD.from - own.x;
  const bars = section.bars.filter((bar) => bar.wheel === wheel);
  const waves = cupping === 'heavy' ? 0.5 : cupping === 'some' ? 0.24 : 0;
  const sides = isLeft
    ? [t('tireFace.outerSide'), t('tireFace.innerSide')]
    : [t('tireFace.innerSide'), t('tireFace.outerSide')];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', fontFamily: 'inherit' }}
    >
      <defs>
        <pattern id={grooves} width={26} height={20} patternUnits="userSpaceOnUse">
          <path d="M0 5L26 1M0 15L26 11" stroke="var(--paper)" strokeWidth={1.6} opacity={0.55} />
        </pattern>
      </defs>
      <rect
        x={TREAD.from}
        y={section.newY[wheel] + 2}
        width={width}
        height={CUT - section.newY[wheel]}
        fill="none"
        stroke="var(--line)"
        strokeDasharray="2 3"
      />
      <g transform={`translate(${shift} 2)`}>
        {bars.map((bar) => (
          <g key={bar.rib}>
            {bar.outline ? (
              <path d={bar.outline} fill={bar.isAtLimit ? 'var(--marker)' : 'var(--rubber)'} />
            ) : (
              <rect
                x={bar.x}
                y={CUT - 10}
                width={bar.width}
                height={10}
                fill="none"
                stroke="var(--control)"
                strokeDasharray="3 3"
              />
            )}
          </g>
        ))}
      </g>
      <line x1={TREAD.from} x2={TREAD.to} y1={CUT + 2} y2={CUT + 2} stroke="var(--ink)" />
      {bars.map((bar) => (
        <g key={bar.rib} transform={`translate(${shift} 0)`}>
          <rect
            x={bar.x}
            y={FACE.from}
            width={bar.width}
            height={FACE.to - FACE.from}
            fill="var(--rubber)"
          />
          <rect
            x={bar.x}
            y={FACE.from}
            width={bar.width}
            height={FACE.to - FACE.from}
            fill={`url(#${grooves})`}
          />
          <text
            x={bar.x + bar.width / 2}
            y={HEIGHT - 8}
            fontSize={14}
            fill="var(--soft)"
            textAnchor="middle"
          >
            {term(`rib.${bar.rib}`)}
          </text>
        </g>
      ))}
      {waves > 0 &&
        [0, 1, 2].map((dip) => (
          <ellipse
            key={dip}
            cx={WIDTH / 2}
            cy={FACE.from + 16 + dip * WAVE_STEP}
            rx={width / 2}
            ry={9}
            fill="var(--paper)"
            opacity={waves}
          />
        ))}
      {[0, 1].map((side) => (
        <g key={side} transform={side === 0 ? undefined : `translate(${WIDTH} 0) scale(-1 1)`}>
          <path
            d={`M${TREAD.from - 5} ${FACE.from}C40 ${FACE.from + 4} 24 ${FACE.from + 20} 22 ${FACE.to}H${TREAD.from - 5}Z`}
            fill="var(--soft)"
            opacity={0.35}
          />
        </g>
      ))}
      {sides.map((words, i) => (
        <text
          key={words}
          x={i === 0 ? 0 : WIDTH}
          y={HEIGHT - 8}
          fontSize={14}
          fill="var(--soft)"
          textAnchor={i === 0 ? 'start' : 'end'}
        >
          {words}
        </text>
      ))}
      {(Object.entries(damageAt) as [Damage, DamageZone][]).map(([kind, zone], i, all) => {
        const nth = all.slice(0, i).filter(([, other]) => other === zone).length;
        const x = isLeft ? ZONE_X[zone] : WIDTH - ZONE_X[zone];
        const y = FACE.from + 24 + nth * 28;
        return (
          <g key={kind}>
            <path
              d={`M${x} ${y - 11}l11 11l-11 11l-11 -11z`}
              fill="var(--marker)"
              stroke="var(--sheet)"
              strokeWidth={2}
            />
            <text
              x={x < 60 ? x + 17 : x > WIDTH - 60 ? x - 17 : x + 17}
              y={y + 5}
              fontSize={15}
              fontWeight={650}
              textAnchor={x > WIDTH - 60 ? 'end' : 'start'}
              fill="var(--ink)"
              stroke="var(--sheet)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {FOUND.damages[kind]}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Shares of the drawing's width that its zones take, in per cent, outer side first on a left tire. */
export const ZONE_SHARES = [12, 25.33, 25.33, 25.33, 12];
