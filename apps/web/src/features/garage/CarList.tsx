import type { GarageRow } from '@keen/contract';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { memo } from 'react';
import { useCarsInfiniteQuery } from '../../api/garageApi.ts';
import type { CarScope } from '../../api/garageApi.ts';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { ListLink } from '../../shared/ListLink.tsx';
import { DUE_WORDS } from '../../shared/dueWords.ts';
import { PagedList } from './PagedList.tsx';

/** The shop's cars, the latest seen first. */
export function CarList({ scope }: { scope: CarScope }) {
  const cars = useCarsInfiniteQuery(scope, { refetchOnMountOrArgChange: true });
  const isSearch = 'words' in scope && scope.words !== '';
  return (
    <PagedList
      label="Cars"
      pages={cars}
      empty={
        isSearch
          ? {
              title: 'No car fits this search.',
              text: 'Every word must fit: plate, car, customer, telephone, VIN or tire size.',
            }
          : {
              title: 'No car has been here yet.',
              text: 'A car comes into the garage with its first visit.',
            }
      }
      rowOf={(row) => <CarRow key={row.vehicle.id} row={row} />}
    />
  );
}

/** A car: its tread at the latest visit, its name, when it was here, what is due. */
const CarRow = memo(function CarRow({ row }: { row: GarageRow }) {
  const { vehicle, last, visits, due } = row;
  const isLate = due !== null && dayjs(due.on).isBefore(dayjs().startOf('day'));
  return (
    <ListLink
      to={`/garage/${vehicle.id}`}
      columns={{ xs: '138px 1fr', md: '150px 1.6fr 1fr 1.3fr' }}
      height={65}
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
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', gridColumn: { xs: 2, md: 'auto' } }}>
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
    </ListLink>
  );
});
