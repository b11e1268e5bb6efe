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
import { t } from '../../words/shop.ts';

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
      aria-label={t('invitePerson.inviteAColleague')}
      onSubmit={handleSubmit(save)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 480 }}
    >
      <Typography variant="h3" component="h3" color="textSecondary">
        {t('invitePerson.inviteAColleague')}
      </Typography>
      <TextField
        label={t('invitePerson.name')}
        error={errors.name !== undefined}
        helperText={errors.name && t('invitePerson.aName')}
        {...register('name')}
      />
      <TextField
        label={t('invitePerson.eMailToSign')}
        type="email"
        autoComplete="off"
        error={errors.email !== undefined}
        helperText={errors.email && t('invitePerson.suchAsNameExample')}
        {...register('email')}
      />
      <Choice
        label={t('invitePerson.role')}
        options={ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }))}
        value={role}
        onChange={(next) => next && setValue('role', next)}
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('invitePerson.add')}
        </Button>
      </Box>
      {added && (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Typography role="status">
            {t('invitePerson.isAddedOneMore', { name: added.name })}
          </Typography>
          {!added.hasPassword && <NewPasswordLink key={added.id} person={added} />}
        </Box>
      )}
    </Box>
  );
}
