import type { Wheel } from '@keen/contract';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';

interface WheelRowProps {
  wheel: Wheel;
  /** What the row holds, for those who do not see it. */
  label: string;
  /** Fields beside the wheel's name. */
  columns: number;
  /** Fields side by side on a phone, under the name. */
  phoneColumns: number;
  children: ReactNode;
}

/** A played wheel: its name and its fields. */
export function WheelRow({ wheel, label, columns, phoneColumns, children }: WheelRowProps) {
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{
        display: 'grid',
        gridTemplateColumns: {
          xs: `repeat(${phoneColumns}, 1fr)`,
          sm: `130px repeat(${columns}, 1fr)`,
        },
        gap: 1.25,
        alignItems: 'center',
        borderTop: '1px solid var(--hairline)',
        py: 1.25,
      }}
    >
      <Box sx={{ fontWeight: 650, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        {WHEEL_LABELS[wheel]}
      </Box>
      {children}
    </Box>
  );
}
