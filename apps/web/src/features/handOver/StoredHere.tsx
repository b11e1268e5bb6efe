import type { Season, StoredTires } from '@keen/contract';
import { SEASONS } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useForm, useWatch } from 'react-hook-form';
import { Choice } from '../../shared/Choice.tsx';
import { capital } from '../../shared/format.ts';
import { SEASON_WORDS, storedWords } from '../../shared/tireWords.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { useState } from 'react';
import { t } from '../../words/handOver.ts';

const SEASON_OPTIONS = SEASONS.map((value) => ({ value, label: capital(SEASON_WORDS[value]) }));
const MOST_TIRES = 8;
const MOST_PLACE = 40;

/** Tires that stay here when the car goes: the other season's set, with its place on the shelf. */
export function StoredHere() {
  const { draft, enter } = useVisit();
  const stored = draft.visit?.handOver?.stored;
  const [isOpen, setOpen] = useState(false);
  return (
    <Box component="section" aria-labelledby="stored-title" sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" component="h3" id="stored-title">
        {t('storedHere.tiresStoredHere')}
      </Typography>
      {stored && !isOpen && <Box>{capital(storedWords(stored))}</Box>}
      {isOpen ? (
        <StoredForm
          stored={stored}
          onSave={(next) => {
            enter('visit.handOver.stored', next);
            setOpen(false);
          }}
          onCancel={() => setOpen(false)}
        />
      ) : (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button onClick={() => setOpen(true)}>
            {stored ? t('storedHere.change') : t('storedHere.tiresStayHere')}
          </Button>
          {stored && (
            <Button onClick={() => enter('visit.handOver.stored', null)}>
              {t('storedHere.givenBack')}
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

interface Fields {
  place: string;
  count: string;
  season: Season | null;
  size: string;
  onRims: boolean;
}

interface StoredFormProps {
  stored: StoredTires | undefined;
  onSave: (stored: StoredTires) => void;
  onCancel: () => void;
}

function StoredForm({ stored, onSave, onCancel }: StoredFormProps) {
  const { draft } = useVisit();
  const { register, handleSubmit, setValue, control, formState } = useForm<Fields>({
    defaultValues: {
      place: stored?.place ?? '',
      count: String(stored?.count ?? 4),
      season: stored?.season ?? null,
      size: stored?.size ?? draft.tires?.lf?.size ?? '',
      onRims: stored?.onRims ?? true,
    },
  });
  const [season, onRims] = useWatch({ control, name: ['season', 'onRims'] });
  const { errors } = formState;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) =>
        void handleSubmit(({ place, count, size, ...rest }) =>
          onSave({
            place: place.trim(),
            count: Number(count),
            onRims: rest.onRims,
            since: stored?.since ?? dayjs().format('YYYY-MM-DD'),
            ...(rest.season && { season: rest.season }),
            ...(size.trim() !== '' && { size: size.trim() }),
          }),
        )(event)
      }
      sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }}
    >
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: '1fr 2fr', sm: '2fr 1fr 2fr' },
        }}
      >
        <TextField
          label={t('storedHere.place')}
          sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}
          placeholder={t('storedHere.rackB12')}
          autoFocus
          error={errors.place !== undefined}
          helperText={errors.place?.message}
          {...register('place', {
            validate: (text) =>
              text.trim() === ''
                ? t('storedHere.whereTheyCanBe')
                : text.trim().length > MOST_PLACE
                  ? t('storedHere.atMostLetters', { mostPlace: MOST_PLACE })
                  : true,
          })}
        />
        <TextField
          label={t('storedHere.howMany')}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          error={errors.count !== undefined}
          helperText={errors.count?.message}
          {...register('count', {
            validate: (text) =>
              (/^\d+$/.test(text.trim()) && Number(text) >= 1 && Number(text) <= MOST_TIRES) ||
              t('storedHere.oneTo', { mostTires: MOST_TIRES }),
          })}
        />
        <TextField
          label={t('storedHere.size')}
          error={errors.size !== undefined}
          helperText={errors.size?.message}
          {...register('size', {
            maxLength: { value: MOST_PLACE, message: t('storedHere.atMost', { most: MOST_PLACE }) },
          })}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choice
          label={t('storedHere.season')}
          options={SEASON_OPTIONS}
          value={season}
          onChange={(next) => setValue('season', next)}
        />
        <FormControlLabel
          control={
            <Checkbox
              checked={onRims}
              onChange={(_event, checked) => setValue('onRims', checked)}
            />
          }
          label={t('storedHere.onRims')}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained">
          {t('storedHere.save')}
        </Button>
        <Button onClick={onCancel}>{t('storedHere.cancel')}</Button>
      </Box>
    </Box>
  );
}
