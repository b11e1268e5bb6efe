import type { DepthUnit, HouseRules, ShopSettings } from '@keen/contract';
import { depthFromMm, depthToMm, LEGAL_LIMITS, WINTER_LIMITS } from '@keen/core';
import type { DepthLaw } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { t } from '../../words/shop.ts';
import { useSaveSettings } from './useSaveSettings.ts';
import { visitTexts } from '../../words/core/visit.ts';

const FIELDS = [
  { key: 'legal', label: t('limitsForm.legalLimitHere') },
  { key: 'advise', label: t('limitsForm.replaceAtWetRoads') },
  { key: 'snow', label: t('limitsForm.replaceAtSnow') },
] as const;

const HOUSE_DEPTHS = [
  { key: 'pair', label: t('limitsForm.pairWhereTheyDiffer') },
  { key: 'awdMatch', label: t('limitsForm.allWheelDriveApart') },
] as const;
const HOUSE_AGES = [
  { key: 'ageLook', label: t('limitsForm.lookCloselyFrom') },
  { key: 'ageReplace', label: t('limitsForm.replaceFrom') },
] as const;

/** Depths by which tires are judged in this shop; visits that are open keep theirs. */
export function LimitsForm({ settings, unit }: { settings: ShopSettings; unit: DepthUnit }) {
  const [keep, { isError }] = useSaveSettings();
  const { limits } = settings;
  return (
    <Box component="section" aria-labelledby="limits-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="limits-title">
          {t('limitsForm.limits')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('limitsForm.forNewVisitsOnly')}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {FIELDS.map(({ key, label }) => (
          <Box key={key} sx={{ width: 220 }}>
            <NumberField
              label={label}
              unit={DEPTH_UNIT_WORDS[unit]}
              decimals={1}
              max={Math.floor(depthFromMm(12, unit))}
              value={depthFromMm(limits[key], unit)}
              onChange={(value) =>
                value !== null &&
                void keep({ limits: { ...limits, [key]: depthToMm(value, unit) } })
              }
            />
          </Box>
        ))}
      </Box>
      <LawButtons
        title={t('limitsForm.byLawOf')}
        laws={LEGAL_LIMITS}
        chosenMm={limits.legal}
        onChoose={(legal) => void keep({ limits: { ...limits, legal } })}
      />
      <LawButtons
        title={t('limitsForm.winterTiresWhereThey')}
        laws={WINTER_LIMITS}
        chosenMm={limits.snow}
        onChoose={(snow) => void keep({ limits: { ...limits, snow } })}
      />
      <HouseRulesFields settings={settings} unit={unit} onKeep={(change) => void keep(change)} />
      {limits.advise < limits.legal && (
        <Notice kind="caution">{t('limitsForm.whatIsAdvisedLies')}</Notice>
      )}
      {isError && <Notice kind="caution">{t('limitsForm.notSavedTheLimits')}</Notice>}
    </Box>
  );
}

interface HouseRulesFieldsProps {
  settings: ShopSettings;
  unit: DepthUnit;
  onKeep: (change: Pick<ShopSettings, 'houseRules'>) => void;
}

/** What the shop uses where no law settles it. */
function HouseRulesFields({ settings, unit, onKeep }: HouseRulesFieldsProps) {
  const { houseRules } = settings;
  const set = (change: Partial<HouseRules>) => onKeep({ houseRules: { ...houseRules, ...change } });
  return (
    <Box component="fieldset" sx={{ m: 0, p: 0, border: 0 }}>
      <Typography variant="h3" component="legend" color="textSecondary" sx={{ mb: 1, p: 0 }}>
        {t('limitsForm.rulesOfTheHouse')}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {HOUSE_DEPTHS.map(({ key, label }) => (
          <Box key={key} sx={{ width: 250 }}>
            <NumberField
              label={label}
              unit={DEPTH_UNIT_WORDS[unit]}
              decimals={1}
              min={0.1}
              max={Math.floor(depthFromMm(12, unit))}
              value={depthFromMm(houseRules[key], unit)}
              onChange={(value) => value !== null && set({ [key]: depthToMm(value, unit) })}
            />
          </Box>
        ))}
        {HOUSE_AGES.map(({ key, label }) => (
          <Box key={key} sx={{ width: 250 }}>
            <NumberField
              label={label}
              unit={t('limitsForm.yearsOld')}
              decimals={0}
              min={1}
              max={30}
              value={houseRules[key]}
              onChange={(value) => value !== null && set({ [key]: value })}
            />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

interface LawButtonsProps {
  title: string;
  laws: readonly DepthLaw[];
  chosenMm: number;
  onChoose: (mm: number) => void;
}

/** Depths by place, with whose law it is; recalled, so the shop looks its own up. */
function LawButtons({ title, laws, chosenMm, onChoose }: LawButtonsProps) {
  return (
    <Box role="group" aria-label={title}>
      <Typography variant="h3" component="div" color="textSecondary" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {laws.map(({ place, mm, source }) => (
          <Button
            key={place}
            size="small"
            title={t('limitsForm.recalledFromMemory', {
              source: source ?? visitTexts.laws.nationalLaw,
            })}
            variant={mm === chosenMm ? 'contained' : 'outlined'}
            aria-pressed={mm === chosenMm}
            onClick={() => onChoose(mm)}
          >
            {visitTexts.laws.places[place]}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
