import type {
  ForecastsHeld as Held,
  ForecastKind,
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
import { spaced } from '../../shared/joined.ts';
import { DEPTH_UNIT_WORDS, showDepth, showFar } from '../../shared/format.ts';
import { ChartOrTable } from '../../shared/ChartOrTable.tsx';
import { Loaded } from '../../shared/Loaded.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { hundreds, percent } from './bandWords.ts';
import { FIGURES } from '../../shared/figures.ts';
import { t } from '../../words/insights.ts';
import { keepUnits } from '../../words/pageTexts.ts';

const ForecastChart = lazy(async () => ({
  default: (await import('./ForecastChart.tsx')).ForecastChart,
}));

const KIND_WORDS: Record<ForecastKind, string> = {
  ranOn: t('forecastsHeld.ranOnAsThey'),
  putRight: t('forecastsHeld.onCarsPutRight'),
  fresh: t('forecastsHeld.newTires'),
};

/** Whether tires went on to wear as was forecast. */
export function ForecastsHeld({ session, query }: { session: Session; query: InsightQuery }) {
  const answer = useForecastsQuery(query);
  return (
    <Loaded answer={answer} label={t('forecastsHeld.loadingHowForecastsHeld')} height={120}>
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
        {keepUnits(underIt(data))}
      </Typography>
      {data.cars > 0 && <KindTable kinds={data.kinds} />}
      {data.points.length > 0 && (
        <Box sx={{ mt: 1.5, maxWidth: 620 }}>
          <ChartOrTable
            heading={
              <Typography variant="h3" color="textSecondary">
                {t('forecastsHeld.lostAtEachCars', {
                  depthUnitWords: DEPTH_UNIT_WORDS[units.depth],
                })}
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
    <Box
      component="table"
      aria-label={t('forecastsHeld.forecastsByKind')}
      sx={{ ...FIGURES, maxWidth: 620, mt: 1 }}
    >
      <thead>
        <tr>
          <th scope="col">{t('forecastsHeld.tires')}</th>
          <th scope="col">{t('forecastsHeld.cars')}</th>
          <th scope="col">{t('forecastsHeld.lostOfTheForecast')}</th>
          <th scope="col">{t('forecastsHeld.withinThe80Span')}</th>
        </tr>
      </thead>
      <tbody>
        {kinds.map(({ kind, cars, isTooFew, lost, within }) => (
          <tr key={kind}>
            <th scope="row">{KIND_WORDS[kind]}</th>
            <td>{cars}</td>
            {isTooFew || !lost?.interval || !within ? (
              <td colSpan={2}>{t('forecastsHeld.tooFewToTell')}</td>
            ) : (
              <>
                <td>
                  {t('forecastsHeld.to', {
                    mean: percent(lost.mean),
                    low: hundreds(lost.interval.low),
                    high: percent(lost.interval.high),
                  })}
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
      <Box component="table" aria-label={t('forecastsHeld.forecastAndRead')} sx={FIGURES}>
        <thead>
          <tr>
            <th scope="col">{t('forecastsHeld.car')}</th>
            <th scope="col">{t('forecastsHeld.readAt')}</th>
            <th scope="col">{t('forecastsHeld.after', { distance: units.distance })}</th>
            <th scope="col">{t('forecastsHeld.forecast')}</th>
            <th scope="col">{t('forecastsHeld.read')}</th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ visitId, number, plate, km, forecast, found }) => (
            <tr key={visitId}>
              <th scope="row">{plate}</th>
              <td>
                <Link component={RouterLink} to={`/visits/${visitId}/read`}>
                  {t('forecastsHeld.visit', { number })}
                </Link>
              </td>
              <td>{showFar(km, units.distance)}</td>
              <td>{showDepth(forecast, units.depth)}</td>
              <td>{showDepth(found, units.depth)}</td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function headline({ isTooFew, lost }: Held): string {
  if (isTooFew || !lost?.interval) return t('forecastsHeld.didTiresWearAs');
  const { low, high } = lost.interval;
  if (low > 1) return t('forecastsHeld.tiresWearFasterHere', { percent: percent(lost.mean - 1) });
  if (high < 1) return t('forecastsHeld.tiresWearSlowerHere', { percent: percent(1 - lost.mean) });
  return t('forecastsHeld.tiresWoreAsForecast');
}

function underIt({ cars, ribs, isTooFew, isCut, lost, within }: Held): string {
  const rule = t('forecastsHeld.eachForecastIsFor');
  if (cars === 0 || !lost || !within) return rule;
  const seen = t('forecastsHeld.readAgain', { count: cars, ribs });
  if (isTooFew || !lost.interval) {
    return t('forecastsHeld.fromCarsOnThis', { seen, leastForecasts: LEAST_FORECASTS, rule });
  }
  const { low, high } = lost.interval;
  const part = t('forecastsHeld.theyLostOfWhat', {
    mean: percent(lost.mean),
    low: hundreds(low),
    high: percent(high),
    mean2: lifeWords(lost.mean),
  });
  const span = t('forecastsHeld.ofTheReadingsLay', {
    part: percent(within.part),
    low: hundreds(within.low),
    high: percent(within.high),
  });
  return spaced(seen, part, span, rule, isCut && t('forecastsHeld.onlyTheLatest2'));
}

/** A life against the forecast one, by how much faster rubber goes. */
function lifeWords(lost: number): string {
  const life = Math.round(100 / lost) - 100;
  if (life === 0) return t('forecastsHeld.asLongAsForecast');
  return t(life > 0 ? 'forecastsHeld.longer' : 'forecastsHeld.shorter', {
    percent: Math.abs(life),
  });
}

function pointsAsCsv({ points }: Held): string {
  return Papa.unparse(
    points.map(({ plate, number, kind, km, forecast, found }) => ({
      plate,
      'read at visit': number,
      'after km': km,
      tires: KIND_WORDS[kind],
      'forecast, mm lost': forecast.toFixed(2),
      'read, mm lost': found.toFixed(2),
    })),
    { escapeFormulae: true },
  );
}
