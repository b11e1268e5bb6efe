import { angleLedger, setRightPlan } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { AngleLedger } from '../../shared/AngleLedger.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { PlanRow } from './PlanRow.tsx';

/** What comes when all angles are in (common practice, no source). */
const CLOSING = [
  'Every fastener to the maker’s torque, at ride height; where the figure is not known, look it up.',
  'Clamps off all four wheels, turn plates pinned.',
  'Steering angle sensor reset, driver assistance checked where fitted.',
  'Road test: straight, steering wheel level, the complaint gone; only on a safe car and a legal road.',
  'Fasteners again after 50 to 100 km.',
];

/** The plan: what to set, in order, with the arithmetic of each adjuster; before and after. */
export function SetRightStep() {
  const { draft, enter, goTo } = useVisit();
  const { method = {}, repeat } = draft.visit?.measure ?? {};
  const angles = draft.angles ?? {};
  const { before } = draft.visit?.setRight ?? {};
  const rows = angleLedger(angles, draft.tolerances, method);
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
  const plan = setRightPlan(angles, draft.tolerances, method, { repeat, before });
  return (
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
      {plan.length > 0 && !before && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <Button variant="contained" onClick={() => enter('visit.setRight.before', angles)}>
            Begin
          </Button>
          <Typography color="textSecondary">keeps these angles as the ones before</Typography>
        </Box>
      )}
      {plan.length > 0 && (
        <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {plan.map((step, i) => (
            <PlanRow key={step.key} step={step} place={i + 1} hasBegun={before !== undefined} />
          ))}
        </Box>
      )}
      {plan.length === 0 && (
        <Box component="ul" sx={{ m: 0, pl: 2.25, display: 'grid', gap: 0.5 }}>
          {CLOSING.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Box>
      )}
      <AngleLedger
        rows={rows}
        before={before ? angleLedger(before, draft.tolerances, method) : []}
      />
    </Box>
  );
}
