import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { ALL_RIBS, draftToCase, VISIT_STEPS } from '@keen/core';
import type { ExpectedDepths, Slot } from '@keen/core';
import type { Session, VisitDetail } from '@keen/contract';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { useSessionQuery, useVisitQuery, VISIT_FRESH_S } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { joined } from '../../shared/joined.ts';
import { TopBar } from '../../shared/TopBar.tsx';
import type { AtHand, VisitContext } from '../../shared/visitContext.ts';
import { useDiagnosis } from '../../workers/useDiagnosis.ts';
import { EvidenceColumn } from './EvidenceColumn.tsx';
import { WheelsColumn } from './WheelsColumn.tsx';
import { SavedState } from '../../shared/SavedState.tsx';
import { StepLacks } from './StepLacks.tsx';
import { StepRail } from './StepRail.tsx';
import { SafetyStrip } from './SafetyStrip.tsx';
import { useVisitDraft } from './useVisitDraft.ts';
import { VisitTitle } from './VisitTitle.tsx';
import { t } from '../../words/visit.ts';

const SHORTCUTS = [
  { keys: [']'], what: t('visitPage.nextStep') },
  { keys: ['['], what: t('visitPage.stepBefore') },
  { keys: ['T'], what: t('visitPage.backToToday') },
  { keys: ['←', '→'], what: t('visitPage.inARowOf') },
  { keys: [t('visitPage.ctrl'), t('visitPage.enter')], what: t('visitPage.goOnOutOf') },
  { keys: ['B'], what: t('visitPage.inMeasureAndSet') },
  { keys: ['N'], what: t('visitPage.inBayModeThe') },
  { keys: [t('visitPage.ctrl'), 'Z'], what: t('visitPage.undoMyLastEntry') },
  { keys: [t('visitPage.ctrl'), 'Y'], what: t('visitPage.redoIt') },
  { keys: ['0 – 9'], what: t('visitPage.inReadTheDepth') },
  { keys: ['←', '→'], what: t('visitPage.inReadTheRib') },
  { keys: [t('visitPage.backspace')], what: t('visitPage.inReadOneStep') },
  { keys: ['/'], what: t('visitPage.inReadThisRib') },
  { keys: ['O', 'S', 'I'], what: t('visitPage.inInspectCatchesOut') },
  { keys: [t('visitPage.enter')], what: t('visitPage.inInspectNothingElse') },
  { keys: ['↑', '↓'], what: t('visitPage.inInspectTheStop') },
  { keys: ['W'], what: t('visitPage.inInspectWavesA') },
  { keys: ['←', '→'], what: t('visitPage.inInspectUnderThe') },
  { keys: ['N', 'S', 'X'], what: t('visitPage.inInspectUnderTheCar') },
];

/** Steps that draw what the model expects over the readings. */
const SHOWS_ANSWER = ['explain', 'decide', 'hand-over'];

/** Steps at the wheels, beside which the tread shrinks to its miniature. */
const SHOWS_WHEELS = ['measure', 'set'];

/** Fewer ribs than this say too little for a verdict. */
const LEAST_RIBS = 3;

/** One page for a visit: rail, evidence, and the question of the step. */
export function VisitPage() {
  const { visitId = '' } = useParams();
  const { data: session } = useSessionQuery();
  const {
    data: detail,
    error,
    isLoading,
    refetch,
  } = useVisitQuery(visitId, {
    refetchOnMountOrArgChange: VISIT_FRESH_S,
  });
  if (!session) return null;
  if (detail) return <LoadedVisit key={detail.visit.id} session={session} detail={detail} />;
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS} />
      {isLoading ? (
        <Box role="status" aria-label={t('visitPage.loadingTheVisit')} sx={{ p: 3 }}>
          <Skeleton variant="rectangular" height={420} sx={{ bgcolor: 'var(--hairline)' }} />
        </Box>
      ) : (
        <Box sx={{ p: 4 }} role="alert">
          <Typography variant="h1" gutterBottom>
            {t('visitPage.thisVisitCannotBe')}
          </Typography>
          <Typography sx={{ mb: 2 }}>{failureOf(error).text}</Typography>
          <Button onClick={() => void refetch()}>{t('visitPage.tryAgain')}</Button>
        </Box>
      )}
    </Box>
  );
}

