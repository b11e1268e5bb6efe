import type { ExplainedWear } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { showPercent } from './format.ts';
import { Rich } from './Rich.tsx';
import { t } from '../words/shared.ts';

const LEFT_OVER: Record<ExplainedWear['leftOver'][number]['cause'], string> = {
  play: t('explainedBy.looseJointsThatLet'),
  pressure: t('explainedBy.pressureInThePast'),
  bounce: t('explainedBy.aDamperOrBalance'),
  cornering: t('explainedBy.hardCornering'),
  past: t('explainedBy.anglesThatWereOther'),
};

/** How much of the wear the measured angles explain, and what they leave over. */
export function ExplainedBy({ explained }: { explained: ExplainedWear }) {
  const { excess, byAngles, leftOver } = explained;
  const share = Math.max(0, Math.min(1, byAngles / excess));
  return (
    <Box>
      <Typography>
        <Rich
          text={t('explainedBy.ofWhatWasLost', {
            excess: excess.toFixed(1),
            explained: Math.max(0, byAngles).toFixed(1),
            share: showPercent(share),
          })}
        />{' '}
        {byAngles > 1.2 * excess && t('explainedBy.theyWouldHaveTaken')}
      </Typography>
      <Box
        aria-hidden
        sx={{
          height: 10,
          my: 0.75,
          maxWidth: 420,
          border: '1px solid var(--ink)',
          background: 'repeating-linear-gradient(135deg, transparent 0 4px, var(--line) 4px 5px)',
        }}
      >
        <Box sx={{ height: '100%', width: `${100 * share}%`, bgcolor: 'var(--rubber)' }} />
      </Box>
      {leftOver.length > 0 && (
        <Typography color="textSecondary">
          {t('explainedBy.leftOver', {
            causes: leftOver
              .map(({ cause, mm }) =>
                t('explainedBy.mmLeftOver', { mm: mm.toFixed(1), leftOver: LEFT_OVER[cause] }),
              )
              .join('; '),
          })}
        </Typography>
      )}
    </Box>
  );
}
