import { batteryVerdict, WEAK_BATTERY_BELOW } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/arrive.ts';
import { visitTexts } from '../../words/core/visit.ts';

/** The walk-round: facts beside the tires that the sheet carries too. */
export function QuickChecks() {
  const { draft, enter } = useVisit();
  const { quick = {} } = draft.visit ?? {};
  const [rated, setRated] = useState<number | null>(quick.battery?.rated ?? null);
  const [measured, setMeasured] = useState<number | null>(quick.battery?.measured ?? null);

  function saveBattery(nextRated: number | null, nextMeasured: number | null): void {
    setRated(nextRated);
    setMeasured(nextMeasured);
    const isWhole = nextRated !== null && nextMeasured !== null;
    if (!isWhole && !quick.battery) return;
    enter('visit.quick.battery', isWhole ? { rated: nextRated, measured: nextMeasured } : null);
  }

  return (
    <Box sx={{ display: 'grid', gap: 1.75, pb: 1 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 1.5 }}>
        <SavingField
          label={t('quickChecks.warningLights')}
          placeholder={t('quickChecks.whichIfAny')}
          value={quick.warningLights ?? ''}
          onChange={(text) => enter('visit.quick.warningLights', text)}
        />
        <SavingField
          label={t('quickChecks.storedTroubleCodes')}
          value={quick.codes ?? ''}
          onChange={(text) => enter('visit.quick.codes', text)}
        />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(3, 1fr)' },
          gap: 1.5,
        }}
      >
        <NumberField
          label={t('quickChecks.batteryRatedColdCranking')}
          unit="A"
          decimals={0}
          min={1}
          max={3_000}
          value={rated}
          onChange={(value) => saveBattery(value, measured)}
        />
        <NumberField
          label={t('quickChecks.batteryMeasured')}
          unit="A"
          decimals={0}
          max={3_000}
          value={measured}
          onChange={(value) => saveBattery(rated, value)}
        />
        <NumberField
          label={t('quickChecks.wheelNuts')}
          unit="N·m"
          decimals={0}
          min={1}
          max={1_000}
          value={quick.nutTorque ?? null}
          onChange={(value) => enter('visit.quick.nutTorque', value)}
        />
      </Box>
      {quick.battery && (
        <Typography>
          {t('quickChecks.batteryAt', { words: batteryWords(quick.battery) })}
        </Typography>
      )}
      <Choice
        label={t('quickChecks.lamps')}
        options={[
          { value: 'good', label: t('quickChecks.allGood') },
          { value: 'fault', label: t('quickChecks.oneIsOut') },
        ]}
        value={quick.lamps ?? null}
        onChange={(value) => enter('visit.quick.lamps', value)}
      />
    </Box>
  );
}

/** How a battery's test came out. */
function batteryWords(battery: { rated: number; measured: number }): string {
  const { share, isWeak } = batteryVerdict(battery);
  const percent = Math.round(100 * share);
  return isWeak
    ? visitTexts.battery.weak(percent, 100 * WEAK_BATTERY_BELOW)
    : visitTexts.battery.good(percent);
}
