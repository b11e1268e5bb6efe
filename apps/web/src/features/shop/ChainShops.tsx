import type { ChainFigures, InsightQuery, ShopFigures } from '@keen/contract';
import { acceptance } from '@keen/core';
import type { Acceptance } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import Papa from 'papaparse';
import { useState } from 'react';
import { useChainFiguresQuery } from '../../api/chainApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { FIGURES } from '../../shared/figures.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { settingName } from './settingNames.ts';
import { t } from '../../words/chain.ts';
import { t as insights } from '../../words/insights.ts';

const SPANS = [
  { value: '1', label: insights('insightsPage.aMonth') },
  { value: '3', label: insights('insightsPage.aQuarter') },
  { value: '12', label: insights('insightsPage.aYear') },
  { value: 'all', label: insights('insightsPage.all') },
] as const;
type SpanOfMonths = (typeof SPANS)[number]['value'];
const FULL = 100;

interface Row {
  key: string;
  name: string;
  town: string;
  visits: number;
  all: Acceptance<string>;
  work: Acceptance<string>;
  own: ShopFigures['own'];
}

/** How each shop of the chain does, and all of them together. */
export function ChainShops() {
  const [span, setSpan] = useState<SpanOfMonths>('12');
  const query: InsightQuery =
    span === 'all' ? {} : { from: dayjs().subtract(Number(span), 'month').format('YYYY-MM-DD') };
  const answer = useChainFiguresQuery(query, { refetchOnMountOrArgChange: true });
  return (
    <Box component="section" aria-labelledby="shops-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="shops-title">
          {t('chainShops.shops')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('chainShops.figuresOnly')}
        </Typography>
      </Box>
      <Choice
        label={insights('insightsPage.lookingBack')}
        options={SPANS}
        value={span}
        onChange={(next) => next && setSpan(next)}
      />
      <Loaded answer={answer} label={t('chainShops.loading')} height={160}>
        {(figures) => <Figures figures={figures} />}
      </Loaded>
    </Box>
  );
}

function rowOf({ shopId, name, town, visits, counts, own }: ShopFigures): Row {
  const ofWork = counts.filter(({ advised }) => advised !== 'fitOnly');
  const [all, work] = [acceptance('all', counts), acceptance('work', ofWork)];
  return { key: shopId, name, town, visits, all, work, own };
}

function Figures({ figures }: { figures: ChainFigures }) {
  const rows = figures.map(rowOf);
  const together = rowOf({
    shopId: 'all',
    name: t('chainShops.all'),
    town: '',
    visits: figures.reduce((sum, { visits }) => sum + visits, 0),
    counts: figures.flatMap(({ counts }) => counts),
    own: [],
  });
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 1100 }}>
      <Box sx={{ overflowX: 'auto' }}>
        <Box component="table" aria-labelledby="shops-title" sx={FIGURES}>
          <thead>
            <tr>
              <th scope="col">{t('chainShops.shop')}</th>
              <th scope="col">{t('chainShops.visits')}</th>
              <th scope="col">{t('chainShops.decided')}</th>
              <th scope="col">{t('chainShops.workAdvised')}</th>
              <th scope="col">{t('chainShops.accepted')}</th>
              <th scope="col">{t('chainShops.overridden')}</th>
              <th scope="col">{t('chainShops.own')}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <FigureCells key={row.key} row={row} />
            ))}
          </tbody>
          {rows.length > 1 && (
            <Box component="tfoot" sx={{ '& th, & td': { fontWeight: 700 } }}>
              <FigureCells row={together} />
            </Box>
          )}
        </Box>
      </Box>
      <Box>
        <Button onClick={() => saveFile('shops.csv', asCsv(rows), 'text/csv')}>
          {t('chainShops.saveAsCsv')}
        </Button>
      </Box>
    </Box>
  );
}

const shareOf = (count: number, of: number) =>
  of === 0 ? '' : ` (${Math.round((FULL * count) / of)} %)`;

function FigureCells({ row }: { row: Row }) {
  const { name, town, visits, all, work, own } = row;
  return (
    <tr>
      <th scope="row">
        {name}
        {town !== '' && (
          <Box component="span" sx={{ color: 'text.secondary' }}>
            , {town}
          </Box>
        )}
      </th>
      <td>{visits}</td>
      <td>{all.visits}</td>
      <td>
        {work.visits}
        {shareOf(work.visits, all.visits)}
      </td>
      <td>
        {work.accepted.isTooFew ? (
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {t('chainShops.tooFew')}
          </Box>
        ) : (
          `${Math.round(FULL * work.accepted.part)} %`
        )}
      </td>
      <td>
        {all.overridden}
        {shareOf(all.overridden, all.visits)}
      </td>
      <Box
        component="td"
        title={own.map(({ path, by }) => `${settingName(path)} (${by})`).join(', ')}
      >
        {own.length > 0 && t('chainShops.ownCount', { count: own.length })}
      </Box>
    </tr>
  );
}

/** The same figures for other programs. */
function asCsv(rows: readonly Row[]): string {
  return Papa.unparse(
    rows.map(({ name, town, visits, all, work, own }) => ({
      shop: name,
      town,
      visits,
      decided: all.visits,
      workAdvised: work.visits,
      yes: work.yes,
      no: work.no,
      open: work.open,
      overridden: all.overridden,
      own: own.map(({ path }) => path).join(' '),
    })),
    { escapeFormulae: true },
  );
}
