import type { StoredSheet, ShopChain, SpecKind } from '@keen/contract';
import { SPEC_KINDS } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useForm, useWatch } from 'react-hook-form';
import type { FieldErrors, Resolver, UseFormRegisterReturn } from 'react-hook-form';
import { Link, useNavigate } from 'react-router';
import { useSaveSheetsMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { SheetOrigin } from './SheetOrigin.tsx';
import type { Figure, SheetTexts } from './sheetValues.ts';
import {
  HEIGHT_FIGURES,
  LIMIT_ROWS,
  MOST_FIGURES,
  NEW_SHEET,
  REACH_FIGURES,
  SHEET_COLUMNS,
  sheetOfTexts,
  textsOfSheet,
} from './sheetValues.ts';
import { t } from '../../words/sheets.ts';

const KINDS = {
  maker: t('sheetForm.theMakers'),
  shop: t('sheetForm.theShopsOwn'),
  startingPoint: t('sheetForm.aStartingPoint'),
};

/** The texts by a name that the form takes for one name; a dot would be a path to it. */
type SheetFields = Record<string, string>;
const nameOf = (path: string) => path.replaceAll('.', '/');
const pathOf = (name: string) => name.replaceAll('/', '.');

function fieldsOf(texts: SheetTexts): SheetFields {
  return Object.fromEntries(SHEET_COLUMNS.map((path) => [nameOf(path), texts[path] ?? '']));
}

function textsOf(fields: SheetFields): SheetTexts {
  return Object.fromEntries(Object.entries(fields).map(([name, text]) => [pathOf(name), text]));
}

/** Reads the form as a sheet; what is wrong is named at its field. */
const resolver: Resolver<SheetFields> = (fields) => {
  const read = sheetOfTexts(textsOf(fields));
  if (read.ok) return { values: fields, errors: {} };
  const errors: FieldErrors<SheetFields> = {};
  for (const [path, message] of Object.entries(read.faults)) {
    errors[nameOf(path)] = { type: 'sheet', message };
  }
  return { values: {}, errors };
};

function faultsOf(errors: FieldErrors<SheetFields>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(errors).map(([name, fault]) => [pathOf(name), fault?.message ?? '']),
  );
}

interface SheetFormProps {
  kept: StoredSheet | null;
  /** Whose the sheet may be besides the shop's, where the shop is one of several. */
  chain: ShopChain | null;
}

