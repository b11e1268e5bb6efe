import type { StoredRow } from '@keen/contract';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { useStoredTiresInfiniteQuery } from '../../api/garageApi.ts';
import { joined } from '../../shared/joined.ts';
import { capital } from '../../shared/format.ts';
import { tiresWords } from '../../shared/tireWords.ts';
import { ListLink } from '../../shared/ListLink.tsx';
import { PagedList } from './PagedList.tsx';
import { t } from '../../words/garage.ts';

/** Tires that the shop stores, those that came last first. */
export function StoredList({ words }: { words: string }) {
  const stored = useStoredTiresInfiniteQuery(words, { refetchOnMountOrArgChange: true });
  return (
    <PagedList
      label={t('storedList.storedTires')}
      pages={stored}
      empty={
        words === ''
          ? {
              title: t('storedList.noTiresAreStored'),
              text: t('storedList.whenASetStays'),
            }
          : {
              title: t('storedList.noStoredTiresFit'),
              text: t('storedList.everyWordMustFit'),
            }
      }
      rowOf={(row) => <Row key={row.visitId} row={row} />}
    />
  );
}

function Row({ row: { vehicle, stored } }: { row: StoredRow }) {
  const { place, count, season, size, onRims, since } = stored;
  return (
    <ListLink
      to={`/garage/${vehicle.id}`}
      columns={{ xs: '118px minmax(0, 1fr)', md: '1fr 1.4fr 1.6fr' }}
      height={61}
    >
      <Box>
        <Box className="condensed" sx={{ fontSize: '1.15rem', fontWeight: 700 }}>
          {place}
        </Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {t('storedList.since', { since: dayjs(since).format('D MMM YYYY') })}
        </Box>
      </Box>
      <Box>
        {tiresWords(count, season)}
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {capital(joined(size, onRims ? t('storedList.onRims') : t('storedList.withoutRims')))}
        </Box>
      </Box>
      <Box sx={{ gridColumn: { xs: 2, md: 'auto' } }}>
        <strong>{vehicle.plate}</strong> {vehicle.label}
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {joined(vehicle.customer, vehicle.phone)}
        </Box>
      </Box>
    </ListLink>
  );
}
