import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** One side against the other: the straight wheel is fine, the crooked one's side needs the work. */
export function SideToSide() {
  const { draft, enter } = useVisit();
  const { crookedWheel = null, thread = null, overTight } = draft.visit?.inspect ?? {};
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 1.5 }}>
        <Choice
          label="Steering wheel straight: which front wheel is not?"
          options={[
            { value: 'left', label: 'Left' },
            { value: 'right', label: 'Right' },
            { value: 'neither', label: 'Neither' },
          ]}
          value={crookedWheel}
          onChange={(value) => enter('visit.inspect.crookedWheel', value)}
        />
        <Choice
          label="Thread showing at the tie rods"
          options={[
            { value: 'equal', label: 'About equal' },
            { value: 'leftMore', label: 'More left' },
            { value: 'rightMore', label: 'More right' },
          ]}
          value={thread}
          onChange={(value) => enter('visit.inspect.thread', value)}
        />
        <Choice
          label="After a turn the steering comes back"
          options={[
            { value: 'yes', label: 'Freely' },
            { value: 'no', label: 'It binds' },
          ]}
          value={overTight === undefined ? null : overTight ? 'no' : 'yes'}
          onChange={(value) =>
            enter('visit.inspect.overTight', value === null ? null : value === 'no')
          }
        />
      </Box>
      {(crookedWheel === 'left' || crookedWheel === 'right') && (
        <Typography>
          The {crookedWheel} side needs the work: a bent arm, spindle or rod there first.
        </Typography>
      )}
      {(thread === 'leftMore' || thread === 'rightMore') && (
        <Typography>
          The rods are not equal: the rack may stand off centre, or one side was set to hide a bend.
        </Typography>
      )}
      {overTight && (
        <Typography>
          A joint tightened with an impact wrench, or a bound strut mount, holds the steering back;
          caster will not mend it.
        </Typography>
      )}
    </Box>
  );
}
