import {
  METHOD_FACTS,
  repeatOf,
  showToe,
  TOE_UNIT_WORDS,
  toeFromDegrees,
  toeToDegrees,
} from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useToeScale } from '../../angles/useAngleWords.ts';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { useMethods } from './useMethods.ts';

/** In whatever unit: no toe is larger. */
const MOST = 1_800;

/** The lock-to-lock repeat: what does not come back is worn. */
export function RepeatFirst() {
  const { draft, enter } = useVisit();
  const { method } = useMethods();
  const { repeat = null, repeatReadings } = draft.visit?.measure ?? {};
  const [first, setFirst] = useState<number | null>(repeatReadings?.[0] ?? null);
  const [second, setSecond] = useState<number | null>(repeatReadings?.[1] ?? null);
  const judged = repeatReadings && repeatOf(repeatReadings, method.toe);
  const scale = useToeScale()('front');
  const isTotal = METHOD_FACTS[method.toe].tellsTotalOnly === true;
  const inUnit = (degrees: number | null) =>
    degrees === null ? null : toeFromDegrees(degrees, scale, isTotal);
  const toDegrees = (value: number | null) =>
    value === null ? null : toeToDegrees(value, scale, isTotal);

  function judge(before: number | null, after: number | null): void {
    setFirst(before);
    setSecond(after);
    if (before === null || after === null) return;
    enter('visit.measure.repeatReadings', [before, after]);
    enter('visit.measure.repeat', repeatOf([before, after], method.toe).verdict);
  }

  return (
    <Box component="section" aria-labelledby="repeat-title">
      <Typography variant="h2" component="h3" id="repeat-title">
        Repeatability check
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 1 }}>
        Read one front toe, turn lock to lock, come back straight, read again. Moved by more than{' '}
        {showToe(repeatOf([0, 0], method.toe).allowed, scale, isTotal).replace('+', '')}, which is
        all that {METHOD_FACTS[method.toe].title.toLowerCase()} may differ by, something is worn.
        Hands and feet clear of the wheels.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: '130px 130px', gap: 1.25 }}>
          <NumberField
            label="Toe before"
            unit={TOE_UNIT_WORDS[scale.unit]}
            value={inUnit(first)}
            min={-MOST}
            max={MOST}
            decimals={3}
            onChange={(value) => judge(toDegrees(value), second)}
          />
          <NumberField
            label="Toe after"
            unit={TOE_UNIT_WORDS[scale.unit]}
            value={inUnit(second)}
            min={-MOST}
            max={MOST}
            decimals={3}
            onChange={(value) => judge(first, toDegrees(value))}
          />
        </Box>
        <Choice
          label="The second reading"
          options={[
            { value: 'returns', label: 'Comes back' },
            { value: 'moves', label: 'Has moved' },
          ]}
          value={repeat}
          onChange={(value) => enter('visit.measure.repeat', value)}
        />
      </Box>
      {judged && (
        <Typography role="status" sx={{ mt: 1 }}>
          Moved by <strong>{showToe(judged.difference, scale, isTotal)}</strong>; up to{' '}
          {showToe(judged.allowed, scale, isTotal).replace('+', '')} is what{' '}
          {METHOD_FACTS[method.toe].title.toLowerCase()} may differ by.
        </Typography>
      )}
    </Box>
  );
}
