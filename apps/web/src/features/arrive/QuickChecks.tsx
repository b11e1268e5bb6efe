import { batteryVerdict } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** The walk-round: facts beside the tires that the sheet carries too. */
export function QuickChecks() {
  const { draft, enter } = useVisit();
  const { quick = {} } = draft.visit ?? {};
  const [rated, setRated] = useState<number | null>(quick.battery?.rated ?? null);
  const [measured, setMeasured] = useState<number | null>(quick.battery?.measured ?? null);

  function keepBattery(nextRated: number | null, nextMeasured: number | null): void {
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
          label="Warning lights"
          placeholder="Which, if any"
          value={quick.warningLights ?? ''}
          onChange={(text) => enter('visit.quick.warningLights', text)}
        />
        <SavingField
          label="Stored trouble codes"
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
          label="Battery, rated cold cranking"
          unit="A"
          decimals={0}
          min={1}
          max={3_000}
          value={rated}
          onChange={(value) => keepBattery(value, measured)}
        />
        <NumberField
          label="Battery, measured"
          unit="A"
          decimals={0}
          max={3_000}
          value={measured}
          onChange={(value) => keepBattery(rated, value)}
        />
        <NumberField
          label="Wheel nuts"
          unit="N·m"
          decimals={0}
          min={1}
          max={1_000}
          value={quick.nutTorque ?? null}
          onChange={(value) => enter('visit.quick.nutTorque', value)}
        />
      </Box>
      {quick.battery && <Typography>Battery at {batteryVerdict(quick.battery).words}</Typography>}
      <Choice
        label="Lamps"
        options={[
          { value: 'good', label: 'All good' },
          { value: 'fault', label: 'One is out' },
        ]}
        value={quick.lamps ?? null}
        onChange={(value) => enter('visit.quick.lamps', value)}
      />
    </Box>
  );
}
