import Box from '@mui/material/Box';
import type { FigureRow } from './learnedFigures.ts';
import { FIGURES } from '../../shared/figures.ts';
import { t } from '../../words/insights.ts';

interface FigureTableProps {
  title: string;
  rows: readonly FigureRow[];
}

const HEIGHT = 14;
const WIDTH = 96;

/** Figures of the shop beside the usual ones: each with its place on a scale, the usual one as a stroke. */
export function FigureTable({ title, rows }: FigureTableProps) {
  return (
    <Box
      component="table"
      aria-label={title}
      sx={{ ...FIGURES, '& thead th': { whiteSpace: 'nowrap' } }}
    >
      <thead>
        <tr>
          <th scope="col">{title}</th>
          <th scope="col">{t('figureTable.usual')}</th>
          <th scope="col">{t('figureTable.yours')}</th>
          <Box component="th" scope="col" sx={{ display: { xs: 'none', sm: 'table-cell' } }}>
            {t('figureTable.timesIn')}
          </Box>
          <Box component="td" aria-hidden sx={{ display: { xs: 'none', md: 'table-cell' } }} />
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, what, usual, own, span, at, isDifferent }) => (
          <tr key={key}>
            <th scope="row">{what}</th>
            <Box component="td" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
              {usual}
            </Box>
            <Box component="td" sx={{ whiteSpace: 'nowrap', fontWeight: isDifferent ? 700 : 400 }}>
              {own}
            </Box>
            <Box
              component="td"
              sx={{
                color: 'text.secondary',
                whiteSpace: 'nowrap',
                display: { xs: 'none', sm: 'table-cell' },
              }}
            >
              {span}
            </Box>
            <Box
              component="td"
              aria-hidden
              sx={{ width: WIDTH + 12, display: { xs: 'none', md: 'table-cell' } }}
            >
              <Place at={at} isDifferent={isDifferent} />
            </Box>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** The learned figure with its interval, against the usual one. */
function Place({ at, isDifferent }: Pick<FigureRow, 'at' | 'isDifferent'>) {
  const x = (place: number) => 4 + place * (WIDTH - 8);
  const ink = isDifferent ? 'var(--marker)' : 'var(--ink)';
  return (
    <svg width={WIDTH} height={HEIGHT} style={{ display: 'block', marginLeft: 'auto' }}>
      <line x1={x(0)} x2={x(1)} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--hairline)" />
      <line x1={x(at.usual)} x2={x(at.usual)} y1={1} y2={HEIGHT - 1} stroke="var(--control)" />
      <line
        x1={x(at.low)}
        x2={x(at.high)}
        y1={HEIGHT / 2}
        y2={HEIGHT / 2}
        stroke={ink}
        strokeWidth={2}
      />
      <circle cx={x(at.own)} cy={HEIGHT / 2} r={3.5} fill={ink} />
    </svg>
  );
}
