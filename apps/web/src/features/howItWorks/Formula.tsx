import Box from '@mui/material/Box';
import { t } from '../../words/howItWorks.ts';

const TERMS: readonly (readonly [symbol: string, meaning: string])[] = [
  ['y', t('formula.placeOfTheRib')],
  ['P(y)', t('formula.itsShareOfThe')],
  ['f(p)', t('formula.whatRunningPressureDoes')],
  ['S₀', t('formula.slipThatDrivingItself')],
  ['toe', t('formula.halfTheAxlesTotal')],
  ['wander', t('formula.whatLooseJointsAdd')],
  ['c·y·camber', t('formula.cambersOwnSlipNone')],
];

const FORMULA = 'wear = K · P(y) · f(p) · ( S₀² + toe² + wander² + (c·y·camber)² )';

/** The wear formula as one would write it on the bench. */
export function Formula() {
  return (
    <Box>
      <Box
        role="math"
        aria-label={t('formula.wearRateEqualsK')}
        className="condensed"
        sx={{ fontSize: { xs: '1.25rem', md: '1.75rem' }, fontWeight: 600, lineHeight: 1.4 }}
      >
        {FORMULA}{' '}
        <Box component="span" sx={{ fontSize: '1rem', color: 'text.secondary', fontWeight: 500 }}>
          {t('formula.mmPer1000Km')}
        </Box>
      </Box>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto 1fr',
          columnGap: 2.5,
          rowGap: 0.5,
          m: 0,
          mt: 1.5,
          maxWidth: '82ch',
        }}
      >
        {TERMS.map(([symbol, meaning]) => (
          <Box key={symbol} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>
              {symbol}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {meaning}
            </Box>
          </Box>
        ))}
      </Box>
      <Box component="p" sx={{ m: 0, mt: 1.5, maxWidth: '82ch' }}>
        {t('formula.lossesAddUpOver')}
      </Box>
    </Box>
  );
}
