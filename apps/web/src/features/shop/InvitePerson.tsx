import type { NewPerson } from '@keen/contract';
import { newPersonSchema, ROLES } from '@keen/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useForm, useWatch } from 'react-hook-form';
import { failureOf } from '../../api/problem.ts';
import { useAddPersonMutation } from '../../api/shopApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { NewPasswordLink } from './NewPasswordLink.tsx';
import { ROLE_WORDS } from './roleWords.ts';

const empty = (): NewPerson => ({ id: newId(), name: '', email: '', role: 'advisor' });

/** Adds a colleague, who then chooses a password by a link. */
export function InvitePerson() {
  const [add, { isLoading, error, data: added }] = useAddPersonMutation();
  const { register, handleSubmit, setValue, reset, control, formState } = useForm<NewPerson>({
    resolver: zodResolver(newPersonSchema),
    defaultValues: empty(),
  });
  const role = useWatch({ control, name: 'role' });
  const { errors } = formState;

  async function save(person: NewPerson): Promise<void> {
    const result = await add(person);
    if ('data' in result) reset(empty());
  }

  return (
    <Box
      component="form"
      noValidate
      aria-label="Invite a colleague"
      onSubmit={handleSubmit(save)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 480 }}
    >
      <Typography variant="h3" component="h3" color="textSecondary">
        Invite a colleague
      </Typography>
      <TextField
        label="Name"
        error={errors.name !== undefined}
        helperText={errors.name && 'A name'}
        {...register('name')}
      />
      <TextField
        label="E-mail, to sign in with"
        type="email"
        autoComplete="off"
        error={errors.email !== undefined}
        helperText={errors.email && 'Such as name@example.com'}
        {...register('email')}
      />
      <Choice
        label="Role"
        options={ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }))}
        value={role}
        onChange={(next) => next && setValue('role', next)}
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Add
        </Button>
      </Box>
      {added && (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Typography role="status">{added.name} is added. One more step:</Typography>
          <NewPasswordLink key={added.id} person={added} />
        </Box>
      )}
    </Box>
  );
}
