import type { ShopSettings } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { t } from '../../words/shop.ts';
import { useSaveSettings } from './useSaveSettings.ts';

/** How leads sign in, and how long customers' data is stored. */
export function SafetyForm({ settings }: { settings: ShopSettings }) {
  const [save, { isError }] = useSaveSettings();
  const { retention, secondFactorForLeads } = settings;
  const setMonths = (change: Partial<ShopSettings['retention']>) =>
    void save({ retention: { ...retention, ...change } });
  return (
    <Box component="section" aria-labelledby="safety-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h1" component="h2" id="safety-title">
        {t('safetyForm.signInAndCustomers')}
      </Typography>
      <Choice
        label={t('safetyForm.leadsSignInWith')}
        options={[
          { value: 'yes', label: t('safetyForm.required') },
          { value: 'no', label: t('safetyForm.theirChoice') },
        ]}
        value={secondFactorForLeads ? 'yes' : 'no'}
        onChange={(next) => next && void save({ secondFactorForLeads: next === 'yes' })}
      />
      <Typography color="textSecondary">{t('safetyForm.afterACarsLast')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        <Box sx={{ width: 230 }}>
          <NumberField
            label={t('safetyForm.eraseCustomersAfter')}
            unit={t('safetyForm.months')}
            decimals={0}
            min={1}
            max={240}
            value={retention.customerMonths}
            onChange={(customerMonths) => setMonths({ customerMonths })}
          />
        </Box>
        <Box sx={{ width: 230 }}>
          <NumberField
            label={t('safetyForm.deletePicturesAfter')}
            unit={t('safetyForm.months')}
            decimals={0}
            min={1}
            max={240}
            value={retention.photoMonths}
            onChange={(photoMonths) => setMonths({ photoMonths })}
          />
        </Box>
      </Box>
      {isError && <Notice kind="caution">{t('safetyForm.notSavedItIs')}</Notice>}
    </Box>
  );
}
