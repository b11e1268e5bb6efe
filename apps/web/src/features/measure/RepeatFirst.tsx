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
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/measure.ts';
import { measureTexts } from '../../words/core/measure.ts';

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
        {t('repeatFirst.repeatabilityCheck')}
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 1 }}>
        {t('repeatFirst.readOneFrontToe', {
          allowed: showToe(repeatOf([0, 0], method.toe).allowed, scale, isTotal).replace('+', ''),
          title: measureTexts.methods[method.toe].title.toLowerCase(),
        })}
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: '130px 130px', gap: 1.25 }}>
          <NumberField
            label={t('repeatFirst.toeBefore')}
            unit={TOE_UNIT_WORDS[scale.unit]}
            value={inUnit(first)}
            min={-MOST}
            max={MOST}
            decimals={3}
            onChange={(value) => judge(toDegrees(value), second)}
          />
          <NumberField
            label={t('repeatFirst.toeAfter')}
            unit={TOE_UNIT_WORDS[scale.unit]}
            value={inUnit(second)}
            min={-MOST}
            max={MOST}
            decimals={3}
            onChange={(value) => judge(first, toDegrees(value))}
          />
        </Box>
        <Choice
          label={t('repeatFirst.theSecondReading')}
          options={[
            { value: 'returns', label: t('repeatFirst.comesBack') },
            { value: 'moves', label: t('repeatFirst.hasMoved') },
          ]}
          value={repeat}
          onChange={(value) => enter('visit.measure.repeat', value)}
        />
      </Box>
      {judged && (
        <Typography role="status" sx={{ mt: 1 }}>
          <Rich
            text={t('repeatFirst.movedBy', {
              difference: showToe(judged.difference, scale, isTotal),
              allowed: showToe(judged.allowed, scale, isTotal).replace('+', ''),
              method: measureTexts.methods[method.toe].title.toLowerCase(),
            })}
          />
        </Typography>
      )}
    </Box>
  );
}
