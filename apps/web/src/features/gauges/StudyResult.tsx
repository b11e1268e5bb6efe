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
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/gauges.ts';

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
        <Typography variant="h2">{t('studyResult.tooFewReadingsTo')}</Typography>
        <Typography color="textSecondary">{t('studyResult.asSoonAsEverybody')}</Typography>
      </Box>
    );
  }
  return (
    <Box
      component="section"
      aria-label={t('studyResult.whatTheStudySays')}
      sx={{ display: 'grid', gap: 3 }}
    >
      <Verdict result={result} />
      {!isWhole && (
        <Notice>
          {t('studyResult.soFarFromOf', {
            length: used.marks.length,
            length2: study.marks.length,
            trials: used.trials,
          })}
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
              {isTable ? t('studyResult.everyReadingMm') : t('studyResult.howFarEachReading')}
            </Typography>
            {isTable && (
              <Button
                variant="text"
                onClick={() =>
                  saveFile('gauge-study.csv', studyAsCsv(study, names, result), 'text/csv')
                }
              >
                {t('studyResult.saveAsCsv')}
              </Button>
            )}
            <Button variant="text" onClick={() => setTable(!isTable)}>
              {isTable ? t('studyResult.asAChart') : t('studyResult.asATable')}
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
        <Folded title={t('studyResult.theAnalysisOfVariance')}>
          <VarianceTable result={result} />
        </Folded>
      </Box>
    </Box>
  );
}

const SEEN = {
  yes: t('studyResult.canSeeHalfA'),
  no: t('studyResult.cannotSeeHalfA'),
  unsure: t('studyResult.mayBeAbleTo'),
} as const;

const BETWEEN_TWO = {
  yes: 'studyResult.stillWithinMmReadings',
  no: 'studyResult.aDifferenceOfMm',
  unsure: 'studyResult.soItIsNot',
} as const;

function Verdict({ result }: { result: GaugeStudy }) {
  const { byOne, byTwo } = result.seen;
  const [one, two] = [canSee(byOne), canSee(byTwo)];
  return (
    <Box sx={{ maxWidth: 860 }}>
      <Typography variant="h1" component="h3">
        {t('studyResult.onePersonWithThis', { seen: SEEN[one] })}
      </Typography>
      <Typography sx={{ mt: 0.5, fontSize: '1.05rem' }}>
        {t('studyResult.twoRibsMustDiffer', { byOne: sizeWords(byOne) })}{' '}
        {t(BETWEEN_TWO[two], { byTwo: sizeWords(byTwo), toSeeMm: TO_SEE_MM })}
      </Typography>
    </Box>
  );
}

function sizeWords({ mm, low, high }: SpreadMm): string {
  return t('studyResult.mmTo', { mm: mm.toFixed(2), low: low.toFixed(2), high: high.toFixed(2) });
}

function Spreads({ result }: { result: GaugeStudy }) {
  const { repeatability, within, reproducibility, gauge, marksDiffer } = result;
  const { categories, partOfTotal, interaction } = result;
  const rows: [string, string, SpreadMm][] = [
    [t('studyResult.onePersonAgain'), 'repeatability', repeatability],
    ...(interaction.isPooled
      ? []
      : [
          [t('studyResult.onePersonMarkBy'), t('studyResult.withTheirOwnWay'), within] as [
            string,
            string,
            SpreadMm,
          ],
        ]),
    [t('studyResult.fromPersonToPerson'), 'reproducibility', reproducibility],
    [t('studyResult.anybodysReading'), t('studyResult.bothTogether'), gauge],
    [t('studyResult.fromMarkToMark'), t('studyResult.whatThereIsTo'), marksDiffer],
  ];
  return (
    <Box>
      <Box
        component="table"
        aria-label={t('studyResult.spreads')}
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
              {t('studyResult.spread')}
            </Box>
            <Box
              component="th"
              scope="col"
              sx={{ textAlign: 'right !important', whiteSpace: 'nowrap' }}
            >
              {t('studyResult.mm')}
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
              {t('studyResult.timesIn')}
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
                {t('studyResult.to', { low: spread.low.toFixed(2), high: spread.high.toFixed(2) })}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography sx={{ mt: 1 }}>
        <Rich text={t('studyResult.partOfTotal', { percent: Math.round(100 * partOfTotal) })} />{' '}
        {Number.isFinite(categories.count) ? (
          <Rich
            text={t('studyResult.stepsToldApart', {
              steps: categories.count,
              low: categories.low,
              high: Number.isFinite(categories.high) ? categories.high : t('studyResult.more'),
            })}
          />
        ) : (
          t('studyResult.allMarksCanBe')
        )}
      </Typography>
    </Box>
  );
}

function Offsets({ result, names }: { result: GaugeStudy; names: readonly string[] }) {
  return (
    <Box>
      <Typography variant="h3" color="textSecondary" sx={{ mb: 0.5 }}>
        {t('studyResult.howEachReadsAgainst')}
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
  if (low <= 0 && high >= 0) return t('studyResult.likeTheOthersWithin');
  const [nearest, farthest] = [Math.abs(low), Math.abs(high)];
  const size = t('studyResult.mmOfSpan', {
    mm: Math.abs(mm).toFixed(2),
    span: t('studyResult.fromTo', {
      low: Math.min(nearest, farthest).toFixed(2),
      high: Math.max(nearest, farthest).toFixed(2),
    }),
  });
  return mm > 0 ? t('studyResult.deeperBy', { size }) : t('studyResult.shallowerBy', { size });
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
        <Rich text={t('studyResult.fromThisTheDiagnosis', { spread: spread.toFixed(2) })} />
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        {isUsed ? (
          <strong>{t('studyResult.newVisitsGoBy')}</strong>
        ) : mayDo(session, 'changeShop') ? (
          <>
            <Button
              variant="contained"
              disabled={!isWhole || isLoading}
              onClick={() => void use(study.id)}
            >
              {t('studyResult.letNewVisitsGo')}
            </Button>
            {!isWhole && (
              <Typography color="textSecondary">{t('studyResult.onceEveryReadingIs')}</Typography>
            )}
          </>
        ) : (
          <Typography color="textSecondary">{t('studyResult.theLeadDecidesWhether')}</Typography>
        )}
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
