import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useApiSelector } from '../api/hooks.ts';
import { AsideDialog } from './AsideDialog.tsx';
import { t } from '../words/shared.ts';

/**
 * Whether everything typed is on the server; words, and a mark that is not colour alone. What waits of
 * other visits is said too: it is on this tablet only. What the server would not take opens from here.
 */
export function SavedState({ visitId = null }: { visitId?: string | null }) {
  const [isOpen, setOpen] = useState(false);
  const aside = useApiSelector((state) => state.outbox.aside.length);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
      {aside > 0 && (
        <Button
          size="small"
          variant="outlined"
          onClick={() => setOpen(true)}
          sx={{ color: 'var(--marker)', borderColor: 'var(--marker)', whiteSpace: 'nowrap' }}
        >
          {t('savedState.notAccepted', { aside })}
        </Button>
      )}
      <Sending visitId={visitId} />
      <AsideDialog isOpen={isOpen} onClose={() => setOpen(false)} />
    </Box>
  );
}

function Sending({ visitId }: { visitId: string | null }) {
  const all = useApiSelector((state) => state.outbox.pending.length);
  const unsent = useApiSelector(
    (state) => state.outbox.pending.filter((one) => one.visitId === visitId).length,
  );
  const waiting = useApiSelector((state) => state.outbox.waiting);
  if (waiting !== null && all > 0) {
    return (
      <Box role="status" title={waiting} sx={{ color: 'var(--marker)', fontWeight: 600 }}>
        ◆{' '}
        {unsent > 0
          ? t('savedState.notSavedYet', { unsent })
          : t('savedState.ofOtherVisitsNot', { all })}
      </Box>
    );
  }
  if (visitId === null && all === 0) return null;
  return (
    <Box role="status" sx={{ display: { xs: all > 0 ? 'block' : 'none', sm: 'block' } }}>
      {unsent > 0 || visitId === null ? t('savedState.saving') : t('savedState.saved')}
    </Box>
  );
}
