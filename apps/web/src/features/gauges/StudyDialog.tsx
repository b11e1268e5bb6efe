import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import type { DepthUnit, NewStudy, Session } from '@keen/contract';
import { newStudySchema, STUDY_SIZE } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useNewStudyMutation } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/gauges.ts';

interface Fields {
  name: string;
  people: string[];
  readIn: DepthUnit;
  trials: string;
  marks: string;
}

const TRIALS = ['2', '3', '4', '5'].map((value) => ({ value, label: value }));
const USUAL_MARKS = Array.from({ length: 10 }, (_, i) => t('studyDialog.mark', { i: i + 1 })).join(
  '\n',
);

/** Lays out a gauge study: who reads what how often. */
export function StudyDialog({ session, onClose }: { session: Session; onClose: () => void }) {
  const [id] = useState(newId);
  const [start, { isLoading, error }] = useNewStudyMutation();
  const navigate = useNavigate();
  const here = session.people.filter(({ suspended }) => !suspended);
  const { control, register, handleSubmit, formState } = useForm<Fields>({
    defaultValues: {
      name: t('studyDialog.depthGauge'),
      people: here.slice(0, STUDY_SIZE.people.most - 2).map((person) => person.id),
      readIn: session.preferences.units.depth,
      trials: '3',
      marks: USUAL_MARKS,
    },
  });
  const [people, trials, marks] = useWatch({
    control,
    name: ['people', 'trials', 'marks'],
  });
  const { errors } = formState;

  async function submit(values: Fields): Promise<void> {
    const result = await start(planOf(id, values));
    if (result.data) await navigate(`/gauges/${id}`);
  }

  const valid = (key: 'people' | 'marks', message: string) => (value: string | string[]) =>
    newStudySchema.shape[key].safeParse(typeof value === 'string' ? linesOf(value) : value)
      .success || message;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="study-title">
      <Box component="form" noValidate onSubmit={handleSubmit(submit)}>
        <DialogTitle id="study-title" variant="h2">
          {t('studyDialog.newGaugeStudy')}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2.5, pt: '8px !important' }}>
          <TextField
            label={t('studyDialog.name')}
            autoFocus
            error={errors.name !== undefined}
            helperText={errors.name?.message}
            slotProps={{ htmlInput: { maxLength: 60 } }}
            {...register('name', {
              validate: (text) => text.trim() !== '' || t('studyDialog.whatToCallIt'),
            })}
          />
          <Controller
            name="people"
            control={control}
            rules={{ validate: valid('people', t('studyDialog.twoToFivePeople')) }}
            render={({ field }) => (
              <Box>
                <ManyChoice
                  label={t('studyDialog.whoReads')}
                  options={here.map((person) => ({ value: person.id, label: person.name }))}
                  values={field.value}
                  onChange={(next) => field.onChange(next ?? [])}
                />
                {errors.people && (
                  <Typography role="alert" variant="body2" sx={{ color: 'var(--marker)', mt: 0.5 }}>
                    {errors.people.message}
                  </Typography>
                )}
              </Box>
            )}
          />
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
            <Controller
              name="trials"
              control={control}
              render={({ field }) => (
                <Choice
                  label={t('studyDialog.howOftenEachMark')}
                  options={TRIALS}
                  value={field.value}
                  onChange={(next) => next && field.onChange(next)}
                />
              )}
            />
            <Controller
              name="readIn"
              control={control}
              render={({ field }) => (
                <Choice
                  label={t('studyDialog.theGaugeIsRead')}
                  options={[
                    { value: 'mm', label: 'mm' },
                    { value: 'in32', label: DEPTH_UNIT_WORDS.in32 },
                  ]}
                  value={field.value}
                  onChange={(next) => next && field.onChange(next)}
                />
              )}
            />
          </Box>
          <TextField
            label={t('studyDialog.marksOneALine')}
            multiline
            minRows={4}
            maxRows={8}
            error={errors.marks !== undefined}
            helperText={errors.marks?.message ?? t('studyDialog.chalkThemInGrooves')}
            {...register('marks', { validate: valid('marks', t('studyDialog.marksBetween')) })}
          />
          <Typography color="textSecondary">
            {t('studyDialog.readingsInAll', {
              length: people.length * Number(trials) * linesOf(marks).length,
            })}
          </Typography>
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2.5 }}>
          <Button variant="text" onClick={onClose}>
            {t('studyDialog.cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t('studyDialog.startTheStudy')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

function planOf(id: string, { name, people, readIn, trials, marks }: Fields): NewStudy {
  return {
    id,
    name: name.trim(),
    people,
    readIn,
    trials: Number(trials),
    marks: linesOf(marks),
  };
}

function linesOf(text: string): string[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
}
