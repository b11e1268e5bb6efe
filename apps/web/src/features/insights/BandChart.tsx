import type { Reliability } from '@keen/core';
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
import { bandWords } from './bandWords.ts';

const HEIGHT = 280;
const FULL = 100;
const TICKS = [0, 20, 40, 60, 80, 100];

/** Each band of chances: what came true with its interval, and the line on which chances hold. */
export function BandChart({ bands }: { bands: Reliability['bands'] }) {
  const ticks = { stroke: 'var(--soft)', tick: { fill: 'var(--soft)' }, ticks: TICKS };
  return (
    <Box
      role="img"
      aria-label={bands.map(bandWords).join('; ')}
      sx={{ height: HEIGHT, fontSize: '0.8rem' }}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart
          accessibilityLayer={false}
          margin={{ top: 8, right: 12, bottom: 16, left: 0 }}
        >
          <CartesianGrid stroke="var(--hairline)" />
          <XAxis
            dataKey="said"
            type="number"
            domain={[0, FULL]}
            {...ticks}
            label={{ value: 'said, %', position: 'bottom', offset: 0, fill: 'var(--soft)' }}
          />
          <YAxis
            dataKey="found"
            type="number"
            width={64}
            domain={[0, FULL]}
            {...ticks}
            label={{
              value: 'came true, %',
              angle: -90,
              position: 'insideLeft',
              fill: 'var(--soft)',
            }}
          />
          <ReferenceLine
            segment={[
              { x: 0, y: 0 },
              { x: FULL, y: FULL },
            ]}
            stroke="var(--control)"
            strokeDasharray="5 4"
          />
          <Scatter
            isAnimationActive={false}
            fill="var(--rubber)"
            data={bands.map(({ said, found: { part, low, high } }) => ({
              said: FULL * said,
              found: FULL * part,
              spread: [FULL * (part - low), FULL * (high - part)],
            }))}
          >
            <ErrorBar
              dataKey="spread"
              direction="y"
              stroke="var(--ink)"
              strokeWidth={1.4}
              width={5}
            />
          </Scatter>
        </ScatterChart>
      </ResponsiveContainer>
    </Box>
  );
}
