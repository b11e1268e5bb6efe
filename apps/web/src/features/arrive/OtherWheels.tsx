import { wheelFit } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/arrive.ts';

const RIM = { unit: 'in', decimals: 1, min: 3, max: 20 } as const;
const OFFSET = { unit: 'mm', decimals: 0, min: -150, max: 150 } as const;

type Moved =
  'furtherOut' | 'furtherIn' | 'awayFromStrut' | 'wider' | 'narrower' | 'larger' | 'smaller';

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
      aria-label={t('otherWheels.otherWheels')}
      sx={{ display: 'grid', gap: 1.25, borderTop: '1px solid var(--hairline)', pt: 1.25 }}
    >
      <Typography variant="h3" component="div" color="textSecondary">
        {t('otherWheels.otherWheelsThanThe')}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 1.25,
          gridTemplateColumns: 'repeat(auto-fill, minmax(126px, 1fr))',
        }}
      >
        <NumberField label={t('otherWheels.makersRim')} {...RIM} {...field('makerWidth')} />
        <NumberField label={t('otherWheels.itsOffset')} {...OFFSET} {...field('makerOffset')} />
        <NumberField label={t('otherWheels.fittedRim')} {...RIM} {...field('width')} />
        <NumberField label={t('otherWheels.itsOffsetFitted')} {...OFFSET} {...field('offset')} />
        <NumberField
          label={t('otherWheels.spacer')}
          unit="mm"
          decimals={0}
          max={100}
          {...field('spacer')}
        />
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
  const by = (value: number, ...[more, less]: readonly [Moved, Moved]) =>
    Math.abs(value) < 0.5
      ? t('otherWheels.asBefore')
      : t(`otherWheels.${value > 0 ? more : less}`, { mm: Math.abs(value).toFixed(0) });
  const widths = tireWidths.map((mm) => 5 * Math.round(mm / 5));
  return (
    <Typography role="status">
      {t('otherWheels.outerEdgeInnerEdge', {
        outerMoves: by(outerMoves, 'furtherOut', 'furtherIn'),
        innerMoves: by(innerMoves, 'furtherIn', 'awayFromStrut'),
        trackChange: by(trackChange, 'wider', 'narrower'),
        scrubChange: by(scrubChange, 'larger', 'smaller'),
        narrowest: widths[0]!,
        widest: widths[1]!,
      })}
    </Typography>
  );
}
