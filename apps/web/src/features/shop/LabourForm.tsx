import type { PriceList } from '@keen/contract';
import { parseMoney, plainMoney } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { SavingField } from '../../shared/SavingField.tsx';
import { t } from '../../words/shop.ts';

export interface PricePartProps {
  prices: PriceList;
  onChange: (change: Partial<PriceList>) => void;
}

const MOST_RATES = 12;

/** What an hour costs, by kind of work; an estimate takes a line of it. */
export function LabourForm({ prices, onChange }: PricePartProps) {
  const { labour, currency } = prices;
  const set = (at: number, change: Partial<PriceList['labour'][number]>) =>
    onChange({ labour: labour.map((rate, i) => (i === at ? { ...rate, ...change } : rate)) });
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3" component="h3" color="textSecondary">
        {t('labourForm.workByTheHour')}
      </Typography>
      {labour.map((rate, at) => (
        <Box
          key={at}
          sx={{
            display: 'grid',
            gap: 1.5,
            gridTemplateColumns: '1fr 150px 40px',
            alignItems: 'center',
          }}
        >
          <SavingField
            label={t('labourForm.kindOfWork')}
            value={rate.name}
            check={(text) => (text.length > 60 ? t('labourForm.atMost60Letters') : null)}
            onChange={(name) => name && set(at, { name })}
          />
          <SavingField
            label={t('labourForm.perHour', { currency })}
            value={plainMoney(rate.hourMinor, currency)}
            check={(text) =>
              parseMoney(text, currency) === null ? t('labourForm.suchAs7200') : null
            }
            onChange={(text) => {
              const hourMinor = text === null ? null : parseMoney(text, currency);
              if (hourMinor !== null) set(at, { hourMinor });
            }}
          />
          <IconButton
            aria-label={t('labourForm.remove', { name: rate.name })}
            size="small"
            onClick={() => onChange({ labour: labour.filter((_, i) => i !== at) })}
          >
            ×
          </IconButton>
        </Box>
      ))}
      <Box>
        <Button
          variant="text"
          sx={{ px: 0.5 }}
          disabled={labour.length >= MOST_RATES}
          onClick={() =>
            onChange({ labour: [...labour, { name: t('labourForm.otherWork'), hourMinor: 0 }] })
          }
        >
          {t('labourForm.addARate')}
        </Button>
      </Box>
    </Box>
  );
}
