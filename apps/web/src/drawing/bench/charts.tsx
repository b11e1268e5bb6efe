import { whereWords } from '../../words/pageTexts.ts';
import { camberInTurn, InputError, rideHeight } from '@keen/core';
import Box from '@mui/material/Box';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { RideHeightDrawing } from './fromBehind.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';

interface Series {
  key: string;
  name: string;
  dashed?: boolean;
}

interface AngleChartProps {
  points: readonly Record<string, number>[];
  x: { key: string; words: string; unit: string; ticks: readonly number[] };
  series: readonly Series[];
  /** Where the car stands now. */
  now: Record<string, number>;
  label: string;
}

/** Angles over a range, in the ink of the drawings. */
export function AngleChart({ points, x, series, now, label }: AngleChartProps) {
  const yTicks = wholeTicks(points.flatMap((point) => series.map(({ key }) => point[key]!)));
  return (
    <Box role="img" aria-label={label} sx={{ maxWidth: 560, fontSize: '0.8rem' }}>
      <Box aria-hidden sx={{ height: 230 }}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            accessibilityLayer={false}
            data={[...points]}
            margin={{ top: 8, right: 16, bottom: 22, left: 0 }}
          >
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              dataKey={x.key}
              type="number"
              domain={[x.ticks[0]!, x.ticks.at(-1)!]}
              ticks={[...x.ticks]}
              tickFormatter={(value: number) => String(Number(value.toFixed(1)))}
              stroke="var(--soft)"
              tick={{ fill: 'var(--soft)' }}
              label={{ value: `${x.words}, ${x.unit}`, position: 'bottom', fill: 'var(--soft)' }}
            />
            <YAxis
              stroke="var(--soft)"
              tick={{ fill: 'var(--soft)' }}
              width={44}
              domain={[yTicks[0]!, yTicks.at(-1)!]}
              ticks={yTicks}
              tickFormatter={(value: number) => `${value}°`}
            />
            <ReferenceLine y={0} stroke="var(--ink)" />
            {series.map(({ key, name, dashed }) => (
              <Line
                key={key}
                dataKey={key}
                name={name}
                stroke="var(--rubber)"
                strokeWidth={2.4}
                {...(dashed ? { strokeDasharray: '6 4' } : {})}
                dot={false}
                isAnimationActive={false}
              />
            ))}
            {series.map(({ key }) => (
              <ReferenceDot
                key={key}
                x={now[x.key]!}
                y={now[key]!}
                r={6}
                fill="var(--marker)"
                stroke="var(--sheet)"
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </Box>
      <Box sx={{ display: 'flex', gap: 2.5, pl: 5, color: 'text.secondary' }}>
        {series.map(({ key, name, dashed }) => (
          <span key={key}>
            {dashed ? '- - ' : '— '}
            {name}
          </span>
        ))}
      </Box>
    </Box>
  );
}

/** Steering range that a front wheel takes, degrees. */
const STEER_RANGE = Array.from({ length: 37 }, (_, i) => -36 + 2 * i);

export function CamberInTurnDrawing({ input, output }: ToolDrawing<'camberInTurn'>) {
  const points = STEER_RANGE.flatMap((steer) => {
    const camber = attempt(() => camberInTurn({ ...input, steer }).camber);
    return camber === null ? [] : [{ steer, camber }];
  });
  return (
    <AngleChart
      points={points}
      x={{
        key: 'steer',
        words: t('charts.frontAwayFromThe'),
        unit: '°',
        ticks: [-36, -24, -12, 0, 12, 24, 36],
      }}
      series={[{ key: 'camber', name: 'camber' }]}
      now={{ steer: input.steer, camber: output.camber }}
      label={t('charts.camberThroughTheSteering', {
        camber: output.camber.toFixed(2),
        steer: input.steer,
      })}
    />
  );
}

/** Both front wheels through a turn of the car, each on its own side of it. */
export function FrontCamberInTurns({
  wheels,
}: {
  wheels: readonly { key: 'lf' | 'rf'; camber: number; caster: number; sai: number }[];
}) {
  const points = STEER_RANGE.flatMap((turn) => {
    const at = wheels.map(({ key, ...angles }) => [
      key,
      // Turning right brings the left wheel's front toward the car, the right one's away from it.
      attempt(() => camberInTurn({ ...angles, steer: key === 'lf' ? turn : -turn }).camber),
    ]);
    if (at.some(([, camber]) => camber === null)) return [];
    return [{ turn, ...Object.fromEntries(at) } as Record<string, number>];
  });
  const now = Object.fromEntries(wheels.map(({ key, camber }) => [key, camber]));
  return (
    <AngleChart
      points={points}
      x={{
        key: 'turn',
        words: t('charts.turningLeftWheelsSteered'),
        unit: '°',
        ticks: [-36, -24, -12, 0, 12, 24, 36],
      }}
      series={wheels.map(({ key }) => ({
        key,
        name: whereWords(key),
        dashed: key === 'rf',
      }))}
      now={{ turn: 0, ...now }}
      label={t('charts.camberOfTheFront')}
    />
  );
}

/** The swing on the same chart as camber in a turn: two readings and the line through them. */
export function SwingDrawing({ input, output }: ToolDrawing<'casterFromSwing'>) {
  return (
    <AngleChart
      points={[
        { steer: -input.angle, camber: input.camberTurnedOut },
        { steer: input.angle, camber: input.camberTurnedIn },
      ]}
      x={{
        key: 'steer',
        words: t('charts.frontAwayFromTheCar'),
        unit: '°',
        ticks: [-input.angle, 0, input.angle],
      }}
      series={[
        {
          key: 'camber',
          name: t('charts.camberSteeper', { caster: output.caster.toFixed(2) }),
        },
      ]}
      now={{ steer: input.angle, camber: input.camberTurnedIn }}
      label={t('charts.camberAtBothTurns', { caster: output.caster.toFixed(2) })}
    />
  );
}

const HEIGHTS = Array.from({ length: 33 }, (_, i) => -80 + 5 * i);

export function RideHeightSheet(props: ToolDrawing<'rideHeight'>) {
  const { input, output } = props;
  const points = HEIGHTS.flatMap((change) => {
    const found = attempt(() => rideHeight({ ...input, change }));
    return found ? [{ change, camber: found.camberChange, toe: found.toeChange }] : [];
  });
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <RideHeightDrawing {...props} />
      <AngleChart
        points={points}
        x={{ key: 'change', words: t('charts.bodyUp'), unit: 'mm', ticks: [-80, -40, 0, 40, 80] }}
        series={[
          { key: 'camber', name: t('charts.camberChange') },
          { key: 'toe', name: t('charts.toeChange'), dashed: true },
        ]}
        now={{ change: input.change, camber: output.camberChange, toe: output.toeChange }}
        label={t('charts.camberAndToeAgainst')}
      />
    </Box>
  );
}

/** Whole degrees around all values and zero, five or so of them. */
function wholeTicks(values: readonly number[]): number[] {
  const low = Math.min(0, ...values);
  const high = Math.max(0, ...values);
  const step = [0.5, 1, 2, 5, 10, 20].find((size) => (high - low) / size <= 6) ?? 40;
  const first = Math.floor(low / step);
  const count = Math.max(1, Math.ceil(high / step) - first);
  return Array.from({ length: count + 1 }, (_, i) => (first + i) * step);
}

/** A value, or null where the geometry cannot exist. */
function attempt<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
