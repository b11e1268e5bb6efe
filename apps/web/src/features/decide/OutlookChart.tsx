import { DEFAULT_LIMITS_MM, depthFromMm, distanceFromKm } from '@keen/core';
import type { DepthCurve, Outlook } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
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
import { DEPTH_UNIT_WORDS, showFar } from '../../shared/format.ts';
import { roundTicks } from '../../shared/roundTicks.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';

const HEIGHT = 280;
const CURVES = [
  { key: 'putRight', name: t('outlookChart.newPutRight'), ink: 'var(--rubber)', dash: undefined },
  { key: 'asIs', name: t('outlookChart.newAsIs'), ink: 'var(--marker)', dash: '7 4' },
  { key: 'old', name: t('outlookChart.onItNow'), ink: 'var(--soft)', dash: '2 3' },
] as const;

/** Depth of the lowest rib against distance, each with the band that holds it eight times in ten. */
export function OutlookChart({ outlook }: { outlook: Outlook }) {
  const { units, draft, session } = useVisit();
  const limits = draft.limits ?? {};
  const snowMm = session.shop.settings.limits.snow;
  const { curves } = outlook;
  const depth = (mm: number) => depthFromMm(mm, units.depth);
  const shown: Record<(typeof CURVES)[number]['key'], DepthCurve | null> = {
    putRight: curves.newPutRight,
    asIs: curves.newAsIs,
    old: curves.oldAsIs,
  };
  const points = curves.newPutRight.km.map((km, i) => {
    const point: Record<string, number | [number, number]> = {
      distance: distanceFromKm(km, units.distance),
    };
    for (const { key } of CURVES) {
      const curve = shown[key];
      if (!curve || isGone(curve, i)) continue;
      const { low, median, high } = curve.mm[i]!;
      point[key] = depth(median);
      point[`${key}Band`] = [depth(low), depth(high)];
    }
    return point;
  });
  const ticks = roundTicks(distanceFromKm(curves.newPutRight.km.at(-1)!, units.distance));
  const unit = DEPTH_UNIT_WORDS[units.depth];
  const life = (course: 'fitOnly' | 'partsThenAlign') =>
    showFar(outlook.courses.find((one) => one.course === course)!.lifeKm.median, units.distance);
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography variant="h3" component="figcaption" color="textSecondary" sx={{ mb: 0.5 }}>
        {t('outlookChart.depthOfTheLowest', { unit, distance: units.distance })}
      </Typography>
      <Box
        role="img"
        aria-label={t('outlookChart.newTiresReachThe', {
          life: life('fitOnly'),
          distance: units.distance,
          life2: life('partsThenAlign'),
        })}
      >
        <Box aria-hidden sx={{ height: HEIGHT, fontSize: '0.8rem' }}>
          <ResponsiveContainer width="100%" height="100%">
            <ComposedChart
              accessibilityLayer={false}
              data={points}
              margin={{ top: 8, right: 64, bottom: 8, left: 0 }}
            >
              <CartesianGrid stroke="var(--hairline)" vertical={false} />
              <XAxis
                dataKey="distance"
                type="number"
                domain={[0, ticks.at(-1)!]}
                ticks={ticks}
                tickFormatter={(value: number) =>
                  value === 0 ? '0' : `${(value / 1000).toFixed(0)} 000`
                }
                stroke="var(--soft)"
                tick={{ fill: 'var(--soft)' }}
              />
              <YAxis
                width={36}
                domain={[0, Math.ceil(depth(outlook.newDepthMm))]}
                stroke="var(--soft)"
                tick={{ fill: 'var(--soft)' }}
              />
              {CURVES.map(({ key, ink }) => (
                <Area
                  key={`${key}Band`}
                  dataKey={`${key}Band`}
                  stroke="none"
                  fill={ink}
                  fillOpacity={0.13}
                  isAnimationActive={false}
                />
              ))}
              {CURVES.map(({ key, ink, dash }) => (
                <Line
                  key={key}
                  dataKey={key}
                  stroke={ink}
                  strokeWidth={2.2}
                  {...(dash ? { strokeDasharray: dash } : {})}
                  dot={false}
                  isAnimationActive={false}
                />
              ))}
              <ReferenceLine
                y={depth(limits.legal ?? DEFAULT_LIMITS_MM.legal)}
                stroke="var(--ink)"
                strokeDasharray="4 3"
                label={{ value: 'legal', position: 'right', fill: 'var(--ink)' }}
              />
              <ReferenceLine
                y={depth(limits.advise ?? DEFAULT_LIMITS_MM.advise)}
                stroke="var(--soft)"
                strokeDasharray="1 3"
                label={{ value: 'advised', position: 'right', fill: 'var(--soft)' }}
              />
              <ReferenceLine
                y={depth(snowMm)}
                stroke="var(--soft)"
                strokeDasharray="1 6"
                label={{ value: t('outlookChart.onSnow'), position: 'right', fill: 'var(--soft)' }}
              />
            </ComposedChart>
          </ResponsiveContainer>
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 2.5, flexWrap: 'wrap', fontSize: '0.85rem' }} aria-hidden>
        {CURVES.filter(({ key }) => shown[key]).map(({ key, name, ink, dash }) => (
          <Box key={key} sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
            <svg width={30} height={10}>
              <line
                x1={0}
                x2={30}
                y1={5}
                y2={5}
                stroke={ink}
                strokeWidth={2.2}
                {...(dash ? { strokeDasharray: dash } : {})}
              />
            </svg>
            {name}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Once even the best of the band is worn away there is nothing left to draw. */
function isGone({ mm }: DepthCurve, i: number): boolean {
  return i > 0 && mm[i - 1]!.high <= 0;
}
