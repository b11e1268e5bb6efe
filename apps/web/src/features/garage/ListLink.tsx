import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

interface ListLinkProps {
  to: string;
  /** Widths of the columns; on a narrow screen they stand below each other. */
  columns: string;
  children: ReactNode;
}

/** A row of a list that leads somewhere. */
export function ListLink({ to, columns, children }: ListLinkProps) {
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 61px',
      }}
    >
      <Box
        component={Link}
        to={to}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: columns },
          columnGap: 2.5,
          alignItems: 'center',
          py: 1,
          px: 0.5,
          minHeight: 56,
          color: 'inherit',
          textDecoration: 'none',
          '&:hover, &:focus-visible': { bgcolor: 'var(--sheet)' },
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
