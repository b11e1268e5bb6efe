import type { ForecastsHeld } from '@keen/contract';
import { AgainstChart } from '../../shared/AgainstChart.tsx';
import { t } from '../../words/insights.ts';

interface ForecastChartProps {
  points: ForecastsHeld['points'];
  /** mm in the reader's unit. */
  depth: (mm: number) => number;
}

/** Each car's worst rib, what it lost against the forecast. */
export function ForecastChart({ points, depth }: ForecastChartProps) {
  const shown = points.map(({ forecast, found }) => ({
    said: Math.max(0, depth(forecast)),
    // A reading may be above the one before by the gauge's error.
    found: Math.max(0, depth(found)),
  }));
  return (
    <AgainstChart
      points={shown}
      ticks={depthTicks(Math.max(1, ...shown.flatMap(({ said, found }) => [said, found])))}
      saidLabel="forecast"
      foundLabel="read"
      label={t('forecastChart.carsWhatTheyLost', { length: points.length })}
    />
  );
}

const STEPS = [0.5, 1, 2, 5, 10];
const MOST_TICKS = 6;

/** From 0 in round steps to what holds all of it. */
function depthTicks(most: number): number[] {
  const step = STEPS.find((one) => most / one <= MOST_TICKS) ?? STEPS.at(-1)!;
  return Array.from({ length: Math.ceil(most / step) + 1 }, (_, i) => i * step);
}
