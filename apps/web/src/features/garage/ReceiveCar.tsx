import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { receiveCarSchema } from '@keen/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useReceiveCarMutation } from '../../api/chainApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/chain.ts';

/** Takes a car with its history from another shop of the chain, by the customer's code. */
export function ReceiveCar({ chain }: { chain: string }) {
  const [isOpen, setOpen] = useState(false);
  const [code, setCode] = useState('');
  const [take, { isLoading, error, reset }] = useReceiveCarMutation();
  const navigate = useNavigate();
  const isWhole = receiveCarSchema.safeParse({ code }).success;

  async function send(): Promise<void> {
    const { data } = await take(code);
    if (data) await navigate(`/garage/${data.carId}`);
  }
  function close(): void {
    setOpen(false);
    setCode('');
    reset();
  }

  return (
    <>
      <Button onClick={() => setOpen(true)}>{t('receiveCar.aCarWithACode')}</Button>
      <Dialog open={isOpen} onClose={close} aria-labelledby="take-car" fullWidth maxWidth="xs">
        <Box
          component="form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if (isWhole && !isLoading) void send();
          }}
        >
          <DialogTitle id="take-car">{t('receiveCar.title', { chain })}</DialogTitle>
          <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
            <Typography color="textSecondary">{t('receiveCar.what')}</Typography>
            <TextField
              label={t('receiveCar.code')}
              helperText={t('receiveCar.suchAs')}
              autoFocus
              autoComplete="off"
              value={code}
              onChange={({ target }) => setCode(target.value)}
              slotProps={{
                htmlInput: { autoCapitalize: 'characters', spellCheck: false, maxLength: 40 },
              }}
            />
            {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
          </DialogContent>
          <DialogActions>
            <Button variant="text" onClick={close}>
              {t('receiveCar.cancel')}
            </Button>
            <Button type="submit" variant="contained" disabled={!isWhole || isLoading}>
              {t('receiveCar.take')}
            </Button>
          </DialogActions>
        </Box>
      </Dialog>
    </>
  );
}
