import type { PracticeCar, Session } from '@keen/contract';
import { ALL_RIBS, countRead, DEFAULT_LIMITS_MM, draftToCase, sectionTires } from '@keen/core';
import type { Slot } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Theme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Navigate, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { usePracticeCarQuery } from '../../api/practiceApi.ts';
import { useSessionQuery } from '../../api/keenApi.ts';
import { AxleSectionView } from '../../drawing/AxleSectionView.tsx';
import { GaugeScale } from '../../drawing/GaugeScale.tsx';
import { Loaded } from '../../shared/Loaded.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import type { VisitContext } from '../../shared/visitContext.ts';
import { useDiagnosis } from '../../workers/useDiagnosis.ts';
import type { PracticeContext } from './practiceContext.ts';
import { practiceVisit } from './practiceVisit.ts';
import { usePracticeCar } from './usePracticeCar.ts';
import { t } from '../../words/practice.ts';
import { practiceTexts } from '../../words/core/practice.ts';

const SHORTCUTS = [
  { keys: ['0–9'], what: t('practiceCarPage.theDepthThatThe') },
  { keys: ['G'], what: t('practiceCarPage.setTheGaugeDown') },
  { keys: ['P'], what: t('practiceCarPage.allPracticeCars') },
];
const STEPS = [
  { to: 'read', title: t('practiceCarPage.read') },
  { to: 'checks', title: t('practiceCarPage.checks') },
  { to: 'answer', title: t('practiceCarPage.answer') },
] as const;

/** A made-up car: read, checked, answered, and then told. */
export function PracticeCarPage() {
  const { data: session } = useSessionQuery();
  const { carId } = useParams();
  const query = usePracticeCarQuery(carId!);
  if (!session) return null;
  return (
    <Box
      sx={{ height: { md: '100%' }, minHeight: '100%', display: 'flex', flexDirection: 'column' }}
    >
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>
          {query.data
            ? practiceTexts.lessons[query.data.lesson].title
            : t('practiceCarPage.practice')}
        </PageTitle>
      </TopBar>
      <Loaded answer={query} label={t('practiceCarPage.loadingThePracticeCar')} height={400}>
        {(car) => <Car key={car.id} car={car} session={session} />}
      </Loaded>
    </Box>
  );
}

