import { zodResolver } from '@hookform/resolvers/zod';
import type { SignIn } from '@keen/contract';
import { signInSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useForm } from 'react-hook-form';
import { useSignInMutation } from '../../api/keenApi.ts';
import { codeOf, failureOf } from '../../api/problem.ts';
import { useLatched } from '../../shared/useLatched.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/signIn.ts';

export function PasswordForm() {
  const [signIn, { isLoading, error }] = useSignInMutation();
  const { register, handleSubmit, formState } = useForm<SignIn>({
    resolver: zodResolver(signInSchema),
    defaultValues: { email: '', password: '', code: '' },
  });
  const { errors } = formState;
  const code = codeOf(error);
  // Asked for once the password was right, and then for as long as it takes.
  const needsCode = useLatched(code === 'code_needed' || code === 'wrong_code');
  return (
    <Box
      component="form"
      noValidate
      onSubmit={handleSubmit((values) => void signIn(values))}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <TextField
        label={t('passwordForm.email')}
        type="email"
        autoComplete="username"
        error={errors.email !== undefined}
        helperText={errors.email && t('passwordForm.anEmailAddressSuch')}
        {...register('email')}
      />
      <TextField
        label={t('passwordForm.password')}
        type="password"
        autoComplete="current-password"
        error={errors.password !== undefined}
        helperText={errors.password && t('passwordForm.yourPassword')}
        {...register('password')}
      />
      {needsCode && (
        <TextField
          label={t('passwordForm.codeOfYourSecond')}
          autoComplete="one-time-code"
          autoFocus
          helperText={t('passwordForm.sixDigitsFromThe')}
          {...register('code')}
        />
      )}
      {error && code !== 'code_needed' && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Button type="submit" variant="contained" disabled={isLoading}>
        {t('passwordForm.signIn')}
      </Button>
    </Box>
  );
}
