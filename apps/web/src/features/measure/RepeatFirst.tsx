import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** The lock-to-lock repeat: what does not come back is worn. */
export function RepeatFirst() {
  const { draft, enter } = useVisit();
  return (
    <Box component="section" aria-labelledby="repeat-title">
      <Typography variant="h2" component="h3" id="repeat-title">
        Repeat first
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 1 }}>
        Read one front toe, turn lock to lock, come back straight, read again. Moved by two
        millimetres or a tenth of a degree, something is worn. Hands and feet clear of the wheels.
      </Typography>
      <Choice
        label="The second reading"
        options={[
          { value: 'returns', label: 'Comes back' },
          { value: 'moves', label: 'Has moved' },
        ]}
        value={draft.visit?.measure?.repeat ?? null}
        onChange={(value) => enter('visit.measure.repeat', value)}
      />
    </Box>
  );
}
