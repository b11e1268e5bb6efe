import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A key of the keyboard. */
export function Kbd({ children }: { children: ReactNode }) {
  return (
    <Box
      component="kbd"
      sx={{
        font: 'inherit',
        fontSize: '0.8rem',
        fontWeight: 600,
        border: '1px solid var(--control)',
        borderRadius: '4px',
        px: 0.75,
        py: 0.1,
        bgcolor: 'var(--sheet)',
        color: 'var(--ink)',
      }}
    >
      {children}
    </Box>
  );
}
