import { LEAST_PASSWORD } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useChoosePasswordMutation, usePasswordLinkQuery } from '../../api/accountApi.ts';
import { failureOf } from '../../api/problem.ts';
import { capital } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { Mark } from '../../shared/TopBar.tsx';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/signIn.ts';

/** Where an invitation or a lost password leads: one chooses a password, once. */
export function ChoosePasswordPage() {
  const { token = '' } = useParams();
  const { data: owner, error, isLoading } = usePasswordLinkQuery(token);
  return (
    <Box
      component="main"
      sx={{ maxWidth: 460, mx: 'auto', p: { xs: 3, md: 5 }, display: 'grid', gap: 2 }}
    >
      <Mark size={40} />
      {isLoading && (
        <Typography role="status">{t('choosePasswordPage.checkingTheLink')}</Typography>
      )}
      {error && (
        <>
          <Typography variant="h1">{t('choosePasswordPage.thisLinkDoesNot')}</Typography>
          <Notice kind="caution">
            {t('choosePasswordPage.askTheLeadOf', { text: failureOf(error).text })}
          </Notice>
        </>
      )}
      {owner && (
        <>
          <Typography variant="h1">{t('choosePasswordPage.chooseYourPassword')}</Typography>
          <Typography color="textSecondary">
            {t('choosePasswordPage.youSignInWith', {
              name: owner.name,
              shopName: owner.shopName,
              email: owner.email,
            })}
          </Typography>
          <Choose token={token} email={owner.email} />
        </>
      )}
    </Box>
  );
}

function Choose({ token, email }: { token: string; email: string }) {
  const [choose, { isLoading, error, isSuccess }] = useChoosePasswordMutation();
  const [password, setPassword] = useState('');
  if (isSuccess) {
    return (
      <>
        <Typography role="status">{t('choosePasswordPage.saved')}</Typography>
        <Button component={Link} to="/sign-in" variant="contained">
          {t('choosePasswordPage.signIn')}
        </Button>
      </>
    );
  }
  const failure = error ? failureOf(error) : null;
  const fault = failure?.refusals[0];
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void choose({ token, password });
      }}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      {/* Password managers file the password under this. */}
      <input type="hidden" autoComplete="username" value={email} readOnly />
      <TextField
        label={t('choosePasswordPage.password')}
        type="password"
        autoComplete="new-password"
        autoFocus
        value={password}
        error={failure !== null}
        helperText={capital(
          (fault && expectedWords(fault)) ??
            failure?.text ??
            t('choosePasswordPage.atLeastCharactersThree', { leastPassword: LEAST_PASSWORD }),
        )}
        onChange={({ target }) => setPassword(target.value)}
      />
      <Button type="submit" variant="contained" disabled={isLoading}>
        {t('choosePasswordPage.save')}
      </Button>
    </Box>
  );
}
