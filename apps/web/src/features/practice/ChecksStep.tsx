import type { PracticeCheck, VisitDraft } from '@keen/contract';
import { PRACTICE_CHECKS, WHEELS } from '@keen/contract';
import { byWheel, formatMoney, PLAY_WORDS, WAVE_WORDS, whereWords } from '@keen/core';
import { PRACTICE_CHECK_WORDS } from '@keen/core/practice';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { COMPLAINT_WORDS } from '../../shared/complaintWords.ts';
import { capital, showDegrees } from '../../shared/format.ts';
import { useEnter } from '../../shared/useEnter.ts';
import { usePractice } from './practiceContext.ts';
import { Strokes } from './Strokes.tsx';

/** What can be looked at beside the depths: each costs time, some the customer's money. */
export function ChecksStep() {
  const { car, practising, session, draft, goTo, enter } = usePractice();
  const { currency } = session.shop.settings.prices;
  useEnter(() => goTo('answer'));
  return (
    <Box sx={{ maxWidth: 780 }}>
      <Typography variant="h1" component="h2" gutterBottom>
        Which checks are worth it?
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 2 }}>
        Each takes time, and two are on the customer’s bill. A check that cannot change what you do
        is not worth making.
      </Typography>
      <Box component="ul" aria-label="Checks" sx={{ listStyle: 'none', p: 0, m: 0 }}>
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
              <Box sx={{ fontWeight: 600 }}>{PRACTICE_CHECK_WORDS[check]}</Box>
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
                  : `${minutes} min${minor > 0 ? `, ${formatMoney(minor, currency, 'en', true)}` : ''}`}
              </Box>
              {!isDone && (
                <Button disabled={practising.isChecking} onClick={() => practising.check(check)}>
                  Do it
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
      <Button variant="contained" sx={{ mt: 2 }} onClick={() => goTo('answer')}>
        Answer ↵
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
  const joined = (list: string[], none: string) =>
    list.length > 0 ? capital(list.join('; ')) : none;
  const tire = (wheel: (typeof WHEELS)[number]) => draft.tires?.[wheel];
  switch (check) {
    case 'stroke':
      return 'Move the hand out, away from the car, and back in. What is it?';
    case 'waves':
      return joined(
        each((wheel) => {
          const waves = tire(wheel)?.cupping;
          return waves && waves !== 'none' && waves !== 'unknown'
            ? WAVE_WORDS[waves].toLowerCase()
            : null;
        }),
        'No waves',
      );
    case 'pressure':
      return joined(
        each((wheel) => {
          const { measured, target } = tire(wheel)?.pressure ?? {};
          if (!measured || !target) return null;
          return `${Math.round((100 * measured) / target)} %`;
        }),
        'Nothing found',
      ).concat(' of the placard');
    case 'complaints': {
      const said = draft.complaints ?? [];
      return joined(
        said.map((complaint) => COMPLAINT_WORDS[complaint].toLowerCase()),
        'Nothing to complain of',
      );
    }
    case 'play':
      return joined(
        each((wheel) => {
          const play = draft.play?.[wheel];
          return play && play !== 'none' && play !== 'unknown'
            ? PLAY_WORDS[play].toLowerCase()
            : null;
        }),
        'All tight',
      );
    case 'angles':
      return joined(
        each((wheel) => {
          const { camber, toe } = draft.angles?.[wheel] ?? {};
          if (camber === undefined || toe === undefined) return null;
          return `camber ${showDegrees(camber, 1)}, toe ${showDegrees(toe, 2)}`;
        }),
        'Nothing measured',
      );
  }
}
