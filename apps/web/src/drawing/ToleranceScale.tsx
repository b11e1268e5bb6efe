import type { LedgerRow } from '@keen/core';

const WIDTH = 260;
const HEIGHT = 26;
/** The scale runs this many half tolerance widths to both sides of the target. */
const REACH = 2.6;

/**
 * A value on a scale counted in tolerance widths from the target: a dot with its doubt as a whisker,
 * the tolerance between two posts. What stands beyond the scale gets an arrow.
 */
export function ToleranceScale({ row, before }: { row: LedgerRow; before?: number | undefined }) {
  const { value, sd, limits } = row;
  if (!limits) return null;
  const [low, high] = limits;
  const target = row.target ?? (low + high) / 2;
  const half = (high - low) / 2;
  const x = (degrees: number) => {
    const widths = Math.max(-REACH, Math.min(REACH, (degrees - target) / half));
    return WIDTH / 2 + (widths / REACH) * (WIDTH / 2 - 10);
  };
  const y = HEIGHT / 2;
  const isBeyond = Math.abs(value - target) > REACH * half;
  const at = x(value);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ display: 'block', maxWidth: WIDTH }}
      aria-hidden
    >
      <line x1={4} x2={WIDTH - 4} y1={y} y2={y} stroke="var(--line)" />
      <rect
        x={x(low)}
        y={y - 8}
        width={x(high) - x(low)}
        height={16}
        fill="var(--soft)"
        opacity={0.14}
      />
      {[low, high].map((limit) => (
        <line
          key={limit}
          x1={x(limit)}
          x2={x(limit)}
          y1={y - 9}
          y2={y + 9}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      ))}
      <line x1={x(target)} x2={x(target)} y1={y - 4} y2={y + 4} stroke="var(--soft)" />
      {before !== undefined && (
        <circle cx={x(before)} cy={y} r={4.5} fill="none" stroke="var(--soft)" strokeWidth={1.5} />
      )}
      <line
        x1={x(value - 2 * sd)}
        x2={x(value + 2 * sd)}
        y1={y}
        y2={y}
        stroke={row.state === 'out' ? 'var(--marker)' : 'var(--ink)'}
        strokeWidth={2.2}
      />
      {isBeyond ? (
        <path
          d={value < target ? `M12 ${y - 6}l-8 6l8 6z` : `M${WIDTH - 12} ${y - 6}l8 6l-8 6z`}
          fill="var(--marker)"
        />
      ) : (
        <circle
          cx={at}
          cy={y}
          r={5.5}
          fill={row.state === 'out' ? 'var(--marker)' : 'var(--ink)'}
          stroke="var(--paper)"
          strokeWidth={1.5}
        />
      )}
    </svg>
  );
}
