import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** The drawing beside every question; on small screens a strip that stays at the top. */
export function SidePane({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        bgcolor: 'var(--sheet)',
        borderRight: { md: '1px solid var(--line)' },
        borderBottom: { xs: '1px solid var(--line)', md: 0 },
        px: { xs: 1.5, md: 2.75 },
        py: { xs: 1, md: 2 },
        position: { xs: 'sticky', md: 'static' },
        top: 0,
        zIndex: 2,
        overflowY: { md: 'auto' },
      }}
    >
      {children}
    </Box>
  );
}
