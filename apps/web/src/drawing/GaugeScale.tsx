import { memo } from 'react';
import { t } from '../words/drawing.ts';

interface GaugeScaleProps {
  /** What the pointer shows, mm. */
  mm: number;
  /** The gauge does not stand square on the tread. */
  isAskew: boolean;
}

const WIDTH = 260;
const HEIGHT = 300;
/** The part of the scale that is in sight, mm above and below the pointer, and its size. */
const SIGHT_MM = 0.95;
const MM = 120;
const POINTER_Y = 130;
const TREAD_Y = 262;
const TILT_DEG = 8;

/** A depth gauge set down in a groove, close up: the pointer on its scale, to be read by eye. */
export const GaugeScale = memo(function GaugeScale({ mm, isAskew }: GaugeScaleProps) {
  const first = Math.ceil((mm - SIGHT_MM) * 10);
  const ticks = Array.from({ length: Math.floor(SIGHT_MM * 20) + 1 }, (_, i) => first + i).filter(
    (tick) => tick >= 0,
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={t(isAskew ? 'gaugeScale.askew' : 'gaugeScale.pointerAt', { mm: mm.toFixed(1) })}
      style={{ display: 'block', maxWidth: 260 }}
    >
      <path
        d={`M0 ${TREAD_Y}H96V${HEIGHT}H164V${TREAD_Y}H${WIDTH}V${HEIGHT}H0Z`}
        fill="var(--rubber)"
      />
      <g transform={isAskew ? `rotate(${TILT_DEG} ${WIDTH / 2} ${HEIGHT - 8})` : undefined}>
        <rect x={124} y={TREAD_Y - 6} width={12} height={HEIGHT - TREAD_Y + 2} fill="var(--ink)" />
        <rect x={36} y={TREAD_Y - 14} width={188} height={10} fill="var(--ink)" />
        <rect
          x={70}
          y={8}
          width={120}
          height={TREAD_Y - 22}
          rx={4}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
        {ticks.map((tick) => {
          const y = POINTER_Y + (tick / 10 - mm) * MM;
          const isWhole = tick % 10 === 0;
          const long = isWhole ? 46 : tick % 5 === 0 ? 32 : 18;
          return (
            <g key={tick}>
              <line
                x1={70}
                x2={70 + long}
                y1={y}
                y2={y}
                stroke="var(--ink)"
                strokeWidth={isWhole ? 2 : 1}
              />
              {isWhole && (
                <text x={124} y={y + 7} fontSize={21} fontWeight={700} fill="var(--ink)">
                  {tick / 10}
                </text>
              )}
            </g>
          );
        })}
        <path
          d={`M206 ${POINTER_Y - 11}L182 ${POINTER_Y}L206 ${POINTER_Y + 11}Z`}
          fill="var(--marker)"
        />
        <line
          x1={70}
          x2={184}
          y1={POINTER_Y}
          y2={POINTER_Y}
          stroke="var(--marker)"
          strokeWidth={1.6}
        />
        <text x={178} y={28} fontSize={12} fill="var(--soft)" textAnchor="end">
          {'mm'}
        </text>
      </g>
    </svg>
  );
});
