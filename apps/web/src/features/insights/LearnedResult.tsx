import type { LearningRun } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { saveFile } from '../../shared/saveFile.ts';
import { SIDE_BY_SIDE } from '../../shared/sideBySide.ts';
import { percent } from './bandWords.ts';
import { adviceWords } from './adviceWords.ts';
import { FigureTable } from './FigureTable.tsx';
import { faultRows, learnedAsCsv, lineRows, traitRows } from './learnedFigures.ts';

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
          Save as CSV
        </Button>
      </Box>
      <Typography color="textSecondary" sx={{ maxWidth: 860, mb: 1.5 }}>
        {underIt(result)}
      </Typography>
      <Box sx={{ ...SIDE_BY_SIDE, alignItems: 'start' }}>
        <FigureTable title="Wear" rows={traitRows(result)} />
        <FigureTable title="Cars that come in with" rows={faultRows(result)} />
        {lines.length > 0 && <FigureTable title="Wear by tire line" rows={lines} />}
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
        Of {cars} cars seen lately, {changed.length === 0 ? 'none' : changed.length} would be
        advised otherwise{changed.length === 0 ? '.' : ':'}
      </Typography>
      <Box component="ul" sx={{ m: 0, mt: 0.5, p: 0, listStyle: 'none' }}>
        {changed.map(({ visitId, number, plate, before, after }) => (
          <Box component="li" key={visitId} sx={{ py: 0.5 }}>
            <Link component={RouterLink} to={`/visits/${visitId}/explain`}>
              {plate}, visit {number}
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
    return 'Your own figures fit no better than the usual ones: there is nothing to gain yet.';
  }
  if (interval === null || interval.low <= 0) {
    return 'Your own figures may fit your cars a little better; that can be chance.';
  }
  return 'Your own figures fit your cars better than the usual ones.';
}

function underIt({ cars, used, gain: { mean, interval } }: Result): string {
  const times = (log: number) => Math.exp(log).toFixed(2);
  const from = `From ${cars} cars, one visit each, drawn towards the usual figures as long as cars are few.`;
  const bold = 'Bold is what differs from the usual beyond chance.';
  if (used === 0)
    return `${from} No part of them fits cars better that they were not learned from. ${bold}`;
  const part =
    used === 1
      ? ''
      : ` Used is the part that fits cars best that they were not learned from: ${percent(used)} of the way from the usual.`;
  const held =
    interval === null
      ? ''
      : ` With them, what is read of a car that they were not learned from is ${times(mean)} times as likely (${times(interval.low)} to ${times(interval.high)}).`;
  return `${from}${part}${held} ${bold}`;
}
