import type { Study } from '@keen/contract';
import { depthFromMm } from '@keen/core';
import Box from '@mui/material/Box';
import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { t } from '../../words/gauges.ts';

/** Every reading, a line a mark, a column a person. */
export function StudyTable({ study, names }: { study: Study; names: readonly string[] }) {
  const { marks, readings, readIn } = study;
  const isToTenths = readings.every(({ mm }) => Math.abs(10 * mm - Math.round(10 * mm)) < 1e-6);
  const decimals = readIn === 'mm' ? (isToTenths ? 1 : 2) : 0;
  return (
    <Box
      sx={{ overflowX: 'auto' }}
      tabIndex={0}
      role="region"
      aria-label={t('studyTable.everyReading')}
    >
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          '& th, & td': {
            py: 0.5,
            pr: 2,
            textAlign: 'left',
            borderBottom: '1px solid var(--hairline)',
            whiteSpace: 'nowrap',
          },
          '& td': { fontVariantNumeric: 'tabular-nums' },
          '& tbody th': { fontWeight: 400 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">
              {t('studyTable.mark', { depthUnitWords: DEPTH_UNIT_WORDS[readIn] })}
            </th>
            {names.map((name, i) => (
              <th scope="col" key={name + String(i)}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {marks.map((name, mark) => (
            <tr key={name}>
              <th scope="row">
                {mark + 1} {name}
              </th>
              {names.map((person, i) => (
                <td key={person + String(i)}>
                  {readings
                    .filter((one) => one.person === i && one.mark === mark)
                    .map(({ mm }) => depthFromMm(mm, readIn).toFixed(decimals))
                    .join(' · ')}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
