import type { Visit } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSessionQuery, useVisitsQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Kbd } from '../../shared/Kbd.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { SavedState } from '../../shared/SavedState.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { ImportButton } from './ImportButton.tsx';
import { NewVisitDialog } from './NewVisitDialog.tsx';
import { matchesWords } from './matchesWords.ts';
import { TableMenu } from './TableMenu.tsx';
import { VisitRow } from './VisitRow.tsx';

const SHORTCUTS = [
  { keys: ['N'], what: 'a car rolls in' },
  { keys: ['/'], what: 'search' },
  { keys: ['↑', '↓'], what: 'from car to car' },
  { keys: ['Enter'], what: 'open' },
];

type Scope = 'here' | 'waiting' | 'all';

/** The shop's cars, each with its own picture, what stands next and who waits. */
export function TodayPage() {
  const { data: session } = useSessionQuery();
  const [scope, setScope] = useState<Scope>('here');
  const [words, setWords] = useState('');
  const [isNew, setNew] = useState(false);
  const search = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLUListElement>(null);
  const { data: visits, error, isLoading, refetch } = useVisitsQuery({ all: scope === 'all' });

  const shown = useMemo(
    () =>
      (visits ?? []).filter(
        (visit) => (scope !== 'waiting' || visit.waits === 'counter') && matchesWords(visit, words),
      ),
    [visits, scope, words],
  );

  useHotkeys('n', () => setNew(true), { preventDefault: true });
  useHotkeys('slash', () => search.current?.focus(), { preventDefault: true });
  useHotkeys(['up', 'down'], ({ key }) => focusRow(list.current, key === 'ArrowDown' ? 1 : -1), {
    preventDefault: true,
    enableOnFormTags: ['input'],
  });

  if (!session) return null;
  const waiting = (visits ?? []).filter((visit) => visit.waits === 'counter' && !visit.closedAt);

  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar status={<SavedState />} session={session} shortcuts={SHORTCUTS}>
        <Typography sx={{ display: { xs: 'none', md: 'block' } }} noWrap>
          {session.shop.name}, {session.shop.town}
          {session.shop.isDemo && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              · demo data
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
            <Typography variant="h1">{dayjs().format('dddd, D MMMM')}</Typography>
            <Typography color="textSecondary" sx={{ mt: 0.5 }}>
              {visits ? headline(visits, waiting.length) : ' '}
            </Typography>
          </Box>
          <TableMenu visits={visits ?? []} unit={session.preferences.units.depth} />
          <ImportButton />
          <Button variant="contained" onClick={() => setNew(true)} aria-keyshortcuts="n">
            New visit
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
            label="Show"
            hideLabel
            options={[
              { value: 'here', label: 'Here now' },
              { value: 'waiting', label: 'Waiting at the counter' },
              { value: 'all', label: 'All visits' },
            ]}
            value={scope}
            onChange={(next) => setScope(next ?? 'here')}
          />
          <TextField
            inputRef={search}
            value={words}
            onChange={({ target }) => setWords(target.value)}
            placeholder="Plate, car, customer, complaint"
            sx={{ flex: '1 1 240px', maxWidth: { md: 380 }, ml: { md: 'auto' } }}
            slotProps={{
              htmlInput: { 'aria-label': 'Search', type: 'search' },
              input: {
                endAdornment: (
                  <Box sx={{ display: { xs: 'none', md: 'block' } }}>
                    <Kbd>/</Kbd>
                  </Box>
                ),
              },
            }}
          />
        </Box>
        {error && (
          <Box sx={{ my: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
            <Notice kind="caution">{failureOf(error).text}</Notice>
            <Button onClick={() => void refetch()}>Try again</Button>
          </Box>
        )}
        {isLoading && <RowSkeletons />}
        {visits && shown.length === 0 && (
          <Empty hasVisits={visits.length > 0} onNew={() => setNew(true)} />
        )}
        <Box component="ul" ref={list} aria-label="Visits" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {shown.map((visit) => (
            <VisitRow key={visit.id} visit={visit} people={session.people} />
          ))}
        </Box>
      </Box>
      {isNew && <NewVisitDialog onClose={() => setNew(false)} />}
    </Box>
  );
}

function headline(visits: readonly Visit[], waiting: number): string {
  const here = visits.filter((visit) => !visit.closedAt).length;
  if (here === 0) return 'No car is here.';
  const cars = here === 1 ? 'One car is here' : `${here} cars are here`;
  return waiting === 0
    ? `${cars}, nobody waits.`
    : `${cars}, ${waiting} with somebody at the counter.`;
}

function focusRow(list: HTMLUListElement | null, by: 1 | -1): void {
  const rows = [...(list?.querySelectorAll<HTMLAnchorElement>('a') ?? [])];
  const at = rows.indexOf(document.activeElement as HTMLAnchorElement);
  const next = at < 0 ? (by > 0 ? 0 : rows.length - 1) : at + by;
  rows[Math.max(0, Math.min(rows.length - 1, next))]?.focus();
}

function RowSkeletons() {
  return (
    <Box role="status" aria-label="Loading the visits">
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

function Empty({ hasVisits, onNew }: { hasVisits: boolean; onNew: () => void }) {
  return (
    <Box sx={{ py: 6, textAlign: 'center' }}>
      <Typography variant="h2" gutterBottom>
        {hasVisits ? 'No car fits this search.' : 'No car is here yet.'}
      </Typography>
      {!hasVisits && <Button onClick={onNew}>New visit</Button>}
    </Box>
  );
}
