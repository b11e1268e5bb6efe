import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** The title of a page outside a visit, in its top bar. */
export function PageTitle({ children }: { children: ReactNode }) {
  return (
    <Box component="h1" sx={{ m: 0, fontSize: '1.02rem', fontWeight: 650 }}>
      {children}
    </Box>
  );
}