function Car({ car, session }: { car: PracticeCar; session: Session }) {
  const practising = usePracticeCar(car);
  const { draft, gauge, minutes, failure, setDown, note, flush } = practising;
  const [activeSlot, setActiveSlot] = useState<Slot | null>(null);
  const [spokenOf, setSpokenOf] = useState<readonly Slot[]>([]);
  const isNarrow = useMediaQuery<Theme>((theme) => theme.breakpoints.down('md'));
  const navigate = useNavigate();
  const step = useLocation().pathname.split('/').at(-1)!;
  const isDone = car.finishedAt !== null;
  const { preferences } = session;
  const { units } = preferences;
  const ribsRead = countRead(draft);
  const file = useMemo(() => draftToCase(draft, t('practiceCarPage.practiceCar')).file, [draft]);
  // Before it is answered nothing is worked out: the learner answers, not the machine.
  const diagnosing = useDiagnosis(isDone ? file : null);
  const detail = useMemo(() => practiceVisit(car, draft), [car, draft]);
  const goTo = useCallback(
    (to: string) => {
      const place = { inspect: 'checks', explain: 'answer', decide: 'answer' }[to] ?? to;
      void navigate(`/practice/${car.id}/${place}`);
    },
    [navigate, car.id],
  );
  useHotkeys('p', () => void navigate('/practice'));
  useHotkeys('g', () => activeSlot && setDown(activeSlot), { enabled: step === 'read' });

  // The gauge goes where the next rib is asked for.
  const at = activeSlot && `${activeSlot.wheel}.${activeSlot.rib}`;
  const last = useRef<string | null>(null);
  useEffect(() => {
    if (step !== 'read' || isDone || !activeSlot || at === last.current) return;
    last.current = at;
    setDown(activeSlot);
  }, [at, activeSlot, step, isDone, setDown]);

  const context: VisitContext & PracticeContext = {
    session,
    preferences,
    units,
    detail,
    draft,
    enter: (path, value) => note([{ path, value }]),
    enterAll: note,
    undo: null,
    redo: null,
    diagnosing,
    ribsRead,
    assumed: [],
    activeSlot,
    setActiveSlot,
    setSpokenOf,
    setTried: IGNORED,
    setAtHand: IGNORED,
    isBay: false,
    isPractice: true,
    goTo,
    practising,
    car,
  };
  const tires = sectionTires(draft, truthOf(car));
  const steps = isDone ? DONE_STEPS : STEPS;
  if (isDone && ['read', 'checks', 'answer'].includes(step)) {
    return <Navigate to={`/practice/${car.id}/result`} replace />;
  }
  if (!isDone && ['result', 'explain'].includes(step)) {
    return <Navigate to={`/practice/${car.id}/read`} replace />;
  }
  const showsGauge = step === 'read' && !isDone && ribsRead < ALL_RIBS;
  // A reading that comes late, of a rib that was left meanwhile, is not shown at this one.
  const shown = gauge && `${gauge.wheel}.${gauge.rib}` === at ? gauge : null;
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '400px minmax(0, 1fr)' },
        // One under the other, nothing is drawn out to fill the screen.
        gridTemplateRows: { xs: 'auto 1fr', md: 'minmax(0, 1fr)' },
      }}
    >
      <Box
        component="section"
        aria-label={t('practiceCarPage.theTread')}
        sx={{
          borderRight: { md: '1px solid var(--line)' },
          px: { xs: 2, md: 2.5 },
          py: 2,
          overflowY: { md: 'auto' },
          display: 'grid',
          gap: 1.5,
          alignContent: 'start',
          // On a phone a strip: the pad is what the hand needs.
          gridTemplateColumns: isNarrow ? '1fr 1fr' : 'minmax(0, 1fr)',
        }}
      >
        <Box sx={{ color: 'text.secondary', gridColumn: '1 / -1' }}>
          {practiceTexts.lessons[car.lesson].about}
        </Box>
        {(['front', 'rear'] as const).map((axle) => (
          <AxleSectionView
            key={axle}
            axle={axle}
            tires={tires}
            legalMm={DEFAULT_LIMITS_MM.legal}
            unit={units.depth}
            activeSlot={showsGauge ? activeSlot : null}
            spokenOf={spokenOf}
            onPick={step === 'read' ? setActiveSlot : undefined}
            compact={isNarrow}
          />
        ))}
        {isDone && (
          <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', gridColumn: '1 / -1' }}>
            {t('practiceCarPage.lineTheTrueDepth')}
          </Box>
        )}
      </Box>
      <Box sx={{ minWidth: 0, overflowY: { md: 'auto' }, px: { xs: 2, md: 4 }, py: 2 }}>
        <Box
          component="nav"
          aria-label={t('practiceCarPage.steps')}
          sx={{ display: 'flex', gap: 2.5, alignItems: 'baseline', mb: 2, flexWrap: 'wrap' }}
        >
          {steps.map(({ to, title }) => (
            <Box
              key={to}
              component={NavLink}
              to={`/practice/${car.id}/${to}`}
              sx={{
                color: 'text.secondary',
                textDecoration: 'none',
                fontWeight: 600,
                minHeight: 32,
                '&.active': { color: 'var(--ink)', boxShadow: 'inset 0 -3px var(--marker)' },
              }}
            >
              {title}
            </Box>
          ))}
          <Box sx={{ ml: 'auto', color: 'text.secondary' }}>
            {t(isDone ? 'practiceCarPage.minutesCode' : 'practiceCarPage.minutesSoFarCode', {
              minutes: Math.round(minutes),
              code: car.code,
            })}
          </Box>
        </Box>
        {failure && (
          <Notice kind="caution">
            {failure} <Button onClick={() => void flush()}>{t('practiceCarPage.sendAgain')}</Button>
          </Notice>
        )}
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: showsGauge
              ? { xs: '1fr', lg: 'minmax(0, 1fr) 230px' }
              : 'minmax(0, 1fr)',
            gap: 3,
            alignItems: 'start',
          }}
        >
          <Outlet context={context} />
          {showsGauge && (
            <Box
              component="section"
              aria-label={t('practiceCarPage.gauge')}
              sx={{
                order: { xs: -1, lg: 0 },
                display: { xs: 'grid', lg: 'block' },
                gridTemplateColumns: '130px 1fr',
                columnGap: 2,
                alignItems: 'center',
                justifyItems: 'start',
              }}
            >
              {shown ? (
                <>
                  <GaugeScale mm={shown.mm} isAskew={shown.isAskew} />
                  <Button
                    onClick={() => activeSlot && setDown(activeSlot)}
                    sx={{ mt: 1 }}
                    aria-keyshortcuts="G"
                  >
                    {t('practiceCarPage.setItDownAgain')}
                  </Button>
                </>
              ) : (
                <Box sx={{ color: 'text.secondary' }}>{t('practiceCarPage.theGaugeGoesDown')}</Box>
              )}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

const IGNORED = () => undefined;
const DONE_STEPS = [
  { to: 'result', title: t('practiceCarPage.howItWent') },
  { to: 'explain', title: t('practiceCarPage.theBestAnswerIn') },
] as const;

/** The true depths as a line over what was read, once they are shown. */
function truthOf({ result }: PracticeCar): Parameters<typeof sectionTires>[1] {
  if (!result) return null;
  const point = (mean: number) => ({ mean, sd: 0 });
  return Object.fromEntries(
    Object.entries(result.truth.depthsMm).map(([wheel, ribs]) => [
      wheel,
      { inner: point(ribs.inner), centre: point(ribs.centre), outer: point(ribs.outer) },
    ]),
  ) as Parameters<typeof sectionTires>[1];
}
