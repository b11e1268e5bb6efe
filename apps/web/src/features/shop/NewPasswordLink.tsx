import type { StaffMember } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { failureOf } from '../../api/problem.ts';
import { useMakePasswordLinkMutation } from '../../api/shopApi.ts';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';

/** A link by which a colleague chooses a password: handed over by the lead, good once. */
export function NewPasswordLink({ person }: { person: Pick<StaffMember, 'id' | 'name'> }) {
  const [make, { data, error, isLoading }] = useMakePasswordLinkMutation();
  const address = data && new URL(`/password/${data.token}`, window.location.origin).href;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box>
        <Button disabled={isLoading} onClick={() => void make(person.id)}>
          {data ? 'Make another link' : 'Link to choose a password'}
        </Button>
      </Box>
      {address && (
        <>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <TextField
              label={`Password link for ${person.name}`}
              value={address}
              size="small"
              fullWidth
              slotProps={{ htmlInput: { readOnly: true } }}
              onFocus={({ target }) => target.select()}
            />
            <Button onClick={() => void navigator.clipboard?.writeText(address)}>Copy</Button>
          </Box>
          <Typography variant="body2" color="textSecondary">
            Give it to {person.name} yourself. It works once, until {dateTime(data.endsAt)}.
          </Typography>
        </>
      )}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
