import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** An entry that may be the same, or was joined: what it is, and what to do about it. */
export function JoinRow({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        borderTop: '1px solid var(--hairline)',
        py: 1,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 2,
        alignItems: 'center',
      }}
    >
      {children}
    </Box>
  );
}
