import type { GaugeStudy, VarianceRow } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

const SOURCES: Record<VarianceRow['source'], string> = {
  people: 'People',
  marks: 'Marks',
  peopleByMarks: 'People by marks',
  repeats: 'Repeats',
  total: 'In all',
};

/** The table of the analysis of variance, and what was done with the interaction. */
export function VarianceTable({ result }: { result: GaugeStudy }) {
  const { table, interaction } = result;
  return (
    <Box sx={{ maxWidth: 640 }}>
      <Box
        component="table"
        aria-label="Analysis of variance"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          '& th, & td': { py: 0.5, borderBottom: '1px solid var(--hairline)' },
          '& td, & thead th': { textAlign: 'right', fontVariantNumeric: 'tabular-nums' },
          '& th:first-of-type': { textAlign: 'left', fontWeight: 400 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">Source</th>
            <th scope="col">Sum of squares</th>
            <th scope="col">Freedom</th>
            <th scope="col">Mean square</th>
          </tr>
        </thead>
        <tbody>
          {table.map(({ source, sumOfSquares, freedom, meanSquare }) => (
            <tr key={source}>
              <th scope="row">{SOURCES[source]}</th>
              <td>{sumOfSquares.toFixed(4)}</td>
              <td>{freedom}</td>
              <td>{meanSquare?.toFixed(4) ?? ''}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography color="textSecondary" sx={{ mt: 1 }}>
        People by marks: F{' '}
        {Number.isFinite(interaction.f) ? interaction.f.toFixed(2) : 'without end'}, as large by
        chance {chanceWords(interaction.p)};{' '}
        {interaction.isPooled
          ? 'taken for chance and put with the repeats.'
          : 'more than chance: some read some marks in a way of their own.'}{' '}
        Both factors are random; intervals are by generalized inference.
      </Typography>
    </Box>
  );
}

function chanceWords(p: number): string {
  return p < 0.01 ? 'less than 1 % of the time' : `about ${Math.round(100 * p)} % of the time`;
}
