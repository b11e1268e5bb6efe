import type { InsightQuery } from '@keen/contract';
import { LEAST_CARS } from '@keen/core';
import type { Reliability } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { lazy, Suspense } from 'react';
import { useReliabilityQuery } from '../../api/insightsApi.ts';
import { ChartOrTable } from '../../shared/ChartOrTable.tsx';
import { Loaded } from '../../shared/Loaded.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { BandTable } from './BandTable.tsx';
import { hundreds, percent } from './bandWords.ts';
import { bandsAsCsv } from './bandsAsCsv.ts';
import { t } from '../../words/insights.ts';
import { keepUnits } from '../../words/pageTexts.ts';

const BandChart = lazy(async () => ({ default: (await import('./BandChart.tsx')).BandChart }));

/** Whether the chances that were said held, where a rig looked afterwards. */
export function ChancesHeld({ query }: { query: InsightQuery }) {
  const answer = useReliabilityQuery(query);
  return (
    <Loaded answer={answer} label={t('chancesHeld.loadingHowTheChances')} height={120}>
      {(data) => <Held data={data} />}
    </Loaded>
  );
}

function Held({ data }: { data: Reliability }) {
  return (
    <Box component="section" aria-labelledby="held">
      <Typography variant="h2" id="held">
        {headline(data)}
      </Typography>
      <Typography color="textSecondary" sx={{ maxWidth: 860 }}>
        {keepUnits(underIt(data))}
      </Typography>
      {data.bands.length > 0 && (
        <Box sx={{ mt: 1.5, maxWidth: 620 }}>
          <ChartOrTable
            heading={
              <Typography variant="h3" color="textSecondary">
                {t('chancesHeld.whatCameTrueAgainst')}
              </Typography>
            }
            chart={
              <Suspense fallback={<Box sx={{ height: 280 }} />}>
                <BandChart bands={data.bands} />
              </Suspense>
            }
            table={<BandTable bands={data.bands} />}
            onSave={() => saveFile('chances.csv', bandsAsCsv(data), 'text/csv')}
          />
        </Box>
      )}
    </Box>
  );
}

function headline({ isTooFew, excess, bands }: Reliability): string {
  if (isTooFew) return t('chancesHeld.wasTheDiagnosisRight');
  if (excess.low > 0) return t('chancesHeld.moreIsOutOf');
  if (excess.high < 0) return t('chancesHeld.lessIsOutOf');
  if (bands.some(({ isOff }) => isOff)) {
    return t('chancesHeld.takenTogetherTheChances');
  }
  return t('chancesHeld.theChancesThatThe');
}

function underIt(data: Reliability): string {
  const { cars, chances, isTooFew, expected, found, excess, gain, bands } = data;
  const rule = t('chancesHeld.countedAreCarsDecided');
  if (cars === 0) return rule;
  const seen = t('chancesHeld.onCarsTheRigFound', {
    count: cars,
    found,
    angles: chances / 2,
    expected: expected.toFixed(0),
  });
  if (isTooFew) return t('chancesHeld.fromCarsOnThis', { seen, leastCars: LEAST_CARS, rule });
  const span = t('chancesHeld.toWouldFit', {
    found: (found - excess.high).toFixed(0),
    found2: (found - excess.low).toFixed(0),
  });
  const off = bands.filter(({ isOff }) => isOff).map(offWords);
  return [`${seen} ${span}.`, ...off, gainWords(gain), rule].join(' ');
}

/** A band in which what came true is not what was said. */
function offWords({ said, found }: Reliability['bands'][number]): string {
  return t('chancesHeld.whereWasSaidCame', {
    said: percent(said),
    part: percent(found.part),
    low: hundreds(found.low),
    high: percent(found.high),
  });
}

function gainWords({ low, high }: Reliability['gain']): string {
  if (low > 0) return t('chancesHeld.itTellsCarsApart');
  if (high < 0) return t('chancesHeld.itTellsCarsApartWorse');
  return t('chancesHeld.whetherItTellsCars');
}
