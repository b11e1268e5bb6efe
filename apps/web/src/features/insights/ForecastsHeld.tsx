import type {
  ForecastsHeld as Held,
  ForetoldKind,
  InsightQuery,
  Session,
  Units,
} from '@keen/contract';
import { depthFromMm, LEAST_FORECASTS } from '@keen/core';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import Papa from 'papaparse';
import { lazy, Suspense } from 'react';
import { Link as RouterLink } from 'react-router';
import { useForecastsQuery } from '../../api/insightsApi.ts';
import { DEPTH_UNIT_WORDS, showDepth, showFar } from '../../shared/format.ts';
import { ChartOrTable } from '../../shared/ChartOrTable.tsx';
import { Loaded } from '../../shared/Loaded.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { percent } from './bandWords.ts';
import { FIGURES } from './figures.ts';

const ForecastChart = lazy(async () => ({
  default: (await import('./ForecastChart.tsx')).ForecastChart,
}));

const KIND_WORDS: Record<ForetoldKind, string> = {
  ranOn: 'Ran on as they were',
  putRight: 'On cars put right',
  fresh: 'New tires',
};

/** Whether tires went on to wear as was forecast. */
export function ForecastsHeld({ session, query }: { session: Session; query: InsightQuery }) {
  const answer = useForecastsQuery(query);
  return (
    <Loaded answer={answer} label="Loading how forecasts held" height={120}>
      {(data) => <HeldForecasts data={data} units={session.preferences.units} />}
    </Loaded>
  );
}

function HeldForecasts({ data, units }: { data: Held; units: Units }) {
  return (
    <Box component="section" aria-labelledby="forecasts-held">
      <Typography variant="h2" id="forecasts-held">
        {headline(data)}
      </Typography>
      <Typography color="textSecondary" sx={{ maxWidth: 860 }}>
        {underIt(data)}
      </Typography>
      {data.cars > 0 && <KindTable kinds={data.kinds} />}
      {data.points.length > 0 && (
        <Box sx={{ mt: 1.5, maxWidth: 620 }}>
          <ChartOrTable
            heading={
              <Typography variant="h3" color="textSecondary">
                Lost at each car’s worst rib, {DEPTH_UNIT_WORDS[units.depth]}: read against forecast
              </Typography>
            }
            chart={
              <Suspense fallback={<Box sx={{ height: 280 }} />}>
                <ForecastChart points={data.points} depth={(mm) => depthFromMm(mm, units.depth)} />
              </Suspense>
            }
            table={<PointTable points={data.points} units={units} />}
            onSave={() => saveFile('forecasts.csv', pointsAsCsv(data), 'text/csv')}
          />
        </Box>
      )}
    </Box>
  );
}

/** The same for tires that ran on, on cars put right, and new. */
function KindTable({ kinds }: { kinds: Held['kinds'] }) {
  return (
    <Box component="table" aria-label="Forecasts by kind" sx={{ ...FIGURES, maxWidth: 620, mt: 1 }}>
      <thead>
        <tr>
          <th scope="col">Tires</th>
          <th scope="col">Cars</th>
          <th scope="col">Lost of the forecast</th>
          <th scope="col">Within the 80 % span</th>
        </tr>
      </thead>
      <tbody>
        {kinds.map(({ kind, cars, isTooFew, lost, within }) => (
          <tr key={kind}>
            <th scope="row">{KIND_WORDS[kind]}</th>
            <td>{cars}</td>
            {isTooFew || !lost?.interval || !within ? (
              <td colSpan={2}>too few to tell</td>
            ) : (
              <>
                <td>
                  {percent(lost.mean)} ({percent(lost.interval.low)} to{' '}
                  {percent(lost.interval.high)})
                </td>
                <td>{percent(within.part)}</td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

function PointTable({ points, units }: { points: Held['points']; units: Units }) {
  return (
    <Box sx={{ maxHeight: 400, overflowY: 'auto' }}>
      <Box component="table" aria-label="Forecast and read" sx={FIGURES}>
        <thead>
          <tr>
            <th scope="col">Car</th>
            <th scope="col">Read at</th>
            <th scope="col">After, {units.distance}</th>
            <th scope="col">Forecast</th>
            <th scope="col">Read</th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ visitId, number, plate, km, foretold, found }) => (
            <tr key={visitId}>
              <th scope="row">{plate}</th>
              <td>
                <Link component={RouterLink} to={`/visits/${visitId}/read`}>
                  visit {number}
                </Link>
              </td>
              <td>{showFar(km, units.distance)}</td>
              <td>{showDepth(foretold, units.depth)}</td>
              <td>{showDepth(found, units.depth)}</td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function headline({ isTooFew, lost }: Held): string {
  if (isTooFew || !lost?.interval) return 'Did tires wear as forecast? Too few came back to tell.';
  const { low, high } = lost.interval;
  if (low > 1) return `Tires wear ${percent(lost.mean - 1)} faster here than forecast.`;
  if (high < 1) return `Tires wear ${percent(1 - lost.mean)} slower here than forecast.`;
  return 'Tires wore as forecast.';
}

function underIt({ cars, ribs, isTooFew, isCut, lost, within }: Held): string {
  const rule =
    'Each forecast is for the tires and the work that were agreed, and is held against the next reading of the same tires in the same places.';
  if (cars === 0 || !lost || !within) return rule;
  const seen = `${cars} ${cars === 1 ? 'car has' : 'cars have'} been read again, at ${ribs} ribs.`;
  if (isTooFew || !lost.interval) {
    return `${seen} From ${LEAST_FORECASTS} cars on this says something. ${rule}`;
  }
  const { low, high } = lost.interval;
  const part = `They lost ${percent(lost.mean)} of what was forecast (${percent(low)} to ${percent(high)}), so a tire lasts ${lifeWords(lost.mean)}.`;
  const span = `${percent(within.part)} of the readings lay within the span that should hold 80 % (${percent(within.low)} to ${percent(within.high)}).`;
  return `${seen} ${part} ${span} ${rule}${isCut ? ' Only the latest 2 000 decisions are looked through.' : ''}`;
}

/** A life against the one foretold, by how much faster rubber goes. */
function lifeWords(lost: number): string {
  const life = Math.round(100 / lost) - 100;
  if (life === 0) return 'as long as forecast';
  return `${Math.abs(life)} % ${life > 0 ? 'longer' : 'shorter'} than forecast`;
}

function pointsAsCsv({ points }: Held): string {
  return Papa.unparse(
    points.map(({ plate, number, kind, km, foretold, found }) => ({
      plate,
      'read at visit': number,
      'after km': km,
      tires: KIND_WORDS[kind],
      'forecast, mm lost': foretold.toFixed(2),
      'read, mm lost': found.toFixed(2),
    })),
    { escapeFormulae: true },
  );
}
