import type { Diagnosis } from '@keen/contract';
import { declinedBefore, formatMoney, WHEEL_ORDER } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { DEPTH_UNIT_WORDS, showDepth } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/decide.ts';
import { actionWords, whereWords } from '../../words/pageTexts.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** Rubber below this is not worth a figure of its own, mm. */
const SHOWN_FROM_MM = 0.3;

/** What was advised at an earlier visit and declined, and what that has cost since. */
export function Declined({ diagnosis }: { diagnosis: Diagnosis }) {
  const { detail, draft, session, units } = useVisit();
  const { prices } = session.shop.settings;
  const declined = declinedBefore(detail.history, draft, diagnosis, prices);
  if (!declined) return null;
  const { advised, arrivedAt, number, reason, lostMm, tires, cost, work } = declined;
  const money = (minor: number) => formatMoney(minor, prices.currency, pageLocale, true);
  const lost = WHEEL_ORDER.filter((wheel) => lostMm[wheel] >= SHOWN_FROM_MM);
  return (
    <Box
      component="section"
      aria-labelledby="declined-title"
      sx={{ borderLeft: '3px solid var(--marker)', pl: 1.75 }}
    >
      <Typography variant="h2" component="h3" id="declined-title">
        {t('declined.declinedAtVisit', {
          number,
          arrivedAt: dayjs(arrivedAt).format('D MMM YYYY'),
        })}
      </Typography>
      <Typography>
        {t('declined.advisedThen', { action: lower(actionWords(advised, false)) })}{' '}
        {reason && `“${reason}” `}
        <Rich
          text={t('declined.tookSince', {
            took: lost
              .map((wheel) =>
                t('declined.atThe', {
                  depth: showDepth(lostMm[wheel], units.depth),
                  depthUnitWords: DEPTH_UNIT_WORDS[units.depth],
                  wheel: whereWords(wheel),
                }),
              )
              .join(', '),
            tires: tires.toFixed(1),
            cost: money(cost),
            work: money(work),
          })}
        />
      </Typography>
    </Box>
  );
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
