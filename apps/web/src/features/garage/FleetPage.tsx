import type { Session } from '@keen/contract';
import { distanceToKm, formatMoney, neededBy, SAID_FROM } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { lazy, Suspense } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link as RouterLink, useNavigate, useParams } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { SIDE_BY_SIDE } from '../../shared/sideBySide.ts';
import { TopBar } from '../../shared/TopBar.tsx';
import { CustomerDoubles } from './CustomerDoubles.tsx';
import { CauseCosts } from './CauseCosts.tsx';
import { SizeNeeds } from './SizeNeeds.tsx';
import { fleetAsCsv } from './fleetAsCsv.ts';
import { useFleet } from './useFleet.ts';
import type { Fleet, FleetCar } from './useFleet.ts';
import { t } from '../../words/garage.ts';
import { actionWords, causeWords, whereWords } from '../../words/pageTexts.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

const NeedsChart = lazy(async () => ({ default: (await import('./NeedsChart.tsx')).NeedsChart }));

const SHORTCUTS = [
  { keys: ['G'], what: t('fleetPage.backToTheGarage') },
  { keys: ['T'], what: t('fleetPage.backToToday') },
];
const THOUSAND = 1000;
/** A customer's cars by when they need tires, what each costs and why, and how many sets to order when. */
export function FleetPage() {
  const { vehicleId = '' } = useParams();
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  useHotkeys('g', () => void navigate('/garage'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('fleetPage.customer')}</PageTitle>
      </TopBar>
      <LoadedFleet session={session} vehicleId={vehicleId} />
    </Box>
  );
}

