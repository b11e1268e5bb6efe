import type { Axle } from '@keen/contract';
import type { DrawnWheel } from '@keen/core';

/** The angle at hand, and which way it has to go. */
export interface MarkedAngle {
  kind: 'camber' | 'toe' | 'caster';
  where: DrawnWheel['wheel'] | Axle;
  change: number | null;
}

interface ArrowProps {
  marked: MarkedAngle | null;
  one: DrawnWheel;
  x: number;
  y: number;
}

/** How far from the wheel's middle the arrow of the hand is drawn. */
const ARROW_RADIUS = 70;

/** Which way the front of the wheel has to go, seen from above. */
export function ToeArrow({ marked, one, x, y }: ArrowProps) {
  const change = marked?.change ?? null;
  if (change === null || change === 0) return null;
  // More toe-in turns the left wheel clockwise, the right one anticlockwise.
  const isClockwise = change > 0 === (one.side === 'left');
  const [from, to] = isClockwise ? [-38, -6] : [38, 6];
  const at = (degrees: number, radius: number) => {
    const angle = ((degrees + (one.toe?.turn ?? 0)) * Math.PI) / 180;
    return [x + radius * Math.sin(angle), y - radius * Math.cos(angle)] as const;
  };
  const [x1, y1] = at(from, ARROW_RADIUS);
  const [x2, y2] = at(to, ARROW_RADIUS);
  const [xa, ya] = at(to + (isClockwise ? -9 : 9), ARROW_RADIUS + 8);
  const [xb, yb] = at(to + (isClockwise ? -9 : 9), ARROW_RADIUS - 8);
  return (
    <path
      d={`M${x1} ${y1}A${ARROW_RADIUS} ${ARROW_RADIUS} 0 0 ${isClockwise ? 1 : 0} ${x2} ${y2}M${xa} ${ya}L${x2} ${y2}L${xb} ${yb}`}
      fill="none"
      stroke="var(--marker)"
      strokeWidth={3.5}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/** Which way the top of the wheel has to lean, seen from behind. */
export function CamberArrow({ marked, one, x, y }: ArrowProps) {
  const change = marked?.change ?? null;
  if (change === null || change === 0) return null;
  const isOutward = change > 0;
  const way = isOutward === (one.side === 'left') ? -1 : 1;
  return (
    <path
      d={`M${x - way * 14} ${y}H${x + way * 14}m${-way * 7} -6l${way * 7} 6l${-way * 7} 6`}
      fill="none"
      stroke="var(--marker)"
      strokeWidth={3}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}
