import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import type { ReactNode } from 'react';
import { KeyHint } from './KeyHint.tsx';

interface ChoiceGroupProps {
  label: string;
  hideLabel?: boolean;
  /** The key that goes through the answers. */
  letter?: string | undefined;
  /** The answers. */
  children: ReactNode;
}

/** A question over its answers, each one press. */
export function ChoiceGroup({ label, hideLabel = false, letter, children }: ChoiceGroupProps) {
  const id = useId();
  return (
    <Box role="group" aria-labelledby={id}>
      <Typography
        id={id}
        variant="h3"
        component="div"
        className={hideLabel ? 'visually-hidden' : ''}
        sx={{ color: 'text.secondary', mb: 0.5 }}
      >
        {label}
        {letter && (
          <>
            {' '}
            <KeyHint>{letter}</KeyHint>
          </>
        )}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>{children}</Box>
    </Box>
  );
}
