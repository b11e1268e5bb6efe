import { tireDiameter } from '@keen/core';
import type { ToeIn } from '@keen/contract';
import Box from '@mui/material/Box';
import { Choice } from '../../shared/Choice.tsx';
import { TOE_UNIT_CHOICES } from '../../shared/toeUnits.ts';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/measure.ts';

const LEAST_MM = 100;
const MOST_MM = 1_500;
const MM_PER_IN = 25.4;

/** What toe is typed in; a length is taken at a diameter, which is said. */
export function ToeUnit() {
  const { draft, enter, preferences } = useVisit();
  const { unit = preferences.toe, diameter } = draft.visit?.measure?.toeIn ?? {};
  const isLength = unit === 'mm' || unit === 'in';
  const size = unit === 'in' ? MM_PER_IN : 1;
  const known = tireDiameter(draft, 'front');
  const set = (next: ToeIn) => enter('visit.measure.toeIn', next);
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end', flexWrap: 'wrap' }}>
      <Choice
        label={t('toeUnit.toeIsTypedIn')}
        dense
        options={TOE_UNIT_CHOICES}
        value={unit}
        onChange={(next) => next && set({ unit: next, ...(diameter ? { diameter } : {}) })}
      />
      {isLength && (
        <Box sx={{ width: 210 }}>
          <NumberField
            label={
              diameter === undefined && known !== null
                ? t('toeUnit.atADiameterOf', {
                    known: (known / size).toFixed(unit === 'in' ? 1 : 0),
                  })
                : t('toeUnit.atADiameterOfLabel')
            }
            unit={unit}
            value={diameter === undefined ? null : diameter / size}
            min={Math.ceil(LEAST_MM / size)}
            max={Math.floor(MOST_MM / size)}
            decimals={unit === 'in' ? 2 : 0}
            onChange={(value) => set(value === null ? { unit } : { unit, diameter: value * size })}
          />
        </Box>
      )}
    </Box>
  );
}
