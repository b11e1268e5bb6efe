import { zodResolver } from '@hookform/resolvers/zod';
import type { SignIn } from '@keen/contract';
import { signInSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useForm } from 'react-hook-form';
import { useSignInMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';

export function PasswordForm() {
  const [signIn, { isLoading, error }] = useSignInMutation();
  const { register, handleSubmit, formState } = useForm<SignIn>({
    resolver: zodResolver(signInSchema),
    defaultValues: { email: '', password: '' },
  });
  const { errors } = formState;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={handleSubmit((values) => void signIn(values))}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <TextField
        label="Email"
        type="email"
        autoComplete="username"
        error={errors.email !== undefined}
        helperText={errors.email && 'An email address, such as name@shop.example'}
        {...register('email')}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        error={errors.password !== undefined}
        helperText={errors.password && 'Your password'}
        {...register('password')}
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Button type="submit" variant="contained" disabled={isLoading}>
        Sign in
      </Button>
    </Box>
  );
}
