import type { Person } from '@keen/contract';
import { newPasswordSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useGivePasswordMutation } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';

/** The lead gives a colleague a new password, on the line of that colleague. */
export function GivePassword({ person }: { person: Person }) {
  const [isOpen, setOpen] = useState(false);
  const [password, setPassword] = useState('');
  const [isTried, setTried] = useState(false);
  const [give, { isLoading, error, isSuccess }] = useGivePasswordMutation();
  const isGood = newPasswordSchema.safeParse({ password }).success;

  async function keep(): Promise<void> {
    setTried(true);
    if (!isGood) return;
    const result = await give({ id: person.id, password });
    if (result.error) return;
    setOpen(false);
    setPassword('');
    setTried(false);
  }

  if (!isOpen) {
    return (
      <>
        {isSuccess && <Typography role="status">Given.</Typography>}
        <Button
          variant="text"
          aria-label={`New password for ${person.name}`}
          onClick={() => setOpen(true)}
        >
          New password
        </Button>
      </>
    );
  }
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}
    >
      <TextField
        label={`New password for ${person.name}`}
        type="password"
        size="small"
        autoComplete="new-password"
        autoFocus
        value={password}
        error={(isTried && !isGood) || error !== undefined}
        helperText={
          error ? failureOf(error).text : isTried && !isGood ? 'At least 10 characters' : ''
        }
        onChange={({ target }) => setPassword(target.value)}
      />
      <Button type="submit" disabled={isLoading}>
        Give
      </Button>
      <Button variant="text" onClick={() => setOpen(false)}>
        Back
      </Button>
    </Box>
  );
}
