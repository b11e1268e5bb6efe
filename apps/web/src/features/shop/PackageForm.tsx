import { papers } from '../../words/pageTexts.ts';
import type { PriceItem, PricePackage } from '@keen/contract';
import { PRICE_ITEMS } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { NumberField } from '../../shared/NumberField.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import type { PricePartProps } from './LabourForm.tsx';
import { t } from '../../words/shop.ts';

const MOST_PACKAGES = 12;
const NEW: PricePackage = {
  name: t('packageForm.tiresAndAlignment'),
  items: ['align', 'fitTire'],
  offPercent: 10,
};

/** Items that cost less together; an estimate offers those that fit it. */
export function PackageForm({ prices, onChange }: PricePartProps) {
  const { packages } = prices;
  const set = (at: number, change: Partial<PricePackage>) =>
    onChange({ packages: packages.map((pack, i) => (i === at ? { ...pack, ...change } : pack)) });
  const toggle = (at: number, items: readonly PriceItem[], item: PriceItem) => {
    const next = items.includes(item) ? items.filter((one) => one !== item) : [...items, item];
    // One item alone is not a package.
    if (next.length >= 2) set(at, { items: next });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h3" component="h3" color="textSecondary">
        {t('packageForm.packages')}
      </Typography>
      {packages.map((pack, at) => (
        <Box
          key={at}
          component="section"
          aria-label={t('packageForm.package', { name: pack.name })}
          sx={{ borderTop: '1px solid var(--hairline)', pt: 1.5, display: 'grid', gap: 1 }}
        >
          <Box
            sx={{
              display: 'grid',
              gap: 1.5,
              gridTemplateColumns: '1fr 110px 40px',
              alignItems: 'center',
            }}
          >
            <SavingField
              label={t('packageForm.packageTitle')}
              value={pack.name}
              check={(text) => (text.length > 60 ? t('packageForm.atMost60Letters') : null)}
              onChange={(name) => name && set(at, { name })}
            />
            <NumberField
              label={t('packageForm.discount')}
              unit="%"
              decimals={1}
              min={0.1}
              max={90}
              value={pack.offPercent}
              onChange={(offPercent) => offPercent !== null && set(at, { offPercent })}
            />
            <IconButton
              aria-label={t('packageForm.remove', { name: pack.name })}
              size="small"
              onClick={() => onChange({ packages: packages.filter((_, i) => i !== at) })}
            >
              ×
            </IconButton>
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
            {PRICE_ITEMS.map((item) => (
              <ToggleButton
                key={item}
                value={item}
                size="small"
                selected={pack.items.includes(item)}
                onChange={() => toggle(at, pack.items, item)}
              >
                {papers.prices[item]}
              </ToggleButton>
            ))}
          </Box>
        </Box>
      ))}
      <Box>
        <Button
          variant="text"
          sx={{ px: 0.5 }}
          disabled={packages.length >= MOST_PACKAGES}
          onClick={() => onChange({ packages: [...packages, NEW] })}
        >
          {t('packageForm.oneMorePackage')}
        </Button>
      </Box>
    </Box>
  );
}
