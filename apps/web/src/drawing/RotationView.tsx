import type { RotationPlan } from '@keen/core';
import { WHEELS_OF_AXLE } from '@keen/core';
import type { Wheel } from '@keen/contract';
import { WHEELS } from '@keen/contract';
import { t } from '../words/drawing.ts';
import { whereWords } from '../words/pageTexts.ts';

const WIDTH = 300;
const HEIGHT = 190;
const TIRE = { width: 92, height: 26 };
const X = { left: 60, right: WIDTH - 60 };
const Y = { front: 38, rear: HEIGHT - 38 };

const PLACE = {} as Record<Wheel, { x: number; y: number }>;
for (const axle of ['front', 'rear'] as const) {
  const [left, right] = WHEELS_OF_AXLE[axle];
  PLACE[left] = { x: X.left, y: Y[axle] };
  PLACE[right] = { x: X.right, y: Y[axle] };
}

/** Moves between the two axle sections: three ribs a tire, an arrow from where it is to where it goes. */
export function RotationView({ plan }: { plan: RotationPlan }) {
  const moves = WHEELS.map((from) => ({ from, to: plan.moves[from] }));
  const words = moves
    .map(({ from, to }) => t('rotationView.to', { from: whereWords(from), to: whereWords(to) }))
    .join(', ');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={t('rotationView.tiresChangePlaces', { words })}
      style={{ display: 'block', maxWidth: 340 }}
    >
      <defs>
        <marker
          id="rotation-arrow"
          viewBox="0 0 10 10"
          refX="8"
          refY="5"
          markerWidth="7"
          markerHeight="7"
          orient="auto-start-reverse"
        >
          <path d="M0 0 10 5 0 10z" fill="var(--marker)" />
        </marker>
      </defs>
      {moves.map(({ from, to }) => (
        <path
          key={from}
          d={pathOf(from, to)}
          fill="none"
          stroke="var(--marker)"
          strokeWidth={2}
          markerEnd="url(#rotation-arrow)"
        />
      ))}
      {WHEELS.map((wheel) => (
        <g key={wheel}>
          {[0, 1, 2].map((rib) => (
            <rect
              key={rib}
              x={PLACE[wheel].x - TIRE.width / 2 + (rib * TIRE.width) / 3 + 1}
              y={PLACE[wheel].y - TIRE.height / 2}
              width={TIRE.width / 3 - 2}
              height={TIRE.height}
              fill="var(--rubber)"
            />
          ))}
          <text
            x={PLACE[wheel].x}
            y={PLACE[wheel].y + (wheel.endsWith('f') ? -19 : 28)}
            fontSize={12}
            textAnchor="middle"
            fill="var(--ink)"
          >
            {whereWords(wheel)}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Beside one another where two tires change places, so that both arrows are seen. */
function pathOf(from: Wheel, to: Wheel): string {
  const [a, b] = [PLACE[from], PLACE[to]];
  const gap = TIRE.height / 2 + 3;
  if (a.y === b.y) {
    // Along the axle: one above, one below.
    const lift = a.x < b.x ? -7 : 7;
    const side = a.x < b.x ? 1 : -1;
    const reach = (TIRE.width / 2 + 3) * side;
    return `M${a.x + reach} ${a.y + lift}L${b.x - reach} ${b.y + lift}`;
  }
  const down = a.y < b.y ? 1 : -1;
  const shift = a.x === b.x ? 9 * down : 24 * down;
  return `M${a.x + shift} ${a.y + gap * down}L${b.x + (a.x === b.x ? shift : 0)} ${b.y - gap * down}`;
}
