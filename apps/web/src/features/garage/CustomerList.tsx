import type { CustomerRow } from '@keen/contract';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { useCustomersInfiniteQuery } from '../../api/garageApi.ts';
import { ListLink } from '../../shared/ListLink.tsx';
import { PagedList } from './PagedList.tsx';
import { t } from '../../words/garage.ts';

/** The shop's customers, in order of their names. */
export function CustomerList({ words }: { words: string }) {
  const customers = useCustomersInfiniteQuery(words, { refetchOnMountOrArgChange: true });
  return (
    <PagedList
      label={t('customerList.customers')}
      pages={customers}
      empty={
        words === ''
          ? {
              title: t('customerList.noCustomerHasBeen'),
              text: t('customerList.aCustomerIsNoted'),
            }
          : {
              title: t('customerList.noCustomerFitsThis'),
              text: t('customerList.everyWordMustFit'),
            }
      }
      rowOf={(row) => <Row key={row.carId} row={row} />}
    />
  );
}

function Row({ row: { carId, name, phone, cars, lastVisitAt } }: { row: CustomerRow }) {
  return (
    <ListLink
      to={`/garage/${carId}/fleet`}
      columns={{ xs: 'minmax(0, 1fr) auto', md: '1.6fr 1fr' }}
      height={61}
    >
      <Box>
        <strong>{name}</strong>
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>{phone}</Box>
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
        {t('customerList.cars', { count: cars })}
        <Box sx={{ fontSize: '0.85rem' }}>
          {t('customerList.lastHere', { lastVisitAt: dayjs(lastVisitAt).format('D MMM YYYY') })}
        </Box>
      </Box>
    </ListLink>
  );
}
