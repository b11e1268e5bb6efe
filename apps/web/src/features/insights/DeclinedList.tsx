import type { DeclinedRow, InsightQuery, Session } from '@keen/contract';
import { formatMoney } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import { useDeclinedInfiniteQuery } from '../../api/insightsApi.ts';
import { failureOf } from '../../api/problem.ts';
import { MoreRows } from '../../shared/MoreRows.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { adviceWords } from './adviceWords.ts';
import { t } from '../../words/insights.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** Who said no to what, and why. */
export function DeclinedList({ session, query }: { session: Session; query: InsightQuery }) {
  const declined = useDeclinedInfiniteQuery(query);
  const { data, error, isLoading, refetch } = declined;
  const rows = data?.pages.flatMap((page) => page.rows) ?? [];
  if (!isLoading && !error && rows.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="declined">
      <Typography variant="h2" id="declined" sx={{ mb: 0.5 }}>
        {t('declinedList.whoSaidNoWhy')}
      </Typography>
      {isLoading && (
        <Box role="status" aria-label={t('declinedList.loadingWhoSaidNo')}>
          <Skeleton height={64} />
        </Box>
      )}
      {error && (
        <Box role="alert">
          <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
          <Button onClick={() => void refetch()}>{t('declinedList.tryAgain')}</Button>
        </Box>
      )}
      <Box
        component="ul"
        aria-label={t('declinedList.whoSaidNo')}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {rows.map((row) => (
          <Row key={row.visitId} row={row} session={session} />
        ))}
      </Box>
      {declined.hasNextPage && (
        <MoreRows
          label={t('declinedList.earlierOnes')}
          isLoading={declined.isFetching}
          hasFailed={declined.isError}
          onMore={() => void declined.fetchNextPage()}
        />
      )}
    </Box>
  );
}

function Row({ row, session }: { row: DeclinedRow; session: Session }) {
  const { visitId, number, plate, label, at, chosen, reason, personId, cost } = row;
  const { currency } = session.shop.settings.prices;
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--line)',
        py: 1.25,
        display: 'grid',
        columnGap: 2.5,
        rowGap: 0.25,
        gridTemplateColumns: { xs: '1fr', md: '110px 1.1fr 1.5fr 1.1fr 0.9fr' },
        alignItems: 'baseline',
      }}
    >
      <Box sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
        {dayjs(at).format('D MMM YYYY')}
      </Box>
      <Box>
        <Link component={RouterLink} to={`/visits/${visitId}/decide`} sx={{ fontWeight: 650 }}>
          {plate}
        </Link>{' '}
        {label}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          , {t('declinedList.visit', { number })}
        </Box>
      </Box>
      <Box>
        {adviceWords(chosen)}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          , {t('declinedList.askedBy', { session: nameOf(session, personId) })}
        </Box>
      </Box>
      <Box sx={{ color: reason === '' ? 'text.secondary' : undefined }}>
        {reason === '' ? t('declinedList.noReasonWrittenDown') : `“${reason}”`}
      </Box>
      <Box sx={{ color: 'text.secondary', textAlign: { md: 'right' } }}>
        {cost !== null &&
          (cost.minor > 0
            ? t('declinedList.byVisit', {
                minor: formatMoney(cost.minor, currency, pageLocale, true),
                number: cost.number,
              })
            : t('declinedList.nothingToSpeakOf', { number: cost.number }))}
      </Box>
    </Box>
  );
}
