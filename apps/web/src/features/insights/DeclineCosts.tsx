import type { DeclineCosts as Costs, InsightQuery, Session } from '@keen/contract';
import { formatMoney } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Papa from 'papaparse';
import { useDeclineCostsQuery } from '../../api/insightsApi.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { adviceWords } from './adviceWords.ts';
import { FIGURES } from '../../shared/figures.ts';
import { t } from '../../words/insights.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** What saying no has cost customers in rubber, where their cars were judged again. */
export function DeclineCosts({ session, query }: { session: Session; query: InsightQuery }) {
  const answer = useDeclineCostsQuery(query);
  const { currency } = session.shop.settings.prices;
  return (
    <Loaded answer={answer} label={t('declineCosts.loadingWhatSayingNo')} height={120}>
      {(data) => (data.declined === 0 ? null : <CostTable data={data} currency={currency} />)}
    </Loaded>
  );
}

function CostTable({ data, currency }: { data: Costs; currency: string }) {
  const money = (minor: number) => formatMoney(Math.max(0, minor), currency, pageLocale, true);
  const { all, byAdvised, declined, isCut } = data;
  return (
    <Box component="section" aria-labelledby="decline-costs" sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ flex: '1 1 420px' }}>
          <Typography variant="h2" id="decline-costs">
            {all.isTooFew
              ? t('declineCosts.whatDoesANo')
              : t('declineCosts.aNoCostsThe', { mean: money(all.cost.mean) })}
          </Typography>
          <Typography color="textSecondary" sx={{ maxWidth: 860 }}>
            {t('declineCosts.judgedAgain', { seenAgain: all.seenAgain, declined })}{' '}
            {isCut && t('declineCosts.onlyTheLatest1')}
          </Typography>
        </Box>
        {byAdvised.length > 0 && (
          <Button onClick={() => saveFile('decline-costs.csv', costsAsCsv(data), 'text/csv')}>
            {t('declineCosts.saveAsCsv')}
          </Button>
        )}
      </Box>
      {byAdvised.length > 0 && (
        <Box sx={{ overflowX: 'auto', maxWidth: 760 }}>
          <Box component="table" aria-label={t('declineCosts.whatSayingNoHas')} sx={FIGURES}>
            <thead>
              <tr>
                <th scope="col">{t('declineCosts.declined')}</th>
                <th scope="col">{t('declineCosts.seenAgain')}</th>
                <th scope="col">{t('declineCosts.costSoFarEach')}</th>
                <th scope="col">{t('declineCosts.theWorkWouldHave')}</th>
              </tr>
            </thead>
            <tbody>
              {byAdvised.map((row) => (
                <tr key={row.advised}>
                  <th scope="row">{adviceWords(row.advised)}</th>
                  <td>{row.seenAgain}</td>
                  <td>
                    <CostWords row={row} money={money} />
                  </td>
                  <td>{row.work === null ? '' : money(row.work)}</td>
                </tr>
              ))}
            </tbody>
          </Box>
        </Box>
      )}
    </Box>
  );
}

function CostWords({ row, money }: { row: Costs['all']; money: (minor: number) => string }) {
  const { mean, interval } = row.cost;
  if (row.isTooFew || !interval) {
    return (
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {t('declineCosts.tooFewToTell')}
      </Box>
    );
  }
  return (
    <>
      <strong>{money(mean)}</strong>{' '}
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {t('declineCosts.to', { low: money(interval.low), high: money(interval.high) })}
      </Box>
    </>
  );
}

function costsAsCsv({ byAdvised }: Costs): string {
  return Papa.unparse(
    byAdvised.map(({ advised, seenAgain, cost, work }) => ({
      declined: adviceWords(advised),
      'seen again': seenAgain,
      'cost, minor units': Math.round(cost.mean),
      low: cost.interval ? Math.round(cost.interval.low) : '',
      high: cost.interval ? Math.round(cost.interval.high) : '',
      'work, minor units': work === null ? '' : Math.round(work),
    })),
    { escapeFormulae: true },
  );
}
