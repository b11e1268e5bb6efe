import type { VisitDraft } from '@keen/contract';
import { stepStates, VISIT_STEPS, noteWords } from '@keen/core';
import type { StepState, VisitStep } from '@keen/core';
import Box from '@mui/material/Box';
import { memo, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { StateSquare } from '../../shared/StateSquare.tsx';
import { t } from '../../words/visit.ts';
import { visitTexts } from '../../words/core/visit.ts';

const STEP_WORDS: Record<VisitStep, string> = {
  arrive: t('stepRail.arrive'),
  read: t('stepRail.read'),
  inspect: t('stepRail.inspect'),
  explain: t('stepRail.explain'),
  decide: t('stepRail.decide'),
  measure: t('stepRail.measure'),
  set: t('stepRail.setRight'),
  'hand-over': t('stepRail.handOver'),
};
const STATE_WORDS: Record<StepState, string> = {
  done: t('stepRail.done'),
  partly: t('stepRail.begun'),
  open: t('stepRail.open'),
};

/** Of the tread under the steps, px. */
const RAIL_TREAD = 114;

interface StepRailProps {
  draft: VisitDraft;
  isDecided: boolean;
  visitId: string;
  current: string;
  /** Whether the tread stands under the steps, small, where the wheels have taken its place. */
  hasTread: boolean;
}

/** The steps as a slim rail of words; squares say what is done. */
export const StepRail = memo(function StepRail(props: StepRailProps) {
  const { draft, isDecided, visitId, current, hasTread } = props;
  const states = stepStates(draft, isDecided);
  const rail = useRef<HTMLElement>(null);
  // On a phone the steps do not all fit: the one at hand is brought into sight.
  useEffect(() => {
    const at = rail.current?.querySelector('[aria-current]');
    if (rail.current && at instanceof HTMLElement) {
      rail.current.scrollLeft = at.offsetLeft - (rail.current.clientWidth - at.clientWidth) / 2;
    }
  }, [current]);
  return (
    <Box
      component="nav"
      ref={rail}
      aria-label={t('stepRail.stepsOfTheVisit')}
      sx={{
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        overflowX: { xs: 'auto', md: 'visible' },
        position: 'relative',
        pt: { md: 2 },
        borderRight: { md: '1px solid var(--line)' },
        borderBottom: { xs: '1px solid var(--line)', md: 0 },
      }}
    >
      {VISIT_STEPS.map((step) => (
        <RailStep
          key={step}
          step={step}
          to={`/visits/${visitId}/${step}`}
          state={states[step].state}
          note={states[step].note && noteWords(states[step].note, visitTexts)}
          isCurrent={step === current}
        />
      ))}
      {hasTread && (
        <Box sx={{ display: { xs: 'none', md: 'block' }, mt: 'auto', p: 2, pb: 3 }}>
          <TreadMiniature draft={draft} width={RAIL_TREAD} />
        </Box>
      )}
    </Box>
  );
});

interface RailStepProps {
  step: VisitStep;
  to: string;
  state: StepState;
  /** How far it is, in words. */
  note: string | null;
  isCurrent: boolean;
}

const RailStep = memo(function RailStep({ step, to, state, note, isCurrent }: RailStepProps) {
  return (
    <Box
      component={Link}
      to={to}
      aria-current={isCurrent ? 'step' : undefined}
      sx={{
        display: 'flex',
        flexDirection: { xs: 'column', md: 'row' },
        gap: { xs: 0.1, md: 1.4 },
        alignItems: { xs: 'center', md: 'flex-start' },
        minHeight: 44,
        flexShrink: 0,
        px: { xs: 0.5, md: 2 },
        fontSize: { xs: '0.84rem', md: '0.95rem' },
        flexGrow: { xs: 1, md: 0 },
        justifyContent: { xs: 'center', md: 'flex-start' },
        py: { md: 1 },
        color: isCurrent ? 'var(--ink)' : 'var(--soft)',
        fontWeight: isCurrent ? 700 : 450,
        textDecoration: 'none',
        borderLeft: { md: '4px solid' },
        borderBottom: { xs: '4px solid', md: 0 },
        borderColor: {
          xs: isCurrent ? 'var(--marker)' : 'transparent',
          md: isCurrent ? 'var(--marker)' : 'transparent',
        },
        '&:hover': { color: 'var(--ink)' },
      }}
    >
      <Box component="span" sx={{ display: 'flex', mt: '5px' }}>
        <StateSquare state={state} />
      </Box>
      <Box>
        {STEP_WORDS[step]}
        <span className="visually-hidden">, {STATE_WORDS[state]}</span>
        {note && (
          <Box
            sx={{
              fontSize: '0.76rem',
              fontWeight: 450,
              color: 'var(--soft)',
              display: { xs: 'none', md: 'block' },
            }}
          >
            {note}
          </Box>
        )}
      </Box>
    </Box>
  );
});
