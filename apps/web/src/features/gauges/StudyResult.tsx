import type { Session, Study } from '@keen/contract';
import { canSee, readingSpread, ROUNDING_MM, TO_SEE_MM } from '@keen/core';
import type { GaugeStudy, SpreadMm, StudySoFar } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useState } from 'react';
import { useUseStudySpreadMutation } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Folded } from '../../shared/Folded.tsx';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { nameOf } from '../../shared/nameOf.ts';
import { studyAsCsv } from './studyAsCsv.ts';
import { StudyTable } from './StudyTable.tsx';
import { VarianceTable } from './VarianceTable.tsx';

const StudyChart = lazy(async () => ({ default: (await import('./StudyChart.tsx')).StudyChart }));

interface StudyResultProps {
  session: Session;
  study: Study;
  soFar: StudySoFar;
}

/** Whether these people and this gauge see half a millimetre, and all that it rests on. */
export function StudyResult({ session, study, soFar }: StudyResultProps) {
  const { result, used, isWhole } = soFar;
  const [isTable, setTable] = useState(false);
  const names = study.people.map((person) => nameOf(session, person));
  if (!result) {
    return (
      <Box component="section">
        <Typography variant="h2">Too few readings to tell.</Typography>
        <Typography color="textSecondary">
          As soon as everybody has read two marks twice, what can be said is said here.
        </Typography>
      </Box>
    );
  }
  return (
    <Box component="section" aria-label="What the study says" sx={{ display: 'grid', gap: 3 }}>
      <Verdict result={result} />
      {!isWhole && (
        <Notice>
          So far, from {used.marks.length} of {study.marks.length} marks read {used.trials} times by
          everybody.
        </Notice>
      )}
      <Box
        sx={{
          display: 'grid',
          columnGap: 6,
          rowGap: 3,
          alignItems: 'start',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1.2fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 2.5 }}>
          <Spreads result={result} />
          <Offsets result={result} names={names} />
        </Box>
        <Box>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.5 }}>
            <Typography variant="h3" color="textSecondary" sx={{ flex: 1 }}>
              {isTable
                ? 'Every reading, mm'
                : 'How far each reading is from the mean of its mark, mm'}
            </Typography>
            {isTable && (
              <Button
                variant="text"
                onClick={() =>
                  saveFile('gauge-study.csv', studyAsCsv(study, names, result), 'text/csv')
                }
              >
                Save as CSV
              </Button>
            )}
            <Button variant="text" onClick={() => setTable(!isTable)}>
              {isTable ? 'As a chart' : 'As a table'}
            </Button>
          </Box>
          {isTable ? (
            <StudyTable study={study} names={names} />
          ) : (
            <Suspense fallback={<Box sx={{ height: 280 }} />}>
              <StudyChart study={study} names={names} />
            </Suspense>
          )}
        </Box>
      </Box>
      <Use session={session} study={study} result={result} isWhole={isWhole} />
      <Box>
        <Folded title="The analysis of variance">
          <VarianceTable result={result} />
        </Folded>
      </Box>
    </Box>
  );
}

const SEEN = {
  yes: 'can see half a millimetre.',
  no: 'cannot see half a millimetre.',
  unsure: 'may be able to see half a millimetre: too few readings to tell.',
} as const;

function Verdict({ result }: { result: GaugeStudy }) {
  const { byOne, byTwo } = result.seen;
  const [one, two] = [canSee(byOne), canSee(byTwo)];
  return (
    <Box sx={{ maxWidth: 860 }}>
      <Typography variant="h1" component="h3">
        One person with this gauge {SEEN[one]}
      </Typography>
      <Typography sx={{ mt: 0.5, fontSize: '1.05rem' }}>
        Two ribs that one person reads must differ by {sizeWords(byOne)} before it is more than
        chance, 19 times in 20. Between two people it takes {sizeWords(byTwo)}
        {two === 'yes'
          ? `, still within ${TO_SEE_MM} mm: readings of one visit can be held against another’s.`
          : two === 'no'
            ? `: a difference of ${TO_SEE_MM} mm between two people’s readings means nothing.`
            : `, so it is not known yet whether ${TO_SEE_MM} mm between two people’s readings means anything.`}
      </Typography>
    </Box>
  );
}

function sizeWords({ mm, low, high }: SpreadMm): string {
  return `${mm.toFixed(2)} mm (${low.toFixed(2)} to ${high.toFixed(2)})`;
}

