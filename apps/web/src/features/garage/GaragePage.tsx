import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useDebounce } from 'use-debounce';
import { useCarCustomerQuery } from '../../api/garageApi.ts';
import { useSessionQuery } from '../../api/keenApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { MadeUpYears } from '../../shared/MadeUpYears.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { SearchField } from '../../shared/SearchField.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { CarList } from './CarList.tsx';
import { CustomerList } from './CustomerList.tsx';
import { StoredList } from './StoredList.tsx';
import { ReceiveCar } from './ReceiveCar.tsx';
import { t } from '../../words/garage.ts';

const SHORTCUTS = [
  { keys: ['/'], what: t('garagePage.search') },
  { keys: ['↑', '↓'], what: t('garagePage.fromRowToRow') },
  { keys: [t('garagePage.enter')], what: t('garagePage.open') },
  { keys: ['T'], what: t('garagePage.backToToday') },
];
/** The list is asked for once typing has paused for this long. */
const TYPING_MS = 200;

const LISTS = [
  { value: 'cars', label: t('garagePage.cars') },
  { value: 'customers', label: t('garagePage.customers') },
  { value: 'stored', label: t('garagePage.storedTires') },
] as const;
type ListName = (typeof LISTS)[number]['value'];
const WHAT: Record<ListName, string> = {
  cars: t('garagePage.plateCarCustomerTelephone'),
  customers: t('garagePage.nameTelephoneOrOne'),
  stored: t('garagePage.placeSizePlateCustomer'),
};

/** Every car, customer and stored set of tires, found by whatever one remembers of it. */
export function GaragePage() {
  const { data: session } = useSessionQuery();
  const [words, setWords] = useState('');
  const [asked] = useDebounce(words.trim(), TYPING_MS);
  const [params, setParams] = useSearchParams();
  const customerOf = params.get('customerOf');
  const list = LISTS.find(({ value }) => value === params.get('list'))?.value ?? 'cars';
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('garagePage.garage')}</PageTitle>
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
          <Box sx={{ display: 'flex', gap: 2, rowGap: 1, flexWrap: 'wrap', mb: 1.5 }}>
            <Choice
              label={t('garagePage.whatIsListed')}
              hideLabel
              options={LISTS}
              value={list}
              onChange={(next) => next && setParams(next === 'cars' ? {} : { list: next })}
            />
            <SearchField
              label={t('garagePage.searchThe', {
                label: LISTS.find(({ value }) => value === list)!.label.toLowerCase(),
              })}
              placeholder={WHAT[list]}
              value={words}
              onChange={setWords}
              sx={{ flex: '1 1 280px', maxWidth: 520 }}
            />
            {session.shop.chain && list === 'cars' && (
              <ReceiveCar chain={session.shop.chain.name} />
            )}
          </Box>
        ) : (
          <CustomerHead carId={customerOf} />
        )}
        <Box sx={{ '&:not(:empty)': { mb: 2 } }}>
          <MadeUpYears session={session} />
        </Box>
        {customerOf !== null ? (
          <CarList scope={{ customerOf }} />
        ) : list === 'cars' ? (
          <CarList scope={{ words: asked }} />
        ) : list === 'customers' ? (
          <CustomerList words={asked} />
        ) : (
          <StoredList words={asked} />
        )}
      </Box>
    </Box>
  );
}

/** Whose cars are listed, and the way back to all. */
function CustomerHead({ carId }: { carId: string }) {
  const { data: customer } = useCarCustomerQuery(carId);
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap', mb: 1.5 }}>
      <Typography variant="h1">
        {customer
          ? t('garagePage.carsOf', { name: customer.name })
          : t('garagePage.carsOfThisCustomer')}
      </Typography>
      <MuiLink component={Link} to="/garage">
        {t('garagePage.allCars')}
      </MuiLink>
    </Box>
  );
}
