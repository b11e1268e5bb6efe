import type { Axle, Cause } from '@keen/contract';
import { t } from '../words/drawing.ts';
import { term } from '../words/terms.ts';

interface PostureProps {
  axle: Axle;
  /** Seen from above: half the total toe of each wheel, degrees, toe-in positive. */
  toeDeg?: { left: number; right: number };
  /** Seen from behind: camber, degrees, top outward positive. */
  camberDeg?: { left: number; right: number };
  /** Standard deviation of each, degrees: drawn as faint outlines on both sides. */
  sdDeg?: { left: number; right: number };
  /** Which edge or part of the tire is being eaten. */
  eaten: Cause | null;
  /** The one wheel that is spoken of; null for both. */
  only?: 'left' | 'right' | null;
  label: string;
}

const WIDTH = 232;
const HEIGHT = 122;
const TIRE = { width: 34, height: 78 };
/** A degree is drawn this much larger, and no further than this. */
const EXAGGERATION = { toe: 16, camber: 5 };
const MOST_DEG = 17;

/** The wheels as the tread says they have been standing, exaggerated. */
export function WheelPosture(props: PostureProps) {
  const { axle, toeDeg, camberDeg, sdDeg, eaten, only = null, label } = props;
  const fromAbove = toeDeg !== undefined;
  const angles = toeDeg ?? camberDeg ?? { left: 0, right: 0 };
  // Toe-in turns the left wheel clockwise seen from above; a top leaning out turns it the other way
  // seen from behind.
  const factor = fromAbove ? EXAGGERATION.toe : -EXAGGERATION.camber;
  const drawn = (degrees: number) => Math.max(-MOST_DEG, Math.min(MOST_DEG, degrees * factor));
  const y = HEIGHT / 2;
  const turnsOf = (mean: number, sd: number | undefined, sign: 1 | -1) => ({
    mean: sign * drawn(mean),
    ends: sd === undefined ? [] : [mean - sd, mean + sd].map((end) => sign * drawn(end)),
  });
  const wheels = [
    { x: 46, turns: turnsOf(angles.left, sdDeg?.left, 1), outer: -1 },
    { x: WIDTH - 46, turns: turnsOf(angles.right, sdDeg?.right, -1), outer: 1 },
  ] as const;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: WIDTH, display: 'block' }}
      role="img"
      aria-label={label}
    >
      {fromAbove ? (
        <path
          d={`M${WIDTH / 2} ${y + 42}V${y - 42}m-6 10l6 -10l6 10`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      ) : (
        <line x1={6} x2={WIDTH - 6} y1={y + 44} y2={y + 44} stroke="var(--ink)" strokeWidth={1.5} />
      )}
      <line x1={46} x2={WIDTH - 46} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
      {wheels.flatMap(({ x, turns }) =>
        turns.ends.map((turn, i) => (
          <rect
            key={`${x} ${i}`}
            x={x - TIRE.width / 2}
            y={y - TIRE.height / 2}
            width={TIRE.width}
            height={TIRE.height}
            rx={5}
            transform={`rotate(${turn} ${x} ${y})`}
            fill="var(--rubberPale)"
            opacity={0.35}
          />
        )),
      )}
      {wheels.map(({ x, turns, outer }) => (
        <g key={outer} transform={`rotate(${turns.mean} ${x} ${y})`}>
          <rect
            x={x - TIRE.width / 2}
            y={y - TIRE.height / 2}
            width={TIRE.width}
            height={TIRE.height}
            rx={5}
            fill="var(--rubber)"
          />
          {(only === null || only === (outer < 0 ? 'left' : 'right')
            ? eatenParts(eaten, outer)
            : []
          ).map((at) => (
            <rect
              key={at}
              x={x + at * (TIRE.width / 3) - TIRE.width / 6}
              y={y - TIRE.height / 2}
              width={TIRE.width / 3}
              height={TIRE.height}
              rx={3}
              fill="var(--marker)"
            />
          ))}
        </g>
      ))}
      <text x={WIDTH / 2} y={HEIGHT - 2} fontSize={11} fill="var(--soft)" textAnchor="middle">
        {fromAbove
          ? t('wheelPosture.axleFromAbove', { axle: term(`axle.${axle}`) })
          : t('wheelPosture.axleFromBehind', { axle: term(`axle.${axle}`) })}
      </text>
    </svg>
  );
}

/** Thirds of a tire that a cause eats, -1 left to +1 right as drawn. */
function eatenParts(cause: Cause | null, outer: -1 | 1): number[] {
  switch (cause) {
    case 'toeTooFarIn':
    case 'camberTooPositive':
    case 'hardCornering':
      return [outer];
    case 'toeTooFarOut':
    case 'camberTooNegative':
      return [-outer];
    case 'pressureLow':
      return [-1, 1];
    case 'pressureHigh':
      return [0];
    default:
      return [];
  }
}
