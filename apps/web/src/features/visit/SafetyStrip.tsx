import type { VisitDraft } from '@keen/contract';
import { unsafeWheels, whereWords } from '@keen/core';
import Box from '@mui/material/Box';

/** Stays over every step while a tire is not safe to drive on. */
export function SafetyStrip({ draft }: { draft: VisitDraft }) {
  const unsafe = unsafeWheels(draft);
  if (unsafe.length === 0) return null;
  return (
    <Box
      role="alert"
      sx={{
        bgcolor: 'var(--marker)',
        color: 'var(--onMarker)',
        px: { xs: 1.75, md: 2.5 },
        py: 0.75,
        fontWeight: 600,
      }}
    >
      ◆ Not safe to drive: {unsafe.map(whereWords).join(', ')}. The tire can fail without warning;
      the car stays until it is changed.
    </Box>
  );
}
