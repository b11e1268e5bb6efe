import type { Instrument } from '@keen/contract';
import { saveInstrumentSchema } from '@keen/contract';
import type { InstrumentKind } from '@keen/contract/words';
import { INSTRUMENT_KINDS } from '@keen/contract/words';
import { INSTRUMENT_FACTS } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useSaveInstrumentMutation } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { numberIn, numbersIn } from './numberIn.ts';
import { t } from '../../words/gauges.ts';
import { measureTexts } from '../../words/core/measure.ts';

interface Fields {
  name: string;
  kind: InstrumentKind;
  certified: string;
  block: string;
  retired: boolean;
}

interface InstrumentDialogProps {
  /** Null for a new one. */
  instrument: Instrument | null;
  onClose: () => void;
}

/** What a gauge is called, what kind it is, and what it is checked against. */
export function InstrumentDialog({ instrument, onClose }: InstrumentDialogProps) {
  const [id] = useState(() => instrument?.id ?? newId());
  const [keep, { isLoading, error }] = useSaveInstrumentMutation();
  const { control, register, handleSubmit, formState } = useForm<Fields>({
    defaultValues: {
      name: instrument?.name ?? '',
      kind: instrument?.kind ?? 'depth',
      certified: instrument?.certified ? String(instrument.certified) : '',
      block: instrument?.block.join('; ') ?? '',
      retired: instrument?.retired ?? false,
    },
  });
  const kind = useWatch({ control, name: 'kind' });
  const { errors } = formState;

  async function submit({ name, certified, block, retired }: Fields): Promise<void> {
    const result = await keep({
      id,
      instrument: saveInstrumentSchema.parse({
        name,
        kind,
        certified: certified.trim() === '' ? null : numberIn(certified),
        block: numbersIn(block),
        retired,
      }),
    });
    if (result.data) onClose();
  }

  const { certified, block } = saveInstrumentSchema.shape;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="gauge-title">
      <Box component="form" noValidate onSubmit={handleSubmit(submit)}>
        <DialogTitle id="gauge-title" variant="h2">
          {instrument
            ? t('instrumentDialog.change', { name: instrument.name })
            : t('instrumentDialog.addAGauge')}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2.5, pt: '8px !important' }}>
          <Controller
            name="kind"
            control={control}
            render={({ field }) => (
              <TextField
                select
                label={t('instrumentDialog.whatItIs')}
                disabled={instrument !== null}
                helperText={instrument ? t('instrumentDialog.itsChecksAreIn') : ' '}
                {...field}
              >
                {INSTRUMENT_KINDS.map((each) => (
                  <MenuItem key={each} value={each}>
                    {measureTexts.instruments[each].title}
                  </MenuItem>
                ))}
              </TextField>
            )}
          />
          <TextField
            label={t('instrumentDialog.nameOnIt')}
            placeholder={t('instrumentDialog.exampleName')}
            autoFocus
            error={errors.name !== undefined}
            helperText={errors.name?.message}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 60 } }}
            {...register('name', {
              validate: (text) => text.trim() !== '' || t('instrumentDialog.whatItIsCalled'),
            })}
          />
          <TextField
            label={t('instrumentDialog.checkedAgainst', { unit: INSTRUMENT_FACTS[kind].unit })}
            placeholder={kind === 'depth' ? '2; 5; 8' : '0'}
            error={errors.block !== undefined}
            helperText={
              errors.block?.message ??
              t('instrumentDialog.whatIsKnownTo', {
                checkedAgainst: measureTexts.instruments[kind].checkedAgainst,
              })
            }
            slotProps={{ inputLabel: { shrink: true } }}
            {...register('block', {
              validate: (text) =>
                block.safeParse(numbersIn(text)).success || t('instrumentDialog.upToTenNumbers'),
            })}
          />
          <TextField
            label={t('instrumentDialog.certifiedTo', { unit: INSTRUMENT_FACTS[kind].unit })}
            placeholder={t('instrumentDialog.leaveEmptyWithoutA')}
            error={errors.certified !== undefined}
            helperText={errors.certified?.message ?? t('instrumentDialog.standardUncertaintyByIts')}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
            {...register('certified', {
              validate: (text) =>
                text.trim() === '' ||
                (numberIn(text) !== null && certified.safeParse(numberIn(text)).success) ||
                t('instrumentDialog.aNumberAbove0'),
            })}
          />
          {instrument && (
            <Controller
              name="retired"
              control={control}
              render={({ field }) => (
                <Choice
                  label={t('instrumentDialog.itIs')}
                  options={[
                    { value: 'used', label: t('instrumentDialog.inUse') },
                    { value: 'away', label: t('instrumentDialog.putAway') },
                  ]}
                  value={field.value ? 'away' : 'used'}
                  onChange={(next) => next && field.onChange(next === 'away')}
                />
              )}
            />
          )}
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2.5 }}>
          <Button variant="text" onClick={onClose}>
            {t('instrumentDialog.cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t('instrumentDialog.save')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
