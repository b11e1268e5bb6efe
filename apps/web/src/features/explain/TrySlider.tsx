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
}

/** A setting to drag, with the car's own value marked. */
export function TrySlider({ label, value, asIs, range, step, show, onChange }: TrySliderProps) {
  const id = useId();
  const [min, max] = range;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 84px', sm: '150px 1fr 84px' },
        columnGap: 2.5,
        alignItems: 'center',
      }}
    >
      <Box id={id} sx={{ color: 'text.secondary', gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        {label}
      </Box>
      <Slider
        aria-labelledby={id}
        value={Math.min(max, Math.max(min, value))}
        min={min}
        max={max}
        step={step}
        marks={[{ value: Math.min(max, Math.max(min, asIs)) }]}
        track={false}
        getAriaValueText={show}
        onChange={(_, next) => onChange(Number(next.toFixed(4)))}
      />
      <Box
        className="condensed"
        sx={{ fontSize: '1.5rem', fontWeight: 700, textAlign: 'right', whiteSpace: 'nowrap' }}
      >
        {show(value)}
      </Box>
    </Box>
  );
}
