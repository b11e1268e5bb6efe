import Box from '@mui/material/Box';
import {
  CartesianGrid,
  ErrorBar,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';

/** What was said of something and what became of it; with how far off it may be, below and above. */
export interface SaidAndFound {
  said: number;
  found: number;
  spread?: [below: number, above: number];
}

interface AgainstChartProps {
  points: readonly SaidAndFound[];
  /** From 0 up, the same both ways. */
  ticks: readonly number[];
  saidLabel: string;
  foundLabel: string;
  /** All of it in words, for people who cannot see the chart. */
  label: string;
}

export const AGAINST_HEIGHT = 280;

/** What was found against what was said; on the dashed line both are one. */
export function AgainstChart({ points, ticks, saidLabel, foundLabel, label }: AgainstChartProps) {
  const top = ticks.at(-1)!;
  const axis = {
    type: 'number',
    domain: [0, top],
    ticks: [...ticks],
    stroke: 'var(--soft)',
    tick: { fill: 'var(--soft)' },
  } as const;
  const hasSpread = points.some(({ spread }) => spread !== undefined);
  return (
    <Box role="img" aria-label={label} sx={{ height: AGAINST_HEIGHT, fontSize: '0.8rem' }}>
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart
          accessibilityLayer={false}
          margin={{ top: 8, right: 12, bottom: 16, left: 0 }}
        >
          <CartesianGrid stroke="var(--hairline)" />
          <XAxis
            dataKey="said"
            {...axis}
            label={{ value: saidLabel, position: 'bottom', offset: 0, fill: 'var(--soft)' }}
          />
          <YAxis
            dataKey="found"
            width={64}
            {...axis}
            label={{ value: foundLabel, angle: -90, position: 'insideLeft', fill: 'var(--soft)' }}
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
            // Many points without a spread lie on one another.
            fillOpacity={hasSpread ? 1 : 0.7}
            data={[...points]}
            shape={<circle r={hasSpread ? 4 : 3} />}
          >
            {hasSpread && (
              <ErrorBar
                dataKey="spread"
                direction="y"
                stroke="var(--ink)"
                strokeWidth={1.4}
                width={5}
              />
            )}
          </Scatter>
        </ScatterChart>
      </ResponsiveContainer>
    </Box>
  );
}
