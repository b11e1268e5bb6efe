import Box from '@mui/material/Box';
import { useApiSelector } from '../../api/hooks.ts';

/** Whether everything typed is on the server; words, and a mark that is not colour alone. */
export function SavedState({ visitId }: { visitId: string }) {
  const unsent = useApiSelector(
    (state) => state.outbox.pending.filter((one) => one.visitId === visitId).length,
  );
  const waiting = useApiSelector((state) => state.outbox.waiting);
  if (waiting !== null && unsent > 0) {
    return (
      <Box role="status" title={waiting} sx={{ color: 'var(--marker)', fontWeight: 600 }}>
        ◆ {unsent} not saved yet
      </Box>
    );
  }
  return (
    <Box role="status" sx={{ display: { xs: unsent > 0 ? 'block' : 'none', sm: 'block' } }}>
      {unsent > 0 ? 'Saving…' : 'Saved'}
    </Box>
  );
}
