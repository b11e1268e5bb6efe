import type { Adjuster, Learned } from '@keen/contract';
import { turnLeft } from '@keen/core';
import type { PlanStep } from '@keen/core';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { useSheetTurnsQuery } from '../../api/keenApi.ts';
import { showDegrees } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { amountWords, unitOf } from './turnWords.ts';
import { t } from '../../words/setRight.ts';

interface FromEarlierProps {
  step: PlanStep;
  adjuster: Adjuster;
  /** Standard uncertainty of the reading that the change is counted from, degrees. */
  sd: number;
}

/** What a turn of this adjuster did at an earlier visit, or on other cars of the sheet: where to begin. */
export function FromEarlier({ step, adjuster, sd }: FromEarlierProps) {
  const { draft } = useVisit();
  const sheetId = draft.visit?.sheet?.sheetId ?? null;
  const { data: onSheet = [] } = useSheetTurnsQuery(sheetId ?? '', { skip: sheetId === null });
  const isIt = (one: Learned) =>
    one.adjuster === adjuster && one.kind === step.kind && one.axle === step.axle;
  const own = draft.visit?.car?.learned?.find(isIt);
  const found = own ?? onSheet.find(isIt);
  const unit = unitOf(adjuster);
  if (!found || !unit || step.change === null || step.change === 0) return null;
  // Half of a total at each rod.
  const share = step.where === null && step.kind === 'toe' ? 2 : 1;
  const left = turnLeft(
    { perUnit: found.perUnit, sd: found.sd, isPlain: found.perUnit > 2 * found.sd },
    Math.abs(step.change) / share,
    sd / share,
  );
  const from = own
    ? t('fromEarlier.onThisCar', { at: dayjs(own.at).format('D MMM YYYY') })
    : t('fromEarlier.onCarsOfThis');
  return (
    <Box sx={{ color: 'text.secondary' }}>
      {t('fromEarlier.oneMovedItBy', {
        from,
        unit: unit.one,
        moved: showDegrees(found.perUnit, 2).replace('+', ''),
        sd: Math.max(0.01, found.sd).toFixed(2),
      })}
      {left && (
        <Box component="span" sx={{ color: 'var(--ink)', fontWeight: 650 }}>
          {' '}
          {t(share === 2 ? 'fromEarlier.startAtEachRod' : 'fromEarlier.startWith', {
            amount: amountWords(left.amount, adjuster),
          })}
        </Box>
      )}
    </Box>
  );
}