/** A sheet to enter or to change; what was typed stays until it is kept or left. */
export function SheetForm({ kept, chain }: SheetFormProps) {
  const { register, handleSubmit, setValue, clearErrors, control, formState } =
    useForm<SheetFields>({
      defaultValues: fieldsOf(kept ? textsOfSheet(kept.sheet) : NEW_SHEET),
      resolver,
      // What was wrong stays marked until somebody types into the form again.
      reValidateMode: 'onSubmit',
    });
  const { errors, isDirty } = formState;
  const kind = useWatch({ control, name: 'kind' });
  const [keep, { isLoading, error }] = useSaveSheetsMutation();
  const navigate = useNavigate();
  const faults = faultsOf(errors);

  const field = (path: string) => ({
    error: faults[path] !== undefined,
    ...register(nameOf(path), {
      onChange: () => {
        if (Object.keys(errors).length > 0) clearErrors();
      },
    }),
  });
  const helper = (path: string) =>
    faults[path] === undefined ? undefined : t('sheetForm.expected', { faults: faults[path] });

  const send = (retired: boolean) =>
    handleSubmit(async (fields) => {
      const read = sheetOfTexts(textsOf(fields));
      if (!read.ok) return;
      const id = kept?.id ?? newId();
      const answer = await keep([
        { id, revisionId: newId(), basedOn: kept?.revision ?? 0, sheet: read.sheet, retired },
      ]);
      if (!('error' in answer)) await navigate(`/sheets/${id}`);
    });

  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => void send(false)(event)}
      sx={{ p: { xs: 2, md: 3.5 }, display: 'grid', gap: 2.5, maxWidth: 760 }}
    >
      <Box>
        <Button component={Link} to="/sheets" sx={{ display: { md: 'none' }, mb: 1.5 }}>
          {t('sheetForm.allSheets')}
        </Button>
        <Typography variant="h1" component="h2">
          {kept ? kept.sheet.name : t('sheetForm.aNewSheet')}
        </Typography>
        {kept && (
          <Typography color="textSecondary">
            {t('sheetForm.revisionEnteredBy', {
              revision: kept.revision,
              name: kept.enteredBy,
              day: dayjs(kept.enteredAt).format('D MMM YYYY'),
            })}
            {kept.retired && `; ${t('sheetForm.retiredItIsNo')}`}
          </Typography>
        )}
        {kept && chain && (
          // A new revision would take the place of what is being typed.
          <SheetOrigin kept={kept} chain={chain} isLocked={isDirty} />
        )}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { sm: '1fr 1fr' }, gap: 1.75 }}>
        <TextField
          label={t('sheetForm.nameCarWheelsTrim')}
          required
          {...field('name')}
          helperText={helper('name')}
        />
        <TextField
          label={t('sheetForm.sourceWhereTheFigures')}
          required
          {...field('source')}
          helperText={helper('source')}
        />
        <TextField
          label={t('sheetForm.dateOfTheSource')}
          type="date"
          {...field('sourceDate')}
          helperText={helper('sourceDate')}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <TextField
          label={t('sheetForm.holdsForLoadFuel')}
          {...field('conditions')}
          helperText={helper('conditions')}
        />
      </Box>
      <Choice
        label={t('sheetForm.whoseFigures')}
        options={SPEC_KINDS.map((value) => ({ value, label: KINDS[value] }))}
        value={(kind as SpecKind | undefined) ?? null}
        onChange={(next) => next && setValue('kind', next, { shouldDirty: true })}
      />
      <Box>
        <Typography variant="h2" component="h3">
          {t('sheetForm.limits')}
        </Typography>
        <Typography color="textSecondary" sx={{ mb: 1 }}>
          {t('sheetForm.degreesCamberPlusIs')}
        </Typography>
        {LIMIT_ROWS.map(({ title, path }) => (
          <Box
            key={path}
            role="group"
            aria-label={title}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: 'repeat(3, 1fr)', sm: '1fr repeat(3, 118px)' },
              gap: 1,
              alignItems: 'center',
              borderTop: '1px solid var(--hairline)',
              py: 0.75,
            }}
          >
            <Box sx={{ fontWeight: 600, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>{title}</Box>
            {(['low', 'target', 'high'] as const).map((end) => (
              <NumberText
                key={end}
                figure={{
                  path: `${path}.${end}`,
                  label: {
                    low: t('sheetForm.from'),
                    target: t('sheetForm.target'),
                    high: t('sheetForm.to'),
                  }[end],
                  unit: '°',
                }}
                field={field(`${path}.${end}`)}
              />
            ))}
            <RowFault faults={faults} path={path} />
          </Box>
        ))}
        <RowFault faults={{ camber: faults.camber } as Record<string, string>} path="camber" />
      </Box>
      <Figures
        title={t('sheetForm.betweenLeftAndRight')}
        figures={MOST_FIGURES}
        field={field}
        faults={faults}
      />
      <Figures
        title={t('sheetForm.reachOfTheFactorys')}
        words={t('sheetForm.whereItIsFixed')}
        figures={REACH_FIGURES}
        field={field}
        faults={faults}
      />
      <Figures
        title={t('sheetForm.rideHeightHubCentre')}
        figures={HEIGHT_FIGURES}
        field={field}
        faults={faults}
      />
      <TextField
        label={t('sheetForm.torqueNM')}
        multiline
        minRows={2}
        placeholder={t('sheetForm.wheelNuts120Tie')}
        {...field('torque')}
        helperText={helper('torque')}
      />
      <TextField
        label={t('sheetForm.note')}
        multiline
        minRows={2}
        {...field('note')}
        helperText={helper('note')}
      />
      {error && (
        <Notice kind="caution">
          {t('sheetForm.whatWasTypedIs', { text: failureOf(error).text })}
        </Notice>
      )}
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={isLoading || !isDirty}>
          {kept ? t('sheetForm.saveAsANew') : t('sheetForm.saveTheSheet')}
        </Button>
        {kept && (
          <>
            <Button
              onClick={() =>
                saveFile(
                  `${kept.sheet.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.specification.json`,
                  JSON.stringify(kept.sheet, null, 2),
                  'application/json',
                )
              }
            >
              {t('sheetForm.saveAsJson')}
            </Button>
            <Button disabled={isLoading} onClick={() => void send(!kept.retired)()}>
              {kept.retired ? t('sheetForm.offerItAgain') : t('sheetForm.retireIt')}
            </Button>
          </>
        )}
      </Box>
    </Box>
  );
}

type FieldOf = (path: string) => UseFormRegisterReturn & { error: boolean };

function NumberText({ figure, field }: { figure: Figure; field: ReturnType<FieldOf> }) {
  return (
    <TextField
      label={figure.label}
      {...field}
      slotProps={{
        htmlInput: {
          inputMode: /toe/i.test(figure.path) ? 'text' : 'decimal',
          autoComplete: 'off',
        },
        input: { endAdornment: <InputAdornment position="end">{figure.unit}</InputAdornment> },
      }}
    />
  );
}

/** What is wrong in a row of figures, under all of it. */
function RowFault({ faults, path }: { faults: Record<string, string>; path: string }) {
  const found = Object.entries(faults).filter(
    ([at, text]) => text !== undefined && (at === path || at.startsWith(`${path}.`)),
  );
  if (found.length === 0) return null;
  return (
    <Box role="alert" sx={{ gridColumn: '1 / -1', color: 'var(--marker)', fontSize: '0.85rem' }}>
      {found
        .map(([at, text]) => t('sheetForm.expectedAt', { at: at.split('.').at(-1) ?? at, text }))
        .join('; ')}
    </Box>
  );
}

function Figures(props: {
  title: string;
  words?: string;
  figures: readonly Figure[];
  field: FieldOf;
  faults: Record<string, string>;
}) {
  const { title, words, figures, field, faults } = props;
  return (
    <Box role="group" aria-label={title}>
      <Typography variant="h2" component="h3">
        {title}
      </Typography>
      {words && <Typography color="textSecondary">{words}</Typography>}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
          gap: 1.25,
          mt: 1.25,
        }}
      >
        {figures.map((figure) => (
          <Box key={figure.path}>
            <NumberText figure={figure} field={field(figure.path)} />
            <RowFault faults={faults} path={figure.path} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}
