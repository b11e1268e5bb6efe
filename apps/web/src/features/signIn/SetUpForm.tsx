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

const FIELDS = [
  {
    name: 'shopName',
    label: 'Name of the shop',
    autoComplete: 'organization',
    fault: 'The shop’s name',
  },
  { name: 'town', label: 'Town', autoComplete: 'address-level2', fault: 'At most 80 characters' },
  { name: 'name', label: 'Your name', autoComplete: 'name', fault: 'Your name' },
  { name: 'email', label: 'Email', autoComplete: 'username', fault: 'An email address' },
  {
    name: 'password',
    label: 'Password',
    autoComplete: 'new-password',
    fault: 'At least ten characters',
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
      <Typography variant="h2">Set up your shop</Typography>
      <Typography variant="body2" color="textSecondary">
        You become its lead. This page is offered once, while there is no shop.
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
        Set up and come in
      </Button>
    </Box>
  );
}
