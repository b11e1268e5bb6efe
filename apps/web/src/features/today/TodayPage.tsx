import type { VisitPage } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { skipToken } from '@reduxjs/toolkit/query/react';
import dayjs from 'dayjs';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useDebounce } from 'use-debounce';
import {
  useOpenVisitsQuery,
  useSearchVisitsInfiniteQuery,
  useSessionQuery,
} from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { focusRow } from '../../shared/focusRow.ts';
import { MoreRows } from '../../shared/MoreRows.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { SavedState } from '../../shared/SavedState.tsx';
import { SearchField } from '../../shared/SearchField.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { ImportButton } from './ImportButton.tsx';
import { matchesWords } from './matchesWords.ts';
import { TableMenu } from './TableMenu.tsx';
import { VisitRow } from './VisitRow.tsx';
import { t } from '../../words/today.ts';

const loadNewVisit = () => import('./NewVisitDialog.tsx');
const NewVisitDialog = lazy(async () => ({ default: (await loadNewVisit()).NewVisitDialog }));

const SHORTCUTS = [
  { keys: ['N'], what: t('todayPage.aCarRollsIn') },
  { keys: ['/'], what: t('todayPage.search') },
  { keys: ['↑', '↓'], what: t('todayPage.fromCarToCar') },
  { keys: [t('todayPage.enter')], what: t('todayPage.open') },
];

/** All visits are searched once typing has paused for this long. */
const TYPING_MS = 200;

type Scope = 'here' | 'waiting' | 'all';

/** The shop's cars, each with its own picture, what stands next and who waits. */
export function TodayPage() {
  const { data: session } = useSessionQuery();
  const [scope, setScope] = useState<Scope>('here');
  const [words, setWords] = useState('');
  const [isNew, setNew] = useState(false);
  const list = useRef<HTMLUListElement>(null);
  const [asked, typing] = useDebounce(words.trim(), TYPING_MS);
  const here = useOpenVisitsQuery();
  const all = useSearchVisitsInfiniteQuery(scope === 'all' ? asked : skipToken);
  const { error, isLoading, refetch } = scope === 'all' ? all : here;
  const open = here.data?.visits;
  const found = all.data?.pages;
  const shown = useMemo(
    () =>
      scope === 'all'
        ? found?.flatMap(({ visits }) => visits)
        : open?.filter(
            (visit) =>
              (scope !== 'waiting' || visit.waits === 'counter') && matchesWords(visit, words),
          ),
    [scope, found, open, words],
  );

  // The form is fetched once the list stands, so that it opens at once.
  useEffect(() => {
    if (here.isSuccess) void loadNewVisit();
  }, [here.isSuccess]);

  useHotkeys('n', () => setNew(true), { preventDefault: true });
  useHotkeys(['up', 'down'], ({ key }) => focusRow(list.current, key === 'ArrowDown' ? 1 : -1), {
    preventDefault: true,
    enableOnFormTags: ['input'],
  });

  const searchAll = () => {
    typing.flush();
    setScope('all');
  };

  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar status={<SavedState />} session={session} shortcuts={SHORTCUTS}>
        <Typography sx={{ display: { xs: 'none', md: 'block' } }} noWrap>
          {session.shop.name}, {session.shop.town}
          {session.shop.isDemo && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {` · ${t('todayPage.demoData')}`}
            </Box>
          )}
        </Typography>
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
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-end', mb: 2.5 }}>
          <Box sx={{ flex: '1 1 300px' }}>
            <Typography variant="h1">{dayjs().format(t('todayPage.ddddDMmmm'))}</Typography>
            <Typography color="textSecondary" sx={{ mt: 0.5 }}>
              {here.data ? headline(here.data) : ' '}
            </Typography>
          </Box>
          <TableMenu visits={shown ?? []} unit={session.preferences.units.depth} />
          <ImportButton />
          <Button variant="contained" onClick={() => setNew(true)} aria-keyshortcuts="n">
            {t('todayPage.newVisit')}
            <Box
              component="span"
              aria-hidden
              sx={{ opacity: 0.65, ml: 1, display: { xs: 'none', md: 'inline' } }}
            >
              N
            </Box>
          </Button>
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 1, alignItems: 'center' }}>
          <Choice
            label={t('todayPage.show')}
            hideLabel
            options={[
              { value: 'here', label: t('todayPage.hereNow') },
              { value: 'waiting', label: t('todayPage.waitingAtTheCounter') },
              { value: 'all', label: t('todayPage.allVisits') },
            ]}
            value={scope}
            onChange={(next) => setScope(next ?? 'here')}
          />
          <SearchField
            label={t('todayPage.searchField')}
            placeholder={t('todayPage.plateCarCustomerComplaint')}
            value={words}
            onChange={setWords}
            sx={{ flex: '1 1 240px', maxWidth: { md: 380 }, ml: { md: 'auto' } }}
          />
        </Box>
        {error && (
          <Box sx={{ my: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
            <Notice kind="caution">{failureOf(error).text}</Notice>
            <Button onClick={() => void refetch()}>{t('todayPage.tryAgain')}</Button>
          </Box>
        )}
        {isLoading && <RowSkeletons />}
        {shown?.length === 0 && (
          <Empty
            title={emptyWords(scope, words.trim() !== '')}
            canStart={scope === 'all' || (scope === 'here' && words.trim() === '')}
            onNew={() => setNew(true)}
            onAll={scope !== 'all' && words.trim() !== '' ? searchAll : null}
          />
        )}
        <Box
          component="ul"
          ref={list}
          aria-label={t('todayPage.visits')}
          aria-busy={all.isFetching && scope === 'all'}
          sx={{ listStyle: 'none', m: 0, p: 0 }}
        >
          {shown?.map((visit) => (
            <VisitRow key={visit.id} visit={visit} people={session.people} />
          ))}
        </Box>
        {scope === 'all' && all.hasNextPage && (
          <MoreRows
            label={t('todayPage.earlierVisits')}
            isLoading={all.isFetching}
            hasFailed={all.isError}
            onMore={() => void all.fetchNextPage()}
          />
        )}
        {scope !== 'all' && here.data && here.data.before !== null && (
          <Typography color="textSecondary" sx={{ py: 2 }}>
            {t('todayPage.theseAreTheLatest', { length: here.data.visits.length })}
          </Typography>
        )}
      </Box>
      {isNew && (
        <Suspense fallback={null}>
          <NewVisitDialog onClose={() => setNew(false)} />
        </Suspense>
      )}
    </Box>
  );
}

