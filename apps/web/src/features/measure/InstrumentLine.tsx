import type { Method, VisitDraft } from '@keen/contract';
import { INSTRUMENT_FACTS } from '@keen/core';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { t } from '../../words/measure.ts';

/** The shop's own instrument of this method, and how it stood at its last check; nothing where it has none. */
export function InstrumentLine({ draft, method }: { draft: VisitDraft; method: Method }) {
  const own = draft.visit?.measure?.instruments?.[method];
  if (!own) return null;
  const isOff = own.errorSd > INSTRUMENT_FACTS[method].mostOff;
  return (
    <Typography
      variant="body2"
      sx={{ color: isOff ? 'var(--marker)' : 'text.secondary', mt: -0.75 }}
    >
      {isOff && <span aria-hidden>◆ </span>}
      {own.name},{' '}
      {own.checkedAt === null
        ? t('instrumentLine.neverChecked')
        : t('instrumentLine.lastCheckedOffBy', {
            checkedAt: dayjs(own.checkedAt).format('D MMM YYYY'),
            errorSd: own.errorSd.toFixed(2),
          })}
      {isOff && `: ${t('instrumentLine.setItRightBefore')}`}
    </Typography>
  );
}
