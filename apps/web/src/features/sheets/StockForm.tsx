import type { ReadingOrder, ShopSettings } from '@keen/contract';
import { shopSettingsSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSaveSettingsMutation } from '../../api/shopApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { hubShimsIn, hubShimText } from './hubShimText.ts';
import { t } from '../../words/sheets.ts';

const LISTS = [
  { key: 'armShims', label: t('stockForm.armShimsMm'), fault: t('stockForm.thicknessesUpTo30') },
  {
    key: 'offsetBolts',
    label: t('stockForm.offsetBoltsDegreesOf'),
    fault: t('stockForm.whatEachGivesUp'),
  },
] as const;

const ORDERS: readonly { value: ReadingOrder; label: string }[] = [
  { value: 'walkAround', label: t('stockForm.walkingRound') },
  { value: 'axleByAxle', label: t('stockForm.leftToRight') },
  { value: 'outerFirst', label: t('stockForm.axleByAxle') },
];

/** Shims in stock and habits, for everybody in the shop. */
export function StockForm({ settings }: { settings: ShopSettings }) {
  const [keep, { isError }] = useSaveSettingsMutation();
  return (
    <Box
      component="section"
      aria-label={t('stockForm.stock')}
      sx={{ display: 'grid', gap: 1.5, pt: 1 }}
    >
      <Typography variant="h3" color="textSecondary">
        {t('stockForm.forTheWholeShop')}
      </Typography>
      <SavingField
        label={t('stockForm.hubShimTapersDegrees')}
        placeholder={t('stockForm.templateHint')}
        value={hubShimText(settings)}
        check={(text) =>
          shopSettingsSchema.safeParse({ ...settings, ...hubShimsIn(text) }).success
            ? null
            : t('stockForm.tapersUpTo5')
        }
        onChange={(text) => void keep(hubShimsIn(text ?? ''))}
      />
      {LISTS.map(({ key, label, fault }) => (
        <SavingField
          key={key}
          label={label}
          placeholder={t('stockForm.apartBySemicolons')}
          value={settings[key].join('; ')}
          check={(text) => {
            const next = { ...settings, [key]: listIn(text) };
            return shopSettingsSchema.safeParse(next).success ? null : fault;
          }}
          onChange={(text) => void keep({ [key]: listIn(text ?? '') })}
        />
      ))}
      <Choice
        label={t('stockForm.theShopReadsThe')}
        dense
        options={ORDERS}
        value={settings.readingOrder}
        onChange={(readingOrder) => readingOrder && void keep({ readingOrder })}
      />
      {isError && (
        <Typography role="alert" sx={{ color: 'var(--marker)' }}>
          {t('stockForm.theStockWasNot')}
        </Typography>
      )}
    </Box>
  );
}

function listIn(text: string): number[] {
  return text
    .split(/[;\s]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')));
}
