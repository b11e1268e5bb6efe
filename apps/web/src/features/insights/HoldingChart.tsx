import type { Comebacks, Units } from '@keen/contract';
import { distanceFromKm } from '@keen/core';
import Box from '@mui/material/Box';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { showFar, showWhole } from '../../shared/format.ts';
import { roundTicks } from '../../shared/roundTicks.ts';
import { percent } from './bandWords.ts';
import { t } from '../../words/insights.ts';

const HEIGHT = 260;
const FULL = 100;

interface HoldingChartProps {
  work: Comebacks['works'][number];
  withinKm: number;
  units: Units;
}

/** What part of some work still holds against the distance run since, with its band. */
export function HoldingChart({ work, withinKm, units }: HoldingChartProps) {
  const far = (km: number) => distanceFromKm(km, units.distance);
  const last = Math.max(withinKm, ...work.steps.map(({ km }) => km));
  const rows = [
    { distance: 0, held: FULL, band: [FULL, FULL] },
    ...work.steps.map(({ km, held, low, high }) => ({
      distance: far(km),
      held: FULL * held,
      band: [FULL * low, FULL * high],
    })),
  ];
  const end = rows.at(-1)!;
  if (end.distance < far(last)) rows.push({ ...end, distance: far(last) });
  const ticks = roundTicks(far(last));
  const axis = { stroke: 'var(--soft)', tick: { fill: 'var(--soft)' } };
  const spoken = work.steps
    .map(({ km, held }) => `${showFar(km, units.distance)} ${units.distance}: ${percent(held)}`)
    .join('; ');
  return (
    <Box
      role="img"
      aria-label={
        spoken === ''
          ? t('holdingChart.allOfItStill')
          : t('holdingChart.stillHoldsAfter', { spoken })
      }
      sx={{ height: HEIGHT, fontSize: '0.8rem' }}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          accessibilityLayer={false}
          data={rows}
          margin={{ top: 8, right: 16, bottom: 16, left: 0 }}
        >
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="distance"
            type="number"
            domain={[0, ticks.at(-1)!]}
            ticks={ticks}
            tickFormatter={(value: number) => showWhole(value)}
            label={{
              value: t('holdingChart.sinceTheWork', { unit: units.distance }),
              position: 'bottom',
              offset: 0,
              fill: 'var(--soft)',
            }}
            {...axis}
          />
          <YAxis
            width={64}
            domain={[0, FULL]}
            ticks={[0, 25, 50, 75, 100]}
            label={{
              value: t('holdingChart.stillHolds'),
              angle: -90,
              position: 'insideLeft',
              fill: 'var(--soft)',
            }}
            {...axis}
          />
          <Area
            type="stepAfter"
            dataKey="band"
            stroke="none"
            fill="var(--rubber)"
            fillOpacity={0.14}
            isAnimationActive={false}
          />
          <Line
            type="stepAfter"
            dataKey="held"
            stroke="var(--rubber)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <ReferenceLine x={far(withinKm)} stroke="var(--control)" strokeDasharray="5 4" />
        </ComposedChart>
      </ResponsiveContainer>
    </Box>
  );
}
