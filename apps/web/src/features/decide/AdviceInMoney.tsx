import type { Action } from '@keen/contract/words';
import { formatMoney } from '@keen/core';
import type { CostComparison } from '@keen/core';
import Typography from '@mui/material/Typography';
import { showFar, showPercent } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { courseWords } from '../../words/pageTexts.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** A lead of less than this part of the whole cost is a close call. */
const CLOSE = 0.03;
const THOUSAND = 1000;
/** Work that is done for how the car drives, also where it saves no rubber. */
const SAFETY_WORK: readonly Action[] = ['partsThenAlign', 'balanceOrDampers'];

interface AdviceInMoneyProps {
  weighing: CostComparison;
  /** Whether new tires go on now. */
  fitsTires: boolean;
}

/** What is advised, how close the call is, and what knowing more would be worth. */
export function AdviceInMoney({ weighing, fitsTires }: AdviceInMoneyProps) {
  const { session, units } = useVisit();
  const { currency, items } = session.shop.settings.prices;
  const { advised, next, worthOfMeasuring, horizonKm, sure } = weighing;
  const { saves } = advised;
  const money = (minor: number) => formatMoney(minor, currency, pageLocale, true);
  const span = `${showFar(horizonKm, units.distance)} ${units.distance}`;
  const total = (advised.perThousandKm * horizonKm) / THOUSAND;
  const isClose = next !== null && next.dearer < CLOSE * total;
  return (
    <Typography component="div">
      {next === null ? (
        <>{t('adviceInMoney.everythingElseIsLeft')}</>
      ) : (
        <>
          {isClose && `${t('adviceInMoney.aCloseCall')} `}
          {t('adviceInMoney.nextBest', {
            span,
            next: courseWords(next.choice.course, fitsTires, weighing).toLowerCase(),
            dearer: money(next.dearer),
            sure: showPercent(sure),
          })}
        </>
      )}
      {saves.mean < 0 && SAFETY_WORK.includes(advised.course) && (
        <> {t('adviceInMoney.advisedForSafety', { more: money(-saves.mean) })}</>
      )}
      {advised.course !== 'checkAlignment' && worthOfMeasuring > 0.5 * items.check && (
        <>
          {' '}
          {t('adviceInMoney.knowingBeforehandWhetherAn', {
            worthOfMeasuring: money(worthOfMeasuring),
            check: money(items.check),
          })}
        </>
      )}
    </Typography>
  );
}
