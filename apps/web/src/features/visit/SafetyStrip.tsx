import type { VisitDraft } from '@keen/contract';
import Box from '@mui/material/Box';
import { dangerWords } from '../../shared/dangerWords.ts';

/** Stays over every step while the car must not be driven. */
export function SafetyStrip({ draft }: { draft: VisitDraft }) {
  const found = dangerWords(draft);
  if (found.length === 0) return null;
  return (
    <Box
      role="alert"
      sx={{
        bgcolor: 'var(--marker)',
        color: 'var(--onMarker)',
        px: { xs: 1.75, md: 2.5 },
        py: 0.75,
      }}
    >
      {found.map(({ kind, what, why }, i) => (
        <Box key={kind}>
          <strong>◆ {what}</strong> {/* On a phone the page under it has to stay in view. */}
          <Box component="span" sx={{ display: { xs: i === 0 ? 'inline' : 'none', sm: 'inline' } }}>
            {why}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
