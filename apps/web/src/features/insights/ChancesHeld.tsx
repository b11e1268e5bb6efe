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
import { percent } from './bandWords.ts';
import { bandsAsCsv } from './bandsAsCsv.ts';

const BandChart = lazy(async () => ({ default: (await import('./BandChart.tsx')).BandChart }));

/** Whether the chances that were said held, where a rig looked afterwards. */
export function ChancesHeld({ query }: { query: InsightQuery }) {
  const answer = useReliabilityQuery(query);
  return (
    <Loaded answer={answer} label="Loading how the chances held" height={120}>
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
        {underIt(data)}
      </Typography>
      {data.bands.length > 0 && (
        <Box sx={{ mt: 1.5, maxWidth: 620 }}>
          <ChartOrTable
            heading={
              <Typography variant="h3" color="textSecondary">
                What came true, against the chance said
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
  if (isTooFew) return 'Was the diagnosis right? Too few cars to tell.';
  if (excess.low > 0) return 'More is out of its limits here than the diagnosis says.';
  if (excess.high < 0) return 'Less is out of its limits here than the diagnosis says.';
  if (bands.some(({ isOff }) => isOff)) {
    return 'Taken together the chances have held, but not at every height.';
  }
  return 'The chances that the diagnosis said have held.';
}

function underIt(data: Reliability): string {
  const { cars, chances, isTooFew, expected, found, excess, gain, bands } = data;
  const rule =
    'Counted are cars decided on before any angle was measured, and measured afterwards.';
  if (cars === 0) return rule;
  const seen = `On ${cars} ${cars === 1 ? 'car' : 'cars'} the rig found ${found} of ${chances / 2} angles out of their limits; by what was said it was to be ${expected.toFixed(0)}`;
  if (isTooFew) return `${seen}. From ${LEAST_CARS} cars on this says something. ${rule}`;
  const span = ` (${(found - excess.high).toFixed(0)} to ${(found - excess.low).toFixed(0)} would fit)`;
  const off = bands.filter(({ isOff }) => isOff).map(offWords);
  return [`${seen}${span}.`, ...off, gainWords(gain), rule].join(' ');
}

/** A band in which what came true is not what was said. */
function offWords({ said, found }: Reliability['bands'][number]): string {
  return `Where ${percent(said)} was said, ${percent(found.part)} came true (${percent(found.low)} to ${percent(found.high)}).`;
}

function gainWords({ low, high }: Reliability['gain']): string {
  if (low > 0) return 'It tells cars apart better than saying the same of each.';
  if (high < 0) return 'It tells cars apart worse than saying the same of each.';
  return 'Whether it tells cars apart better than saying the same of each cannot be told yet.';
}
