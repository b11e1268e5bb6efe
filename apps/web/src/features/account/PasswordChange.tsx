import type { ChangePassword } from '@keen/contract';
import { changePasswordSchema, LEAST_PASSWORD } from '@keen/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useForm } from 'react-hook-form';
import { useChangePasswordMutation } from '../../api/accountApi.ts';
import { failureOf } from '../../api/problem.ts';
import { capital } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/account.ts';

/** A new password; the old one is asked for, and other sessions end. */
export function PasswordChange() {
  const [change, { isLoading, error, isSuccess }] = useChangePasswordMutation();
  const { register, handleSubmit, reset, formState } = useForm<ChangePassword>({
    resolver: zodResolver(changePasswordSchema),
    defaultValues: { old: '', password: '' },
  });
  const failure = error ? failureOf(error) : null;
  const faultAt = (field: string) => {
    const wrong = failure?.refusals.find(({ path }) => path === field);
    return wrong && expectedWords(wrong);
  };
  const { errors } = formState;

  async function save(values: ChangePassword): Promise<void> {
    const result = await change(values);
    if (!result.error) reset();
  }

  return (
    <Box
      component="form"
      noValidate
      aria-label={t('passwordChange.changePassword')}
      onSubmit={handleSubmit(save)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 420 }}
    >
      <Typography variant="h1" component="h2">
        {t('passwordChange.password')}
      </Typography>
      <TextField
        label={t('passwordChange.passwordNow')}
        type="password"
        autoComplete="current-password"
        error={errors.old !== undefined || faultAt('old') !== undefined}
        helperText={capital(faultAt('old') ?? '')}
        {...register('old')}
      />
      <TextField
        label={t('passwordChange.newPassword')}
        type="password"
        autoComplete="new-password"
        error={errors.password !== undefined || faultAt('password') !== undefined}
        helperText={capital(
          faultAt('password') ??
            t('passwordChange.atLeastCharactersThree', { leastPassword: LEAST_PASSWORD }),
        )}
        {...register('password')}
      />
      {failure && failure.refusals.length === 0 && <Notice kind="caution">{failure.text}</Notice>}
      {isSuccess && (
        <Typography role="status">{t('passwordChange.changedYourOtherSessions')}</Typography>
      )}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('passwordChange.changePassword')}
        </Button>
      </Box>
    </Box>
  );
}
