import type { RigReading } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { useRigReadingQuery } from '../../api/deviceApi.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { AngleTable } from './AngleTable.tsx';
import { applyAngles } from './applyAngles.ts';
import { t } from '../../words/measure.ts';
import { whereWords } from '../../words/pageTexts.ts';

const LOOK_EVERY_MS = 1_000;

/** Reads the angles off the rig. */
export function RigButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>{t('rigButton.readTheRig')}</Button>
      {isOpen && <RigDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function RigDialog({ onClose }: { onClose: () => void }) {
  const { draft, enterAll } = useVisit();
  const { data, isError } = useRigReadingQuery(undefined, { pollingInterval: LOOK_EVERY_MS });
  const canTake = !isError && data !== undefined && Object.keys(data.angles.wheels).length > 0;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="rig-title">
      <DialogTitle id="rig-title" variant="h2">
        {t('rigButton.whatTheRigSees')}
      </DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gap: 2 }}>
          {isError && <Notice kind="caution">{t('rigButton.theRigDoesNot')}</Notice>}
          {!data && !isError && <Skeleton variant="rectangular" height={180} />}
          {data && <RigWords reading={data} />}
          {data && canTake && <AngleTable wheels={data.angles.wheels} />}
          <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            {t('rigButton.simulatedRig')}{' '}
            <Link component={RouterLink} to="/devices" color="inherit">
              {t('rigButton.playCarAndFaults')}
            </Link>
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button onClick={onClose}>{t('rigButton.cancel')}</Button>
        <Button
          variant="contained"
          disabled={!canTake}
          onClick={() => {
            if (!data) return;
            enterAll(applyAngles(data.angles, draft, new Date().toISOString()));
            onClose();
          }}
        >
          {t('rigButton.use')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function RigWords({ reading }: { reading: RigReading }) {
  if (reading.status === 'off') {
    return <Notice kind="caution">{t('rigButton.theRigIsSwitched')}</Notice>;
  }
  if (reading.unseen.length > 0) {
    return (
      <Notice kind="caution">
        {t('rigButton.aTargetIsBlocked', { unseen: reading.unseen.map(whereWords).join(', ') })}
      </Notice>
    );
  }
  return <Notice>{t('rigButton.waitUntilTheFigures')}</Notice>;
}
