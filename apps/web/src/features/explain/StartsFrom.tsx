import Typography from '@mui/material/Typography';
import { useVisit } from '../../shared/visitContext.ts';

/** That the answer starts from what the shop's own cars taught, where it does. */
export function StartsFrom() {
  const { draft } = useVisit();
  if (!draft.constants) return null;
  const { version } = draft.constants;
  return (
    <Typography variant="body2" color="textSecondary">
      {version === null
        ? 'The answer starts from what the shop that this case came from learned of its own cars.'
        : `The answer starts from what this shop’s own cars taught, version ${version}.`}
    </Typography>
  );
}
