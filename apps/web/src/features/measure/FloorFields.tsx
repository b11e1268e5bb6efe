import type { Side } from '@keen/contract';
import { floorSlope, MM_PER_IN } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/measure.ts';

/** Where the floor stands among the level's own figures. */
const RISE = t('floorFields.floorRise');
const OVER = t('floorFields.floorOver');
const SIDE = t('floorFields.floorHigh');
/** What the level's form takes: both, or neither. */
const HIGH = 'floorSlope.high';
const SLOPE = 'floorSlope.degrees';
/** A track as cars have it, until another is typed, mm. */
const USUAL_TRACK = 1_500;

/**
 * How much higher one side of the floor is, over the track: what goes under the low wheels, or what the
 * level's form takes out.
 */
export function FloorFields() {
  const { draft, preferences, enter } = useVisit();
  const texts = draft.visit?.measure?.gauge?.camberFromLevel ?? {};
  const isInches = preferences.toe === 'in';
  const [unit, perUnit] = isInches ? (['in', MM_PER_IN] as const) : (['mm', 1] as const);
  const mm = (key: string) => (texts[key] ? Number(texts[key]) : null);
  const shown = (value: number | null) => (value === null ? null : value / perUnit);
  const rise = mm(RISE);
  const over = mm(OVER) ?? USUAL_TRACK;
  const high = (texts[SIDE] as Side | undefined) ?? null;
  const floor =
    rise !== null && high !== null ? floorSlope({ rise, over, high, unit: 'mm' }) : null;

  function set(change: { rise?: number | null; over?: number | null; high?: Side | null }): void {
    const next = { rise, over, high, ...change };
    const others = Object.entries(texts).filter(
      ([key]) => ![RISE, OVER, SIDE, HIGH, SLOPE].includes(key),
    );
    const track = next.over ?? USUAL_TRACK;
    const found =
      next.rise !== null && next.high !== null
        ? floorSlope({ rise: next.rise, over: track, high: next.high, unit: 'mm' })
        : null;
    enter('visit.measure.gauge.camberFromLevel', {
      ...Object.fromEntries(others),
      ...(next.rise === null ? {} : { [RISE]: String(next.rise) }),
      [OVER]: String(track),
      ...(next.high === null ? {} : { [SIDE]: next.high }),
      ...(found ? { [HIGH]: found.high, [SLOPE]: found.degrees.toFixed(3) } : {}),
    });
  }

  return (
    <Box sx={{ display: 'grid', gap: 1, mt: 1 }}>
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <Box sx={{ width: 130 }}>
          <NumberField
            label={t('floorFields.floorRisesBy')}
            unit={unit}
            decimals={isInches ? 3 : 1}
            max={500}
            value={shown(rise)}
            onChange={(value) => set({ rise: value === null ? null : value * perUnit })}
          />
        </Box>
        <Box sx={{ width: 130 }}>
          <NumberField
            label={t('floorFields.overTheTrack')}
            unit={unit}
            decimals={isInches ? 1 : 0}
            min={1}
            max={3_000}
            value={shown(over)}
            onChange={(value) => set({ over: value === null ? null : value * perUnit })}
          />
        </Box>
        <Choice<Side>
          label={t('floorFields.highOnThe')}
          dense
          options={[
            { value: 'left', label: t('floorFields.left') },
            { value: 'right', label: t('floorFields.right') },
          ]}
          value={high}
          onChange={(side) => set({ high: side })}
        />
      </Box>
      {floor && floor.tile > 0 && (
        <Typography variant="body2">
          {t(floor.high === 'left' ? 'floorFields.highOnLeft' : 'floorFields.highOnRight', {
            degrees: floor.degrees.toFixed(2),
            tile: (floor.tile / perUnit).toFixed(isInches ? 3 : 1),
            unit,
          })}
        </Typography>
      )}
    </Box>
  );
}
