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

/** A code from an authenticator app beside the password. */
export function SecondFactor({ account }: { account: Session['account'] }) {
  return (
    <Box component="section" aria-labelledby="factor-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2" id="factor-title">
        Second factor
      </Typography>
      <Typography color="textSecondary">
        A code from an authenticator app on your phone, asked for beside the password. Whoever
        learns your password still cannot sign in.
      </Typography>
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
            Set it up
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
      <Typography>
        Scan this with the app, or type the key into it; then type the code that it shows.
      </Typography>
      <Box
        component="img"
        alt="QR code of the key"
        src={`data:image/svg+xml;utf8,${encodeURIComponent(fresh.qrSvg)}`}
        sx={{ width: 190, height: 190, bgcolor: '#fff', p: 0.5 }}
      />
      <Typography sx={{ fontFamily: 'monospace', overflowWrap: 'anywhere' }}>
        {fresh.secret.match(/.{1,4}/g)?.join(' ')}
      </Typography>
      <TextField
        label="Code of six digits"
        value={code}
        autoComplete="one-time-code"
        error={wrong !== null}
        helperText={wrong ? 'That is not the code shown now; check the phone’s clock' : ''}
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 8 } }}
        onChange={({ target }) => setCode(target.value)}
      />
      <Box>
        <Button type="submit" variant="contained" disabled={confirming.isLoading}>
          Turn it on
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
      <Notice>
        It is on. Write these codes down or print them: each lets you in once if the phone is lost.
        They are not shown again.
      </Notice>
      <Box
        component="ul"
        aria-label="Recovery codes"
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
        <Button onClick={() => window.print()}>Print</Button>
        <Button
          variant="contained"
          onClick={() => dispatch(keenApi.util.invalidateTags(['Session']))}
        >
          I have them
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
        It is on.
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
            label="Your password"
            type="password"
            autoComplete="current-password"
            autoFocus
            value={password}
            error={error !== undefined}
            helperText={error ? failureOf(error).text : ''}
            onChange={({ target }) => setPassword(target.value)}
          />
          <Button type="submit" disabled={isLoading}>
            Turn it off
          </Button>
          <Button variant="text" onClick={() => setOpen(false)}>
            Cancel
          </Button>
        </Box>
      ) : (
        <Box>
          <Button onClick={() => setOpen(true)}>Turn it off</Button>
        </Box>
      )}
    </>
  );
}
