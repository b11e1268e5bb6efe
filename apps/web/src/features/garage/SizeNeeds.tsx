import { needsBySize } from '@keen/core';
import { WHEELS } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import type { FleetCar } from './useFleet.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/garage.ts';

/** What is ordered ahead, months. */
const AHEAD = 3;

/** For how many cars tires of each size are needed in the next months; nothing where no size is known. */
export function SizeNeeds({ cars, today }: { cars: readonly FleetCar[]; today: string }) {
  const known = cars.flatMap(({ read, running }) => {
    const tires = read?.draft.tires ?? {};
    const sizes = [...new Set(WHEELS.flatMap((wheel) => tires[wheel]?.size ?? []))];
    return running && sizes.length > 0 ? [{ sizes, running }] : [];
  });
  const needs = needsBySize(known, today, AHEAD);
  if (needs.length === 0) return null;
  const until = dayjs(today)
    .add(AHEAD - 1, 'month')
    .endOf('month')
    .format(t('sizeNeeds.dMmmm'));
  return (
    <Box component="section" aria-labelledby="sizes">
      <Typography variant="h3" component="h2" id="sizes" color="textSecondary" sx={{ mb: 0.5 }}>
        {t('sizeNeeds.tiresToHaveBy', { until })}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, maxWidth: 560 }}>
        {needs.map(({ size, cars: all, mean, low, high }) => (
          <Box
            component="li"
            key={size}
            sx={{
              borderTop: '1px solid var(--hairline)',
              py: 0.75,
              display: 'flex',
              gap: 2,
              alignItems: 'baseline',
            }}
          >
            <Box className="condensed" sx={{ flex: 1, fontWeight: 700, fontSize: '1.1rem' }}>
              {size}
            </Box>
            <Box>
              <Rich text={t('sizeNeeds.forCars', { needing: Math.round(mean), count: all })} />
            </Box>
            <Box sx={{ color: 'text.secondary', width: 72, textAlign: 'right' }}>
              {low === high ? '' : t('sizeNeeds.to', { low, high })}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
