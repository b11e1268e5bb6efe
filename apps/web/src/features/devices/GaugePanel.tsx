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
import { t } from '../../words/devicesPage.ts';

const FAULTS: readonly { value: GaugeFault; label: string }[] = [
  { value: 'none', label: t('gaugePanel.none') },
  { value: 'dropsOut', label: t('gaugePanel.dropsOut') },
  { value: 'repeats', label: t('gaugePanel.sendsTwice') },
  { value: 'outOfRange', label: t('gaugePanel.offTheTread') },
];
const SPEECHES: readonly { value: GaugeSpeech; label: string }[] = [
  { value: 'radio', label: t('gaugePanel.byRadio') },
  { value: 'keys', label: t('gaugePanel.types') },
  { value: 'serial', label: t('gaugePanel.serialLine') },
];
const UNITS: readonly { value: GaugeUnit; label: string }[] = [
  { value: 'none', label: t('gaugePanel.noUnit') },
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
          {t('gaugePanel.theDepthGauge')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('gaugePanel.pressConnectTheGauge')}
        </Typography>
      </Box>
      {isError && <Notice kind="caution">{t('gaugePanel.theGaugeDoesNot')}</Notice>}
      {isLost && <Notice kind="caution">{t('gaugePanel.thePressDidNot')}</Notice>}
      {!gauge && !isError && <Skeleton variant="rectangular" height={120} />}
      {gauge && (
        <>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-end' }}>
            <Choice
              label={t('gaugePanel.theGaugeIs')}
              options={[
                { value: 'on', label: t('gaugePanel.on') },
                { value: 'off', label: t('gaugePanel.off') },
              ]}
              value={gauge.isOn ? 'on' : 'off'}
              onChange={(value) => value && set({ isOn: value === 'on' })}
            />
            <Choice
              label={t('gaugePanel.itsReadingsCome')}
              options={SPEECHES}
              value={gauge.speaks}
              onChange={(speaks) => speaks && set({ speaks })}
            />
            {gauge.speaks !== 'radio' && (
              <Choice
                label={t('gaugePanel.with')}
                options={UNITS}
                value={gauge.writes}
                onChange={(writes) => writes && set({ writes })}
              />
            )}
            <Choice
              label={t('gaugePanel.itsFault')}
              options={FAULTS}
              value={gauge.fault}
              onChange={(fault) => fault && set({ fault })}
            />
            <Box sx={{ width: 130 }}>
              <NumberField
                label={t('gaugePanel.battery')}
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
                label={t('gaugePanel.depthUnderIt')}
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
              {t('gaugePanel.pressTheTrigger')}
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}
