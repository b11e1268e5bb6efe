import type { Reliability } from '@keen/core';
import Box from '@mui/material/Box';
import { hundreds, percent } from './bandWords.ts';
import { FIGURES } from '../../shared/figures.ts';
import { t } from '../../words/insights.ts';

/** The bands as a table: what was said on average, and what came true. */
export function BandTable({ bands }: { bands: Reliability['bands'] }) {
  return (
    <Box component="table" aria-label={t('bandTable.chancesSaidAndFound')} sx={FIGURES}>
      <thead>
        <tr>
          <th scope="col">{t('bandTable.chances')}</th>
          <th scope="col">{t('bandTable.howMany')}</th>
          <th scope="col">{t('bandTable.saidOnAverage')}</th>
          <th scope="col">{t('bandTable.cameTrue')}</th>
          <th scope="col">{t('bandTable.timesIn')}</th>
        </tr>
      </thead>
      <tbody>
        {bands.map(({ from, to, said, found }) => (
          <tr key={from}>
            <th scope="row">{t('bandTable.to', { from: hundreds(from), to: percent(to) })}</th>
            <td>{found.of}</td>
            <td>{percent(said)}</td>
            <td>{percent(found.part)}</td>
            <td>{t('bandTable.range', { low: hundreds(found.low), high: percent(found.high) })}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
