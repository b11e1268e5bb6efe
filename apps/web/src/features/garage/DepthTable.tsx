import { term } from '../../words/terms.ts';
import type { Units } from '@keen/contract';
import { RIBS } from '@keen/contract';
import type { Rib } from '@keen/contract/words';
import Box from '@mui/material/Box';
import { DEPTH_UNIT_WORDS, showDepth, showDistance } from '../../shared/format.ts';
import type { ChartRow } from './chartRows.ts';
import { t } from '../../words/garage.ts';

/** The chart's figures. */
export function DepthTable({ rows, units }: { rows: readonly ChartRow[]; units: Units }) {
  const show = (at: ChartRow['ribs'][Rib], isAhead: boolean) => {
    if (!at) return '–';
    const median = showDepth(at.median, units.depth);
    return isAhead
      ? t('depthTable.to', {
          median,
          low: showDepth(at.low, units.depth),
          high: showDepth(at.high, units.depth),
        })
      : median;
  };
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: 'collapse',
        '& td, & th': {
          textAlign: 'right',
          py: 0.5,
          pr: 3,
          borderTop: '1px solid var(--hairline)',
        },
      }}
    >
      <thead>
        <tr>
          <th scope="col">{t('depthTable.onThisTire', { distance: units.distance })}</th>
          {RIBS.map((rib) => (
            <th key={rib} scope="col">
              {term(`rib.${rib}`)}, {DEPTH_UNIT_WORDS[units.depth]}
            </th>
          ))}
          <th scope="col">
            <Box component="span" sx={{ position: 'absolute', clip: 'rect(0 0 0 0)' }}>
              {'kind'}
            </Box>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i}>
            <td>{showDistance(row.km, units.distance)}</td>
            {RIBS.map((rib) => (
              <td key={rib}>{show(row.ribs[rib], row.isAhead)}</td>
            ))}
            <td style={{ color: 'var(--soft)' }}>
              {row.isAhead
                ? t('depthTable.toCome')
                : t(row.km === 0 ? 'depthTable.new' : 'depthTable.read')}
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
