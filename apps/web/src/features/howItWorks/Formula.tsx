import Box from '@mui/material/Box';

const TERMS: readonly (readonly [symbol: string, meaning: string])[] = [
  ['y', 'place of the rib: −1 inner, 0 centre, +1 outer'],
  [
    'P(y)',
    'its share of the contact pressure: camber loads the side it leans to, toe-in the outer ribs, low pressure both shoulders, cornering the front outer ones; a rib can lift off, and the shares always make a mean of one',
  ],
  ['f(p)', 'what running pressure does to the whole rate'],
  ['S₀', 'slip that driving itself needs; more on driven and steered axles'],
  ['toe', 'half the axle’s total: the driver steers the pair, so both tires share it'],
  ['wander', 'what loose joints add, though the rig may read well'],
  ['c·y·camber', 'camber’s own slip: none at the centre, most at the edges'],
];

/** The wear formula as one would write it on the bench. */
export function Formula() {
  return (
    <Box>
      <Box
        role="math"
        aria-label="wear rate equals K times P of y times f of p times the sum of S zero squared, toe squared, wander squared and c y camber squared, in millimetres for each 1000 km"
        className="condensed"
        sx={{ fontSize: { xs: '1.25rem', md: '1.75rem' }, fontWeight: 600, lineHeight: 1.4 }}
      >
        wear = K · P(y) · f(p) · ( S₀² + toe² + wander² + (c·y·camber)² ){' '}
        <Box component="span" sx={{ fontSize: '1rem', color: 'text.secondary', fontWeight: 500 }}>
          mm per 1000 km
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
        Losses add up over the places a tire has had: every rotation is walked through. Fresh tread
        wears faster than worn tread, by d.
      </Box>
    </Box>
  );
}
