import type { LineAnswer, WorkEstimate } from '@keen/contract';
import {
  changeLines,
  dangerLine,
  lineMinor,
  lineWords,
  percentWords,
  sumEstimate,
  writerFor,
} from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { LANGUAGE_OPTIONS } from '../../shared/languages.ts';
import { capital } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { answered } from './EstimateLineRow.tsx';
import { SignaturePad } from './SignaturePad.tsx';
import { t } from '../../words/decide.ts';

const LINE_ANSWERS: readonly LineAnswer[] = ['accepted', 'declined', 'later'];

interface SignDialogProps {
  isOpen: boolean;
  estimate: WorkEstimate;
  onClose: () => void;
  onSigned: (estimate: WorkEstimate) => void;
}

/** The tablet turned round: nothing but the estimate, in large print, for the customer to answer and sign in their language. */
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
  const { session, detail, draft, units, enter } = useVisit();
  const language = draft.visit?.handOver?.language ?? 'en';
  const writer = writerFor({ language, units });
  const { papers } = writer;
  const { signing } = papers;
  const danger = dangerLine(draft, writer);
  const answers = LINE_ANSWERS.map((value) => ({
    value,
    label: capital(papers.lineAnswers[value]),
  }));
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
      lang={language}
      sx={{
        maxWidth: 720,
        width: '100%',
        mx: 'auto',
        p: { xs: 2, sm: 4 },
        display: 'grid',
        gap: 2,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <Typography color="textSecondary" sx={{ flex: 1 }}>
          {signing.forCar(
            session.shop.name,
            detail.visit.vehicle.label || detail.visit.vehicle.plate,
          )}
        </Typography>
        <Choice
          label={t('signDialog.language')}
          hideLabel
          dense
          options={LANGUAGE_OPTIONS}
          value={language}
          onChange={(next) => next && enter('visit.handOver.language', next)}
        />
      </Box>
      <Typography variant="h1" component="h2" id="sign-title">
        {signing.title}
      </Typography>
      {danger && (
        <Box
          role="note"
          sx={{ borderLeft: '3px solid var(--marker)', pl: 1.5, py: 0.5, fontSize: '1.05rem' }}
        >
          <strong>{danger.strong}</strong> {danger.text}
        </Box>
      )}
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: '1.15rem' }}>
        {estimate.lines.map((line) => (
          <Box
            component="li"
            key={line.id}
            sx={{ borderTop: '1px solid var(--line)', py: 1.5, display: 'grid', gap: 1 }}
          >
            <Box sx={{ display: 'flex', gap: 2, justifyContent: 'space-between' }}>
              <span>{lineWords(line, writer)}</span>
              <strong>{writer.money(lineMinor(line), estimate.currency)}</strong>
            </Box>
            <Choice
              label={lineWords({ ...line, quantity: 1 }, writer)}
              hideLabel
              options={answers}
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
        <Typography>{signing.saidYes(percentWords(estimate.taxPercent, writer))}</Typography>
        <Box className="condensed" sx={{ fontSize: '2.4rem', fontWeight: 700 }}>
          {writer.money(accepted.total, estimate.currency)}
        </Box>
      </Box>
      <TextField
        label={signing.name}
        value={name}
        onChange={({ target }) => setName(target.value)}
        error={isTried && !isNamed}
        helperText={isTried && !isNamed ? signing.whoSigns : ''}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <SignaturePad strokes={strokes} texts={signing} onChange={setStrokes} />
      {isTried && open > 0 && (
        <Typography role="alert" sx={{ color: 'var(--marker)' }}>
          {signing.unanswered(open)}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        <Button variant="contained" onClick={sign}>
          {signing.sign}
        </Button>
        <Button onClick={onClose}>{signing.back}</Button>
      </Box>
    </Box>
  );
}
