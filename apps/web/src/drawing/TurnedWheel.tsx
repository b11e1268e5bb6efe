import type { DrawnAngle } from '@keen/core';

/** Where a wheel is drawn, how large, and how far its line reaches. */
export interface WheelBox {
  x: number;
  y: number;
  width: number;
  height: number;
  reach: number;
}

/** A wheel turned as it was measured, before what is allowed and what was found. */
export function TurnedWheel({
  angle,
  box,
  isMarked,
}: {
  angle: DrawnAngle | null;
  box: WheelBox;
  isMarked: boolean;
}) {
  const { x, y, width, height, reach } = box;
  const rect = { x: x - width / 2, y: y - height / 2, width, height, rx: width / 6 };
  const at = (turn: number) => `rotate(${turn} ${x} ${y})`;
  if (!angle) {
    return (
      <rect
        {...rect}
        fill="none"
        stroke={isMarked ? 'var(--marker)' : 'var(--line)'}
        strokeWidth={isMarked ? 2.5 : 1.5}
        strokeDasharray="1 4"
        strokeLinecap="round"
      />
    );
  }
  const isStale = angle.state === 'stale';
  const blur = [-1, -0.5, 0.5, 1].map((part) => {
    const [low, high] = angle.doubt;
    return angle.turn + (part < 0 ? (angle.turn - low) * part : (high - angle.turn) * part);
  });
  return (
    <g>
      {angle.allowed && <Wedge {...box} turns={angle.allowed} />}
      {angle.was && (
        <rect
          {...rect}
          transform={at(angle.was.turn)}
          fill="none"
          stroke="var(--soft)"
          strokeDasharray="4 3"
        />
      )}
      {!isStale &&
        // By place: with nothing in doubt all have one angle.
        blur.map((turn, i) => (
          <rect key={i} {...rect} transform={at(turn)} fill="var(--rubberPale)" opacity={0.45} />
        ))}
      <rect
        {...rect}
        transform={at(angle.turn)}
        fill={isStale ? 'none' : 'var(--rubber)'}
        stroke={isMarked ? 'var(--marker)' : 'var(--rubber)'}
        strokeWidth={isMarked ? 3 : 2}
      />
      <line
        x1={x}
        x2={x}
        y1={y - reach}
        y2={y + reach}
        transform={at(angle.turn)}
        stroke="var(--ink)"
        strokeWidth={1.3}
      />
    </g>
  );
}

/** What is allowed: both ends of the line through the wheel, swept between the limits. */
function Wedge({ x, y, reach, turns }: WheelBox & { turns: readonly [number, number] }) {
  const [a, b] = turns.map((turn) => (turn * Math.PI) / 180) as [number, number];
  const end = (angle: number, way: 1 | -1) =>
    `${x + way * reach * Math.sin(angle)} ${y - way * reach * Math.cos(angle)}`;
  return (
    <path
      d={([1, -1] as const)
        .map(
          (way) =>
            `M${x} ${y}L${end(a, way)}A${reach} ${reach} 0 0 ${a < b ? 1 : 0} ${end(b, way)}Z`,
        )
        .join('')}
      fill="var(--soft)"
      opacity={0.28}
    />
  );
}
