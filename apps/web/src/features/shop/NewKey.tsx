import type { NewApiKey } from '@keen/contract';
import { API_KEY_DAYS, API_SCOPES, newApiKeySchema } from '@keen/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useForm, useWatch } from 'react-hook-form';
import { failureOf } from '../../api/problem.ts';
import { useMakeKeyMutation } from '../../api/programsApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/shop.ts';
import { KeySecrets } from './KeySecrets.tsx';
import { SCOPE_WORDS } from './scopeWords.ts';

const FOR_GOOD = 'forGood';

const empty = (): NewApiKey => ({ id: newId(), name: '', scopes: [], days: 365 });

/** A key for another program; its secrets stand below once it is made. */
export function NewKey() {
  const [make, { isLoading, error, data: made }] = useMakeKeyMutation();
  const { register, handleSubmit, setValue, reset, control, formState } = useForm<NewApiKey>({
    resolver: zodResolver(newApiKeySchema),
    defaultValues: empty(),
  });
  const scopes = useWatch({ control, name: 'scopes' });
  const days = useWatch({ control, name: 'days' });
  const { errors, isSubmitted } = formState;

  async function save(order: NewApiKey): Promise<void> {
    const result = await make(order);
    if ('data' in result) reset(empty());
  }

  return (
    <Box
      component="form"
      noValidate
      aria-label={t('newKey.title')}
      onSubmit={handleSubmit(save)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }}
    >
      <Typography variant="h3" component="h3" color="textSecondary">
        {t('newKey.title')}
      </Typography>
      <TextField
        label={t('newKey.name')}
        autoComplete="off"
        error={errors.name !== undefined}
        helperText={errors.name && t('newKey.aName')}
        {...register('name')}
      />
      <ManyChoice
        label={t('newKey.scopes')}
        options={API_SCOPES.map((value) => ({ value, label: SCOPE_WORDS[value] }))}
        values={scopes}
        onChange={(next) => setValue('scopes', next ?? [], { shouldValidate: isSubmitted })}
      />
      {errors.scopes && <Notice kind="caution">{t('newKey.aScope')}</Notice>}
      <Choice
        label={t('newKey.goodFor')}
        options={[
          ...API_KEY_DAYS.map((count) => ({
            value: String(count),
            label: t('newKey.days', { count }),
          })),
          { value: FOR_GOOD, label: t('newKey.forGood') },
        ]}
        value={days === null ? FOR_GOOD : String(days)}
        onChange={(next) =>
          next && setValue('days', API_KEY_DAYS.find((count) => String(count) === next) ?? null)
        }
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('newKey.make')}
        </Button>
      </Box>
      {made && <KeySecrets key={made.key.id} made={made} />}
    </Box>
  );
}