function LoadedFleet({ session, vehicleId }: { session: Session; vehicleId: string }) {
  const fleet = useFleet(vehicleId, session.shop.settings.prices);
  const { cars, total, isWorking, error, retry } = fleet;
  const today = dayjs().format('YYYY-MM-DD');
  const rows = cars.toSorted((a, b) => whenOf(a, today).localeCompare(whenOf(b, today)));
  const customer = cars[0]?.car.vehicle.customer;
  return (
    <Box
      component="main"
      sx={{
        px: { xs: 1.5, md: 5 },
        py: { xs: 2, md: 3 },
        maxWidth: 1240,
        width: '100%',
        mx: 'auto',
        display: 'grid',
        gap: 3,
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ flex: '1 1 300px' }}>
          <Typography variant="h1">{customer ?? t('fleetPage.customer')}</Typography>
          <Typography color="textSecondary" role="status">
            {isWorking
              ? total
                ? t('fleetPage.workingOut', { done: cars.length, total })
                : t('fleetPage.workingOutIts', { done: cars.length })
              : headline(rows, today)}
          </Typography>
        </Box>
        <Button component={RouterLink} to={`/garage?customerOf=${vehicleId}`}>
          {t('fleetPage.asAList')}
        </Button>
        <Button
          disabled={isWorking || rows.length === 0}
          onClick={() => saveFile('fleet.csv', fleetAsCsv(rows, session, today), 'text/csv')}
        >
          {t('fleetPage.saveAsCsv')}
        </Button>
      </Box>
      {isWorking && (
        <LinearProgress
          variant={total > 0 ? 'determinate' : 'indeterminate'}
          value={total > 0 ? (100 * cars.length) / total : 0}
          aria-label={t('fleetPage.carsWorkedOut')}
        />
      )}
      {error !== null && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <Notice kind="caution">{failureOf(error).text}</Notice>
          <Button onClick={retry}>{t('fleetPage.tryAgain')}</Button>
        </Box>
      )}
      <CustomerDoubles carId={vehicleId} session={session} />
      <Needs fleet={fleet} today={today} currency={session.shop.settings.prices.currency} />
      <Box component="section">
        <Typography variant="h2">{t('fleetPage.byWhenTiresAre')}</Typography>
        <Typography color="textSecondary" sx={{ mb: 1 }}>
          {t('fleetPage.withWhatIsAdvised', { distance: session.preferences.units.distance })}
        </Typography>
        <Box
          component="ul"
          aria-label={t('fleetPage.carsOfTheFleet')}
          sx={{ listStyle: 'none', m: 0, p: 0 }}
        >
          {rows.map((row) => (
            <Row key={row.car.vehicle.id} row={row} session={session} today={today} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

function Needs({
  fleet: { cars, isWorking },
  today,
  currency,
}: {
  fleet: Fleet;
  today: string;
  currency: string;
}) {
  const running = cars.flatMap((car) => car.running ?? []);
  if (isWorking || running.length < 2) return null;
  return (
    <>
      <Suspense fallback={null}>
        <NeedsChart cars={running} today={today} />
      </Suspense>
      <Box sx={SIDE_BY_SIDE}>
        <SizeNeeds cars={cars} today={today} />
        <CauseCosts cars={cars} currency={currency} />
      </Box>
    </>
  );
}

function Row({ row, session, today }: { row: FleetCar; session: Session; today: string }) {
  const { car, read, running, cost } = row;
  const { units } = session.preferences;
  const { currency } = session.shop.settings.prices;
  const due = running && neededBy(running, today);
  const perThousand = (minor: number) =>
    formatMoney((minor * distanceToKm(THOUSAND, units.distance)) / THOUSAND, currency, pageLocale);
  const isNow = due?.likely === today;
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        py: 1,
        display: 'grid',
        columnGap: 2.5,
        rowGap: 0.5,
        alignItems: 'center',
        gridTemplateColumns: { xs: '138px 1fr', md: '150px 1.1fr 1fr 1.6fr 1.1fr' },
      }}
    >
      <TreadMiniature draft={read?.draft ?? {}} />
      <Box sx={{ minWidth: 0 }}>
        <Link component={RouterLink} to={`/garage/${car.vehicle.id}`} sx={{ fontWeight: 650 }}>
          {car.vehicle.plate}
        </Link>{' '}
        {car.vehicle.label}
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {read
            ? t('fleetPage.read', { arrivedAt: dayjs(read.arrivedAt).format('D MMM YYYY') })
            : t('fleetPage.notReadInFull')}
        </Box>
      </Box>
      <Box>
        {due ? (
          <>
            <Box
              className="condensed"
              sx={{
                fontWeight: 700,
                fontSize: '1.15rem',
                color: isNow ? 'var(--marker)' : undefined,
              }}
            >
              {isNow ? '◆ now' : dayjs(due.likely).format('MMM YYYY')}
            </Box>
            {!isNow && (
              <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                {t('fleetPage.to', {
                  early: dayjs(due.early).format('MMM YY'),
                  late: dayjs(due.late).format('MMM YY'),
                })}
              </Box>
            )}
          </>
        ) : (
          <Box sx={{ color: 'text.secondary' }}>{t('fleetPage.cannotBeToldYet')}</Box>
        )}
      </Box>
      <Box>
        {cost && (
          <>
            {actionWords(cost.advised, false)}
            {cost.cause && cost.cause.probability >= SAID_FROM && (
              <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                {causeWords(cost.cause.cause)}, {whereWords(cost.cause.where)}
              </Box>
            )}
          </>
        )}
      </Box>
      <Box>
        {cost && (
          <>
            {perThousand(cost.asIs)}
            {cost.advised !== 'fitOnly' && <> → {perThousand(cost.asAdvised)}</>}
            {cost.asAdvised > cost.asIs && (
              <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                {t('fleetPage.dearerButNewTires')}
              </Box>
            )}
          </>
        )}
      </Box>
    </Box>
  );
}

function whenOf({ running }: FleetCar, today: string): string {
  return running ? neededBy(running, today).likely : '9999';
}

function headline(rows: readonly FleetCar[], today: string): string {
  const told = rows.flatMap(({ running }) => (running ? [neededBy(running, today).likely] : []));
  const now = told.filter((day) => day <= today).length;
  const soon = told.filter(
    (day) => day <= dayjs(today).add(3, 'month').format('YYYY-MM-DD'),
  ).length;
  const cars = t('customerList.cars', { count: rows.length });
  if (told.length === 0) return t('fleetPage.noneReadInFull', { cars });
  const nowWords =
    now === 0
      ? t('fleetPage.noneNeedsTiresNow')
      : now === 1
        ? t('fleetPage.oneNeedsTiresNow')
        : t('fleetPage.needTiresNow', { now });
  return t('fleetPage.withinThreeMonths', { cars, nowWords, soon });
}
