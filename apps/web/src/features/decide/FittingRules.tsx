import type { Wheel } from '@keen/contract';
import { brokenRules, fittingWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { capital } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { visitTexts } from '../../words/core/visit.ts';

interface FittingRulesProps {
  replace: readonly Wheel[];
  /** Replaces these as well. */
  onAlso: (wheels: readonly Wheel[]) => void;
}

/** What the choice of new tires would break, whose rule it is, and what would keep it. */
export function FittingRules({ replace, onAlso }: FittingRulesProps) {
  const { draft, session } = useVisit();
  const broken = brokenRules(
    draft,
    replace,
    dayjs().format('YYYY-MM-DD'),
    session.shop.settings.houseRules,
  );
  if (broken.length === 0) return null;
  const rules = broken.map((one) => ({ ...one, ...fittingWords(one.fault, visitTexts) }));
  return (
    <Box
      component="ul"
      aria-label={t('fittingRules.rulesOfFitting')}
      sx={{ m: 0, p: 0, listStyle: 'none' }}
    >
      {rules.map(({ rule, wheels, words, keeps, alsoReplace }) => (
        <Box
          component="li"
          key={rule + words}
          sx={{
            borderLeft: '3px solid var(--marker)',
            pl: 1.25,
            py: 0.25,
            mb: 1,
            display: 'grid',
            gap: 0.5,
            justifyItems: 'start',
          }}
        >
          <Box>
            <Box component="span" sx={{ fontWeight: 650 }}>
              {capital(wheels.map(whereWords).join(', '))}: {words}.
            </Box>{' '}
            {t('fittingRules.whatWouldKeepIt', { keeps })}
          </Box>
          <Typography sx={{ color: 'text.secondary', fontSize: '0.8rem' }}>
            {capital(visitTexts.fittingSources[rule])}.
          </Typography>
          {alsoReplace.length > 0 && (
            <Button onClick={() => onAlso(alsoReplace)}>
              {t('fittingRules.replaceToo', {
                alsoReplace: alsoReplace.map(whereWords).join(', '),
              })}
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
