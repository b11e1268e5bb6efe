import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { t } from '../words/shared.ts';

interface NoticeProps {
  children: ReactNode;
  /** A caution can hurt somebody; a note only informs. */
  kind?: 'caution' | 'note';
}

/** A passage that stands out by its rule and mark, not by colour alone. */
export function Notice({ children, kind = 'note' }: NoticeProps) {
  const isCaution = kind === 'caution';
  return (
    <Box
      role={isCaution ? 'alert' : 'note'}
      sx={{
        display: 'flex',
        gap: 1,
        borderLeft: '3px solid',
        borderColor: isCaution ? 'var(--marker)' : 'var(--control)',
        pl: 1.25,
        py: 0.5,
        fontSize: '0.9rem',
        color: isCaution ? 'var(--ink)' : 'var(--soft)',
      }}
    >
      {isCaution && (
        <Box component="strong" sx={{ color: 'var(--marker)', flexShrink: 0 }}>
          {t('notice.caution')}
        </Box>
      )}
      <Box>{children}</Box>
    </Box>
  );
}
