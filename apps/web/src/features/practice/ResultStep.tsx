import { actionWords, causeWords, whereWords } from '../../words/pageTexts.ts';
import type { Action, Axle, Cause, PracticeResult, Wheel } from '@keen/contract';
import { formatMoney, WHEEL_ORDER } from '@keen/core';
import { usualChance } from '@keen/core/practice';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { joined } from '../../shared/joined.ts';
import { capital, showPercent } from '../../shared/format.ts';
import { showPoints } from './showPoints.ts';
import { usePractice } from './practiceContext.ts';
import { t } from '../../words/practice.ts';
import { practiceTexts } from '../../words/core/practice.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** How an answer went: the truth, the best answer from the same evidence, the money, the checks. */
export function ResultStep() {
  const { car, session } = usePractice();
  const { result, lesson } = car;
  if (!result) return null;
  const { currency } = session.shop.settings.prices;
  const money = (minor: number) => formatMoney(minor, currency, pageLocale, true);
  const { score, courses, answer, best } = result;
  const lostBy = (course: Action) => courses.find((one) => one.course === course)?.lost ?? 0;
  const courseWords = (course: Action) => {
    return joined(
      actionWords(course, false).toLowerCase(),
      lostBy(course) >= 100 && t('resultStep.aboveTheCheapest', { money: money(lostBy(course)) }),
    );
  };
  return (
    <Box sx={{ maxWidth: 780, display: 'grid', gap: 2.5 }}>
      <Box>
        <Typography variant="h1" component="h2">
          {pointsWords(score.points)}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('resultStep.theBestAnswerFrom', { bestPoints: showPoints(score.bestPoints) })}
        </Typography>
      </Box>
      <Box component="section" aria-label={t('resultStep.whatWasWrong')}>
        <Typography variant="h2" component="h3" gutterBottom>
          {result.truth.faults.length === 0
            ? t('resultStep.nothingWasOut')
            : t('resultStep.whatWasWrong')}
        </Typography>
        <CauseTable result={result} />
      </Box>
      <Box component="section" aria-label={t('resultStep.theMoney')}>
        <Typography variant="h2" component="h3" gutterBottom>
          {lostBy(answer.course) < 100
            ? t('resultStep.thisWasTheCheapest')
            : t('resultStep.yourCourseCostThis', { money: money(lostBy(answer.course)) })}
        </Typography>
        <Typography>
          {t('resultStep.youTheBestAnswer', {
            course: courseWords(answer.course),
            course2: courseWords(best.course),
            course3: actionWords(courses[0]!.course, false).toLowerCase(),
          })}
        </Typography>
        {result.checks.length > 0 && (
          <Box
            component="ul"
            aria-label={t('resultStep.whatTheChecksWere')}
            sx={{ pl: 2.5, my: 1 }}
          >
            {result.checks.map(({ check, minor, points, worthMinor }) => (
              <li key={check}>
                {practiceTexts.checks[check]}:{' '}
                {minor > 0 ? t('resultStep.cost', { minor: money(minor) }) : ''}
                {worthMinor === null
                  ? ''
                  : worthMinor < 100
                    ? t('resultStep.wasUnlikelyToChange')
                    : t('resultStep.wasWorthBeforeIts', { worthMinor: money(worthMinor) })}
                {gainWords(points)}
              </li>
            ))}
          </Box>
        )}
      </Box>
      <Box component="section" aria-label={t('resultStep.whatToRemember')}>
        <Typography variant="h2" component="h3" gutterBottom>
          {t('resultStep.whatToRemember')}
        </Typography>
        <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.5 }}>
          {practiceTexts.lessons[lesson].said.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" component={Link} to="/practice">
          {t('resultStep.anotherCar')}
        </Button>
        <Button component={Link} to={`/wear-lab?${labLink(result, car.draft.vehicle?.drive)}`}>
          {t('resultStep.seeItWear')}
        </Button>
        <Button component={Link} to={`/practice/${car.id}/explain`}>
          {t('resultStep.theBestAnswerIn')}
        </Button>
      </Box>
    </Box>
  );
}

