import Box from '@mui/material/Box';
import { useState } from 'react';
import { NumberField } from '../../shared/NumberField.tsx';

const MOST_DEG = 60;

interface TwoAnglesProps {
  title: string;
  labels: readonly [string, string];
  kept: readonly [number, number] | null;
  /** With both, or null once one of what was kept is taken away. */
  onChange: (angles: [number, number] | null) => void;
}

/** Two angles that say something together only; one alone waits in its field. */
export function TwoAngles({ title, labels, kept, onChange }: TwoAnglesProps) {
  const [angles, setAngles] = useState<readonly (number | null)[]>(kept ?? [null, null]);

  function set(at: number, value: number | null): void {
    const next = angles.map((angle, i) => (i === at ? value : angle));
    setAngles(next);
    const [first = null, second = null] = next;
    if (first !== null && second !== null) onChange([first, second]);
    else if (kept) onChange(null);
  }

  return (
    <Box
      role="group"
      aria-label={title}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', sm: '110px 180px 180px' },
        gap: 1.25,
        alignItems: 'center',
      }}
    >
      <Box sx={{ fontWeight: 650, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>{title}</Box>
      {labels.map((label, i) => (
        <NumberField
          key={label}
          label={label}
          unit="°"
          value={angles[i] ?? null}
          max={MOST_DEG}
          onChange={(value) => set(i, value)}
        />
      ))}
    </Box>
  );
}
