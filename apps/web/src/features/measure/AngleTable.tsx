import type { AngleFile, Wheel } from '@keen/contract';
import { TABLE_ANGLES, WHEEL_ORDER } from '@keen/core';
import Box from '@mui/material/Box';
import { showDegrees } from '../../shared/format.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { t } from '../../words/measure.ts';

const WORDS = {
  camber: t('angleTable.camber'),
  caster: t('angleTable.caster'),
  sai: t('angleTable.saiKpi'),
  toe: t('angleTable.toe'),
} as const;

/** Angles as they would be taken over: one line a wheel, in our signs. */
export function AngleTable({ wheels }: { wheels: AngleFile['wheels'] }) {
  const shown = TABLE_ANGLES.filter((kind) =>
    Object.values(wheels).some((angles) => angles[kind] !== undefined),
  );
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        '& td, & th': { borderTop: '1px solid var(--hairline)', py: 0.5, pr: 1.5 },
        '& th': { textAlign: 'left', fontWeight: 600 },
        '& td, & thead th:not(:first-of-type)': { textAlign: 'right' },
      }}
    >
      <Box component="thead" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
        <tr>
          <th scope="col">{t('angleTable.wheel')}</th>
          {shown.map((kind) => (
            <th scope="col" key={kind}>
              {WORDS[kind]}
            </th>
          ))}
        </tr>
      </Box>
      <tbody>
        {WHEEL_ORDER.map((wheel: Wheel) => (
          <tr key={wheel}>
            <th scope="row">{WHEEL_LABELS[wheel]}</th>
            {shown.map((kind) => {
              const value = wheels[wheel]?.[kind];
              return (
                <Box
                  component="td"
                  key={kind}
                  className="condensed"
                  sx={{ fontSize: '1.15rem', fontWeight: 650, fontVariantNumeric: 'tabular-nums' }}
                >
                  {value === undefined ? '–' : showDegrees(value, 2)}
                </Box>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