interface Row {
  cause: Cause;
  where: Wheel | Axle;
  you: number;
  best: number;
  isSo: boolean;
}

/** Everything that was so, or that anybody said. */
function rowsOf({ answer, best, truth }: PracticeResult): Row[] {
  const isIn = (list: readonly { cause: Cause; where: Wheel | Axle }[], row: Row) =>
    list.some(({ cause, where }) => cause === row.cause && where === row.where);
  const rows: Row[] = [];
  for (const { cause, where } of [...truth.faults, ...answer.causes, ...best.causes]) {
    // The driver's cornering is one thing, at both axles.
    if (cause === 'hardCornering' && where === 'rear') continue;
    const row: Row = { cause, where, you: 0, best: 0, isSo: false };
    if (isIn(rows, row)) continue;
    const own = answer.causes.find((one) => one.cause === cause && one.where === where);
    const { wheels, axles } = best.diagnosis;
    const { probability } = where === 'front' || where === 'rear' ? axles[where] : wheels[where];
    rows.push({
      ...row,
      you: own?.chance ?? usualChance(cause, where),
      best: (probability as Partial<Record<Cause, number>>)[cause] ?? 0,
      isSo: isIn(truth.faults, row),
    });
  }
  return rows.toSorted((a, b) => Number(b.isSo) - Number(a.isSo) || b.best - a.best);
}

function CauseTable({ result }: { result: PracticeResult }) {
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        '& th, & td': { borderTop: '1px solid var(--hairline)', py: 0.75, textAlign: 'right' },
        '& th:first-of-type, & td:first-of-type': { textAlign: 'left' },
        '& th': { fontWeight: 500, color: 'text.secondary', border: 0 },
      }}
    >
      <thead>
        <tr>
          <th scope="col">{t('resultStep.cause')}</th>
          <th scope="col">{t('resultStep.true')}</th>
          <th scope="col">{t('resultStep.youSaid')}</th>
          <th scope="col">{t('resultStep.bestAnswer')}</th>
        </tr>
      </thead>
      <tbody>
        {rowsOf(result).map(({ cause, where, you, best, isSo }) => (
          <tr key={`${cause} ${where}`}>
            <td style={{ fontWeight: isSo ? 650 : 450 }}>
              {capital(causeWords(cause))}
              {cause !== 'hardCornering' && `, ${whereWords(where)}`}
            </td>
            <td>{isSo ? 'yes' : 'no'}</td>
            <td>{showPercent(you)}</td>
            <td>{showPercent(best)}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

function pointsWords(points: number): string {
  const whole = Math.round(points);
  if (whole < 0) return t('resultStep.pointsTooSureOf', { points: showPoints(points) });
  return t('resultStep.pointsOf100', { count: whole });
}

function gainWords(points: number): string {
  const whole = Math.round(points);
  if (whole === 0) return t('resultStep.andToldNothingNew');
  return whole > 0 ? t('resultStep.andRaised', { count: whole }) : t('resultStep.andThisTimeIt');
}

/** The true car in the wear lab. */
function labLink({ truth }: PracticeResult, drive: string | undefined): string {
  const list = (values: readonly number[], digits: number) =>
    values.map((value) => Number(value.toFixed(digits))).join();
  const [front, rear] = truth.totalToe as [number, number];
  const within = (values: readonly number[], low: number, high: number) =>
    values.map((value) => Math.min(high, Math.max(low, value)));
  const query: Record<string, string> = {
    camber: list(within(truth.camber, -6, 4), 2),
    toe: list(within([front / 2, front / 2, rear / 2, rear / 2], -1.5, 1.5), 3),
    pressure: list(within(truth.pressure, 0.5, 1.5), 2),
    play: list(within(truth.play, 0, 0.6), 2),
    cornering: String(Number(Math.min(4, Math.max(0.3, truth.cornering)).toFixed(2))),
    bounces: WHEEL_ORDER.map((wheel) =>
      truth.faults.some(({ cause, where }) => cause === 'bounce' && where === wheel) ? 1 : 0,
    ).join(),
    ...(drive ? { drive } : {}),
  };
  return new URLSearchParams(query).toString();
}
