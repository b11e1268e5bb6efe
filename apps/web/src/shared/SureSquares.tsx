import Box from '@mui/material/Box';

const SQUARES = 10;

/** A probability as ten squares, as many filled as in ten cars it would be so. */
export function SureSquares({ probability }: { probability: number }) {
  const filled = Math.round(probability * SQUARES);
  return (
    <Box aria-hidden sx={{ display: 'flex', gap: '2px' }}>
      {Array.from({ length: SQUARES }, (_, i) => (
        <Box
          key={i}
          sx={{
            width: 8,
            height: 10,
            border: '1px solid var(--control)',
            borderColor: i < filled ? 'var(--ink)' : 'var(--control)',
            bgcolor: i < filled ? 'var(--ink)' : 'transparent',
          }}
        />
      ))}
    </Box>
  );
}
