import type { RotationPattern } from '@keen/contract';
import { rotationPlan } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { RotationView } from '../../drawing/RotationView.tsx';
import { showAbout, showDistance } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';

const PATTERN_WORDS: Record<RotationPattern, string> = {
  frontToRear: t('rotation.frontAndRearChange'),
  forwardCross: t('rotation.frontsGoStraightBack'),
  rearwardCross: t('rotation.rearsGoStraightForward'),
  crossed: t('rotation.allCross'),
  sideToSide: t('rotation.sizesDifferLeftAnd'),
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
        {t('rotation.changingPlaces')}
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
              {t('rotation.everyPutRightWhat', {
                every,
                since: sinceWords(since, every, units.distance),
              })}
            </Typography>
          </Box>
        </Box>
      ) : (
        <Typography color="textSecondary">
          {t('rotation.theseTiresStayWhere', { every })}
        </Typography>
      )}
    </Box>
  );
}

function sinceWords(since: number | null, every: string, unit: 'km' | 'mi'): string {
  if (since === null) return t('rotation.howFarTheyHave');
  const left = EVERY_KM - since;
  return left > 0
    ? t('rotation.dueIn', { left: showDistance(left, unit), unit })
    : t('rotation.theyHaveRunWhere', { since: showDistance(since, unit), unit, every });
}
