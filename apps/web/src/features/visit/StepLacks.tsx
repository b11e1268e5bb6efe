import type { VisitDraft } from '@keen/contract';
import { lacksOf, VISIT_STEPS } from '@keen/core';
import Box from '@mui/material/Box';
import { memo } from 'react';
import { t } from '../../words/visit.ts';
import { visitTexts } from '../../words/core/visit.ts';

interface StepLacksProps {
  draft: VisitDraft;
  step: string;
  isDecided: boolean;
}

/** One line: what the step at hand still lacks, and why that matters. */
export const StepLacks = memo(function StepLacks({ draft, step, isDecided }: StepLacksProps) {
  const known = VISIT_STEPS.find((one) => one === step);
  const [first, ...rest] = known ? lacksOf(draft, known, isDecided, visitTexts.lacks) : [];
  if (!first) return null;
  const more = rest.map(({ what }) => what.charAt(0).toLowerCase() + what.slice(1));
  return (
    <Box
      role="note"
      aria-label={t('stepLacks.stillMissing')}
      sx={{
        color: 'text.secondary',
        fontSize: '0.875rem',
        lineHeight: 1.45,
        mb: 1.5,
        maxWidth: 720,
      }}
    >
      <Box component="span" sx={{ fontWeight: 650, color: 'var(--ink)' }}>
        {t('stepLacks.missing', {
          charAt: first.what.charAt(0).toLowerCase() + first.what.slice(1),
        })}
      </Box>{' '}
      ({first.why}){more.length > 0 && `, ${more.join(', ')}`}.
    </Box>
  );
});