function headline({ visits, before }: VisitPage): string {
  const waiting = visits.filter(({ waits }) => waits === 'counter').length;
  if (visits.length === 0) return t('todayPage.noCarIsHere');
  const cars =
    before === null
      ? t('todayPage.carsAreHere', { count: visits.length })
      : t('todayPage.moreCarsAreHere', { count: visits.length });
  return waiting === 0
    ? t('todayPage.nobodyWaits', { cars })
    : t('todayPage.withSomebodyAtThe', { cars, waiting });
}

function RowSkeletons() {
  return (
    <Box role="status" aria-label={t('todayPage.loadingTheVisits')}>
      {Array.from({ length: 8 }, (_, i) => (
        <Skeleton
          key={i}
          variant="rectangular"
          height={52}
          sx={{ my: 1, bgcolor: 'var(--hairline)' }}
        />
      ))}
    </Box>
  );
}

function emptyWords(scope: Scope, isSearch: boolean): string {
  if (isSearch)
    return scope === 'all' ? t('todayPage.noVisitFitsThis') : t('todayPage.noCarHereFits');
  return scope === 'waiting' ? t('todayPage.nobodyWaitsAtThe') : t('todayPage.noCarIsHereYet');
}

interface EmptyProps {
  title: string;
  /** Nobody is to be found elsewhere: it is a car that has not been here. */
  canStart: boolean;
  onNew: () => void;
  /** Looks through all visits instead; null where that has been done. */
  onAll: (() => void) | null;
}

function Empty({ title, canStart, onNew, onAll }: EmptyProps) {
  return (
    <Box sx={{ py: 6, textAlign: 'center' }}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      {canStart && <Button onClick={onNew}>{t('todayPage.newVisit')}</Button>}
      {onAll && <Button onClick={onAll}>{t('todayPage.searchAllVisits')}</Button>}
    </Box>
  );
}
