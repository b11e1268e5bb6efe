import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { useId } from 'react';

interface TrySliderProps {
  label: string;
  value: number;
  /** The car's own value, marked on the scale. */
  asIs: number;
  range: readonly [number, number];
  step: number;
  show: (value: number) => string;
  onChange: (value: number) => void;
  /** With its scale under the name, for a narrow column. */
  stacked?: boolean;
}

/** A setting to drag, with the car's own value marked. */
export function TrySlider(props: TrySliderProps) {
  const { label, value, asIs, range, step, show, onChange, stacked = false } = props;
  const id = useId();
  const [min, max] = range;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: stacked ? '1fr auto' : { xs: '1fr 84px', sm: '150px 1fr 84px' },
        columnGap: stacked ? 1 : 2.5,
        alignItems: stacked ? 'baseline' : 'center',
      }}
    >
      <Box
        id={id}
        sx={{
          color: 'text.secondary',
          gridColumn: stacked ? 'auto' : { xs: '1 / -1', sm: 'auto' },
        }}
      >
        {label}
      </Box>
      <Slider
        aria-labelledby={id}
        value={Math.min(max, Math.max(min, value))}
        min={min}
        max={max}
        step={step}
        // Page Up and Page Down, and the arrows with Shift.
        shiftStep={5 * step}
        marks={[{ value: Math.min(max, Math.max(min, asIs)) }]}
        track={false}
        getAriaValueText={show}
        onChange={(_, next) => onChange(Number(next.toFixed(4)))}
        // Held in from the sides, so that the handle at either end stays within the column.
        sx={stacked ? { gridRow: 2, gridColumn: '1 / -1', mx: 1, width: 'auto', py: 1 } : {}}
      />
      <Box
        className="condensed"
        sx={{
          fontSize: stacked ? '1.15rem' : '1.5rem',
          fontWeight: 700,
          textAlign: 'right',
          whiteSpace: 'nowrap',
        }}
      >
        {show(value)}
      </Box>
    </Box>
  );
}
