import { TABLE_ANGLES } from '@keen/core';
import type { AngleMapping, TableAngle } from '@keen/core';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Checkbox from '@mui/material/Checkbox';
import { Choice } from '../../shared/Choice.tsx';
import { ColumnSelect } from '../../shared/ColumnSelect.tsx';
import { NumberField } from '../../shared/NumberField.tsx';

/** What each angle is called, and what its plus means here. */
const ANGLES: Record<TableAngle, { title: string; plus: string }> = {
  camber: { title: 'Camber', plus: 'plus: top leans out' },
  caster: { title: 'Caster', plus: 'plus: top leans back' },
  sai: { title: 'SAI (KPI)', plus: 'plus: top leans in' },
  toe: { title: 'Toe', plus: 'plus: front points in' },
};

interface MappingFieldsProps {
  header: readonly string[];
  mapping: AngleMapping;
  onChange: (change: Partial<AngleMapping>) => void;
}

/** Says which column is what, in which unit, and whether its sign is the opposite of ours. */
export function MappingFields({ header, mapping, onChange }: MappingFieldsProps) {
  const isLength = mapping.toeUnit === 'mm' || mapping.toeUnit === 'in';
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'repeat(2, 1fr)', md: 'repeat(5, 1fr)' },
          gap: 1.5,
          pt: 0.75,
        }}
      >
        <ColumnSelect
          label="Wheel"
          header={header}
          value={mapping.wheel}
          onChange={(wheel) => onChange({ wheel })}
        />
        {TABLE_ANGLES.map((kind) => (
          <Box key={kind}>
            <ColumnSelect
              label={ANGLES[kind].title}
              header={header}
              value={mapping.columns[kind]}
              onChange={(column) => onChange({ columns: { ...mapping.columns, [kind]: column } })}
            />
            <FormControlLabel
              sx={{ alignItems: 'flex-start', mt: 0.5 }}
              control={
                <Checkbox
                  size="small"
                  sx={{ p: 0.5 }}
                  checked={mapping.flipped[kind]}
                  onChange={(_, checked) =>
                    onChange({ flipped: { ...mapping.flipped, [kind]: checked } })
                  }
                  slotProps={{
                    input: { 'aria-label': `${ANGLES[kind].title}: turn the sign round` },
                  }}
                />
              }
              label={
                <Box sx={{ fontSize: '0.8rem', lineHeight: 1.25 }}>
                  turn the sign round
                  <Box sx={{ color: 'text.secondary' }}>{ANGLES[kind].plus}</Box>
                </Box>
              }
            />
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <Choice
          label="Camber and caster in"
          dense
          options={[
            { value: 'deg', label: 'degrees' },
            { value: 'min', label: 'minutes' },
          ]}
          value={mapping.angleUnit}
          onChange={(unit) => unit && onChange({ angleUnit: unit })}
        />
        <Choice
          label="Toe in"
          dense
          options={[
            { value: 'deg', label: 'degrees' },
            { value: 'min', label: 'minutes' },
            { value: 'mm', label: 'mm' },
            { value: 'in', label: 'inches' },
          ]}
          value={mapping.toeUnit}
          onChange={(unit) => unit && onChange({ toeUnit: unit })}
        />
        {isLength && (
          <Box sx={{ width: 180 }}>
            <NumberField
              label="Taken at a diameter of"
              unit="mm"
              value={mapping.diameter}
              min={100}
              max={2_000}
              onChange={(diameter) => onChange({ diameter })}
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}