function LoadedVisit({ session, detail }: { session: Session; detail: VisitDetail }) {
  const { visit } = detail;
  const { draft, enter, enterAll, undo, redo } = useVisitDraft(detail);
  const [activeSlot, setActiveSlot] = useState<Slot | null>(null);
  const [spokenOf, setSpokenOf] = useState<readonly Slot[]>([]);
  const [tried, setTried] = useState<ExpectedDepths | null>(null);
  const [atHand, setAtHand] = useState<AtHand | null>(null);
  const [wantsBay, setWantsBay] = useState(false);
  const navigate = useNavigate();
  const step = useLocation().pathname.split('/').at(-1) ?? 'arrive';
  const label = joined(visit.vehicle.label, visit.vehicle.plate);
  const { arrivedAt } = visit;
  const { history } = detail;
  const { file, ribsRead, assumed } = useMemo(
    () => draftToCase(draft, label, {}, { arrivedAt, others: history }),
    [draft, label, arrivedAt, history],
  );
  // While ribs are being read nothing of the answer is shown, and the keys have the machine for
  // themselves.
  const isReading = step === 'read' && ribsRead < ALL_RIBS;
  const diagnosing = useDiagnosis(ribsRead >= LEAST_RIBS && !isReading ? file : null);
  const hasWheels = SHOWS_WHEELS.includes(step);
  const isBay = wantsBay && hasWheels;
  const goTo = (to: string) => void navigate(`/visits/${visit.id}/${to}`);
  const move = (by: number) => {
    const at = (VISIT_STEPS as readonly string[]).indexOf(step);
    const next = VISIT_STEPS[at + by];
    if (next) goTo(next);
  };

  useHotkeys('bracketright', () => move(1));
  useHotkeys('bracketleft', () => move(-1));
  useHotkeys('t', () => void navigate('/'));
  useHotkeys('b', () => setWantsBay((was) => !was), { enabled: hasWheels });
  useHotkeys('mod+z', () => undo?.(), { preventDefault: true });
  useHotkeys(['mod+y', 'mod+shift+z'], () => redo?.(), { preventDefault: true });

  const context: VisitContext = {
    session,
    preferences: session.preferences,
    units: session.preferences.units,
    detail,
    draft,
    enter,
    enterAll,
    undo,
    redo,
    diagnosing,
    ribsRead,
    assumed,
    activeSlot,
    setActiveSlot,
    setSpokenOf,
    setTried,
    setAtHand,
    isBay,
    goTo,
  };

  return (
    <Box
      sx={{
        height: { md: '100%' },
        minHeight: '100%',
        display: 'flex',
        flexDirection: 'column',
        // The panes scroll, never the page with its header.
        overflow: { md: 'clip' },
      }}
    >
      <TopBar
        session={session}
        shortcuts={SHORTCUTS}
        status={
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <SavedState visitId={visit.id} />
            {hasWheels && (
              <Button variant="text" aria-pressed={isBay} onClick={() => setWantsBay(!wantsBay)}>
                {isBay ? t('visitPage.leaveBayMode') : t('visitPage.bayMode')}
              </Button>
            )}
          </Box>
        }
      >
        <VisitTitle visit={visit} draft={draft} units={session.preferences.units} />
      </TopBar>
      <SafetyStrip draft={draft} />
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: {
            // The rail scrolls within the page, not the page with it.
            xs: 'minmax(0, 1fr)',
            md: isBay ? 'minmax(300px, 44%) 1fr' : '148px minmax(300px, 36%) 1fr',
            lg: isBay ? '46% 1fr' : '148px 452px 1fr',
          },
          gridTemplateRows: { xs: 'auto auto 1fr', md: '1fr' },
        }}
      >
        {!isBay && (
          <StepRail
            draft={draft}
            isDecided={detail.decisions.length > 0}
            visitId={visit.id}
            current={step}
            hasTread={hasWheels}
          />
        )}
        {hasWheels ? (
          <WheelsColumn draft={draft} toe={session.preferences.toe} atHand={atHand} />
        ) : (
          <EvidenceColumn
            draft={draft}
            // Before every rib is read, what the model expects would only lead the eye.
            tried={tried}
            answer={SHOWS_ANSWER.includes(step) ? diagnosing.answer : null}
            unit={session.preferences.units.depth}
            activeSlot={step === 'read' ? activeSlot : null}
            spokenOf={spokenOf}
            onPick={step === 'read' ? setActiveSlot : undefined}
          />
        )}
        <Box
          component="main"
          sx={{
            px: { xs: 1.75, md: 3.75 },
            py: { xs: 2, md: 2.5 },
            overflowY: { md: 'auto' },
            // What is hidden for readers of screens stays within the pane.
            position: 'relative',
            minWidth: 0,
            // Read and pressed from two metres, in gloves.
            zoom: isBay ? { xs: 1.15, md: 1.4 } : undefined,
          }}
        >
          {!isReading && !isBay && (
            <StepLacks draft={draft} step={step} isDecided={detail.decisions.length > 0} />
          )}
          <Outlet context={context} />
        </Box>
      </Box>
    </Box>
  );
}
