import type { CarDetail, Session } from '@keen/contract';
import { ALL_RIBS, carStory, countRead, DEFAULT_LIMITS_MM, draftToCase } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link as RouterLink, useNavigate, useParams } from 'react-router';
import { useCarQuery } from '../../api/garageApi.ts';
import { useSessionQuery, useStartVisitMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { joined } from '../../shared/joined.ts';
import { DUE_WORDS } from '../../shared/dueWords.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { useDiagnosis } from '../../workers/useDiagnosis.ts';
import { angleTracks } from './angleTracks.ts';
import { CarCode } from './CarCode.tsx';
import { CarDoubles } from './CarDoubles.tsx';
import { CarTread } from './CarTread.tsx';
import { TireList } from './TireList.tsx';
import { VisitLog } from './VisitLog.tsx';
import { WearStory } from './WearStory.tsx';
import { t } from '../../words/garage.ts';

const AngleYears = lazy(async () => ({
  default: (await import('./AngleYears.tsx')).AngleYears,
}));
const DepthChart = lazy(async () => ({
  default: (await import('./DepthChart.tsx')).DepthChart,
}));

const SHORTCUTS = [
  { keys: ['←', '→'], what: t('carPage.theVisitBeforeThe') },
  { keys: ['N'], what: t('carPage.newVisitOfThis') },
  { keys: ['G'], what: t('carPage.backToTheGarage') },
  { keys: ['T'], what: t('carPage.backToToday') },
];

/** One car's life: its tread through time, how fast it wears, every visit and every set of tires. */
export function CarPage() {
  const { vehicleId = '' } = useParams();
  const { data: session } = useSessionQuery();
  const {
    data: car,
    error,
    isLoading,
    refetch,
  } = useCarQuery(vehicleId, {
    refetchOnMountOrArgChange: true,
  });
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  useHotkeys('g', () => void navigate('/garage'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>
          {car ? [car.vehicle.plate, car.vehicle.label].join('  ') : t('carPage.garage')}
        </PageTitle>
      </TopBar>
      {car ? (
        <Car key={car.vehicle.id} car={car} session={session} />
      ) : isLoading ? (
        <Box role="status" aria-label={t('carPage.loadingTheCar')} sx={{ p: 3 }}>
          <Skeleton variant="rectangular" height={420} sx={{ bgcolor: 'var(--hairline)' }} />
        </Box>
      ) : (
        <Box role="alert" sx={{ p: 4 }}>
          <Typography variant="h1" gutterBottom>
            {t('carPage.thisCarCannotBe')}
          </Typography>
          <Typography sx={{ mb: 2 }}>{failureOf(error).text}</Typography>
          <Button onClick={() => void refetch()}>{t('carPage.tryAgain')}</Button>
        </Box>
      )}
    </Box>
  );
}

function Car({ car, session }: { car: CarDetail; session: Session }) {
  const { visits, vehicle } = car;
  const { units } = session.preferences;
  const story = useMemo(() => carStory(visits), [visits]);
  const tracks = useMemo(() => angleTracks(visits), [visits]);
  const read = useMemo(
    () => visits.filter(({ draft }) => countRead(draft) > 0).toReversed(),
    [visits],
  );
  const [pickedId, setPickedId] = useState<string | null>(null);
  const shown = read.find(({ id }) => id === pickedId) ?? read.at(-1);
  const step = (by: 1 | -1) => {
    const at = read.findIndex(({ id }) => id === shown?.id) + by;
    if (read[at]) setPickedId(read[at].id);
  };
  useHotkeys('left', () => step(-1));
  useHotkeys('right', () => step(1));
  // What is to come is forecast from the latest whole reading.
  const latest = read.at(-1);
  const file = useMemo(
    () =>
      latest && countRead(latest.draft) === ALL_RIBS
        ? draftToCase(latest.draft, '', {}, { arrivedAt: latest.arrivedAt, others: visits }).file
        : null,
    [latest, visits],
  );
  const { answer, state } = useDiagnosis(file);
  const ahead = answer?.outlook?.oldRibs ?? null;
  return (
    <Box
      component="main"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 420px) minmax(0, 1fr)' },
        columnGap: 5,
        rowGap: 3,
        p: { xs: 2, md: 3.5 },
        maxWidth: 1320,
        alignItems: 'start',
      }}
    >
      <Box sx={{ position: { md: 'sticky' }, top: { md: 24 }, display: 'grid', gap: 2.5 }}>
        <CarHead car={car} />
        {shown && (
          <CarTread
            session={session}
            story={story}
            visits={read}
            shown={shown}
            onShow={({ id }) => setPickedId(id)}
          />
        )}
      </Box>
      <Box sx={{ display: 'grid', gap: 4, minWidth: 0 }}>
        <WearStory story={story} units={units} />
        {story.wheels.length > 0 && (
          <Suspense
            fallback={
              <Skeleton variant="rectangular" height={340} sx={{ bgcolor: 'var(--hairline)' }} />
            }
          >
            <DepthChart
              story={story}
              units={units}
              legalMm={latest?.draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal}
              // The quick answer forecasts nothing: what is to come arrives with the full one.
              isWorking={file !== null && ahead === null && state !== 'failed'}
              ahead={ahead}
            />
          </Suspense>
        )}
        {tracks.length > 0 && (
          <Suspense
            fallback={
              <Skeleton variant="rectangular" height={340} sx={{ bgcolor: 'var(--hairline)' }} />
            }
          >
            <AngleYears tracks={tracks} />
          </Suspense>
        )}
        <CarDoubles car={car} session={session} />
        <DueOfCar car={car} />
        <TireList story={story} stored={visits[0]?.draft.visit?.handOver?.stored} units={units} />
        <VisitLog
          visits={visits}
          shownId={shown?.id ?? null}
          people={session.people}
          units={units}
          onShow={({ id }) => setPickedId(id)}
        />
        {session.shop.chain && <CarCode carId={vehicle.id} chain={session.shop.chain.name} />}
        {visits.length === 0 && (
          <Typography color="textSecondary">
            {t('carPage.hasNotBeenHere', { plate: vehicle.plate })}
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** Whose car it is, and the way to its next visit. */
function CarHead({ car }: { car: CarDetail }) {
  const { vehicle, customerCars, visits } = car;
  const [start, { isLoading, error }] = useStartVisitMutation();
  const navigate = useNavigate();
  const open = visits.find(({ closedAt }) => closedAt === null);
  const go = async () => {
    if (open) {
      await navigate(`/visits/${open.id}`);
      return;
    }
    const result = await start({ id: newId(), vehicle: { id: vehicle.id }, entries: [] });
    if (result.data) await navigate(`/visits/${result.data.id}/arrive`);
  };
  useHotkeys('n', () => void go(), { preventDefault: true });
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', flexWrap: 'wrap' }}>
        <Box sx={{ flex: '1 1 180px' }}>
          <Box>
            {vehicle.customer ? (
              <Link component={RouterLink} to={`/garage/${vehicle.id}/fleet`}>
                {joined(
                  vehicle.customer,
                  customerCars > 1 && t('carPage.allCars', { customerCars }),
                )}
              </Link>
            ) : (
              t('carPage.noCustomerNoted')
            )}
          </Box>
          {vehicle.phone && (
            <Link href={`tel:${vehicle.phone.replace(/[^+\d]/g, '')}`}>{vehicle.phone}</Link>
          )}
          {vehicle.vin && (
            <Box sx={{ color: 'text.secondary' }}>{t('carPage.vin', { vin: vehicle.vin })}</Box>
          )}
        </Box>
        <Button variant="contained" disabled={isLoading} onClick={() => void go()}>
          {open ? t('carPage.openTheVisit') : t('carPage.newVisit')}
        </Button>
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}

function DueOfCar({ car }: { car: CarDetail }) {
  if (car.due.length === 0) return null;
  const today = dayjs().startOf('day');
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('carPage.nextChecks')}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {car.due.map(({ visitId, place, reminder }) => {
          const isLate = dayjs(reminder.on).isBefore(today);
          return (
            <Box
              component="li"
              key={`${visitId} ${place}`}
              sx={{ borderTop: '1px solid var(--hairline)', py: 0.75, display: 'flex', gap: 2 }}
            >
              <Box
                className="condensed"
                sx={{ fontWeight: 700, minWidth: 104, color: isLate ? 'var(--marker)' : undefined }}
              >
                {isLate && '◆ '}
                {dayjs(reminder.on).format('D MMM YYYY')}
              </Box>
              {DUE_WORDS[reminder.what]}
              <Link component={RouterLink} to={`/visits/${visitId}/hand-over`} sx={{ ml: 'auto' }}>
                {t('carPage.settle')}
              </Link>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
