import { showDegrees } from '../shared/format.ts';
import { t } from '../words/drawing.ts';

interface SteeringProps {
  /** Where the rack and the rods are. */
  rack: 'ahead' | 'behind';
  /** Toe of each front wheel, degrees, toe-in positive. */
  toe: { lf: number; rf: number };
  label: string;
}

const WIDTH = 420;
const HEIGHT = 208;
const AXLE_Y = 92;
const TIRE = { width: 40, height: 104 } as const;
const WHEEL_X = 58;
/** Where the steering arm ends, seen from the middle of the wheel, and the rack's end. */
const ARM = { x: 34, y: 42 } as const;
const RACK_X = 168;
/** A degree is drawn this much larger. */
const EXAGGERATION = 16;
const MOST_DEG = 14;

/** Both front wheels from above with rack and rods, the toe exaggerated. */
export function SteeringFromAbove({ rack, toe, label }: SteeringProps) {
  const rackY = AXLE_Y + (rack === 'behind' ? ARM.y : -ARM.y);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: 520 }}
    >
      <line
        x1={WHEEL_X + ARM.x}
        x2={WIDTH - WHEEL_X - ARM.x}
        y1={AXLE_Y}
        y2={AXLE_Y}
        stroke="var(--hairline)"
        strokeWidth={2}
      />
      <rect
        x={RACK_X}
        y={rackY - 7}
        width={WIDTH - 2 * RACK_X}
        height={14}
        rx={3}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <LeftSide toe={toe.lf} rackY={rackY} />
      <g transform={`translate(${WIDTH} 0) scale(-1 1)`}>
        <LeftSide toe={toe.rf} rackY={rackY} />
      </g>
      <path
        d={`M${WIDTH / 2} ${AXLE_Y + 24}v-48m-6 10l6 -10l6 10`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {(['lf', 'rf'] as const).map((wheel) => (
        <text
          key={wheel}
          x={wheel === 'lf' ? WHEEL_X : WIDTH - WHEEL_X}
          y={HEIGHT - 8}
          fontSize={20}
          fontWeight={700}
          fill="var(--ink)"
          textAnchor="middle"
        >
          {showDegrees(toe[wheel], 1)}
        </text>
      ))}
      <text x={WIDTH / 2} y={HEIGHT - 10} fontSize={13} fill="var(--soft)" textAnchor="middle">
        {t('steeringFromAbove.fromAboveToeDrawn')}
      </text>
    </svg>
  );
}

/** The left wheel with its arm and rod; the right one is its mirror. */
function LeftSide({ toe, rackY }: { toe: number; rackY: number }) {
  const turn = Math.max(-MOST_DEG, Math.min(MOST_DEG, toe * EXAGGERATION));
  const angle = (turn * Math.PI) / 180;
  const armY = rackY - AXLE_Y;
  // The joint turns with the wheel about its middle.
  const joint = {
    x: WHEEL_X + ARM.x * Math.cos(angle) - armY * Math.sin(angle),
    y: AXLE_Y + ARM.x * Math.sin(angle) + armY * Math.cos(angle),
  };
  return (
    <g>
      <line
        x1={RACK_X}
        y1={rackY}
        x2={joint.x}
        y2={joint.y}
        stroke="var(--marker)"
        strokeWidth={5}
      />
      <g transform={`rotate(${turn} ${WHEEL_X} ${AXLE_Y})`}>
        <rect
          x={WHEEL_X - TIRE.width / 2}
          y={AXLE_Y - TIRE.height / 2}
          width={TIRE.width}
          height={TIRE.height}
          rx={6}
          fill="var(--rubber)"
        />
        <path
          d={`M${WHEEL_X} ${AXLE_Y}h${ARM.x}v${armY}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={4}
          strokeLinejoin="round"
        />
      </g>
      <circle
        cx={joint.x}
        cy={joint.y}
        r={6}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <circle cx={RACK_X} cy={rackY} r={5} fill="var(--ink)" />
    </g>
  );
}
