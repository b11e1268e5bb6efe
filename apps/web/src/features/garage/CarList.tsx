import type { GarageRow } from '@keen/contract';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { memo } from 'react';
import { useCarsInfiniteQuery } from '../../api/garageApi.ts';
import type { CarScope } from '../../api/garageApi.ts';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { joined } from '../../shared/joined.ts';
import { ListLink } from '../../shared/ListLink.tsx';
import { DUE_WORDS } from '../../shared/dueWords.ts';
import { PagedList } from './PagedList.tsx';
import { t } from '../../words/garage.ts';

/** The shop's cars, the latest seen first. */
export function CarList({ scope }: { scope: CarScope }) {
  const cars = useCarsInfiniteQuery(scope, { refetchOnMountOrArgChange: true });
  const isSearch = 'words' in scope && scope.words !== '';
  return (
    <PagedList
      label={t('carList.cars')}
      pages={cars}
      empty={
        isSearch
          ? {
              title: t('carList.noCarFitsThis'),
              text: t('carList.everyWordMustFit'),
            }
          : {
              title: t('carList.noCarHasBeen'),
              text: t('carList.aCarComesInto'),
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
          {joined(vehicle.customer, vehicle.phone)}
        </Box>
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', gridColumn: { xs: 2, md: 'auto' } }}>
        {last ? dayjs(last.arrivedAt).format('D MMM YYYY') : t('carList.noVisit')}
        <Box sx={{ fontSize: '0.85rem' }}>{t('carList.visits', { count: visits })}</Box>
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
              {t(isLate ? 'carList.overdueSince' : 'carList.due', {
                on: dayjs(due.on).format('D MMM YYYY'),
              })}
            </Box>
          </>
        )}
      </Box>
    </ListLink>
  );
});
