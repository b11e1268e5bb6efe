import type { CrookedWheel } from '@keen/contract';
import { angleLedger, setRightPlan } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { AllowedOnly } from '../../shared/AllowedOnly.tsx';
import { AngleLedger } from '../../angles/AngleLedger.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { ChangedHeight } from './ChangedHeight.tsx';
import { Closing } from './Closing.tsx';
import { PlanRow } from './PlanRow.tsx';

/** The plan: what to set, in order, with the arithmetic of each adjuster; before and after. */
export function SetRightStep() {
  const { draft, enter, goTo, session } = useVisit();
  const angles = draft.angles ?? {};
  const { before } = draft.visit?.setRight ?? {};
  const rows = angleLedger(draft);
  if (rows.length === 0) {
    return (
      <Box sx={{ maxWidth: 520 }}>
        <Typography variant="h1" component="h2" gutterBottom>
          Nothing is measured yet.
        </Typography>
        <Typography sx={{ mb: 2 }}>
          The plan is made from the angles: what is out, in which order, by how much.
        </Typography>
        <Button variant="contained" onClick={() => goTo('measure')}>
          Measure the angles
        </Button>
      </Box>
    );
  }
  const plan = setRightPlan(draft);
  return (
    <AllowedOnly
      session={session}
      right="setAngles"
      otherwise="A technician or the lead sets the angles; you can read along."
    >
      <Box sx={{ display: 'grid', gap: 3, maxWidth: 760 }}>
        <Box>
          <Typography variant="h1" component="h2">
            {plan.length === 0 ? 'All angles are in.' : 'What to set, in this order'}
          </Typography>
          <Typography color="textSecondary" sx={{ mt: 0.75 }}>
            {plan.length === 0
              ? 'Nothing is left to set. What comes now:'
              : 'The plan is made anew with every reading. Measure again after each step: camber moves toe.'}
          </Typography>
        </Box>
        {plan.length > 0 && (
          <Notice kind="caution">
            Lift at the maker’s points, on stands or a lift made for it, wheels chocked. The maker’s
            specification, torque and procedure decide, and a licensed technician does the work.
          </Notice>
        )}
        {draft.vehicle?.use === 'cart' && <WhichSide />}
        {plan.length > 0 && !before && (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={() => enter('visit.setRight.before', angles)}>
              Begin
            </Button>
            <Typography color="textSecondary">keeps these angles as the ones before</Typography>
          </Box>
        )}
        {plan.length > 0 && (
          <Box component="ol" aria-label="What to set" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {plan.map((step, i) => (
              <PlanRow
                key={step.key}
                step={step}
                plan={plan}
                place={i + 1}
                hasBegun={before !== undefined}
              />
            ))}
          </Box>
        )}
        {plan.length === 0 && <Closing />}
        <AngleLedger rows={rows} before={before ? angleLedger(draft, before) : []} />
        <ChangedHeight />
      </Box>
    </AllowedOnly>
  );
}

/** On a cart one looks before one measures: the crooked wheel's side needs the work. */
function WhichSide() {
  const { draft, enter } = useVisit();
  const crooked = draft.visit?.inspect?.crookedWheel ?? null;
  return (
    <Box>
      <Choice<CrookedWheel>
        label="Steering wheel held straight: which front wheel is not?"
        options={[
          { value: 'left', label: 'Left' },
          { value: 'right', label: 'Right' },
          { value: 'neither', label: 'Neither' },
        ]}
        value={crooked}
        onChange={(value) => enter('visit.inspect.crookedWheel', value)}
      />
      {(crooked === 'left' || crooked === 'right') && (
        <Typography sx={{ mt: 0.75 }}>
          The {crooked === 'left' ? 'right' : 'left'} side is fine; work on the{' '}
          <strong>{crooked}</strong> one: look for a bent arm, spindle or rod there first.
        </Typography>
      )}
    </Box>
  );
}
