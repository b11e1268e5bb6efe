import type { PracticeCheck, VisitDraft } from '@keen/contract';
import { PRACTICE_CHECKS, WHEELS } from '@keen/contract';
import { byWheel, formatMoney } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { COMPLAINT_WORDS } from '../../shared/complaintWords.ts';
import { capital, showDegrees } from '../../shared/format.ts';
import { useEnter } from '../../shared/useEnter.ts';
import { usePractice } from './practiceContext.ts';
import { Strokes } from './Strokes.tsx';
import { t } from '../../words/practice.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { practiceTexts } from '../../words/core/practice.ts';
import { FOUND } from '../../words/core/inspect.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** What can be looked at beside the depths: each costs time, some the customer's money. */
export function ChecksStep() {
  const { car, practising, session, draft, goTo, enter } = usePractice();
  const { currency } = session.shop.settings.prices;
  useEnter(() => goTo('answer'));
  return (
    <Box sx={{ maxWidth: 780 }}>
      <Typography variant="h1" component="h2" gutterBottom>
        {t('checksStep.whichChecksAreWorth')}
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 2 }}>
        {t('checksStep.eachTakesTimeAnd')}
      </Typography>
      <Box
        component="ul"
        aria-label={t('checksStep.checks')}
        sx={{ listStyle: 'none', p: 0, m: 0 }}
      >
        {PRACTICE_CHECKS.map((check) => {
          const { minutes, minor } = car.costs[check];
          const isDone = car.done.includes(check);
          return (
            <Box
              component="li"
              key={check}
              sx={{
                borderTop: '1px solid var(--hairline)',
                py: 1.25,
                display: 'grid',
                gridTemplateColumns: { xs: '1fr', sm: '250px minmax(0, 1fr) auto' },
                columnGap: 2,
                rowGap: 0.5,
                alignItems: 'center',
              }}
            >
              <Box sx={{ fontWeight: 600 }}>{practiceTexts.checks[check]}</Box>
              {check === 'stroke' && car.felt && (
                <Box sx={{ gridColumn: { sm: '1 / -1' }, order: 1 }}>
                  <Strokes
                    felt={car.felt}
                    feathers={byWheel((wheel) => draft.tires?.[wheel]?.feather)}
                    onFeather={(wheel, feather) => enter(`tires.${wheel}.feather`, feather)}
                  />
                </Box>
              )}
              <Box sx={{ color: isDone ? undefined : 'text.secondary' }}>
                {isDone
                  ? foundWords(check, draft)
                  : [
                      t('checksStep.min', { minutes }),
                      ...(minor > 0 ? [formatMoney(minor, currency, pageLocale, true)] : []),
                    ].join(', ')}
              </Box>
              {!isDone && (
                <Button disabled={practising.isChecking} onClick={() => practising.check(check)}>
                  {t('checksStep.doIt')}
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
      <Button variant="contained" sx={{ mt: 2 }} onClick={() => goTo('answer')}>
        {t('checksStep.answer')}
      </Button>
    </Box>
  );
}

/** What a check found, in a line. */
function foundWords(check: PracticeCheck, draft: VisitDraft): string {
  const each = (of: (wheel: (typeof WHEELS)[number]) => string | null) =>
    WHEELS.flatMap((wheel) => {
      const words = of(wheel);
      return words === null ? [] : `${whereWords(wheel)} ${words}`;
    });
  const listed = (list: string[], none: string) =>
    list.length > 0 ? capital(list.join('; ')) : none;
  const tire = (wheel: (typeof WHEELS)[number]) => draft.tires?.[wheel];
  switch (check) {
    case 'stroke':
      return t('checksStep.moveTheHandOut');
    case 'waves':
      return listed(
        each((wheel) => {
          const waves = tire(wheel)?.cupping;
          return waves && waves !== 'none' && waves !== 'unknown'
            ? FOUND.cuppings[waves].toLowerCase()
            : null;
        }),
        t('checksStep.noWaves'),
      );
    case 'pressure':
      return listed(
        each((wheel) => {
          const { measured, target } = tire(wheel)?.pressure ?? {};
          if (!measured || !target) return null;
          const percent = `${Math.round((100 * measured) / target)} %`;
          return t('checksStep.ofThePlacard', { percent });
        }),
        t('checksStep.nothingFound'),
      );
    case 'complaints': {
      const said = draft.complaints ?? [];
      return listed(
        said.map((complaint) => COMPLAINT_WORDS[complaint].toLowerCase()),
        t('checksStep.nothingToComplainOf'),
      );
    }
    case 'play':
      return listed(
        each((wheel) => {
          const play = draft.play?.[wheel];
          return play && play !== 'none' && play !== 'unknown'
            ? FOUND.plays[play].toLowerCase()
            : null;
        }),
        t('checksStep.allTight'),
      );
    case 'angles':
      return listed(
        each((wheel) => {
          const { camber, toe } = draft.angles?.[wheel] ?? {};
          if (camber === undefined || toe === undefined) return null;
          return t('checksStep.camberToe', {
            camber: showDegrees(camber, 1),
            toe: showDegrees(toe, 2),
          });
        }),
        t('checksStep.nothingMeasured'),
      );
  }
}
