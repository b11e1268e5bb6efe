import type { VisitDraft } from '@keen/contract';
import { nothingFound, stopState, WALK } from '@keen/core';
import type { Stop } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Theme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Notice } from '../../shared/Notice.tsx';
import { useEnter } from '../../shared/useEnter.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { CornerStop } from './CornerStop.tsx';
import { RideHeights } from './RideHeights.tsx';
import { SideToSide } from './SideToSide.tsx';
import { StopRow } from './StopRow.tsx';
import { TireStop } from './TireStop.tsx';
import { TouchGuides } from './TouchGuides.tsx';
import { WornParts } from './WornParts.tsx';
import { t } from '../../words/inspect.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { FOUND } from '../../words/core/inspect.ts';

const ON_THE_GROUND = WALK.filter(({ kind }) => kind === 'tire');
const LIFTED = WALK.filter(({ kind }) => kind === 'corner');
const COMPARED = WALK.filter(({ kind }) => kind === 'sides' || kind === 'heights');

/** The walk round the car: one stop open, what is answered folded into a line. */
export function InspectStep() {
  const { draft, enterAll, goTo } = useVisit();
  const [chosen, setChosen] = useState<Stop | null>(() => firstOpen(draft));
  // Under the thumb on a phone, beside the name where there is room.
  const isNarrow = useMediaQuery<Theme>((theme) => theme.breakpoints.down('md'));
  const isAt = (stop: Stop) => chosen === stop;

  /** Nothing (else) found here: the rest is entered, and the walk goes on. */
  function goOn(): void {
    if (!chosen) {
      goTo('explain');
      return;
    }
    const rest = nothingFound(draft, chosen);
    if (rest.length > 0) enterAll(rest);
    const next = WALK[WALK.indexOf(chosen) + 1];
    if (next) setChosen(next);
    else {
      setChosen(null);
      goTo('explain');
    }
  }

  function move(by: number): void {
    const at = chosen ? WALK.indexOf(chosen) + by : by > 0 ? 0 : WALK.length - 1;
    setChosen(WALK[Math.min(WALK.length - 1, Math.max(0, at))] ?? null);
  }

  useEnter(goOn);
  useHotkeys('down', () => move(1), { preventDefault: true });
  useHotkeys('up', () => move(-1), { preventDefault: true });
  const atTire = chosen?.kind === 'tire';
  useHotkeys('right', () => move(1), { enabled: atTire });
  useHotkeys('left', () => move(-1), { enabled: atTire });

  const goOnButton = (stop: Stop) => (
    <Button variant="contained" onClick={goOn}>
      {goOnWords(stop, stopState(draft, stop, FOUND).state)} ↵
    </Button>
  );
  const rows = (stops: readonly Stop[]) =>
    stops.map((stop) => (
      <StopRow
        key={`${stop.kind} ${stop.wheel ?? ''}`}
        stop={stop}
        title={titleOf(stop)}
        isOpen={isAt(stop)}
        onOpen={() => setChosen(isAt(stop) ? null : stop)}
        action={!isNarrow && goOnButton(stop)}
      >
        <StopBody stop={stop} />
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 2 }}>
          {isNarrow && goOnButton(stop)}
          {stop === LIFTED[0] && (
            <Button onClick={() => goTo('explain')}>
              {t('inspectStep.notLiftedTodayExplain')}
            </Button>
          )}
        </Box>
      </StopRow>
    ));

  return (
    <Box
      sx={{ display: 'grid', gap: 2.5 }}
      // After a press by hand the keys belong to the walk again, not to the button that was pressed.
      onClick={({ detail, target }) => {
        if (detail > 0 && target instanceof Element) target.closest('button')?.blur();
      }}
    >
      <Box>
        <Typography variant="h1" component="h2" gutterBottom>
          {t('inspectStep.walkAroundTheCar')}
        </Typography>
        <Typography color="textSecondary">{t('inspectStep.feelAcrossTheRibs')}</Typography>
      </Box>
      <section aria-label={t('inspectStep.onTheGround')}>
        <Notice kind="caution">{t('inspectStep.feelSlowlyWithGloves')}</Notice>
        {rows(ON_THE_GROUND)}
        <TouchGuides />
      </section>
      <section aria-label={t('inspectStep.underTheCar')}>
        <Typography variant="h2" component="h3" gutterBottom>
          {t('inspectStep.underTheCar')}
        </Typography>
        <Notice kind="caution">{t('inspectStep.liftAtTheMakers')}</Notice>
        {rows(LIFTED)}
      </section>
      <section aria-label={t('inspectStep.compareLeftAndRight')}>
        <Typography variant="h2" component="h3" gutterBottom>
          {t('inspectStep.compareLeftAndRight')}
        </Typography>
        {rows(COMPARED)}
      </section>
      <WornParts />
      <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
        <Button variant={chosen ? 'outlined' : 'contained'} onClick={() => goTo('explain')}>
          {chosen ? t('inspectStep.explain') : t('inspectStep.explainByKey')}
        </Button>
      </Box>
    </Box>
  );
}

/** The first tire, else the first corner, that is not answered whole. */
function firstOpen(draft: VisitDraft): Stop | null {
  const walked = [...ON_THE_GROUND, ...LIFTED];
  return walked.find((stop) => stopState(draft, stop, FOUND).state !== 'done') ?? null;
}

function StopBody({ stop }: { stop: Stop }) {
  switch (stop.kind) {
    case 'tire':
      return <TireStop key={stop.wheel} wheel={stop.wheel} />;
    case 'corner':
      return <CornerStop key={stop.wheel} wheel={stop.wheel} />;
    case 'sides':
      return <SideToSide />;
    case 'heights':
      return <RideHeights />;
  }
}

function titleOf(stop: Stop): string {
  switch (stop.kind) {
    case 'tire':
    case 'corner':
      return whereWords(stop.wheel);
    case 'sides':
      return t('inspectStep.steeringAndTieRods');
    case 'heights':
      return t('inspectStep.rideHeight');
  }
}

function goOnWords(stop: Stop, state: 'done' | 'partly' | 'open'): string {
  if (state === 'done' || stop.kind === 'heights') return t('inspectStep.next');
  if (stop.kind === 'corner')
    return state === 'open' ? t('inspectStep.allOkHere') : t('inspectStep.theRestIsOk');
  return state === 'open' ? t('inspectStep.nothingFoundHere') : t('inspectStep.nothingElseHere');
}
