import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A line of a list to be answered: what it is at the left, its answers at the right. */
export function AnswerRow({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr auto' },
        columnGap: 2,
        rowGap: 0.75,
        alignItems: 'center',
        borderTop: '1px solid var(--hairline)',
        py: 0.75,
      }}
    >
      {children}
    </Box>
  );
}
