import type { RigReading } from '@keen/contract';
import { whereWords } from '@keen/core';
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
import { takeAngles } from './takeAngles.ts';

const LOOK_EVERY_MS = 1_000;

/** Reads the angles off the rig. */
export function RigButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Read the rig</Button>
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
        What the rig sees now
      </DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gap: 2 }}>
          {isError && (
            <Notice kind="caution">
              The rig does not answer. What was measured is saved; it is asked again every second.
            </Notice>
          )}
          {!data && !isError && <Skeleton variant="rectangular" height={180} />}
          {data && <RigWords reading={data} />}
          {data && canTake && <AngleTable wheels={data.angles.wheels} />}
          <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            This is the simulated rig that ships with the product.{' '}
            <Link component={RouterLink} to="/devices" color="inherit">
              Play car and faults
            </Link>
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={!canTake}
          onClick={() => {
            if (!data) return;
            enterAll(takeAngles(data.angles, draft, new Date().toISOString()));
            onClose();
          }}
        >
          Use
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function RigWords({ reading }: { reading: RigReading }) {
  if (reading.status === 'off') {
    return <Notice kind="caution">The rig is switched off: it sees no wheel.</Notice>;
  }
  if (reading.unseen.length > 0) {
    return (
      <Notice kind="caution">
        A target is blocked: it does not see {reading.unseen.map(whereWords).join(', ')}. Clear the
        line to it; what is seen can be taken over.
      </Notice>
    );
  }
  return (
    <Notice>
      Wait until the figures stand still. One that swings from look to look has a loose clamp.
    </Notice>
  );
}
