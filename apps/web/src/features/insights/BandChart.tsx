import type { Reliability } from '@keen/core';
import { AgainstChart } from '../../shared/AgainstChart.tsx';
import { bandWords } from './bandWords.ts';
import { t } from '../../words/insights.ts';

const FULL = 100;
const TICKS = [0, 20, 40, 60, 80, 100];

/** Each band of chances: what came true with its interval, and the line on which chances hold. */
export function BandChart({ bands }: { bands: Reliability['bands'] }) {
  return (
    <AgainstChart
      points={bands.map(({ said, found: { part, low, high } }) => ({
        said: FULL * said,
        found: FULL * part,
        spread: [FULL * (part - low), FULL * (high - part)],
      }))}
      ticks={TICKS}
      saidLabel="said, %"
      foundLabel={t('bandChart.cameTrue')}
      label={bands.map(bandWords).join('; ')}
    />
  );
}
