import { zodResolver } from '@hookform/resolvers/zod';
import type { VehicleRecord } from '@keen/contract';
import { newVehicleSchema } from '@keen/contract';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { Controller, useForm } from 'react-hook-form';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useStartVisitMutation, useVehiclesQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/today.ts';

const formSchema = newVehicleSchema.omit({ id: true });
const samePlate = (a: string, b: string) => key(a) === key(b);
const key = (plate: string) => plate.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Starts a visit: the car is known by its plate, or new. */
export function NewVisitDialog({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState('');
  const { data: found = [] } = useVehiclesQuery(words);
  const [known, setKnown] = useState<VehicleRecord | null>(null);
  const [start, { isLoading, error }] = useStartVisitMutation();
  const [visitId] = useState(newId);
  const navigate = useNavigate();
  const { control, register, handleSubmit, formState, setValue } = useForm({
    resolver: zodResolver(formSchema),
    defaultValues: { plate: '', label: '', customer: '' },
  });

  async function submit(values: { plate: string; label: string; customer: string }): Promise<void> {
    const same = known ?? found.find((vehicle) => samePlate(vehicle.plate, values.plate)) ?? null;
    const result = await start({
      id: visitId,
      vehicle: same ? { id: same.id } : { id: newId(), ...values },
      entries: [],
    });
    if (result.data) await navigate(`/visits/${result.data.id}/arrive`);
  }

  function choose(vehicle: VehicleRecord | null): void {
    setKnown(vehicle);
    if (!vehicle) return;
    setValue('plate', vehicle.plate, { shouldValidate: true });
    setValue('label', vehicle.label);
    setValue('customer', vehicle.customer);
  }

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="new-visit">
      <Box component="form" noValidate onSubmit={handleSubmit(submit)}>
        <DialogTitle id="new-visit" variant="h2">
          {t('newVisitDialog.newVisit')}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2, pt: '8px !important' }}>
          <Controller
            name="plate"
            control={control}
            render={({ field }) => (
              <Autocomplete<VehicleRecord, false, false, true>
                freeSolo
                autoHighlight={false}
                options={found}
                filterOptions={(options) => options}
                inputValue={field.value}
                value={known}
                isOptionEqualToValue={(a, b) =>
                  typeof a !== 'string' && typeof b !== 'string' && a.id === b.id
                }
                getOptionLabel={(option) => (typeof option === 'string' ? option : option.plate)}
                onInputChange={(_event, text, reason) => {
                  if (reason === 'reset') return;
                  field.onChange(text);
                  setWords(text);
                  setKnown(null);
                }}
                onChange={(_event, option) => choose(typeof option === 'string' ? null : option)}
                renderOption={({ key: optionKey, ...props }, option) => (
                  <Box component="li" key={optionKey} {...props} sx={{ gap: 1.5 }}>
                    <Box component="strong" sx={{ minWidth: 84 }}>
                      {option.plate}
                    </Box>
                    <span>{option.label}</span>
                    <Box component="span" sx={{ color: 'text.secondary', ml: 'auto !important' }}>
                      {option.customer}
                    </Box>
                  </Box>
                )}
                renderInput={(params) => (
                  <TextField
                    {...params}
                    autoFocus
                    label={t('newVisitDialog.plate')}
                    error={formState.errors.plate !== undefined}
                    helperText={
                      formState.errors.plate
                        ? t('newVisitDialog.thePlateAtMost')
                        : t('newVisitDialog.aPlateWeKnow')
                    }
                  />
                )}
              />
            )}
          />
          <TextField
            label={t('newVisitDialog.car')}
            placeholder={t('newVisitDialog.courierVanGrey')}
            disabled={known !== null}
            {...register('label')}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <TextField
            label={t('newVisitDialog.customer')}
            disabled={known !== null}
            {...register('customer')}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2 }}>
          <Button variant="text" onClick={onClose}>
            {t('newVisitDialog.cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t('newVisitDialog.startTheVisit')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
