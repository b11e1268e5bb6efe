import { zodResolver } from '@hookform/resolvers/zod';
import type { Setup } from '@keen/contract';
import { setupSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useForm } from 'react-hook-form';
import { useSetUpMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/signIn.ts';

const FIELDS = [
  {
    name: 'shopName',
    label: t('setUpForm.nameOfTheShop'),
    autoComplete: 'organization',
    fault: t('setUpForm.theShopsName'),
  },
  {
    name: 'town',
    label: t('setUpForm.town'),
    autoComplete: 'address-level2',
    fault: t('setUpForm.atMost80Characters'),
  },
  {
    name: 'name',
    label: t('setUpForm.yourName'),
    autoComplete: 'name',
    fault: t('setUpForm.yourName'),
  },
  {
    name: 'email',
    label: t('setUpForm.email'),
    autoComplete: 'username',
    fault: t('setUpForm.anEmailAddress'),
  },
  {
    name: 'password',
    label: t('setUpForm.password'),
    autoComplete: 'new-password',
    fault: t('setUpForm.atLeastTenCharacters'),
  },
] as const;

/** The first start of an empty installation. */
export function SetUpForm() {
  const [setUp, { isLoading, error }] = useSetUpMutation();
  const { register, handleSubmit, formState } = useForm<Setup>({
    resolver: zodResolver(setupSchema),
    defaultValues: { shopName: '', town: '', name: '', email: '', password: '' },
  });
  return (
    <Box
      component="form"
      noValidate
      onSubmit={handleSubmit((values) => void setUp(values))}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <Typography variant="h2">{t('setUpForm.setUpYourShop')}</Typography>
      <Typography variant="body2" color="textSecondary">
        {t('setUpForm.youBecomeItsLead')}
      </Typography>
      {FIELDS.map(({ name, label, autoComplete, fault }) => (
        <TextField
          key={name}
          label={label}
          type={name === 'password' ? 'password' : 'text'}
          autoComplete={autoComplete}
          error={formState.errors[name] !== undefined}
          helperText={formState.errors[name] && fault}
          {...register(name)}
        />
      ))}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Button type="submit" variant="contained" disabled={isLoading}>
        {t('setUpForm.setUpAndCome')}
      </Button>
    </Box>
  );
}
