import type { Axle } from '@keen/contract';
import { depthFromMm, distanceToKm, WHEELS_OF_AXLE } from '@keen/core';
import Box from '@mui/material/Box';
import { showWhole } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/explain.ts';
import { term } from '../../words/terms.ts';

/** Wear is given for this distance, in the reader's unit. */
const PER_DISTANCE = 10_000;

/** How fast each axle wears, for a car with nothing out: that is what driving takes. */
export function WearRates() {
  const { draft, units } = useVisit();
  const perKm = (axle: Axle): number | null => {
    const rates = WHEELS_OF_AXLE[axle].flatMap((wheel) => {
      const tire = draft.tires?.[wheel];
      const read = (tire?.stations ?? [])
        .flatMap((station) => Object.values(station))
        .filter((value): value is number => typeof value === 'number');
      if (!tire?.newDepth || !tire.distance || read.length === 0) return [];
      const mean = read.reduce((sum, value) => sum + value, 0) / read.length;
      return [(tire.newDepth - mean) / tire.distance];
    });
    return rates.length > 0 ? rates.reduce((sum, rate) => sum + rate, 0) / rates.length : null;
  };
  const shown = (['front', 'rear'] as const).flatMap((axle) => {
    const rate = perKm(axle);
    if (rate === null) return [];
    const mm = rate * distanceToKm(PER_DISTANCE, units.distance);
    return [{ axle, depth: depthFromMm(mm, units.depth).toFixed(1) }];
  });
  if (shown.length === 0) return null;
  return (
    <Box sx={{ display: 'flex', gap: 5, flexWrap: 'wrap' }}>
      {shown.map(({ axle, depth }) => (
        <Box key={axle}>
          <Box className="condensed" sx={{ fontSize: '2.4rem', fontWeight: 700, lineHeight: 1.1 }}>
            {depth}{' '}
            <Box
              component="span"
              sx={{ fontSize: '1rem', fontWeight: 500, color: 'text.secondary' }}
            >
              {units.depth === 'mm' ? 'mm' : '/32 in'}
            </Box>
          </Box>
          <Box sx={{ color: 'text.secondary' }}>
            {t('wearRates.eachAtThe', {
              perDistance: showWhole(PER_DISTANCE),
              distance: units.distance,
              axle: term(`axle.${axle}`),
            })}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
