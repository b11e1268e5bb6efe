import type { Study } from '@keen/contract';
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
import { t } from '../../words/gauges.ts';

const HEIGHT = 300;
/** More names than these do not stand beside one another. */
const MOST_NAMED = 4;
/** People of one mark stand beside one another, not on one another. */
const APART = 0.16;
/** A dot's shape says whose it is, beside its ink. */
const SHAPES = [
  { shape: 'circle', ink: 'var(--ink)' },
  { shape: 'diamond', ink: 'var(--marker)' },
  { shape: 'square', ink: 'var(--rubber)' },
  { shape: 'triangle', ink: 'var(--soft)' },
  { shape: 'cross', ink: 'var(--ink)' },
] as const;

/** Each reading less the mean of its mark: who reads deep, who scatters, which mark is hard. */
export function StudyChart({ study, names }: { study: Study; names: readonly string[] }) {
  const { marks, readings } = study;
  const means = marks.map((_, mark) => {
    const own = readings.filter((one) => one.mark === mark);
    return own.reduce((sum, { mm }) => sum + mm, 0) / (own.length || 1);
  });
  const off = readings.map((one) => ({ ...one, off: one.mm - means[one.mark]! }));
  const far = Math.max(0.2, ...off.map((one) => Math.abs(one.off)));
  const top = Math.ceil(far * 5) / 5;
  return (
    <Box>
      <Box
        component="ul"
        aria-label={t('studyChart.people')}
        sx={{ listStyle: 'none', m: 0, mb: 0.5, p: 0, display: 'flex', gap: 2.5, flexWrap: 'wrap' }}
      >
        {names.map((name, i) => (
          <Box
            component="li"
            key={name + String(i)}
            sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}
          >
            <Dot person={i} />
            {name}
          </Box>
        ))}
      </Box>
      <Box
        role="img"
        aria-label={names
          .map((name, i) => `${name}: ${spoken(off.filter(({ person }) => person === i))}`)
          .join('; ')}
        sx={{ height: HEIGHT, fontSize: '0.8rem' }}
      >
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart
            accessibilityLayer={false}
            margin={{ top: 8, right: 8, bottom: 8, left: 0 }}
          >
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              dataKey="x"
              type="number"
              domain={[0.5, marks.length + 0.5]}
              ticks={marks.map((_, mark) => mark + 1)}
              interval={0}
              tickFormatter={(mark: number) => shortName(marks, mark - 1)}
              stroke="var(--soft)"
              tick={{ fill: 'var(--soft)' }}
            />
            <YAxis
              dataKey="off"
              type="number"
              width={44}
              domain={[-top, top]}
              tickFormatter={(value: number) => value.toFixed(1).replace('-', '−')}
              stroke="var(--soft)"
              tick={{ fill: 'var(--soft)' }}
            />
            <ReferenceLine y={0} stroke="var(--control)" />
            {names.map((name, i) => (
              <Scatter
                key={name + String(i)}
                isAnimationActive={false}
                data={off
                  .filter(({ person }) => person === i)
                  .map((one) => ({
                    x: one.mark + 1 + (i - (names.length - 1) / 2) * APART,
                    off: one.off,
                  }))}
                shape={<Mark person={i} />}
              />
            ))}
          </ScatterChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}

const SIZE = 4.2;
const PATHS: Record<(typeof SHAPES)[number]['shape'], string> = {
  circle: `M${-SIZE} 0a${SIZE} ${SIZE} 0 1 0 ${2 * SIZE} 0a${SIZE} ${SIZE} 0 1 0 ${-2 * SIZE} 0z`,
  diamond: 'M0-5.6 5.6 0 0 5.6-5.6 0z',
  square: 'M-3.8-3.8h7.6v7.6h-7.6z',
  triangle: 'M0-5 5 4h-10z',
  cross: 'M-5-1.4h3.6v-3.6h2.8v3.6h3.6v2.8h-3.6v3.6h-2.8v-3.6h-3.6z',
};

function Mark({ person, cx = 0, cy = 0 }: { person: number; cx?: number; cy?: number }) {
  const { shape, ink } = SHAPES[person]!;
  return <path d={PATHS[shape]} transform={`translate(${cx} ${cy})`} fill={ink} opacity={0.85} />;
}

function Dot({ person }: { person: number }) {
  return (
    <svg width={14} height={14} viewBox="-7 -7 14 14" aria-hidden>
      <Mark person={person} />
    </svg>
  );
}

/** Many marks are called by their number, as in the table. */
function shortName(marks: readonly string[], at: number): string {
  const name = marks[at] ?? '';
  return marks.length > MOST_NAMED ? String(at + 1) : name;
}

function spoken(off: readonly { off: number }[]): string {
  if (off.length === 0) return t('studyChart.noReadingYet');
  const mean = off.reduce((sum, one) => sum + one.off, 0) / off.length;
  const low = Math.min(...off.map((one) => one.off));
  const high = Math.max(...off.map((one) => one.off));
  return t('studyChart.onAverageTo', {
    mean: mean.toFixed(2),
    low: low.toFixed(2),
    high: high.toFixed(2),
  });
}
