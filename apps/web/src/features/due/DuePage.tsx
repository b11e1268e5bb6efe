import type { DueRow } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link as RouterLink, useNavigate } from 'react-router';
import { useDueInfiniteQuery } from '../../api/handOverApi.ts';
import { useSessionQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { joined } from '../../shared/joined.ts';
import { Choice } from '../../shared/Choice.tsx';
import { DUE_WORDS } from '../../shared/dueWords.ts';
import { showAbout } from '../../shared/format.ts';
import { MoreRows } from '../../shared/MoreRows.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { useSettleDue } from './useSettleDue.ts';
import { t } from '../../words/due.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('duePage.backToToday') }];
const SPANS = [
  { value: '31', label: t('duePage.aMonth') },
  { value: '92', label: t('duePage.aQuarter') },
  { value: 'all', label: t('duePage.all') },
] as const;
type SpanOfDays = (typeof SPANS)[number]['value'];

/** What the shop's cars are due for, soonest first: whom to call. */
export function DuePage() {
  const { data: session } = useSessionQuery();
  const [span, setSpan] = useState<SpanOfDays>('92');
  const today = dayjs().startOf('day');
  const until = span === 'all' ? null : today.add(Number(span), 'day').format('YYYY-MM-DD');
  const due = useDueInfiniteQuery(until, { refetchOnMountOrArgChange: true });
  const { data, error, isLoading, refetch } = due;
  const rows = data?.pages.flatMap((page) => page.rows);
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  const late = (rows ?? []).filter(({ reminder }) => dayjs(reminder.on).isBefore(today));
  const soon = (rows ?? []).filter(({ reminder }) => !dayjs(reminder.on).isBefore(today));
  const unit = session.preferences.units.distance;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('duePage.due')}</PageTitle>
      </TopBar>
      <Box component="main" sx={{ p: { xs: 2, md: 3.5 }, maxWidth: 980, display: 'grid', gap: 3 }}>
        <Choice
          label={t('duePage.lookingAhead')}
          options={SPANS}
          value={span}
          onChange={(next) => next && setSpan(next)}
        />
        {isLoading && (
          <Box role="status" aria-label={t('duePage.loadingTheList')}>
            <Skeleton variant="rectangular" height={240} sx={{ bgcolor: 'var(--hairline)' }} />
          </Box>
        )}
        {error && (
          <Box role="alert">
            <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
            <Button onClick={() => void refetch()}>{t('duePage.tryAgain')}</Button>
          </Box>
        )}
        {rows?.length === 0 && (
          <Box>
            <Typography variant="h1" component="h2" gutterBottom>
              {t('duePage.nobodyIsDue')}
            </Typography>
            <Typography color="textSecondary">{t('duePage.whatIsPutOn')}</Typography>
          </Box>
        )}
        {late.length > 0 && <DueRows title={t('duePage.overdue')} rows={late} unit={unit} isLate />}
        {soon.length > 0 && <DueRows title={t('duePage.comingUp')} rows={soon} unit={unit} />}
        {due.hasNextPage && (
          <MoreRows
            label={t('duePage.laterOnes')}
            isLoading={due.isFetching}
            hasFailed={due.isError}
            onMore={() => void due.fetchNextPage()}
          />
        )}
      </Box>
    </Box>
  );
}

interface DueRowsProps {
  title: string;
  rows: readonly DueRow[];
  unit: 'km' | 'mi';
  isLate?: boolean;
}

function DueRows({ title, rows, unit, isLate = false }: DueRowsProps) {
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box component="ul" aria-label={title} sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {rows.map((row) => (
          <DueLine key={`${row.visitId} ${row.place}`} row={row} unit={unit} isLate={isLate} />
        ))}
      </Box>
    </Box>
  );
}

function DueLine({ row, unit, isLate }: { row: DueRow; unit: 'km' | 'mi'; isLate: boolean }) {
  const { reminder, car, plate, customer, phone, number, visitId } = row;
  const { settle, isSettling, failure } = useSettleDue(row);
  const name = joined(car, plate);
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--line)',
        py: 1.25,
        display: 'grid',
        columnGap: 2,
        rowGap: 0.5,
        gridTemplateColumns: { xs: '1fr', sm: '104px 1fr auto' },
        alignItems: 'baseline',
      }}
    >
      <Box
        className="condensed"
        sx={{
          fontSize: '1.25rem',
          fontWeight: 700,
          color: isLate ? 'var(--marker)' : undefined,
          whiteSpace: 'nowrap',
        }}
      >
        {isLate && <span aria-hidden>◆ </span>}
        {dayjs(reminder.on).format('D MMM YY')}
      </Box>
      <Box>
        <strong>{DUE_WORDS[reminder.what]}</strong>{' '}
        {reminder.afterKm !== null &&
          t('duePage.after', { afterKm: showAbout(reminder.afterKm, unit), unit })}
        <Box sx={{ color: 'text.secondary' }}>
          <Link component={RouterLink} to={`/visits/${visitId}/hand-over`}>
            {name}
          </Link>
          {customer && `, ${customer}`}
          {phone && (
            <>
              , <Link href={`tel:${phone.replace(/[^+\d]/g, '')}`}>{phone}</Link>
            </>
          )}
          , {t('duePage.visit', { number })}
        </Box>
        {failure && (
          <Typography role="alert" sx={{ color: 'var(--marker)' }}>
            {failure}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          disabled={isSettling}
          aria-label={t('duePage.doneOf', { dueWords: DUE_WORDS[reminder.what], name })}
          onClick={() => void settle('done')}
        >
          {t('duePage.done')}
        </Button>
        <Button
          variant="text"
          disabled={isSettling}
          aria-label={t('duePage.dismissOf', { dueWords: DUE_WORDS[reminder.what], name })}
          onClick={() => void settle('dropped')}
        >
          {t('duePage.dismiss')}
        </Button>
      </Box>
    </Box>
  );
}
