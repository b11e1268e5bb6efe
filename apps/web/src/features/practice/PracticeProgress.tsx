import type { PracticeBoard, PracticeProgress as ProgressOf, Session } from '@keen/contract';
import { formatMoney, LEAST_CARS } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import Papa from 'papaparse';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { useShowPracticeMutation } from '../../api/practiceApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { Notice } from '../../shared/Notice.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { showPoints } from './showPoints.ts';
import { Skills } from './Skills.tsx';
import { t } from '../../words/practice.ts';
import { practiceTexts } from '../../words/core/practice.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

const AgainstChart = lazy(async () => ({
  default: (await import('../../shared/AgainstChart.tsx')).AgainstChart,
}));
const TICKS = [0, 20, 40, 60, 80, 100];
const SHOWN_TRIES = 12;

/** How one does, one's cars, and for the lead those who show it. */
export function PracticeProgress({ board, session }: { board: PracticeBoard; session: Session }) {
  const [show, { isLoading, error }] = useShowPracticeMutation();
  const { own, tries, isShown, shown } = board;
  const { currency } = session.shop.settings.prices;
  return (
    <Box sx={{ display: 'grid', gap: 2.5, alignContent: 'start' }}>
      <Box component="section" aria-label={t('practiceProgress.yourProgress')}>
        <Typography variant="h2" component="h3" gutterBottom>
          {t('practiceProgress.yourProgress')}
        </Typography>
        {own.points === null ? (
          <Typography color="textSecondary">{t('practiceProgress.yourScoreShowsHere')}</Typography>
        ) : (
          <ProgressWords progress={own} />
        )}
        <Skills skills={own.skills} currency={currency} />
        {own.bands.length > 0 && (
          <Suspense fallback={<Box sx={{ height: 260 }} />}>
            <AgainstChart
              points={own.bands.map(({ said, found, low, high }) => ({
                said: 100 * said,
                found: 100 * found,
                spread: [100 * (found - low), 100 * (high - found)],
              }))}
              ticks={TICKS}
              saidLabel={t('practiceProgress.howSureYouWere')}
              foundLabel={t('practiceProgress.cameTrue')}
              label={own.bands
                .map(({ said, found, count }) =>
                  t('practiceProgress.ofCausesGivenIn', {
                    count,
                    said: Math.round(100 * said),
                    seen: Math.round(100 * found),
                  }),
                )
                .join('; ')}
            />
          </Suspense>
        )}
        {own.cars > 0 && own.cars < LEAST_CARS && (
          <Typography color="textSecondary" sx={{ fontSize: '0.88rem' }}>
            {t('practiceProgress.ofCarsTooFew', { cars: own.cars, leastCars: LEAST_CARS })}
          </Typography>
        )}
      </Box>
      {tries.length > 0 && (
        <Box component="section" aria-label={t('practiceProgress.yourCars')}>
          <Box sx={{ display: 'flex', alignItems: 'baseline' }}>
            <Typography variant="h2" component="h3" sx={{ flex: 1 }}>
              {t('practiceProgress.yourCars')}
            </Typography>
            <Button
              variant="text"
              onClick={() => saveFile('practice.csv', triesAsCsv(board), 'text/csv')}
            >
              {t('practiceProgress.saveAsCsv')}
            </Button>
          </Box>
          <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {tries.slice(0, SHOWN_TRIES).map((one) => (
              <Box
                component="li"
                key={one.id}
                sx={{ borderTop: '1px solid var(--hairline)', display: 'flex', gap: 1.5, py: 0.5 }}
              >
                <Box
                  component={Link}
                  to={`/practice/${one.id}/${one.finishedAt ? 'result' : 'read'}`}
                  sx={{ color: 'inherit', flex: 1, minHeight: 28, display: 'inline-block' }}
                >
                  {practiceTexts.lessons[one.lesson].title}
                </Box>
                <Box sx={{ color: 'text.secondary' }}>{dayjs(one.startedAt).format('D MMM')}</Box>
                <Box sx={{ minWidth: 170, textAlign: 'right' }}>
                  {one.points === null
                    ? t('practiceProgress.notAnsweredYet')
                    : t('practiceProgress.bestLost', {
                        points: showPoints(one.points),
                        points2: showPoints(one.bestPoints ?? 0),
                        money: formatMoney(one.lost ?? 0, currency, pageLocale, true),
                      })}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      )}
      <Box>
        <Choice
          label={t('practiceProgress.canTheLeadSee')}
          options={[
            { value: 'yes', label: t('practiceProgress.yes') },
            { value: 'no', label: t('practiceProgress.no') },
          ]}
          value={isShown ? 'yes' : 'no'}
          onChange={(value) => value && !isLoading && void show(value === 'yes')}
          dense
        />
        {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      </Box>
      {shown.length > 0 && (
        <Box component="section" aria-label={t('practiceProgress.theShop')}>
          <Typography variant="h2" component="h3" gutterBottom>
            {t('practiceProgress.theShop')}
          </Typography>
          {shown.map((progress) => (
            <Box key={progress.personId} sx={{ borderTop: '1px solid var(--hairline)', py: 0.75 }}>
              <strong>{nameOf(session, progress.personId)}</strong>
              <ProgressWords progress={progress} />
              <Skills skills={progress.skills} currency={currency} />
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

function ProgressWords({ progress }: { progress: ProgressOf }) {
  const { cars, points, bestPoints, brier } = progress;
  if (points === null || bestPoints === null || brier === null) {
    return <Typography color="textSecondary">{t('practiceProgress.noCarAnsweredYet')}</Typography>;
  }
  return (
    <Typography>
      <Box component="span" className="condensed" sx={{ fontSize: '1.7rem', fontWeight: 700 }}>
        {showPoints(points)}
      </Box>{' '}
      {t('practiceProgress.pointsACar', {
        count: cars,
        bestPoints: showPoints(bestPoints),
        brier: brier.toFixed(2),
      })}
    </Typography>
  );
}

function triesAsCsv({ tries }: PracticeBoard): string {
  return Papa.unparse(
    tries.map(({ lesson, code, startedAt, finishedAt, minutes, points, bestPoints, lost }) => ({
      lesson,
      code,
      started: startedAt,
      answered: finishedAt ?? '',
      minutes: minutes.toFixed(1),
      points: points?.toFixed(1) ?? '',
      'best points': bestPoints?.toFixed(1) ?? '',
      'lost, minor units': lost?.toFixed(0) ?? '',
    })),
    { escapeFormulae: true },
  );
}
