import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import type { ReactNode } from 'react';

interface ChoiceGroupProps {
  label: string;
  hideLabel?: boolean;
  /** The answers. */
  children: ReactNode;
}

/** A question over its answers, each one press. */
export function ChoiceGroup({ label, hideLabel = false, children }: ChoiceGroupProps) {
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
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>{children}</Box>
    </Box>
  );
}
