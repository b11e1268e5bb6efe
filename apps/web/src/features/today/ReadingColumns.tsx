import type { Rib, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import type { ReadingMapping } from '@keen/core';
import Box from '@mui/material/Box';
import { Choice } from '../../shared/Choice.tsx';
import { ColumnSelect } from '../../shared/ColumnSelect.tsx';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { t } from '../../words/today.ts';

interface ReadingColumnsProps {
  header: readonly string[];
  mapping: ReadingMapping;
  onChange: (change: Partial<ReadingMapping>) => void;
}

/** Says which column is what; remembered for the next table with these headings. */
export function ReadingColumns({ header, mapping, onChange }: ReadingColumnsProps) {
  const column = (
    key: 'plate' | 'label' | 'newDepth' | 'wheel' | 'rib' | 'depth',
    label: string,
  ) => (
    <ColumnSelect
      label={label}
      header={header}
      value={mapping[key]}
      onChange={(value) => onChange({ [key]: value })}
    />
  );
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Choice
          label={t('readingColumns.theTableHas')}
          dense
          options={[
            { value: 'wide', label: t('readingColumns.aLineACar') },
            { value: 'long', label: t('readingColumns.aLineAReading') },
          ]}
          value={mapping.form}
          onChange={(form) => form && onChange({ form })}
        />
        <Choice
          label={t('readingColumns.depthsWithoutAUnit')}
          dense
          options={[
            { value: 'mm', label: 'mm' },
            { value: 'in32', label: '32nds' },
          ]}
          value={mapping.unit}
          onChange={(unit) => unit && onChange({ unit })}
        />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(3, 1fr)' },
          gap: 1.25,
        }}
      >
        {column('plate', t('readingColumns.plate'))}
        {column('label', t('readingColumns.car'))}
        {column('newDepth', t('readingColumns.newDepth'))}
        {mapping.form === 'long' && (
          <>
            {column('wheel', t('readingColumns.wheel'))}
            {column('rib', t('readingColumns.rib'))}
            {column('depth', t('readingColumns.depth'))}
          </>
        )}
        {mapping.form === 'wide' &&
          WHEEL_ORDER.flatMap((wheel) =>
            RIBS.map((rib) => (
              <RibColumn
                key={`${wheel}.${rib}`}
                wheel={wheel}
                rib={rib}
                header={header}
                mapping={mapping}
                onChange={onChange}
              />
            )),
          )}
      </Box>
    </Box>
  );
}

function RibColumn({
  wheel,
  rib,
  header,
  mapping,
  onChange,
}: ReadingColumnsProps & { wheel: Wheel; rib: Rib }) {
  const name = `${wheel}.${rib}` as const;
  return (
    <ColumnSelect
      label={`${WHEEL_LABELS[wheel]}, ${rib}`}
      header={header}
      value={mapping.ribs[name] ?? null}
      onChange={(value) => {
        const ribs = { ...mapping.ribs };
        if (value === null) delete ribs[name];
        else ribs[name] = value;
        onChange({ ribs });
      }}
    />
  );
}
