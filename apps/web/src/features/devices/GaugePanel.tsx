import type { GaugeFault, GaugeSpeech, GaugeState, GaugeUnit } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useGaugeQuery, usePlayGaugeMutation, usePressGaugeMutation } from '../../api/deviceApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';

const FAULTS: readonly { value: GaugeFault; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'dropsOut', label: 'Drops out' },
  { value: 'repeats', label: 'Sends twice' },
  { value: 'outOfRange', label: 'Off the tread' },
];
const SPEECHES: readonly { value: GaugeSpeech; label: string }[] = [
  { value: 'radio', label: 'By radio' },
  { value: 'keys', label: 'Types' },
  { value: 'serial', label: 'Serial line' },
];
const UNITS: readonly { value: GaugeUnit; label: string }[] = [
  { value: 'none', label: 'No unit' },
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'in' },
];
const USUAL_MM = 5.3;
const PERCENT = 100;

/** The depth gauge: what lies under it, its trigger, and what is wrong with it. */
export function GaugePanel() {
  const { data: gauge, isError } = useGaugeQuery();
  const [play] = usePlayGaugeMutation();
  const [press, { isLoading, isError: isLost }] = usePressGaugeMutation();
  const [mm, setMm] = useState<number | null>(USUAL_MM);
  const set = (change: Partial<GaugeState>) => {
    if (!gauge) return;
    const { isOn, speaks, writes, battery, fault } = { ...gauge, ...change };
    void play({ isOn, speaks, writes, battery, fault });
  };
  return (
    <Box component="section" aria-labelledby="gauge-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="gauge-title">
          The depth gauge
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          Press “Connect the gauge” in Read, then the trigger here: each press sends one reading.
        </Typography>
      </Box>
      {isError && <Notice kind="caution">The gauge does not answer just now.</Notice>}
      {isLost && <Notice kind="caution">The press did not reach the gauge.</Notice>}
      {!gauge && !isError && <Skeleton variant="rectangular" height={120} />}
      {gauge && (
        <>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-end' }}>
            <Choice
              label="The gauge is"
              options={[
                { value: 'on', label: 'On' },
                { value: 'off', label: 'Off' },
              ]}
              value={gauge.isOn ? 'on' : 'off'}
              onChange={(value) => value && set({ isOn: value === 'on' })}
            />
            <Choice
              label="Its readings come"
              options={SPEECHES}
              value={gauge.speaks}
              onChange={(speaks) => speaks && set({ speaks })}
            />
            {gauge.speaks !== 'radio' && (
              <Choice
                label="With"
                options={UNITS}
                value={gauge.writes}
                onChange={(writes) => writes && set({ writes })}
              />
            )}
            <Choice
              label="Its fault"
              options={FAULTS}
              value={gauge.fault}
              onChange={(fault) => fault && set({ fault })}
            />
            <Box sx={{ width: 130 }}>
              <NumberField
                label="Battery"
                unit="%"
                decimals={0}
                max={PERCENT}
                value={PERCENT * gauge.battery}
                onChange={(value) => set({ battery: (value ?? 0) / PERCENT })}
              />
            </Box>
          </Box>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
            <Box sx={{ width: 170 }}>
              <NumberField
                label="Depth under it"
                unit="mm"
                decimals={2}
                max={60}
                value={mm}
                onChange={setMm}
              />
            </Box>
            <Button
              variant="contained"
              disabled={mm === null || isLoading || !gauge.isOn}
              onClick={() => mm !== null && void press(mm)}
            >
              Press the trigger
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}
