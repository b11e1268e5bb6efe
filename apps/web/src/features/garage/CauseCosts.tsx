import { formatMoney } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { causeCosts, WEAR_PART_WORDS } from './causeCosts.ts';
import type { FleetCar } from './useFleet.ts';
import { t } from '../../words/garage.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

const FULL = 100;

/** What the fleet spends on tires in a year, and what of it goes on what. */
export function CauseCosts({ cars, currency }: { cars: readonly FleetCar[]; currency: string }) {
  const { yearly, causes } = causeCosts(cars);
  if (yearly <= 0) return null;
  const money = (minor: number) => formatMoney(minor, currency, pageLocale, true);
  const most = Math.max(...causes.map(({ share }) => share));
  return (
    <Box component="section" aria-labelledby="causes">
      <Typography variant="h3" component="h2" id="causes" color="textSecondary" sx={{ mb: 0.5 }}>
        {t('causeCosts.whatTheTiresGo', { yearly: money(yearly) })}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, maxWidth: 560 }}>
        {causes.map(({ part, yearly: cost, share }) => (
          <Box
            component="li"
            key={part}
            sx={{
              borderTop: '1px solid var(--hairline)',
              py: 0.75,
              display: 'grid',
              columnGap: 2,
              alignItems: 'center',
              gridTemplateColumns: '1.4fr 1.2fr 76px 52px',
            }}
          >
            <Box>{WEAR_PART_WORDS[part]}</Box>
            <Box
              aria-hidden
              sx={{
                height: 12,
                width: `${(FULL * Math.max(0, share)) / most}%`,
                bgcolor: part === 'base' ? 'var(--rubber)' : 'var(--marker)',
              }}
            />
            <Box sx={{ textAlign: 'right', fontWeight: 650 }}>{money(Math.max(0, cost))}</Box>
            <Box sx={{ textAlign: 'right', color: 'text.secondary' }}>
              {Math.round(FULL * Math.max(0, share))} %
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
