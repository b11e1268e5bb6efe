import { angleLedger, leaveRows, leftRows } from '@keen/core';
import Button from '@mui/material/Button';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/setRight.ts';

/** Leaves rows of the ledger as they are, or takes that back; what is left stands on the sheet. */
export function LeaveIt({ keys }: { keys: readonly string[] }) {
  const { draft, enter } = useVisit();
  const all = angleLedger(draft);
  const rows = all.filter(
    ({ key, state }) => keys.includes(key) && (state === 'out' || state === 'tooClose'),
  );
  if (rows.length === 0) return null;
  const left = leftRows(draft, all);
  const isLeft = rows.every(({ key }) => left.includes(key));
  return (
    <Button
      variant="text"
      sx={{ px: 0.5 }}
      onClick={() => {
        const { path, value } = leaveRows(draft, rows, !isLeft);
        enter(path, value);
      }}
    >
      {isLeft ? t('leaveIt.setItAfterAll') : t('leaveIt.leaveItAsIt')}
    </Button>
  );
}
