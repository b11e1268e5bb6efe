import { term } from '../../words/terms.ts';
import type { Units, Wheel } from '@keen/contract';
import type { Rib } from '@keen/contract/words';
import { RIBS } from '@keen/contract';
import { depthFromMm, distanceFromKm } from '@keen/core';
import type { CarStory, DepthCurve } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
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
import { Choice } from '../../shared/Choice.tsx';
import { roundTicks } from '../../shared/roundTicks.ts';
import { DEPTH_UNIT_WORDS, showWhole } from '../../shared/format.ts';
import { saveFile } from '../../shared/saveFile.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { chartRows, chartRowsAsCsv, lowestWheel, spokenRows } from './chartRows.ts';
import type { ChartRow } from './chartRows.ts';
import { DepthTable } from './DepthTable.tsx';
import { t } from '../../words/garage.ts';

const HEIGHT = 260;
const INK: Record<Rib, { ink: string; dash?: string }> = {
  inner: { ink: 'var(--marker)' },
  centre: { ink: 'var(--soft)', dash: '2 3' },
  outer: { ink: 'var(--rubber)', dash: '7 4' },
};

interface DepthChartProps {
  story: CarStory;
  units: Units;
  legalMm: number;
  /** Whether the way ahead is being worked out. */
  isWorking: boolean;
  /** What the model says of it; null where there is too little to say, or not yet. */
  ahead: Record<Wheel, Record<Rib, DepthCurve | null>> | null;
}

/** Depth of the three ribs of a tire against its distance: what was read, and what is to come. */
export function DepthChart({ story, units, legalMm, isWorking, ahead }: DepthChartProps) {
  const wheels = story.wheels.filter(({ tire }) => tire.points.some(({ km }) => km !== null));
  const [picked, setPicked] = useState<Wheel | null>(null);
  const [isTable, setTable] = useState(false);
  const shown = wheels.find(({ wheel }) => wheel === picked) ?? lowestWheel(wheels);
  if (!shown) return null;
  const depth = (mm: number) => depthFromMm(mm, units.depth);
  const rows = chartRows(shown, ahead?.[shown.wheel] ?? null);
  const furthest = Math.max(...rows.map(({ km }) => km));
  const ticks = roundTicks(distanceFromKm(furthest, units.distance));
  const top = Math.max(...rows.flatMap(({ ribs }) => RIBS.map((rib) => ribs[rib]?.high ?? 0)));
  return (
    <Box component="section" aria-label={t('depthChart.depthAgainstDistance')}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', mb: 1 }}>
        <Choice
          label={t('depthChart.tire')}
          options={wheels.map(({ wheel }) => ({ value: wheel, label: WHEEL_LABELS[wheel] }))}
          value={shown.wheel}
          onChange={setPicked}
        />
        {isTable && (
          <Button
            variant="text"
            sx={{ ml: 'auto' }}
            onClick={() =>
              saveFile(`tread-${shown.wheel}.csv`, chartRowsAsCsv(rows, units), 'text/csv')
            }
          >
            {t('depthChart.saveAsCsv')}
          </Button>
        )}
        <Button
          variant="text"
          onClick={() => setTable((was) => !was)}
          sx={isTable ? {} : { ml: 'auto' }}
        >
          {isTable ? t('depthChart.asAChart') : t('depthChart.asATable')}
        </Button>
      </Box>
      {isTable ? (
        <DepthTable rows={rows} units={units} />
      ) : (
        <>
          <Typography variant="h3" component="h3" color="textSecondary" sx={{ mb: 0.5 }}>
            {t('depthChart.depthAgainstOnThis', {
              depthUnitWords: DEPTH_UNIT_WORDS[units.depth],
              distance: units.distance,
            })}
          </Typography>
          <Box
            role="img"
            aria-label={`${WHEEL_LABELS[shown.wheel]}: ${spokenRows(rows, units)}`}
            sx={{ height: HEIGHT, fontSize: '0.8rem' }}
          >
            <ResponsiveContainer width="100%" height="100%">
              <ComposedChart
                accessibilityLayer={false}
                data={rows.map((row) => plotted(row, units))}
                margin={{ top: 8, right: 56, bottom: 8, left: 0 }}
              >
                <CartesianGrid stroke="var(--hairline)" vertical={false} />
                <XAxis
                  dataKey="distance"
                  type="number"
                  domain={[0, ticks.at(-1)!]}
                  ticks={ticks}
                  tickFormatter={(value: number) => showWhole(value)}
                  stroke="var(--soft)"
                  tick={{ fill: 'var(--soft)' }}
                />
                <YAxis
                  width={36}
                  domain={[0, Math.ceil(depth(top))]}
                  stroke="var(--soft)"
                  tick={{ fill: 'var(--soft)' }}
                />
                {RIBS.map((rib) => (
                  <Area
                    key={`${rib}Band`}
                    dataKey={`${rib}Band`}
                    stroke="none"
                    fill={INK[rib].ink}
                    fillOpacity={0.13}
                    isAnimationActive={false}
                  />
                ))}
                {RIBS.map((rib) => (
                  <Line
                    key={rib}
                    dataKey={rib}
                    connectNulls
                    stroke={INK[rib].ink}
                    strokeWidth={2.2}
                    dot={{ r: 3.5, fill: INK[rib].ink, strokeDasharray: '0' }}
                    isAnimationActive={false}
                    {...(INK[rib].dash ? { strokeDasharray: INK[rib].dash } : {})}
                  />
                ))}
                {RIBS.map((rib) => (
                  <Line
                    key={`${rib}Ahead`}
                    dataKey={`${rib}Ahead`}
                    stroke={INK[rib].ink}
                    strokeWidth={1.2}
                    dot={false}
                    isAnimationActive={false}
                  />
                ))}
                <ReferenceLine
                  y={depth(legalMm)}
                  stroke="var(--ink)"
                  strokeDasharray="4 3"
                  label={{ value: 'legal', position: 'right', fill: 'var(--ink)' }}
                />
              </ComposedChart>
            </ResponsiveContainer>
          </Box>
          <Box
            sx={{ display: 'flex', gap: 2.5, flexWrap: 'wrap', fontSize: '0.85rem' }}
            aria-hidden
          >
            {RIBS.map((rib) => (
              <Box key={rib} sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
                <svg width={30} height={10}>
                  <line
                    x1={0}
                    x2={30}
                    y1={5}
                    y2={5}
                    stroke={INK[rib].ink}
                    strokeWidth={2.2}
                    strokeDasharray={INK[rib].dash}
                  />
                </svg>
                {term(`rib.${rib}`)}
              </Box>
            ))}
            <Box sx={{ color: 'text.secondary' }}>
              {ahead
                ? t('depthChart.bandWhereItGoes')
                : isWorking && t('depthChart.workingOutWhatIs')}
            </Box>
          </Box>
        </>
      )}
    </Box>
  );
}

type Plotted = Record<string, number | [number, number]>;

/** A row as the chart takes it: what was read and what is to come are different lines. */
function plotted({ km, isAhead, ribs }: ChartRow, units: Units): Plotted {
  const point: Plotted = { distance: distanceFromKm(km, units.distance) };
  for (const rib of RIBS) {
    const at = ribs[rib];
    if (!at) continue;
    const [low, median, high] = [at.low, at.median, at.high].map((mm) =>
      depthFromMm(mm, units.depth),
    ) as [number, number, number];
    if (isAhead) point[`${rib}Band`] = [low, high];
    point[isAhead ? `${rib}Ahead` : rib] = median;
  }
  return point;
}
