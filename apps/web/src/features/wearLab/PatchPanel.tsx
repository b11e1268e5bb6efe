import { axleOf, sideOf, WHEEL_ORDER } from '@keen/core';
import {
  contactPatch,
  labState,
  neededPressure,
  patchWords,
  standingCamber,
  thrustDeg,
} from '@keen/core/lab';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { ContactPatchView } from '../../drawing/ContactPatchView.tsx';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import type { LabSetup } from './labSetup.ts';
import { t } from '../../words/wearLab.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { labTexts } from '../../words/core/lab.ts';

const PATCH_COLUMNS = 12;

/** The contact patch of the wheel at hand, and why it wears as it does. */
export function PatchPanel({ setup, isWide = false }: { setup: LabSetup; isWide?: boolean }) {
  const { car, wheel } = setup;
  const patch = useMemo(
    () => contactPatch(labState(car), WHEEL_ORDER.indexOf(wheel), car.drive, PATCH_COLUMNS),
    [car, wheel],
  );
  const axle = axleOf(wheel);
  const words = patchWords(
    patch,
    standingCamber(car, wheel),
    car.pressure[wheel] / neededPressure(car.load[axle]),
    labTexts.patch,
  );
  const thrust = axle === 'rear' ? thrustDeg(car) : 0;
  return (
    <Box
      component="section"
      aria-label={t('patchPanel.contactPatch')}
      sx={{
        display: 'grid',
        gridTemplateColumns: isWide ? { xs: '1fr', sm: '300px minmax(0, 1fr)' } : '1fr',
        gap: { xs: 1.5, sm: 3 },
        alignItems: 'start',
        alignContent: 'start',
        borderTop: isWide ? '1px solid var(--line)' : 'none',
        pt: isWide ? 1.5 : 0,
      }}
    >
      <ContactPatchView
        patch={patch}
        isLeft={sideOf(wheel) === 'left'}
        label={t('patchPanel.contactPatchOfThe', { wheel: whereWords(wheel), words })}
      />
      <Box>
        <Typography variant="h2" component="h3" gutterBottom>
          {t('patchPanel.whereTheTireMeets', { wheelLabels: WHEEL_LABELS[wheel].toLowerCase() })}
        </Typography>
        <Typography sx={{ maxWidth: '58ch' }}>{words}</Typography>
        {Math.abs(thrust) >= 0.05 && (
          <Typography sx={{ maxWidth: '58ch', mt: 1 }}>
            {t(thrust > 0 ? 'patchPanel.rearPointRight' : 'patchPanel.rearPointLeft', {
              degrees: Math.abs(thrust).toFixed(2),
            })}
          </Typography>
        )}
        <Typography color="textSecondary" sx={{ mt: 1, fontSize: '0.88rem' }}>
          {t('patchPanel.darkPressureStrokesHow')}
        </Typography>
      </Box>
    </Box>
  );
}