function Spreads({ result }: { result: GaugeStudy }) {
  const { repeatability, within, reproducibility, gauge, marksDiffer } = result;
  const { categories, partOfTotal, interaction } = result;
  const rows: [string, string, SpreadMm][] = [
    ['One person, again', 'repeatability', repeatability],
    ...(interaction.isPooled
      ? []
      : [
          ['One person, mark by mark', 'with their own way at each mark', within] as [
            string,
            string,
            SpreadMm,
          ],
        ]),
    ['From person to person', 'reproducibility', reproducibility],
    ['Anybody’s reading', 'both together', gauge],
    ['From mark to mark', 'what there is to see', marksDiffer],
  ];
  return (
    <Box>
      <Box
        component="table"
        aria-label="Spreads"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          '& th, & td': { py: 0.75, borderBottom: '1px solid var(--hairline)' },
          '& td': { textAlign: 'right', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' },
          '& th': { textAlign: 'left', fontWeight: 400 },
        }}
      >
        <thead>
          <tr>
            <Box component="th" scope="col" sx={{ color: 'text.secondary' }}>
              Spread
            </Box>
            <Box
              component="th"
              scope="col"
              sx={{ textAlign: 'right !important', whiteSpace: 'nowrap' }}
            >
              ± mm
            </Box>
            <Box
              component="th"
              scope="col"
              sx={{
                textAlign: 'right !important',
                color: 'text.secondary',
                whiteSpace: 'nowrap',
                pl: 2,
              }}
            >
              19 times in 20
            </Box>
          </tr>
        </thead>
        <tbody>
          {rows.map(([title, what, spread]) => (
            <tr key={title}>
              <th scope="row">
                {title}{' '}
                <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                  {what}
                </Box>
              </th>
              <td>
                <strong>{spread.mm.toFixed(2)}</strong>
              </td>
              <Box component="td" sx={{ color: 'text.secondary', pl: 2 }}>
                {spread.low.toFixed(2)} to {spread.high.toFixed(2)}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography sx={{ mt: 1 }}>
        <strong>{Math.round(100 * partOfTotal)} %</strong> of what is seen over these marks is the
        gauge and its people;{' '}
        {Number.isFinite(categories.count) ? (
          <>
            <strong>{categories.count}</strong> steps of depth can be told apart ({categories.low}{' '}
            to {Number.isFinite(categories.high) ? categories.high : 'more'}).
          </>
        ) : (
          'all marks can be told apart.'
        )}
      </Typography>
    </Box>
  );
}

function Offsets({ result, names }: { result: GaugeStudy; names: readonly string[] }) {
  return (
    <Box>
      <Typography variant="h3" color="textSecondary" sx={{ mb: 0.5 }}>
        How each reads against all
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {result.offsets.map((offset, i) => (
          <Box
            component="li"
            key={names[i]! + String(i)}
            sx={{ display: 'flex', gap: 2, py: 0.5, borderBottom: '1px solid var(--hairline)' }}
          >
            <Box sx={{ flex: 1 }}>{names[i]}</Box>
            <Box>{offsetWords(offset)}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function offsetWords({ mm, low, high }: SpreadMm): string {
  if (low <= 0 && high >= 0) return 'like the others, within chance';
  const span = [low, high].map(Math.abs).toSorted((a, b) => a - b);
  const size = `${Math.abs(mm).toFixed(2)} mm (${span.map((one) => one.toFixed(2)).join(' to ')})`;
  return mm > 0 ? `deeper by ${size}` : `shallower by ${size}`;
}

interface UseProps {
  session: Session;
  study: Study;
  result: GaugeStudy;
  isWhole: boolean;
}

function Use({ session, study, result, isWhole }: UseProps) {
  const [use, { isLoading, error }] = useUseStudySpreadMutation();
  const spread = readingSpread(result, ROUNDING_MM[study.readIn]);
  const isUsed = session.shop.settings.readingSpread?.studyId === study.id;
  return (
    <Box sx={{ borderTop: '1px solid var(--line)', pt: 2, display: 'grid', gap: 1, maxWidth: 860 }}>
      <Typography>
        From this the diagnosis would take one reading to be good for{' '}
        <strong>±{spread.toFixed(2)} mm</strong>: one person’s spread without the rounding, drawn
        towards the usual one the more the smaller the study. What somebody reads too deep
        everywhere is not in it, as it is the same at all ribs and makes no pattern.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        {isUsed ? (
          <strong>New visits go by it.</strong>
        ) : mayDo(session, 'changeShop') ? (
          <>
            <Button
              variant="contained"
              disabled={!isWhole || isLoading}
              onClick={() => void use(study.id)}
            >
              Let new visits go by it
            </Button>
            {!isWhole && (
              <Typography color="textSecondary">Once every reading is there.</Typography>
            )}
          </>
        ) : (
          <Typography color="textSecondary">
            The lead decides whether new visits go by it.
          </Typography>
        )}
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
