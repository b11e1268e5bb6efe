import type { Season, Wheel } from '@keen/contract';
import {
  belowPlacard,
  InputError,
  readDateCode,
  tireAgeYears,
  WHEEL_ORDER,
  placardWords,
} from '@keen/core';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useTireLinesQuery } from '../../api/keenApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/arrive.ts';
import { term } from '../../words/terms.ts';
import { visitTexts } from '../../words/core/visit.ts';

const SEASON_OPTIONS: readonly { value: Season; label: string }[] = [
  { value: 'summer', label: t('tireDetails.summer') },
  { value: 'allSeason', label: t('tireDetails.allSeasons') },
  { value: 'winter', label: t('tireDetails.winterMark') },
];

/** What the sidewalls say beyond the size: line, week and year, valve; the placard's size beside it. */
export function TireDetails() {
  const { draft, enter } = useVisit();
  const { car, tires = {} } = draft.visit ?? {};
  const placardSaid = (['front', 'rear'] as const).flatMap((axle) => {
    const placard = car?.placard?.[axle];
    const fitted = draft.tires?.[axle === 'front' ? 'lf' : 'lr']?.size;
    if (!placard || !fitted) return [];
    return belowPlacard(fitted, placard).map(
      (below) => `${term(`axle.${axle}`)}: ${placardWords(below, visitTexts)}`,
    );
  });
  return (
    <Box sx={{ display: 'grid', gap: 2, pb: 1 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 1.5 }}>
        {(['front', 'rear'] as const).map((axle) => (
          <SavingField
            key={axle}
            label={t('tireDetails.sizeOnThePlacard', { axle: term(`axle.${axle}`) })}
            placeholder="205/55R16 91V"
            value={car?.placard?.[axle] ?? ''}
            onChange={(size) => enter(`visit.car.placard.${axle}`, size)}
          />
        ))}
      </Box>
      {placardSaid.length > 0 && (
        <Notice kind="caution">
          {t('tireDetails.belowThePlacardFitted', { placardSaid: placardSaid.join('; ') })}
        </Notice>
      )}
      {WHEEL_ORDER.map((wheel) => (
        <Box
          key={wheel}
          role="group"
          aria-label={t('tireDetails.sidewall', { tire: WHEEL_LABELS[wheel] })}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr 1fr', sm: '96px 1.4fr 1fr auto' },
            gap: 1.25,
            alignItems: 'start',
            borderTop: '1px solid var(--hairline)',
            pt: 1.25,
          }}
        >
          <Box sx={{ fontWeight: 650, gridColumn: { xs: '1 / -1', sm: 'auto' }, pt: 1.25 }}>
            {WHEEL_LABELS[wheel]}
          </Box>
          <LineField wheel={wheel} />
          <Box>
            <SavingField
              label={t('tireDetails.weekAndYear')}
              placeholder="2319"
              value={tires[wheel]?.dateCode ?? ''}
              check={dateFault}
              onChange={(code) => enter(`visit.tires.${wheel}.dateCode`, code)}
            />
            <Age code={tires[wheel]?.dateCode} />
          </Box>
          <ToggleButton
            value="leak"
            selected={tires[wheel]?.leak === true}
            onChange={() => enter(`visit.tires.${wheel}.leak`, tires[wheel]?.leak ? null : true)}
            sx={{ whiteSpace: 'nowrap' }}
          >
            {t('tireDetails.leaksAtTheValve')}
          </ToggleButton>
          <Box sx={{ gridColumn: { xs: '1 / -1', sm: '2 / -1' } }}>
            <Choice
              label={t('tireDetails.isMadeFor', { wheelLabels: WHEEL_LABELS[wheel] })}
              hideLabel
              dense
              options={SEASON_OPTIONS}
              value={tires[wheel]?.season ?? null}
              onChange={(season) => enter(`visit.tires.${wheel}.season`, season)}
            />
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** The maker's line; one that the shop knows brings its depth when new along. */
function LineField({ wheel }: { wheel: Wheel }) {
  const { draft, enter } = useVisit();
  const { data: lines = [] } = useTireLinesQuery();
  const line = draft.visit?.tires?.[wheel]?.line ?? '';

  function keep(text: string): void {
    const name = text.trim();
    if (name === line) return;
    enter(`visit.tires.${wheel}.line`, name === '' ? null : name.slice(0, 60));
    const known = lines.find((one) => one.line.toLowerCase() === name.toLowerCase());
    if (known && draft.tires?.[wheel]?.newDepth !== known.newDepth) {
      enter(`tires.${wheel}.newDepth`, known.newDepth);
    }
  }

  return (
    <Autocomplete
      freeSolo
      options={lines.map((one) => one.line)}
      value={line}
      onChange={(_event, text) => keep(text ?? '')}
      renderInput={(params) => (
        <TextField
          {...params}
          label={t('tireDetails.line')}
          onBlur={({ target }) => keep(target.value)}
        />
      )}
    />
  );
}

function Age({ code }: { code: string | undefined }) {
  const { session } = useVisit();
  if (!code || dateFault(code)) return null;
  const { ageLook, ageReplace } = session.shop.settings.houseRules;
  const years = tireAgeYears(code, today());
  const words =
    years >= ageReplace
      ? t('tireDetails.yearsAndMoreReplace', { ageReplace })
      : years >= ageLook
        ? t('tireDetails.yearsAndMoreLook', { ageLook })
        : null;
  return (
    <Typography variant="body2" color="textSecondary" sx={{ mt: 0.25 }}>
      {t('tireDetails.years', { years: years.toFixed(1) })}
      {words && <strong>, {words}</strong>}
    </Typography>
  );
}

function dateFault(code: string): string | null {
  try {
    readDateCode(code, today());
    return null;
  } catch (error) {
    if (error instanceof InputError)
      return t('tireDetails.expected', { expected: expectedWords(error) });
    throw error;
  }
}

function today(): string {
  return dayjs().format('YYYY-MM-DD');
}
