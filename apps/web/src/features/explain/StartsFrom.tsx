import Typography from '@mui/material/Typography';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/explain.ts';

/** That the answer starts from what the shop's own cars taught, where it does. */
export function StartsFrom() {
  const { draft } = useVisit();
  if (!draft.constants) return null;
  const { version } = draft.constants;
  return (
    <Typography variant="body2" color="textSecondary">
      {version === null
        ? t('startsFrom.theAnswerStartsFrom')
        : t('startsFrom.theAnswerStartsFromWhat', { version })}
    </Typography>
  );
}
