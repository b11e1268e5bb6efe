import type { Right, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { mayDo } from './mayDo.ts';
import { Notice } from './Notice.tsx';

interface AllowedOnlyProps {
  session: Session;
  right: Right;
  /** Who does it instead, in a sentence. */
  otherwise: string;
  children: ReactNode;
}

/** A part of a page that everybody reads and only some may change: for the others its controls rest. */
export function AllowedOnly({ session, right, otherwise, children }: AllowedOnlyProps) {
  const isAllowed = mayDo(session, right);
  return (
    <Box
      component="fieldset"
      disabled={!isAllowed}
      sx={{
        m: 0,
        p: 0,
        border: 0,
        minWidth: 0,
        '&:disabled button, &:disabled input, &:disabled textarea': { cursor: 'default' },
        '&:disabled button': { opacity: 0.55 },
      }}
    >
      {!isAllowed && (
        <Box sx={{ mb: 2 }}>
          <Notice>{otherwise}</Notice>
        </Box>
      )}
      {children}
    </Box>
  );
}
