import type { LearningRun } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { spaced } from '../../shared/joined.ts';
import { saveFile } from '../../shared/saveFile.ts';
import { SIDE_BY_SIDE } from '../../shared/sideBySide.ts';
import { percent } from './bandWords.ts';
import { adviceWords } from './adviceWords.ts';
import { FigureTable } from './FigureTable.tsx';
import { faultRows, learnedAsCsv, lineRows, traitRows } from './learnedFigures.ts';
import { t } from '../../words/insights.ts';
import { keepUnits } from '../../words/pageTexts.ts';

type Result = NonNullable<LearningRun['result']>;

/** What a run found, whether it helps, and what it would change. */
export function LearnedResult({ version, result }: { version: number; result: Result }) {
  const lines = lineRows(result);
  return (
    <Box sx={{ mt: 2.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography component="h3" sx={{ flex: 1, fontWeight: 700, fontSize: '1.1rem' }}>
          {helpWords(result)}
        </Typography>
        <Button
          variant="text"
          onClick={() => saveFile(`figures-${version}.csv`, learnedAsCsv(result), 'text/csv')}
        >
          {t('learnedResult.saveAsCsv')}
        </Button>
      </Box>
      <Typography color="textSecondary" sx={{ maxWidth: 860, mb: 1.5 }}>
        {keepUnits(underIt(result))}
      </Typography>
      <Box sx={{ ...SIDE_BY_SIDE, alignItems: 'start' }}>
        <FigureTable title={t('learnedResult.wear')} rows={traitRows(result)} />
        <FigureTable title={t('learnedResult.carsThatComeIn')} rows={faultRows(result)} />
        {lines.length > 0 && <FigureTable title={t('learnedResult.wearByTireLine')} rows={lines} />}
        <Tried tried={result.tried} />
      </Box>
    </Box>
  );
}

/** The latest cars that would have been advised otherwise. */
function Tried({ tried: { cars, changed } }: Pick<Result, 'tried'>) {
  return (
    <Box>
      <Typography variant="h3" color="textSecondary">
        {changed.length === 0
          ? t('learnedResult.noneChanged', { cars })
          : t('learnedResult.someChanged', { cars, changed: changed.length })}
      </Typography>
      <Box component="ul" sx={{ m: 0, mt: 0.5, p: 0, listStyle: 'none' }}>
        {changed.map(({ visitId, number, plate, before, after }) => (
          <Box component="li" key={visitId} sx={{ py: 0.5 }}>
            <Link component={RouterLink} to={`/visits/${visitId}/explain`}>
              {t('learnedResult.visit', { plate, number })}
            </Link>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              : {adviceWords(before)} → {adviceWords(after)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function helpWords({ used, gain: { interval } }: Result): string {
  if (used === 0) {
    return t('learnedResult.yourOwnFiguresFit');
  }
  if (interval === null || interval.low <= 0) {
    return t('learnedResult.yourOwnFiguresMay');
  }
  return t('learnedResult.yourOwnFiguresFitYour');
}

function underIt({ cars, used, gain: { mean, interval } }: Result): string {
  const times = (log: number) => Math.exp(log).toFixed(2);
  const from = t('learnedResult.fromCarsOneVisit', { cars });
  const bold = t('learnedResult.boldIsWhatDiffers');
  if (used === 0) return t('learnedResult.noPartOfThem', { from, bold });
  const part = used === 1 ? '' : t('learnedResult.usedIsThePart', { used: percent(used) });
  const held =
    interval === null
      ? ''
      : t('learnedResult.withThemWhatIs', {
          mean: times(mean),
          low: times(interval.low),
          high: times(interval.high),
        });
  return spaced(from, part, held, bold);
}
