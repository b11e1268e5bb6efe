import type { Adjuster } from '@keen/contract';
import { whereWords } from '@keen/core';
import type { PlanStep } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { AngleField } from '../../shared/AngleField.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { ToolDialog } from '../../tools/ToolDialog.tsx';
import { TOOLS } from '../../tools/tools.ts';
import { adviceFor, calculatorFor, startFor } from './adjusters.ts';

const ADJUSTER_WORDS: Record<Adjuster, string> = {
  tieRod: 'Tie rod',
  cam: 'Cam bolt',
  hubShim: 'Hub shim',
  armShims: 'Arm shims',
  slots: 'Strut slots',
  adjustableArm: 'Adjustable arm',
  none: 'None fitted',
};

interface PlanRowProps {
  step: PlanStep;
  place: number;
  /** Whether the angles before are kept, so that new readings may replace them. */
  hasBegun: boolean;
}

/** One step: by how much, with what, the arithmetic of it, and what it reads now. */
export function PlanRow({ step, place, hasBegun }: PlanRowProps) {
  const { draft, enter, goTo } = useVisit();
  const [isWorking, setWorking] = useState(false);
  const adjuster = draft.visit?.setRight?.adjuster?.[step.key] ?? step.adjusters[0] ?? null;
  const calculator = adjuster && calculatorFor(step, adjuster);
  const advice = adjuster && adviceFor(step, adjuster);
  const tool = TOOLS.find(({ name }) => name === calculator);
  const isAngle = step.change !== null;
  const wheel =
    step.where === 'front' || step.where === 'rear' || step.where === null ? null : step.where;
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
        {advice && <Box>{advice}</Box>}
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
      {wheel && isAngle && hasBegun && (
        <Box sx={{ gridColumn: { xs: '2', sm: 'auto' } }}>
          <AngleField
            wheel={wheel}
            kind={step.key.startsWith('toe') ? 'toe' : 'camber'}
            label="Now reads"
            angles={draft.angles?.[wheel] ?? {}}
          />
        </Box>
      )}
      {tool && isWorking && adjuster && (
        <ToolDialog
          tool={tool}
          start={startFor(step, adjuster)}
          answer={(worked) =>
            worked.ok
              ? tool
                  .results(worked.output, worked.input as never)
                  .filter(({ isMain }) => isMain)
                  .map(({ label, value }) => `${label}: ${value}`)
                  .join('; ')
              : ''
          }
          actions={() => (
            <Button variant="contained" onClick={() => setWorking(false)}>
              Back to the plan
            </Button>
          )}
          onClose={() => setWorking(false)}
        />
      )}
    </Box>
  );
}
