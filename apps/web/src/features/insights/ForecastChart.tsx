import type { ForecastsHeld } from '@keen/contract';
import Box from '@mui/material/Box';
import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';

const HEIGHT = 280;

interface ForecastChartProps {
  points: ForecastsHeld['points'];
  /** mm in the reader's unit. */
  depth: (mm: number) => number;
}

/** Each car's worst rib, what it lost against what was foretold; on the line both are one. */
export function ForecastChart({ points, depth }: ForecastChartProps) {
  const data = points.map(({ foretold, found }) => ({
    foretold: Math.max(0, depth(foretold)),
    // A reading may be above the one before by the gauge's error.
    found: Math.max(0, depth(found)),
  }));
  const ticks = depthTicks(Math.max(1, ...data.flatMap((one) => [one.foretold, one.found])));
  const top = ticks.at(-1)!;
  const axis = {
    type: 'number',
    domain: [0, top],
    ticks,
    stroke: 'var(--soft)',
    tick: { fill: 'var(--soft)' },
  } as const;
  return (
    <Box
      role="img"
      aria-label={`${points.length} cars, what they lost against what was foretold`}
      sx={{ height: HEIGHT, fontSize: '0.8rem' }}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart
          accessibilityLayer={false}
          margin={{ top: 8, right: 12, bottom: 16, left: 0 }}
        >
          <CartesianGrid stroke="var(--hairline)" />
          <XAxis
            dataKey="foretold"
            {...axis}
            label={{ value: 'foretold', position: 'bottom', offset: 0, fill: 'var(--soft)' }}
          />
          <YAxis
            dataKey="found"
            width={64}
            {...axis}
            label={{ value: 'read', angle: -90, position: 'insideLeft', fill: 'var(--soft)' }}
          />
          <ReferenceLine
            segment={[
              { x: 0, y: 0 },
              { x: top, y: top },
            ]}
            stroke="var(--control)"
            strokeDasharray="5 4"
          />
          <Scatter
            isAnimationActive={false}
            fill="var(--rubber)"
            fillOpacity={0.7}
            data={data}
            shape={<circle r={3} />}
          />
        </ScatterChart>
      </ResponsiveContainer>
    </Box>
  );
}

const STEPS = [0.5, 1, 2, 5, 10];
const MOST_TICKS = 6;

/** From 0 in round steps to what holds all of it. */
function depthTicks(most: number): number[] {
  const step = STEPS.find((one) => most / one <= MOST_TICKS) ?? STEPS.at(-1)!;
  return Array.from({ length: Math.ceil(most / step) + 1 }, (_, i) => i * step);
}
