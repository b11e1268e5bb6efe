import type { RecoveryCodes, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  useConfirmSecondFactorMutation,
  useDropSecondFactorMutation,
  useStartSecondFactorMutation,
} from '../../api/accountApi.ts';
import { useApiDispatch } from '../../api/hooks.ts';
import { keenApi } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/account.ts';

/** A code from an authenticator app beside the password. */
export function SecondFactor({ account }: { account: Session['account'] }) {
  return (
    <Box component="section" aria-labelledby="factor-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2" id="factor-title">
        {t('secondFactor.secondFactor')}
      </Typography>
      <Typography color="textSecondary">{t('secondFactor.aCodeFromAn')}</Typography>
      {account.hasSecondFactor ? <TurnOff /> : <SetUp />}
    </Box>
  );
}

function SetUp() {
  const [start, { data: fresh, isLoading, error }] = useStartSecondFactorMutation();
  const [confirm, confirming] = useConfirmSecondFactorMutation();
  const [code, setCode] = useState('');
  if (confirming.data) return <Codes codes={confirming.data.codes} />;
  if (!fresh) {
    return (
      <>
        {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
        <Box>
          <Button variant="contained" disabled={isLoading} onClick={() => void start()}>
            {t('secondFactor.setItUp')}
          </Button>
        </Box>
      </>
    );
  }
  const wrong = confirming.error ? failureOf(confirming.error) : null;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void confirm({ secret: fresh.secret, code: code.replace(/\s/g, '') });
      }}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 420 }}
    >
      <Typography>{t('secondFactor.scanThisWithThe')}</Typography>
      <Box
        component="img"
        alt={t('secondFactor.qrCodeOfThe')}
        src={`data:image/svg+xml;utf8,${encodeURIComponent(fresh.qrSvg)}`}
        sx={{ width: 190, height: 190, bgcolor: '#fff', p: 0.5 }}
      />
      <Typography sx={{ fontFamily: 'monospace', overflowWrap: 'anywhere' }}>
        {fresh.secret.match(/.{1,4}/g)?.join(' ')}
      </Typography>
      <TextField
        label={t('secondFactor.codeOfSixDigits')}
        value={code}
        autoComplete="one-time-code"
        error={wrong !== null}
        helperText={wrong ? t('secondFactor.thatIsNotThe') : ''}
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 8 } }}
        onChange={({ target }) => setCode(target.value)}
      />
      <Box>
        <Button type="submit" variant="contained" disabled={confirming.isLoading}>
          {t('secondFactor.turnItOn')}
        </Button>
      </Box>
    </Box>
  );
}

/** Shown once; the session is asked for again only when they have been read. */
function Codes({ codes }: RecoveryCodes) {
  const dispatch = useApiDispatch();
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Notice>{t('secondFactor.itIsOnWrite')}</Notice>
      <Box
        component="ul"
        aria-label={t('secondFactor.recoveryCodes')}
        sx={{
          m: 0,
          p: 0,
          listStyle: 'none',
          display: 'grid',
          gridTemplateColumns: { sm: '1fr 1fr' },
          gap: 0.5,
          fontFamily: 'monospace',
        }}
      >
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={() => window.print()}>{t('secondFactor.print')}</Button>
        <Button
          variant="contained"
          onClick={() => dispatch(keenApi.util.invalidateTags(['Session']))}
        >
          {t('secondFactor.iHaveThem')}
        </Button>
      </Box>
    </Box>
  );
}

function TurnOff() {
  const [drop, { isLoading, error }] = useDropSecondFactorMutation();
  const [isOpen, setOpen] = useState(false);
  const [password, setPassword] = useState('');
  return (
    <>
      <Typography role="status" sx={{ fontWeight: 600 }}>
        {t('secondFactor.itIsOn')}
      </Typography>
      {isOpen ? (
        <Box
          component="form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void drop(password);
          }}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
        >
          <TextField
            label={t('secondFactor.yourPassword')}
            type="password"
            autoComplete="current-password"
            autoFocus
            value={password}
            error={error !== undefined}
            helperText={error ? failureOf(error).text : ''}
            onChange={({ target }) => setPassword(target.value)}
          />
          <Button type="submit" disabled={isLoading}>
            {t('secondFactor.turnItOff')}
          </Button>
          <Button variant="text" onClick={() => setOpen(false)}>
            {t('secondFactor.cancel')}
          </Button>
        </Box>
      ) : (
        <Box>
          <Button onClick={() => setOpen(true)}>{t('secondFactor.turnItOff')}</Button>
        </Box>
      )}
    </>
  );
}
