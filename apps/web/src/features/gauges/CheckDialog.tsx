import type { Instrument } from '@keen/contract';
import { instrumentRecord, INSTRUMENT_FACTS } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useSaveCheckMutation } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { limitWords, showError } from './gaugeWords.ts';
import { numberIn } from './numberIn.ts';
import { t } from '../../words/gauges.ts';
import { measureTexts } from '../../words/core/measure.ts';

interface Fields {
  points: { known: string; read: string }[];
  note: string;
}

/** A check against what is known: one reading at each place. */
export function CheckDialog({
  instrument,
  onClose,
}: {
  instrument: Instrument;
  onClose: () => void;
}) {
  const { id, name, kind, block } = instrument;
  const [checkId] = useState(newId);
  const [keep, { isLoading, error }] = useSaveCheckMutation();
  const { unit } = INSTRUMENT_FACTS[kind];
  const { checkedAgainst } = measureTexts.instruments[kind];
  const known = block.length > 0 ? block : [0];
  const { register, handleSubmit, formState, control } = useForm<Fields>({
    defaultValues: { points: known.map((value) => ({ known: String(value), read: '' })), note: '' },
  });
  const points = useWatch({ control, name: 'points' }).flatMap((point) => {
    const [is, read] = [numberIn(point.known), numberIn(point.read)];
    return is === null || read === null ? [] : [{ known: is, read }];
  });
  const said = points.length > 0 ? instrumentRecord(kind, [{ at: '', points }]) : null;

  async function submit({ note }: Fields): Promise<void> {
    const check = { id: checkId, at: new Date().toISOString(), points, note: note.trim() };
    const result = await keep({ id, check });
    if (result.data) onClose();
  }

  const isNumber = (text: string) => numberIn(text) !== null || t('checkDialog.aNumberSuchAs');
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="check-title">
      <Box component="form" noValidate onSubmit={handleSubmit(submit)}>
        <DialogTitle id="check-title" variant="h2">
          {t('checkDialog.check', { name })}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2 }}>
          <Typography color="textSecondary">
            {t('checkDialog.againstItIsGood', { checkedAgainst, kind: limitWords(kind) })}
          </Typography>
          {known.map((value, i) => {
            const faults = formState.errors.points?.[i];
            return (
              <Box
                key={value}
                sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, pt: 0.5 }}
              >
                <TextField
                  label={t('checkDialog.is', { unit })}
                  error={faults?.known !== undefined}
                  helperText={faults?.known?.message}
                  slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
                  {...register(`points.${i}.known`, { validate: isNumber })}
                />
                <TextField
                  label={t('checkDialog.reads', { unit })}
                  autoFocus={i === 0}
                  autoComplete="off"
                  error={faults?.read !== undefined}
                  helperText={faults?.read?.message}
                  slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
                  {...register(`points.${i}.read`, { validate: isNumber })}
                />
              </Box>
            );
          })}
          <TextField
            label={t('checkDialog.note')}
            placeholder={t('checkDialog.newBattery')}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
            {...register('note')}
          />
          <Box role="status" sx={{ minHeight: 24, fontWeight: 650 }}>
            {said && points.length === known.length && (
              <Box
                component="span"
                sx={{ color: said.state === 'off' ? 'var(--marker)' : undefined }}
              >
                {t(said.state === 'off' ? 'checkDialog.offByAtWorst' : 'checkDialog.goodAtWorst', {
                  error: showError(kind, said.errors[0]!.worst),
                })}
              </Box>
            )}
          </Box>
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2.5 }}>
          <Button variant="text" onClick={onClose}>
            {t('checkDialog.cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t('checkDialog.saveTheCheck')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
