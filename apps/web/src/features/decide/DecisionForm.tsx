import type { Action, Diagnosis, NewDecision, Wheel } from '@keen/contract';
import { ACTIONS, ANSWERS } from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import type { CostComparison } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useDecideMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { FittingRules } from './FittingRules.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { courseWords, whereWords } from '../../words/pageTexts.ts';

const ANSWER_WORDS = {
  yes: t('decisionForm.yes'),
  no: t('decisionForm.noNotNow'),
  open: t('decisionForm.willThinkAboutIt'),
} as const;
const STATUS_WORDS = {
  unsafe: t('decisionForm.unsafe'),
  replace: t('decisionForm.wornOut'),
  plan: t('decisionForm.soon'),
  ok: '',
} as const;

type Choosing = Pick<NewDecision, 'action' | 'replace' | 'answer' | 'reason'>;

interface DecisionFormProps {
  diagnosis: Diagnosis;
  weighing: CostComparison;
}

/** Accept what is advised, or choose something else and say why. */
export function DecisionForm({ diagnosis, weighing }: DecisionFormProps) {
  const advised = weighing.advised.course;
  const { detail } = useVisit();
  const { recommendation } = diagnosis;
  const last = detail.decisions.at(-1);
  const [decide, { isLoading, error }] = useDecideMutation();
  const [id, setId] = useState(newId);
  const [isOther, setOther] = useState(last !== undefined && last.action !== advised);
  const { register, handleSubmit, setValue, control, formState } = useForm<Choosing>({
    defaultValues: {
      action: last?.action ?? advised,
      replace: last?.replace ?? recommendation.replace,
      answer: last?.answer ?? 'open',
      reason: last?.reason ?? '',
    },
  });
  const watched = useWatch({ control });
  const replace = watched.replace ?? [];
  const action = isOther ? (watched.action ?? advised) : advised;
  const overrides = action !== advised;

  async function keep(values: Choosing): Promise<void> {
    const decision: NewDecision = { ...values, id, action, reason: overrides ? values.reason : '' };
    const result = await decide({ visitId: detail.visit.id, decision });
    if (result.data) setId(newId());
  }

  function toggle(wheel: Wheel): void {
    setValue(
      'replace',
      replace.includes(wheel) ? replace.filter((one) => one !== wheel) : [...replace, wheel],
      { shouldDirty: true },
    );
  }

  return (
    <Box
      component="form"
      noValidate
      onSubmit={handleSubmit(keep)}
      sx={{ display: 'grid', gap: 2, borderTop: '2px solid var(--ink)', pt: 2 }}
    >
      <Choice
        label={t('decisionForm.theShop')}
        options={[
          { value: 'accept', label: t('decisionForm.followTheRecommendation') },
          { value: 'other', label: t('decisionForm.choosesSomethingElse') },
        ]}
        value={isOther ? 'other' : 'accept'}
        onChange={(next) => setOther(next === 'other')}
      />
      {isOther && (
        <Box>
          <RadioGroup
            aria-label={t('decisionForm.chosenInstead')}
            value={action}
            onChange={(_event, value) => setValue('action', value as Action)}
          >
            {ACTIONS.map((one) => (
              <FormControlLabel
                key={one}
                value={one}
                control={<Radio size="small" />}
                label={
                  one === advised
                    ? t('decisionForm.isAdvised', {
                        action: courseWords(one, replace.length > 0, weighing),
                      })
                    : courseWords(one, replace.length > 0, weighing)
                }
              />
            ))}
          </RadioGroup>
          <TextField
            label={t('decisionForm.why')}
            multiline
            sx={{ mt: 1 }}
            error={formState.errors.reason !== undefined}
            helperText={formState.errors.reason && t('decisionForm.giveAReasonIt')}
            {...register('reason', { validate: (reason) => !overrides || reason.trim() !== '' })}
          />
        </Box>
      )}
      <Box role="group" aria-label={t('decisionForm.tiresToReplace')}>
        <Typography variant="h3" component="div" color="textSecondary" sx={{ mb: 0.5 }}>
          {t('decisionForm.tiresToReplace')}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {WHEEL_ORDER.map((wheel) => {
            const word = STATUS_WORDS[diagnosis.wheels[wheel].status];
            return (
              <ToggleButton
                key={wheel}
                value={wheel}
                selected={replace.includes(wheel)}
                onChange={() => toggle(wheel)}
              >
                {whereWords(wheel)}
                {word && `, ${word}`}
              </ToggleButton>
            );
          })}
        </Box>
      </Box>
      <FittingRules
        replace={replace}
        onAlso={(wheels) =>
          setValue('replace', [...new Set([...replace, ...wheels])], { shouldDirty: true })
        }
      />
      <Choice
        label={t('decisionForm.theCustomerSays')}
        options={ANSWERS.map((value) => ({ value, label: ANSWER_WORDS[value] }))}
        value={watched.answer ?? 'open'}
        onChange={(answer) => setValue('answer', answer ?? 'open')}
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {isLoading
            ? t('decisionForm.saving')
            : last
              ? t('decisionForm.saveThisAsWell')
              : t('decisionForm.saveTheDecision')}
        </Button>
      </Box>
    </Box>
  );
}
