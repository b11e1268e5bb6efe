import type { Feather, Side } from '@keen/contract';

/**
 * The ribs' edge as the hand meets it, seen from behind: teeth whose sharp side faces the hand that is
 * caught, mirrored between left and right, or a plain line.
 */
export function ToothMark({ felt, side }: { felt: Exclude<Feather, 'unknown'>; side: Side }) {
  // Catching outward, the sharp side looks toward the car: to the right on a left wheel.
  const isMirrored = (felt === 'catchesOutward') !== (side === 'left');
  return (
    <svg width={34} height={14} aria-hidden style={{ display: 'block', flexShrink: 0 }}>
      {felt === 'none' ? (
        <rect x={1} y={5} width={32} height={8} fill="currentColor" />
      ) : (
        <path
          d="M1 13L12 3V13L23 3V13L33 3V13Z"
          fill="currentColor"
          transform={isMirrored ? 'translate(34 0) scale(-1 1)' : undefined}
        />
      )}
    </svg>
  );
}
