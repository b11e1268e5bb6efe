import type { WorkEstimate } from '@keen/contract';
import { changeLines, formatMoney, lineMinor, sumEstimate } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { answered, LINE_ANSWERS } from './EstimateLineRow.tsx';
import { SignaturePad } from './SignaturePad.tsx';

interface SignDialogProps {
  isOpen: boolean;
  estimate: WorkEstimate;
  onClose: () => void;
  onSigned: (estimate: WorkEstimate) => void;
}

/** The tablet turned round: nothing but the estimate, in large print, for the customer to answer and sign. */
export function SignDialog(props: SignDialogProps) {
  return (
    <Dialog
      open={props.isOpen}
      onClose={props.onClose}
      fullScreen
      aria-labelledby="sign-title"
      slotProps={{ paper: { sx: { bgcolor: 'var(--paper)', backgroundImage: 'none' } } }}
    >
      {props.isOpen && <SignBody {...props} />}
    </Dialog>
  );
}

function SignBody({ estimate: given, onClose, onSigned }: SignDialogProps) {
  const { session, detail } = useVisit();
  const [estimate, setEstimate] = useState(given);
  const [name, setName] = useState(detail.visit.vehicle.customer);
  const [strokes, setStrokes] = useState<number[][]>([]);
  const [isTried, setTried] = useState(false);
  const accepted = sumEstimate(estimate, ({ answer }) => answer === 'accepted');
  const open = estimate.lines.filter(({ answer }) => answer === undefined).length;
  const isNamed = name.trim() !== '';

  function sign(): void {
    setTried(true);
    if (!isNamed || open > 0) return;
    onSigned({
      ...estimate,
      signed: {
        name: name.trim(),
        at: new Date().toISOString(),
        ...(strokes.length > 0 ? { strokes } : {}),
      },
    });
  }

  return (
    <Box
      sx={{
        maxWidth: 720,
        width: '100%',
        mx: 'auto',
        p: { xs: 2, sm: 4 },
        display: 'grid',
        gap: 2,
      }}
    >
      <Typography color="textSecondary">
        {session.shop.name}, for {detail.visit.vehicle.label || detail.visit.vehicle.plate}
      </Typography>
      <Typography variant="h1" component="h2" id="sign-title">
        What shall we do?
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: '1.15rem' }}>
        {estimate.lines.map((line) => (
          <Box
            component="li"
            key={line.id}
            sx={{ borderTop: '1px solid var(--line)', py: 1.5, display: 'grid', gap: 1 }}
          >
            <Box sx={{ display: 'flex', gap: 2, justifyContent: 'space-between' }}>
              <span>
                {line.quantity === 1 ? '' : `${line.quantity} × `}
                {line.what}
              </span>
              <strong>{formatMoney(lineMinor(line), estimate.currency)}</strong>
            </Box>
            <Choice
              label={line.what}
              hideLabel
              options={LINE_ANSWERS}
              value={line.answer ?? null}
              onChange={(answer) =>
                setEstimate(
                  changeLines(
                    estimate,
                    estimate.lines.map((one) => (one.id === line.id ? answered(one, answer) : one)),
                  ),
                )
              }
            />
          </Box>
        ))}
      </Box>
      <Box
        sx={{
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'baseline',
          borderTop: '2px solid var(--ink)',
          pt: 1.5,
        }}
      >
        <Typography>What you said yes to, with {estimate.taxPercent} % tax</Typography>
        <Box className="condensed" sx={{ fontSize: '2.4rem', fontWeight: 700 }}>
          {formatMoney(accepted.total, estimate.currency)}
        </Box>
      </Box>
      <TextField
        label="Name"
        value={name}
        onChange={({ target }) => setName(target.value)}
        error={isTried && !isNamed}
        helperText={isTried && !isNamed ? 'Who signs?' : ''}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <SignaturePad strokes={strokes} onChange={setStrokes} />
      {isTried && open > 0 && (
        <Typography role="alert" sx={{ color: 'var(--marker)' }}>
          {open} {open === 1 ? 'line has' : 'lines have'} no answer yet: yes, no or later.
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        <Button variant="contained" onClick={sign}>
          Sign
        </Button>
        <Button onClick={onClose}>Back</Button>
      </Box>
    </Box>
  );
}
