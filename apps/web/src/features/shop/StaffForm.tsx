import type { NewPerson, Session, ShopSettings } from '@keen/contract';
import { newPersonSchema, ROLES } from '@keen/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useForm, useWatch } from 'react-hook-form';
import { useAddPersonMutation, useKeepSettingsMutation } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { UnitChoices } from '../../shared/UnitChoices.tsx';
import { GivePassword } from './GivePassword.tsx';

const ROLE_WORDS = { advisor: 'Advisor', technician: 'Technician', lead: 'Lead' } as const;

/** The people of the shop; the lead adds colleagues. */
export function StaffForm({ session }: { session: Session }) {
  const isLead = session.person.role === 'lead';
  return (
    <Box component="section" aria-labelledby="staff-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h1" component="h2" id="staff-title">
        People
      </Typography>
      <Box component="ul" aria-label="People of the shop" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {session.people.map((person) => (
          <Box
            component="li"
            key={person.id}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              alignItems: 'center',
              columnGap: 2,
              borderTop: '1px solid var(--hairline)',
              py: 1,
            }}
          >
            <Box component="span" sx={{ flex: 1 }}>
              {person.name}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {ROLE_WORDS[person.role]}
            </Box>
            {isLead && <GivePassword person={person} />}
          </Box>
        ))}
      </Box>
      <NewPersonUnits settings={session.shop.settings} />
      {isLead ? (
        <AddPerson />
      ) : (
        <Typography color="textSecondary">The lead of the shop adds colleagues.</Typography>
      )}
    </Box>
  );
}

/** What a colleague who is new finds chosen; papers without units of their own take them, too. */
function NewPersonUnits({ settings }: { settings: ShopSettings }) {
  const [keep, { isError }] = useKeepSettingsMutation();
  return (
    <Box role="group" aria-label="Units of the shop" sx={{ display: 'grid', gap: 1 }}>
      <Typography color="textSecondary">
        Units of the shop: a new colleague begins with them, and may choose their own.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1.5 }}>
        <UnitChoices units={settings.units} onChange={(units) => void keep({ units })} />
      </Box>
      {isError && <Notice kind="caution">That was not kept; the units stand as before.</Notice>}
    </Box>
  );
}

function AddPerson() {
  const [add, { isLoading, error, isSuccess }] = useAddPersonMutation();
  const { register, handleSubmit, setValue, reset, control, formState } = useForm<NewPerson>({
    resolver: zodResolver(newPersonSchema),
    defaultValues: { id: newId(), name: '', email: '', password: '', role: 'advisor' },
  });
  const role = useWatch({ control, name: 'role' });
  const { errors } = formState;

  async function keep(person: NewPerson): Promise<void> {
    const result = await add(person);
    if ('data' in result)
      reset({ id: newId(), name: '', email: '', password: '', role: 'advisor' });
  }

  return (
    <Box
      component="form"
      noValidate
      aria-label="Add a colleague"
      onSubmit={handleSubmit(keep)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 420 }}
    >
      <Typography variant="h3" component="h3" color="textSecondary">
        Add a colleague
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
      <TextField
        label="First password"
        type="password"
        autoComplete="new-password"
        error={errors.password !== undefined}
        helperText={errors.password && 'At least 10 characters'}
        {...register('password')}
      />
      <Choice
        label="Works as"
        options={ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }))}
        value={role}
        onChange={(next) => next && setValue('role', next)}
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      {isSuccess && <Typography role="status">Added: they can sign in now.</Typography>}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Add
        </Button>
      </Box>
    </Box>
  );
}
