import type { GaugeStudy, VarianceRow } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { t } from '../../words/gauges.ts';

const SOURCES: Record<VarianceRow['source'], string> = {
  people: t('varianceTable.people'),
  marks: t('varianceTable.marks'),
  peopleByMarks: t('varianceTable.rowPeopleByMarks'),
  repeats: t('varianceTable.repeats'),
  total: t('varianceTable.inAll'),
};

/** The table of the analysis of variance, and what was done with the interaction. */
export function VarianceTable({ result }: { result: GaugeStudy }) {
  const { table, interaction } = result;
  return (
    <Box sx={{ maxWidth: 640 }}>
      <Box
        component="table"
        aria-label={t('varianceTable.analysisOfVariance')}
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
            <th scope="col">{t('varianceTable.source')}</th>
            <th scope="col">{t('varianceTable.sumOfSquares')}</th>
            <th scope="col">{t('varianceTable.freedom')}</th>
            <th scope="col">{t('varianceTable.meanSquare')}</th>
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
        {t('varianceTable.peopleByMarks', {
          f: Number.isFinite(interaction.f)
            ? interaction.f.toFixed(2)
            : t('varianceTable.withoutEnd'),
          chance: chanceWords(interaction.p),
          taken: interaction.isPooled
            ? t('varianceTable.takenForChanceAnd')
            : t('varianceTable.moreThanChanceSome'),
        })}
      </Typography>
    </Box>
  );
}

function chanceWords(p: number): string {
  return p < 0.01
    ? t('varianceTable.lessThan1Of')
    : t('varianceTable.aboutOfTheTime', { percent: Math.round(100 * p) });
}
