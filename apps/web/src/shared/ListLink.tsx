import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

interface ListLinkProps {
  to: string;
  /** Widths of the columns on a narrow screen and on a wide one. */
  columns: { xs: string; md: string };
  /** About what a row takes, px: as long as it is out of sight. */
  height: number;
  children: ReactNode;
}

/** A row of a list that leads somewhere. */
export function ListLink({ to, columns, height, children }: ListLinkProps) {
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        // What is out of sight is not laid out, however long the list has grown.
        contentVisibility: 'auto',
        containIntrinsicSize: `auto ${height}px`,
      }}
    >
      <Box
        component={Link}
        to={to}
        sx={{
          display: 'grid',
          gridTemplateColumns: columns,
          columnGap: { xs: 1.5, md: 2.5 },
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
