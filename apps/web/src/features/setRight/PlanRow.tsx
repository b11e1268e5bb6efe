import type { Adjuster } from '@keen/contract';
import { reachOf, usualAdjuster, whereWords } from '@keen/core';
import type { PlanStep, Reach } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { AngleField } from '../../shared/AngleField.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { TOOLS } from '../../tools/tools.ts';
import { AdjusterDialog } from './AdjusterDialog.tsx';
import { adviceFor, calculatorFor } from './adjusters.ts';

const ADJUSTER_WORDS: Record<Adjuster, string> = {
  tieRod: 'Tie rod',
  turnbuckle: 'Turnbuckle',
  cam: 'Cam bolt',
  hubShim: 'Hub shim',
  armShims: 'Arm shims',
  slots: 'Strut slots',
  adjustableArm: 'Adjustable arm',
  none: 'None fitted',
};

interface PlanRowProps {
  step: PlanStep;
  plan: readonly PlanStep[];
  place: number;
  /** Whether the angles before are kept, so that new readings may replace them. */
  hasBegun: boolean;
}

/** One step: by how much, with what, whether it reaches, its arithmetic, and what it reads now. */
export function PlanRow({ step, plan, place, hasBegun }: PlanRowProps) {
  const { draft, enter, goTo, session } = useVisit();
  const bolts = session.shop.settings.offsetBolts;
  const [isWorking, setWorking] = useState(false);
  const adjuster = draft.visit?.setRight?.adjuster?.[step.key] ?? usualAdjuster(draft, step);
  const calculator = adjuster && calculatorFor(step, adjuster);
  const advice = adjuster && adviceFor(step, adjuster, draft);
  const tool = TOOLS.find(({ name }) => name === calculator);
  const reach = adjuster && reachOf(draft, step, adjuster);
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '34px 1fr', sm: '34px 1fr 150px' },
        columnGap: 1.5,
        rowGap: 1,
        borderTop: '1px solid var(--hairline)',
        py: 1.25,
      }}
    >
      <Box className="condensed" sx={{ fontSize: '1.6rem', fontWeight: 700, lineHeight: 1.1 }}>
        {place}
      </Box>
      <Box sx={{ display: 'grid', gap: 0.75 }}>
        <Box>
          <strong>{step.title}</strong>{' '}
          {step.where && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {whereWords(step.where)}
            </Box>
          )}{' '}
          {step.change !== null && (
            <Box
              component="span"
              className="condensed"
              sx={{ fontSize: '1.25rem', fontWeight: 700 }}
            >
              {showDegrees(step.change, 2)}
            </Box>
          )}
        </Box>
        <Box sx={{ color: 'text.secondary' }}>{step.why}</Box>
        {step.adjusters.length > 1 && (
          <Choice
            label={`${step.title} is set with`}
            hideLabel
            dense
            options={step.adjusters.map((value) => ({ value, label: ADJUSTER_WORDS[value] }))}
            value={adjuster}
            onChange={(value) => value && enter(`visit.setRight.adjuster.${step.key}`, value)}
          />
        )}
        {reach && (
          <ReachWords
            reach={reach}
            isFitted={adjuster !== 'none'}
            bolt={boltFor(reach, step, bolts)}
          />
        )}
        {advice && reach?.state !== 'beyond' && <Box>{advice}</Box>}
        {step.key === 'parts' && (
          <Button sx={{ justifySelf: 'start' }} onClick={() => goTo('inspect')}>
            Go to Inspect
          </Button>
        )}
        {tool && (
          <Button sx={{ justifySelf: 'start' }} onClick={() => setWorking(true)}>
            Work out the {tool.title.toLowerCase()}
          </Button>
        )}
      </Box>
      {step.where && step.kind && hasBegun && (
        <Box sx={{ gridColumn: { xs: '2', sm: 'auto' } }}>
          <AngleField
            wheel={step.where}
            kind={step.kind}
            label="Now reads"
            angles={draft.angles?.[step.where] ?? {}}
          />
        </Box>
      )}
      {tool && isWorking && adjuster && (
        <AdjusterDialog
          step={step}
          plan={plan}
          tool={tool}
          adjuster={adjuster}
          onClose={() => setWorking(false)}
        />
      )}
    </Box>
  );
}

/** The smallest offset bolt in stock that gives what is missing at a front strut. */
function boltFor(
  { state, short }: Reach,
  { kind, axle }: PlanStep,
  bolts: readonly number[],
): number | null {
  if (state !== 'beyond' || kind !== 'camber' || axle !== 'front') return null;
  const enough = bolts.filter((bolt) => bolt >= Math.abs(short));
  return enough.length > 0 ? Math.min(...enough) : null;
}

interface ReachWordsProps {
  reach: Reach;
  isFitted: boolean;
  /** Degrees of an offset bolt in stock; null where none would do. */
  bolt: number | null;
}

function ReachWords({ reach, isFitted, bolt }: ReachWordsProps) {
  const { state, range, short, part, otherwise } = reach;
  if (state === 'within' && range) {
    return (
      <Box sx={{ color: 'text.secondary' }}>
        Within reach: it moves by {showDegrees(range[0], 2)} to {showDegrees(range[1], 2)}.
      </Box>
    );
  }
  if (state === 'unknown') return null;
  return (
    <Notice kind="caution">
      <strong>Out of reach.</strong>{' '}
      {isFitted && range
        ? `It moves by ${showDegrees(range[0], 2)} to ${showDegrees(range[1], 2)}; ${showDegrees(short, 2)} stays missing. `
        : 'Nothing is fitted to set it with. '}
      What would bring it: {part}. {bolt !== null && `In stock: an offset bolt of ${bolt}°. `}If it
      stays, {otherwise}.
    </Notice>
  );
}
