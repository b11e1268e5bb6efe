import type { ReadingOrder, ShopSettings } from '@keen/contract';
import { shopSettingsSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useKeepSettingsMutation } from '../../api/shopApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { hubShimsIn, hubShimText } from './hubShimText.ts';

const LISTS = [
  { key: 'armShims', label: 'Arm shims, mm', fault: 'Thicknesses up to 30 mm, such as 0.8; 1.6' },
  {
    key: 'offsetBolts',
    label: 'Offset bolts, degrees of camber',
    fault: 'What each gives, up to 5°, such as 1; 1.75',
  },
] as const;

const ORDERS: readonly { value: ReadingOrder; label: string }[] = [
  { value: 'walkRound', label: 'Walking round' },
  { value: 'axleByAxle', label: 'Left to right' },
  { value: 'outerFirst', label: 'Axle by axle' },
];

/** Shims in stock and habits, for everybody in the shop. */
export function StockForm({ settings }: { settings: ShopSettings }) {
  const [keep, { isError }] = useKeepSettingsMutation();
  return (
    <Box component="section" aria-label="Stock" sx={{ display: 'grid', gap: 1.5, pt: 1 }}>
      <Typography variant="h3" color="textSecondary">
        For the whole shop
      </Typography>
      <SavingField
        label="Hub shim tapers, degrees"
        placeholder="0.25; 0.5, or with part and template: 0.5 HS-50 B"
        value={hubShimText(settings)}
        check={(text) =>
          shopSettingsSchema.safeParse({ ...settings, ...hubShimsIn(text) }).success
            ? null
            : 'Tapers up to 5°, such as 0.25; 0.5 HS-50 B'
        }
        onChange={(text) => void keep(hubShimsIn(text ?? ''))}
      />
      {LISTS.map(({ key, label, fault }) => (
        <SavingField
          key={key}
          label={label}
          placeholder="Apart by semicolons"
          value={settings[key].join('; ')}
          check={(text) => {
            const next = { ...settings, [key]: listIn(text) };
            return shopSettingsSchema.safeParse(next).success ? null : fault;
          }}
          onChange={(text) => void keep({ [key]: listIn(text ?? '') })}
        />
      ))}
      <Choice
        label="The shop reads the ribs"
        dense
        options={ORDERS}
        value={settings.readingOrder}
        onChange={(readingOrder) => readingOrder && void keep({ readingOrder })}
      />
      {isError && (
        <Typography role="alert" sx={{ color: 'var(--marker)' }}>
          The stock was not saved; it is tried again with the next change.
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
