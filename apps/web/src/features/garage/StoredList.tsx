import type { StoredRow } from '@keen/contract';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { useStoredTiresInfiniteQuery } from '../../api/garageApi.ts';
import { capital } from '../../shared/format.ts';
import { SEASON_WORDS } from '../../shared/tireWords.ts';
import { ListLink } from './ListLink.tsx';
import { PagedList } from './PagedList.tsx';

/** Tires that the shop stores, those that came last first. */
export function StoredList({ words }: { words: string }) {
  const stored = useStoredTiresInfiniteQuery(words, { refetchOnMountOrArgChange: true });
  return (
    <PagedList
      label="Stored tires"
      pages={stored}
      empty={
        words === ''
          ? {
              title: 'No tires are stored here.',
              text: 'When a set stays here, note its place at Hand over.',
            }
          : {
              title: 'No stored tires fit this search.',
              text: 'Every word must fit: place, size, plate, car, customer or telephone.',
            }
      }
      rowOf={(row) => <Row key={row.visitId} row={row} />}
    />
  );
}

function Row({ row: { vehicle, stored } }: { row: StoredRow }) {
  const { place, count, season, size, onRims, since } = stored;
  return (
    <ListLink to={`/garage/${vehicle.id}`} columns="1fr 1.4fr 1.6fr 1fr">
      <Box className="condensed" sx={{ fontSize: '1.15rem', fontWeight: 700 }}>
        {place}
      </Box>
      <Box>
        {count} {season ? `${SEASON_WORDS[season]} ` : ''}
        {count === 1 ? 'tire' : 'tires'}
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {capital([size, onRims ? 'on rims' : 'without rims'].filter(Boolean).join(', '))}
        </Box>
      </Box>
      <Box>
        <strong>{vehicle.plate}</strong> {vehicle.label}
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {[vehicle.customer, vehicle.phone].filter(Boolean).join(', ')}
        </Box>
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
        since {dayjs(since).format('D MMM YYYY')}
      </Box>
    </ListLink>
  );
}
