import { TABLE_ANGLES } from '@keen/core';
import type { AngleMapping, TableAngle } from '@keen/core';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Checkbox from '@mui/material/Checkbox';
import { Choice } from '../../shared/Choice.tsx';
import { ColumnSelect } from '../../shared/ColumnSelect.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { t } from '../../words/measure.ts';
import { term } from '../../words/terms.ts';

/** What each angle is called, and what its plus means here. */
const ANGLES: Record<TableAngle, { title: string; plus: string }> = {
  camber: { title: t('mappingFields.camber'), plus: t('mappingFields.plusTopLeansOut') },
  caster: { title: t('mappingFields.caster'), plus: t('mappingFields.plusTopLeansBack') },
  sai: { title: t('mappingFields.saiKpi'), plus: t('mappingFields.plusTopLeansIn') },
  toe: { title: t('mappingFields.toe'), plus: t('mappingFields.plusFrontPointsIn') },
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
          label={t('mappingFields.wheel')}
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
                    input: {
                      'aria-label': t('mappingFields.turnTheSignRound', {
                        title: ANGLES[kind].title,
                      }),
                    },
                  }}
                />
              }
              label={
                <Box sx={{ fontSize: '0.8rem', lineHeight: 1.25 }}>
                  {t('mappingFields.turnRound')}
                  <Box sx={{ color: 'text.secondary' }}>{ANGLES[kind].plus}</Box>
                </Box>
              }
            />
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <Choice
          label={t('mappingFields.camberAndCasterIn')}
          dense
          options={[
            { value: 'deg', label: term('unit.degrees') },
            { value: 'min', label: term('unit.minutes') },
          ]}
          value={mapping.angleUnit}
          onChange={(unit) => unit && onChange({ angleUnit: unit })}
        />
        <Choice
          label={t('mappingFields.toeIn')}
          dense
          options={[
            { value: 'deg', label: term('unit.degrees') },
            { value: 'min', label: term('unit.minutes') },
            { value: 'mm', label: 'mm' },
            { value: 'in', label: term('unit.inches') },
          ]}
          value={mapping.toeUnit}
          onChange={(unit) => unit && onChange({ toeUnit: unit })}
        />
        {isLength && (
          <Box sx={{ width: 180 }}>
            <NumberField
              label={t('mappingFields.takenAtADiameter')}
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
