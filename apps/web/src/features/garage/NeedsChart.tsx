import { needsByMonth } from '@keen/core';
import type { RunningCar } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import {
  Bar,
  BarChart,
  CartesianGrid,
  ErrorBar,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { t } from '../../words/garage.ts';

const MONTHS = 12;
const HEIGHT = 200;

/** Cars that come to need tires, month by month: the expected number, and eight times in ten. */
export function NeedsChart({ cars, today }: { cars: readonly RunningCar[]; today: string }) {
  const needs = needsByMonth(cars, today, MONTHS);
  const most = Math.max(1, ...needs.map(({ high, mean }) => Math.max(high, Math.ceil(mean))));
  const said = needs
    .map(({ month, mean, low, high }) =>
      t('needsChart.to', { month, mean: mean.toFixed(1), low, high }),
    )
    .join('; ');
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography variant="h3" component="figcaption" color="textSecondary" sx={{ mb: 0.5 }}>
        {t('needsChart.carsThatComeTo')}
      </Typography>
      <Box role="img" aria-label={said} sx={{ height: HEIGHT, fontSize: '0.8rem' }}>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            accessibilityLayer={false}
            data={needs.map(({ month, mean, low, high }) => ({
              month: dayjs(`${month}-01`).format('MMM YY'),
              cars: mean,
              spread: [Math.max(0, mean - low), Math.max(0, high - mean)],
            }))}
            margin={{ top: 8, right: 8, bottom: 0, left: 0 }}
          >
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="month" stroke="var(--soft)" tick={{ fill: 'var(--soft)' }} />
            <YAxis
              width={32}
              domain={[0, most]}
              allowDecimals={false}
              stroke="var(--soft)"
              tick={{ fill: 'var(--soft)' }}
            />
            <Bar dataKey="cars" fill="var(--rubber)" isAnimationActive={false}>
              <ErrorBar dataKey="spread" stroke="var(--ink)" strokeWidth={1.4} width={5} />
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}
