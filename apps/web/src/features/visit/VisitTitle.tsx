import type { Units, Visit, VisitDraft } from '@keen/contract';
import Box from '@mui/material/Box';
import { distanceOnTiresWords } from '../../shared/distanceOnTiresWords.ts';
import { t } from '../../words/visit.ts';

const DRIVE_WORDS = {
  fwd: t('visitTitle.frontDrive'),
  rwd: t('visitTitle.rearDrive'),
  awd: t('visitTitle.allWheelDrive'),
} as const;

/** What the visit is about, in one line. */
export function VisitTitle({
  visit,
  draft,
  units,
}: {
  visit: Visit;
  draft: VisitDraft;
  units: Units;
}) {
  const { drive } = draft.vehicle ?? {};
  const { size } = draft.tires?.lf ?? {};
  const facts = [
    drive && DRIVE_WORDS[drive],
    size,
    distanceOnTiresWords(draft, units.distance),
  ].filter(Boolean);
  return (
    <Box
      sx={{ display: 'flex', gap: 1.25, alignItems: 'baseline', minWidth: 0, whiteSpace: 'nowrap' }}
    >
      <Box
        component="h1"
        sx={{
          m: 0,
          // Which car it is comes before what it has: the facts give way first.
          flexShrink: 0,
          maxWidth: '100%',
          fontSize: '1.02rem',
          fontWeight: 650,
          fontStretch: '88%',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
        }}
      >
        {visit.vehicle.label || t('visitTitle.car')}, {visit.vehicle.plate}
      </Box>
      <Box
        sx={{
          color: 'text.secondary',
          minWidth: 0,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          display: { xs: 'none', lg: 'block' },
        }}
      >
        {facts.join(' · ')}
      </Box>
    </Box>
  );
}
