import type { RigFault, RigState, Wheel } from '@keen/contract';
import { TABLE_ANGLES, WHEEL_ORDER } from '@keen/core';
import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { usePlayRigMutation, useRigQuery } from '../../api/deviceApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { WheelRow } from './WheelRow.tsx';
import { t } from '../../words/devicesPage.ts';

const FAULTS: readonly { value: RigFault; label: string }[] = [
  { value: 'none', label: t('rigPanel.none') },
  { value: 'looseClamp', label: t('rigPanel.looseClamp') },
  { value: 'blockedTarget', label: t('rigPanel.targetBlocked') },
  { value: 'runOut', label: t('rigPanel.runOutNotCompensated') },
];
const ANGLE_WORDS = {
  camber: t('rigPanel.camber'),
  caster: t('rigPanel.caster'),
  sai: t('rigPanel.saiKpi'),
  toe: t('rigPanel.toe'),
} as const;

/** The rig: how the wheels of the made-up car really stand, and what is wrong with the rig. */
export function RigPanel() {
  const { data: rig, isError } = useRigQuery();
  const [play, { isError: isLost }] = usePlayRigMutation();
  const set = (change: Partial<RigState>) => rig && void play({ ...rig, ...change });
  return (
    <Box component="section" aria-labelledby="rig-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="rig-title">
          {t('rigPanel.theAlignmentRig')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('rigPanel.noRigIsConnected')}
        </Typography>
      </Box>
      {isError && <Notice kind="caution">{t('rigPanel.theRigDoesNot')}</Notice>}
      {isLost && <Notice kind="caution">{t('rigPanel.thatDidNotReach')}</Notice>}
      {!rig && !isError && <Skeleton variant="rectangular" height={260} />}
      {rig && (
        <>
          <Choice
            label={t('rigPanel.theRigIs')}
            options={[
              { value: 'on', label: t('rigPanel.on') },
              { value: 'off', label: t('rigPanel.off') },
            ]}
            value={rig.isOn ? 'on' : 'off'}
            onChange={(value) => value && set({ isOn: value === 'on' })}
          />
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
            <Choice
              label={t('rigPanel.itsFault')}
              options={FAULTS}
              value={rig.fault}
              onChange={(fault) => fault && set({ fault })}
            />
            {rig.fault !== 'none' && (
              <Choice<Wheel>
                label={t('rigPanel.atThe')}
                options={WHEEL_ORDER.map((value) => ({ value, label: WHEEL_LABELS[value] }))}
                value={rig.faultAt}
                onChange={(faultAt) => faultAt && set({ faultAt })}
              />
            )}
          </Box>
          <Box>
            <Typography variant="h3" color="textSecondary" sx={{ mb: 1 }}>
              {t('rigPanel.howTheWheelsReally')}
            </Typography>
            {WHEEL_ORDER.map((wheel) => (
              <WheelRow
                key={wheel}
                wheel={wheel}
                label={WHEEL_LABELS[wheel]}
                columns={4}
                phoneColumns={2}
              >
                {TABLE_ANGLES.filter(
                  (kind) => wheel.endsWith('f') || kind === 'camber' || kind === 'toe',
                ).map((kind) => (
                  <NumberField
                    key={kind}
                    label={ANGLE_WORDS[kind]}
                    unit="°"
                    value={rig.wheels[wheel][kind] ?? null}
                    min={-30}
                    max={30}
                    decimals={3}
                    onChange={(value) => {
                      const angles = { ...rig.wheels[wheel] };
                      if (value === null) delete angles[kind];
                      else angles[kind] = value;
                      set({ wheels: { ...rig.wheels, [wheel]: angles } });
                    }}
                  />
                ))}
              </WheelRow>
            ))}
            <Box sx={{ width: 240, mt: 1.5 }}>
              <NumberField
                label={t('rigPanel.setbackRightFurtherBack')}
                unit="mm"
                value={rig.setback}
                min={-300}
                max={300}
                onChange={(setback) => set({ setback: setback ?? 0 })}
              />
            </Box>
          </Box>
        </>
      )}
    </Box>
  );
}
