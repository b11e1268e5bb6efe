import { papers } from '../../words/pageTexts.ts';
import type { PriceItem, PriceList, ShopSettings } from '@keen/contract';
import { PRICE_ITEMS, TAX_MODES } from '@keen/contract';
import { parseMoney, plainMoney, priceRows, readPriceRows } from '@keen/core';
import type { PriceFault } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Papa from 'papaparse';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { FileButton } from '../../shared/FileButton.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { LabourForm } from './LabourForm.tsx';
import { PackageForm } from './PackageForm.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { t } from '../../words/shop.ts';
import { useSaveSettings } from './useSaveSettings.ts';
import { tablesTexts } from '../../words/core/tables.ts';

const TAX_WORDS = {
  included: t('priceForm.taxIsInThem'),
  added: t('priceForm.taxComesOnTop'),
} as const;
const MOST_FAULTS = 4;
const KNOWN = new Set(Intl.supportedValuesOf('currency'));

/** The shop's price list: what Decide weighs the work by, and what estimates are made of. */
export function PriceForm({ settings }: { settings: ShopSettings }) {
  const [keep, { isError }] = useSaveSettings();
  const [told, setTold] = useState<{ read: number; faults: PriceFault[] } | null>(null);
  const { prices } = settings;
  const set = (change: Partial<PriceList>) => void keep({ prices: { ...prices, ...change } });
  const setItem = (item: PriceItem, minor: number) =>
    set({ items: { ...prices.items, [item]: minor } });

  async function take(file: File): Promise<void> {
    const { data } = Papa.parse<string[]>((await file.text()).trim());
    const { list, read, faults } = readPriceRows(data, prices, tablesTexts);
    setTold({ read, faults });
    if (read > 0) set({ items: list.items });
  }

  return (
    <Box component="section" aria-labelledby="prices-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="prices-title">
          {t('priceForm.prices')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('priceForm.decideAndTheEstimates')}
        </Typography>
      </Box>
      {isError && <Notice kind="caution">{t('priceForm.notSavedThePrices')}</Notice>}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        <Box sx={{ width: 130 }}>
          <SavingField
            label={t('priceForm.currency')}
            value={prices.currency}
            check={(text) => (KNOWN.has(text.toUpperCase()) ? null : t('priceForm.aCodeSuchAs'))}
            onChange={(text) => text && set({ currency: text.toUpperCase() })}
          />
        </Box>
        <Box sx={{ width: 110 }}>
          <NumberField
            label={t('priceForm.tax')}
            unit="%"
            decimals={2}
            max={60}
            value={prices.taxPercent}
            onChange={(value) => set({ taxPercent: value ?? 0 })}
          />
        </Box>
        <Choice
          label={t('priceForm.inThePrices')}
          options={TAX_MODES.toReversed().map((value) => ({ value, label: TAX_WORDS[value] }))}
          value={prices.taxMode}
          onChange={(taxMode) => taxMode && set({ taxMode })}
        />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        {PRICE_ITEMS.map((item) => (
          <SavingField
            key={item}
            label={`${papers.prices[item]}, ${prices.currency}`}
            value={plainMoney(prices.items[item], prices.currency)}
            check={(text) =>
              parseMoney(text, prices.currency) === null ? t('priceForm.suchAs9850') : null
            }
            onChange={(text) => {
              const minor = text === null ? 0 : parseMoney(text, prices.currency);
              if (minor !== null) setItem(item, minor);
            }}
          />
        ))}
      </Box>
      {told && (
        <Notice {...(told.faults.length > 0 ? { kind: 'caution' as const } : {})}>
          {t('priceForm.pricesImported', { count: told.read })}{' '}
          {told.faults
            .slice(0, MOST_FAULTS)
            .map(({ line, expected }) => t('priceForm.lineExpected', { line, expected }))
            .join(' ')}
        </Notice>
      )}
      <LabourForm prices={prices} onChange={set} />
      <PackageForm prices={prices} onChange={set} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <FileButton
          label={t('priceForm.priceTable')}
          accept=".csv,.txt,text/csv"
          onFile={(file) => void take(file)}
        >
          {t('priceForm.openAPriceTable')}
        </FileButton>
        <Button onClick={() => saveFile('prices.csv', Papa.unparse(priceRows(prices)), 'text/csv')}>
          {t('priceForm.saveAsCsv')}
        </Button>
      </Box>
    </Box>
  );
}
