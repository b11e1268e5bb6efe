import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { failureOf } from '../api/problem.ts';
import { t } from '../words/shared.ts';

interface LoadedProps<Data> {
  answer: {
    data?: Data | undefined;
    error?: unknown;
    isLoading: boolean;
    refetch: () => unknown;
  };
  /** What is being loaded, for people who cannot see the placeholder: "Loading the answers". */
  label: string;
  /** Of the placeholder, px; about what comes will take. */
  height: number;
  children: (data: Data) => ReactNode;
}

/** Something the server is asked for: its place while it loads, why it did not come, or itself. */
export function Loaded<Data>({ answer, label, height, children }: LoadedProps<Data>) {
  const { data, error, isLoading, refetch } = answer;
  if (isLoading) {
    return (
      <Box role="status" aria-label={label}>
        <Skeleton variant="rectangular" height={height} sx={{ bgcolor: 'var(--hairline)' }} />
      </Box>
    );
  }
  if (error || data === undefined) {
    return (
      <Box role="alert">
        <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
        <Button onClick={() => void refetch()}>{t('loaded.tryAgain')}</Button>
      </Box>
    );
  }
  return children(data);
}
