import { rowTitle } from '@keen/core';
import type { LedgerState } from '@keen/contract';
import type { LedgerRow } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { ToleranceScale } from '../drawing/ToleranceScale.tsx';
import { useRowWords } from './useAngleWords.ts';
import type { RowWords } from './useAngleWords.ts';
import { t } from '../words/angles.ts';
import { whereWords } from '../words/pageTexts.ts';
import { ROW_NAMES } from '../words/core/measure.ts';

const STATE_WORDS: Record<LedgerState, string> = {
  in: t('angleLedger.in'),
  out: t('angleLedger.isOut'),
  tooClose: t('angleLedger.cantTellYet'),
  noLimit: t('angleLedger.noLimit'),
  stale: t('angleLedger.measureAgain'),
};
const FROM_MARKS = { sheet: '', file: '', usual: ' ¹', custom: ' ²' } as const;

/** One row an angle: the value with its doubt, on a scale counted in tolerance widths. */
export function AngleLedger({
  rows,
  before = [],
}: {
  rows: readonly LedgerRow[];
  /** The same angles as they were; drawn as hollow dots. */
  before?: readonly LedgerRow[];
}) {
  const was = (key: string) => before.find((row) => row.key === key);
  const hasBefore = before.length > 0;
  const words = useRowWords();
  return (
    <Box>
      <Typography variant="h2" component="h3" sx={{ mb: 0.5 }}>
        {t('angleLedger.angleLedger')}
      </Typography>
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          '& td': { borderTop: '1px solid var(--hairline)', py: 0.35, pr: 1.5 },
        }}
      >
        <Box
          component="thead"
          sx={{ color: 'text.secondary', fontSize: '0.8rem', textAlign: 'left' }}
        >
          <tr>
            <Head>{t('angleLedger.angle')}</Head>
            {hasBefore && <Head isNumber>{t('angleLedger.before')}</Head>}
            <Head isNumber>{hasBefore ? t('angleLedger.now') : t('angleLedger.measured')}</Head>
            {!hasBefore && <Head isWide>{t('angleLedger.limits')}</Head>}
            <Head isWide>{t('angleLedger.againstTheLimits')}</Head>
            <Head>
              <span className="visually-hidden">{t('angleLedger.state')}</span>
            </Head>
          </tr>
        </Box>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key}>
              <Box component="td" sx={{ whiteSpace: { sm: 'nowrap' } }}>
                <strong>{rowTitle(row.key, ROW_NAMES)}</strong>{' '}
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  {row.where ? whereWords(row.where) : ''}
                </Box>
                {hasBefore && (
                  <Box sx={{ color: 'text.secondary', fontSize: '0.8rem' }}>
                    {limitWords(row, words)}
                  </Box>
                )}
              </Box>
              {hasBefore && <Before row={was(row.key)} words={words} />}
              <Box component="td" sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
                <Box
                  component="span"
                  className="condensed"
                  sx={{ fontSize: '1.25rem', fontWeight: 700 }}
                >
                  {words(row.value, row)}
                </Box>{' '}
                <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.8rem' }}>
                  ± {plain(words(2 * row.sd, row))}
                </Box>
              </Box>
              {!hasBefore && (
                <Box
                  component="td"
                  sx={{
                    whiteSpace: 'nowrap',
                    color: 'text.secondary',
                    fontSize: '0.85rem',
                    display: { xs: 'none', sm: 'table-cell' },
                  }}
                >
                  {limitWords(row, words)}
                </Box>
              )}
              <Box component="td" sx={{ width: '30%', display: { xs: 'none', sm: 'table-cell' } }}>
                <ToleranceScale row={row} before={was(row.key)?.value} />
              </Box>
              <Box
                component="td"
                sx={{
                  whiteSpace: 'nowrap',
                  fontWeight: row.state === 'out' || row.state === 'stale' ? 700 : 450,
                  color: row.state === 'out' ? 'var(--marker)' : 'var(--soft)',
                  fontSize: '0.85rem',
                }}
              >
                {STATE_WORDS[row.state]}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
        {hasBefore && `${t('angleLedger.hollowBefore')} `}
        {t('angleLedger.lineThroughDot')}{' '}
        {rows.some(({ limitsFrom }) => limitsFrom === 'usual' || limitsFrom === 'custom') &&
          t('angleLedger.usualLimits')}
      </Typography>
    </Box>
  );
}

/** Without sign and unit of degrees: they stand beside it already. */
function plain(words: string): string {
  return words.replace(/^[+−]/, '').replace(/[°′]$/, '');
}

function limitWords(row: LedgerRow, words: RowWords): string {
  const { limits, limitsFrom } = row;
  if (!limits || !limitsFrom) return '';
  return t('angleLedger.to', {
    words: words(limits[0], row),
    words2: words(limits[1], row),
    fromMarks: FROM_MARKS[limitsFrom],
  });
}

interface HeadProps {
  children: ReactNode;
  isNumber?: boolean;
  /** Left out where there is no room. */
  isWide?: boolean;
}

function Head({ children, isNumber = false, isWide = false }: HeadProps) {
  return (
    <Box
      component="th"
      scope="col"
      sx={{
        fontWeight: 500,
        pb: 0.5,
        textAlign: isNumber ? 'right' : 'left',
        pr: 1.5,
        display: isWide ? { xs: 'none', sm: 'table-cell' } : undefined,
      }}
    >
      {children}
    </Box>
  );
}

/** The angle as it was, marked where it was out. */
function Before({ row, words }: { row: LedgerRow | undefined; words: RowWords }) {
  const isOut = row?.state === 'out';
  return (
    <Box
      component="td"
      className="condensed"
      sx={{
        textAlign: 'right',
        whiteSpace: 'nowrap',
        fontSize: '1.1rem',
        color: isOut ? 'var(--marker)' : 'var(--soft)',
      }}
    >
      {row && words(row.value, row)}
      {isOut && <span className="visually-hidden">, {t('angleLedger.out')}</span>}
    </Box>
  );
}
