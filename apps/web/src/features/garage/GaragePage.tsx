import type { GarageRow } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { memo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useDebounce } from 'use-debounce';
import { useCarsInfiniteQuery } from '../../api/garageApi.ts';
import { useSessionQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { DUE_WORDS } from '../../shared/dueWords.ts';
import { MadeUpYears } from '../../shared/MadeUpYears.tsx';
import { MoreRows } from '../../shared/MoreRows.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { SearchField } from '../../shared/SearchField.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { focusRow } from '../../shared/focusRow.ts';

const SHORTCUTS = [
  { keys: ['/'], what: 'search' },
  { keys: ['↑', '↓'], what: 'from car to car' },
  { keys: ['Enter'], what: 'open' },
  { keys: ['T'], what: 'back to today' },
];
/** The list is asked for once typing has paused for this long. */
const TYPING_MS = 200;

/** Every car that has been here, found by whatever one remembers of it. */
export function GaragePage() {
  const { data: session } = useSessionQuery();
  const [words, setWords] = useState('');
  const [asked] = useDebounce(words.trim(), TYPING_MS);
  const [params] = useSearchParams();
  const customerOf = params.get('customerOf');
  const scope = customerOf === null ? { words: asked } : { customerOf };
  const cars = useCarsInfiniteQuery(scope, { refetchOnMountOrArgChange: true });
  const list = useRef<HTMLUListElement>(null);
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  useHotkeys(['up', 'down'], ({ key }) => focusRow(list.current, key === 'ArrowDown' ? 1 : -1), {
    preventDefault: true,
    enableOnFormTags: ['input'],
  });
  if (!session) return null;
  const rows = cars.data?.pages.flatMap((page) => page.rows);
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>Garage</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          px: { xs: 1.5, md: 5 },
          py: { xs: 2, md: 3 },
          width: '100%',
          maxWidth: 1240,
          mx: 'auto',
        }}
      >
        {customerOf === null ? (
          <SearchField
            label="Search the cars"
            placeholder="Plate, car, customer, telephone, VIN, tire size"
            value={words}
            onChange={setWords}
            sx={{ width: '100%', maxWidth: 520, mb: 1.5 }}
          />
        ) : (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap', mb: 1.5 }}>
            <Typography variant="h1">
              {rows?.[0] ? `Cars of ${rows[0].vehicle.customer}` : 'Cars of this customer'}
            </Typography>
            <MuiLink component={Link} to="/garage">
              All cars
            </MuiLink>
          </Box>
        )}
        <MadeUpYears session={session} />
        {cars.error && (
          <Box sx={{ my: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
            <Notice kind="caution">{failureOf(cars.error).text}</Notice>
            <Button onClick={() => void cars.refetch()}>Try again</Button>
          </Box>
        )}
        {cars.isLoading && (
          <Box role="status" aria-label="Loading the cars">
            <Skeleton variant="rectangular" height={320} sx={{ bgcolor: 'var(--hairline)' }} />
          </Box>
        )}
        {rows?.length === 0 && (
          <Box sx={{ py: 6, textAlign: 'center' }}>
            <Typography variant="h2" gutterBottom>
              {asked === '' ? 'No car has been here yet.' : 'No car fits this search.'}
            </Typography>
            <Typography color="textSecondary">
              {asked === ''
                ? 'A car comes into the garage with its first visit.'
                : 'Every word must fit: plate, car, customer, telephone, VIN or tire size.'}
            </Typography>
          </Box>
        )}
        <Box
          component="ul"
          ref={list}
          aria-label="Cars"
          aria-busy={cars.isFetching}
          sx={{ listStyle: 'none', m: 0, p: 0 }}
        >
          {rows?.map((row) => (
            <CarRow key={row.vehicle.id} row={row} />
          ))}
        </Box>
        {cars.hasNextPage && (
          <MoreRows
            label="More cars"
            isLoading={cars.isFetching}
            hasFailed={cars.isError}
            onMore={() => void cars.fetchNextPage()}
          />
        )}
      </Box>
    </Box>
  );
}

/** A car: its tread at the latest visit, its name, when it was here, what is due. */
const CarRow = memo(function CarRow({ row }: { row: GarageRow }) {
  const { vehicle, last, visits, due } = row;
  const isLate = due !== null && dayjs(due.on).isBefore(dayjs().startOf('day'));
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 65px',
      }}
    >
      <Box
        component={Link}
        to={`/garage/${vehicle.id}`}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '138px 1fr', md: '150px 1.6fr 1fr 1.3fr' },
          columnGap: { xs: 1.5, md: 2.5 },
          alignItems: 'center',
          py: 1,
          px: 0.5,
          minHeight: 56,
          color: 'inherit',
          textDecoration: 'none',
          '&:hover, &:focus-visible': { bgcolor: 'var(--sheet)' },
        }}
      >
        <TreadMiniature draft={last?.draft ?? {}} />
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
            <Box
              component="span"
              className="condensed"
              sx={{ fontSize: '1.15rem', fontWeight: 700, whiteSpace: 'nowrap' }}
            >
              {vehicle.plate}
            </Box>
            <Box
              component="span"
              sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
            >
              {vehicle.label}
            </Box>
          </Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            {[vehicle.customer, vehicle.phone].filter(Boolean).join(', ')}
          </Box>
        </Box>
        <Box
          sx={{ color: 'text.secondary', fontSize: '0.9rem', gridColumn: { xs: 2, md: 'auto' } }}
        >
          {last ? dayjs(last.arrivedAt).format('D MMM YYYY') : 'no visit'}
          <Box sx={{ fontSize: '0.85rem' }}>{visits === 1 ? '1 visit' : `${visits} visits`}</Box>
        </Box>
        <Box
          sx={{
            fontSize: '0.9rem',
            gridColumn: { xs: 2, md: 'auto' },
            color: isLate ? 'var(--marker)' : 'text.secondary',
          }}
        >
          {due && (
            <>
              {isLate && '◆ '}
              {DUE_WORDS[due.what]}
              <Box sx={{ fontSize: '0.85rem' }}>
                {isLate ? 'overdue since' : 'due'} {dayjs(due.on).format('D MMM YYYY')}
              </Box>
            </>
          )}
        </Box>
      </Box>
    </Box>
  );
});
