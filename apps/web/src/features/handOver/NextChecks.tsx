import type { DueReminder } from '@keen/contract';
import {
  distanceFromKm,
  distanceToKm,
  datedReminders,
  reminders,
  USUAL_KM_PER_YEAR,
} from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { DUE_WORDS } from '../../shared/dueWords.ts';
import { showAbout } from '../../shared/format.ts';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/handOver.ts';

/** What is due later, with its days; put on the shop's list and into the customer's calendar. */
export function NextChecks() {
  const { detail, draft, enter, units, diagnosing } = useVisit();
  const { kmPerYear = USUAL_KM_PER_YEAR, next } = draft.visit?.handOver ?? {};
  const outlook = diagnosing.answer?.outlook;
  const decision = detail.decisions.at(-1);
  const wheelsOff = decision?.answer === 'yes' && decision.replace.length > 0;
  const from = detail.visit.arrivedAt.slice(0, 10);
  const proposed = outlook
    ? datedReminders(reminders(draft, outlook, wheelsOff), from, kmPerYear)
    : undefined;
  const keep = (list: readonly DueReminder[]) => enter('visit.handOver.next', list);
  const shown = next ?? proposed ?? [];
  return (
    <Box component="section" aria-labelledby="next-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h2" component="h3" id="next-title">
        {t('nextChecks.nextChecks')}
      </Typography>
      <Box sx={{ width: 220 }}>
        <NumberField
          label={t('nextChecks.drivenInAYear')}
          unit={units.distance}
          decimals={0}
          min={Math.round(distanceFromKm(500, units.distance))}
          max={Math.round(distanceFromKm(200_000, units.distance))}
          value={Math.round(distanceFromKm(kmPerYear, units.distance))}
          onChange={(value) =>
            enter(
              'visit.handOver.kmPerYear',
              value === null ? null : distanceToKm(value, units.distance),
            )
          }
        />
      </Box>
      {!next && !proposed && (
        <Typography role="status" color="textSecondary">
          {t('nextChecks.workingOutWhen')}
        </Typography>
      )}
      <Box
        component="ul"
        aria-label={t('nextChecks.nextChecks')}
        sx={{ m: 0, p: 0, listStyle: 'none' }}
      >
        {shown.map((reminder, place) => (
          <Box
            component="li"
            key={reminder.what}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              gap: 1.5,
              alignItems: 'center',
              borderTop: '1px solid var(--hairline)',
              py: 0.75,
            }}
          >
            <Box sx={{ flex: '1 1 220px', opacity: reminder.state === 'open' ? 1 : 0.6 }}>
              <strong>{DUE_WORDS[reminder.what]}</strong>
              {reminder.afterKm !== null && (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  ,{' '}
                  {t('nextChecks.after', {
                    afterKm: showAbout(reminder.afterKm, units.distance),
                    distance: units.distance,
                  })}
                </Box>
              )}
              {reminder.state !== 'open' &&
                `, ${t(reminder.state === 'done' ? 'nextChecks.done' : 'nextChecks.dismissed')}`}
            </Box>
            {next ? (
              <TextField
                label={t('nextChecks.dueBy', { reminder: DUE_WORDS[reminder.what] })}
                type="date"
                size="small"
                value={reminder.on}
                sx={{ width: 210 }}
                slotProps={{ inputLabel: { shrink: true } }}
                onChange={({ target }) =>
                  target.value &&
                  keep(next.map((one, i) => (i === place ? { ...one, on: target.value } : one)))
                }
              />
            ) : (
              <span>{t('nextChecks.by', { on: dayjs(reminder.on).format('D MMM YYYY') })}</span>
            )}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant={next ? 'outlined' : 'contained'}
          disabled={!proposed}
          onClick={() => proposed && keep(proposed)}
        >
          {next ? t('nextChecks.makeTheListAnew') : t('nextChecks.putOnTheShops')}
        </Button>
        <Button
          href={`/api/visits/${detail.visit.id}/due.ics`}
          disabled={!next?.some(({ state }) => state === 'open')}
          download
        >
          {t('nextChecks.forTheCalendarIcs')}
        </Button>
      </Box>
    </Box>
  );
}
