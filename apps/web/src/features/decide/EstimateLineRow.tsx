import type { EstimateLine, LineAnswer } from '@keen/contract';
import { formatMoney, lineMinor, parseMoney, plainMoney } from '@keen/core';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { t } from '../../words/decide.ts';

export const LINE_ANSWERS: readonly { value: LineAnswer; label: string }[] = [
  { value: 'accepted', label: t('estimateLineRow.yes') },
  { value: 'declined', label: t('estimateLineRow.no') },
  { value: 'later', label: t('estimateLineRow.later') },
];

interface EstimateLineRowProps {
  line: EstimateLine;
  currency: string;
  onChange: (line: EstimateLine) => void;
  onRemove: () => void;
}

/** One line: what, how many, what one costs, and what the customer says of it. */
export function EstimateLineRow({ line, currency, onChange, onRemove }: EstimateLineRowProps) {
  return (
    <Box
      component="li"
      aria-label={line.what}
      sx={{ borderTop: '1px solid var(--hairline)', py: 1.25, display: 'grid', gap: 1 }}
    >
      <Box
        sx={{
          display: 'grid',
          gap: 1,
          alignItems: 'center',
          gridTemplateColumns: { xs: '1fr 1fr auto', sm: '1fr 76px 118px 92px 40px' },
          '& > :first-of-type': { gridColumn: { xs: '1 / -1', sm: 'auto' } },
        }}
      >
        <SavingField
          label={t('estimateLineRow.what')}
          value={line.what}
          // Reworded, it is no longer what the price list calls it.
          onChange={(what) => what && onChange({ ...line, item: undefined, what })}
        />
        <NumberField
          label={t('estimateLineRow.count')}
          unit=""
          decimals={2}
          min={0.01}
          max={99}
          value={line.quantity}
          onChange={(quantity) => quantity !== null && onChange({ ...line, quantity })}
        />
        <SavingField
          label={t('estimateLineRow.each', { currency })}
          value={plainMoney(line.unitMinor, currency)}
          check={(text) =>
            parseMoney(text, currency) === null ? t('estimateLineRow.anAmountSuchAs') : null
          }
          onChange={(text) => {
            const unitMinor = text === null ? null : parseMoney(text, currency);
            if (unitMinor !== null) onChange({ ...line, unitMinor });
          }}
        />
        <Box sx={{ textAlign: 'right', fontVariantNumeric: 'tabular-nums', fontWeight: 650 }}>
          {formatMoney(lineMinor(line), currency)}
        </Box>
        <IconButton
          aria-label={t('estimateLineRow.remove', { what: line.what })}
          onClick={onRemove}
          size="small"
        >
          ×
        </IconButton>
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Choice
          label={t('estimateLineRow.theCustomerSays', { what: line.what })}
          hideLabel
          dense
          options={LINE_ANSWERS}
          value={line.answer ?? null}
          onChange={(answer) => onChange(answered(line, answer))}
        />
        {line.answer === 'declined' && (
          <Box sx={{ flex: '1 1 220px' }}>
            <SavingField
              label={t('estimateLineRow.whyNotInThe')}
              value={line.reason ?? ''}
              onChange={(reason) => {
                const next = { ...line };
                delete next.reason;
                onChange(reason ? { ...next, reason } : next);
              }}
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** The line with another answer; a reason belongs to a no. */
export function answered(line: EstimateLine, answer: LineAnswer | null): EstimateLine {
  const next = { ...line };
  if (answer === null) delete next.answer;
  else next.answer = answer;
  if (answer !== 'declined') delete next.reason;
  return next;
}
