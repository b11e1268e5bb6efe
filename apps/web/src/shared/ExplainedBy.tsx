import type { ExplainedWear } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { showPercent } from './format.ts';

const LEFT_OVER: Record<ExplainedWear['leftOver'][number]['cause'], string> = {
  play: 'loose joints that let toe wander',
  pressure: 'pressure in the past',
  bounce: 'a damper or balance',
  cornering: 'hard cornering',
  past: 'angles that were other than today’s: before a kerb, a part, a rotation',
};

/** How much of the wear the measured angles explain, and what they leave over. */
export function ExplainedBy({ explained }: { explained: ExplainedWear }) {
  const { excess, byAngles, leftOver } = explained;
  const share = Math.max(0, Math.min(1, byAngles / excess));
  return (
    <Box>
      <Typography>
        Of <strong>{excess.toFixed(1)} mm</strong> that the four worst ribs lost beyond good
        settings, these angles explain <strong>{Math.max(0, byAngles).toFixed(1)} mm</strong>,{' '}
        {showPercent(share)}.
        {byAngles > 1.2 * excess &&
          ' They would have taken more than was lost: they have not stood like this for long.'}
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
          Left over:{' '}
          {leftOver.map(({ cause, mm }) => `${mm.toFixed(1)} mm ${LEFT_OVER[cause]}`).join('; ')}.
        </Typography>
      )}
    </Box>
  );
}
