import { wheelFit } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';

const RIM = { unit: 'in', decimals: 1, min: 3, max: 20 } as const;
const OFFSET = { unit: 'mm', decimals: 0, min: -150, max: 150 } as const;

/** Wheels other than the maker's: where their edges stand, and what that means for angles and wear. */
export function OtherWheels() {
  const { draft, enter } = useVisit();
  const wheels = draft.visit?.car?.wheels ?? {};
  const set = (change: Partial<Record<keyof typeof wheels, number | null>>) => {
    const next = Object.fromEntries(
      Object.entries({ ...wheels, ...change }).filter(([, value]) => value !== null),
    );
    enter('visit.car.wheels', Object.keys(next).length > 0 ? next : null);
  };
  const field = (key: keyof typeof wheels) => ({
    value: wheels[key] ?? null,
    onChange: (value: number | null) => set({ [key]: value }),
  });
  return (
    <Box
      role="group"
      aria-label="Other wheels"
      sx={{ display: 'grid', gap: 1.25, borderTop: '1px solid var(--hairline)', pt: 1.25 }}
    >
      <Typography variant="h3" component="div" color="textSecondary">
        Other wheels than the maker’s
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 1.25,
          gridTemplateColumns: 'repeat(auto-fill, minmax(126px, 1fr))',
        }}
      >
        <NumberField label="Maker’s rim" {...RIM} {...field('makerWidth')} />
        <NumberField label="Its offset" {...OFFSET} {...field('makerOffset')} />
        <NumberField label="Fitted rim" {...RIM} {...field('width')} />
        <NumberField label="Its offset, fitted" {...OFFSET} {...field('offset')} />
        <NumberField label="Spacer" unit="mm" decimals={0} max={100} {...field('spacer')} />
      </Box>
      <FitWords />
    </Box>
  );
}

function FitWords() {
  const { draft } = useVisit();
  const { makerWidth, makerOffset, width, offset, spacer } = draft.visit?.car?.wheels ?? {};
  if (
    makerWidth === undefined ||
    makerOffset === undefined ||
    width === undefined ||
    offset === undefined
  ) {
    return null;
  }
  const { outerMoves, innerMoves, trackChange, scrubChange, tireWidths } = wheelFit({
    old: { width: makerWidth, offset: makerOffset },
    new: { width, offset },
    spacer,
  });
  const by = (mm: number, more: string, less: string) =>
    Math.abs(mm) < 0.5 ? 'as before' : `${Math.abs(mm).toFixed(0)} mm ${mm > 0 ? more : less}`;
  const widths = tireWidths.map((mm) => 5 * Math.round(mm / 5));
  return (
    <Typography role="status">
      Outer edge {by(outerMoves, 'further out', 'further in')}, inner edge{' '}
      {by(innerMoves, 'further in', 'away from the strut')}, track{' '}
      {by(trackChange, 'wider', 'narrower')}, scrub radius {by(scrubChange, 'larger', 'smaller')}.
      The rim takes tires of about {widths[0]} to {widths[1]} mm. Look at fender and strut from lock
      to lock; more scrub kicks back and wears joints.
    </Typography>
  );
}
