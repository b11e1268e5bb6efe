import type { RotationPattern } from '@keen/contract';
import { rotationPlan } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { RotationView } from '../../drawing/RotationView.tsx';
import { showAbout, showDistance } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';

const PATTERN_WORDS: Record<RotationPattern, string> = {
  frontToRear: 'Front and rear change, each on its side.',
  forwardCross: 'Fronts go straight back, rears cross to the front.',
  rearwardCross: 'Rears go straight forward, fronts cross to the rear.',
  crossed: 'All cross.',
  sideToSide: 'Sizes differ: left and right change on each axle.',
};
/** Tires change places this often (common practice, no source), km. */
const EVERY_KM = 8_000;

/** Where each tire goes next, and when. */
export function Rotation() {
  const { draft, units } = useVisit();
  const plan = rotationPlan(draft);
  const last = draft.rotations?.at(-1)?.atDistance ?? 0;
  const run = draft.tires?.lf?.distance;
  const since = run === undefined ? null : run - last;
  const every = `${showAbout(EVERY_KM, units.distance)} ${units.distance}`;
  return (
    <Box component="section" aria-labelledby="rotation-title">
      <Typography variant="h2" component="h3" id="rotation-title" sx={{ mb: 0.5 }}>
        Changing places
      </Typography>
      {plan ? (
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', sm: 'minmax(220px, 320px) 1fr' },
            alignItems: 'center',
          }}
        >
          <RotationView plan={plan} />
          <Box>
            <Typography>{PATTERN_WORDS[plan.pattern]}</Typography>
            <Typography color="textSecondary">
              Every {every}; {sinceWords(since, every, units.distance)} Put right what wears them
              first, or the next place wears the same way. A tire with a direction keeps its side.
            </Typography>
          </Box>
        </Box>
      ) : (
        <Typography color="textSecondary">
          These tires stay where they are. The tread is looked at every {every}, inner edges too.
        </Typography>
      )}
    </Box>
  );
}

function sinceWords(since: number | null, every: string, unit: 'km' | 'mi'): string {
  if (since === null) return 'how far they have run is not known.';
  const left = EVERY_KM - since;
  return left > 0
    ? `due in ${showDistance(left, unit)} ${unit}.`
    : `they have run ${showDistance(since, unit)} ${unit} where they are: more than ${every}.`;
}
