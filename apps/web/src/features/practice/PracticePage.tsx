import type { PracticeBoard, PracticeLesson, PracticeProgress, Session } from '@keen/contract';
import { PRACTICE_LESSONS } from '@keen/contract';
import { formatMoney, LEAST_CARS } from '@keen/core';
import { LESSON_WORDS } from '@keen/core/practice';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import Papa from 'papaparse';
import { lazy, Suspense, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import {
  useDealPracticeMutation,
  useNewDrillMutation,
  usePracticeQuery,
  useShowPracticeMutation,
} from '../../api/practiceApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Loaded } from '../../shared/Loaded.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { TopBar } from '../../shared/TopBar.tsx';
import { showPoints } from './showPoints.ts';

const AgainstChart = lazy(async () => ({
  default: (await import('../../shared/AgainstChart.tsx')).AgainstChart,
}));
const SHORTCUTS = [
  { keys: ['D'], what: 'today’s car' },
  { keys: ['T'], what: 'back to today' },
];
const TICKS = [0, 20, 40, 60, 80, 100];
const SHOWN_TRIES = 12;

/** Cars to practise on, and how one does. */
export function PracticePage() {
  const { data: session } = useSessionQuery();
  const answer = usePracticeQuery();
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>Practice</PageTitle>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 2.5, maxWidth: 1240 }}>
        <Loaded answer={answer} label="Loading the practice cars" height={400}>
          {(board) => <Board board={board} session={session} />}
        </Loaded>
      </Box>
    </Box>
  );
}

function Board({ board, session }: { board: PracticeBoard; session: Session }) {
  const [deal, { isLoading, error }] = useDealPracticeMutation();
  const [dealDrill, { isLoading: isDealing, error: drillError }] = useNewDrillMutation();
  const [code, setCode] = useState('');
  const navigate = useNavigate();
  async function start(lesson: PracticeLesson, withCode?: string): Promise<void> {
    const { data } = await deal({ id: newId(), lesson, ...(withCode ? { code: withCode } : {}) });
    if (data) await navigate(`/practice/${data.id}/read`);
  }
  async function drill(): Promise<void> {
    const { data } = await dealDrill(newId());
    if (data) await navigate(`/practice/drill/${data.id}`);
  }
  useHotkeys('d', () => void start('free', board.today));
  useHotkeys('t', () => void navigate('/'));
  const today = board.tries.find(({ code: of }) => of === board.today);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 3fr) minmax(0, 2fr)' },
        columnGap: 6,
        rowGap: 3,
      }}
    >
      <Box>
        <Typography variant="h1" component="h2">
          Read a made-up car, and be told the truth.
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5, mb: 2, maxWidth: '62ch' }}>
          Set the gauge down, make the checks that are worth it, say what made the tread and how
          sure you are. Then see what was wrong, and what the best answer was.
        </Typography>
        {(error ?? drillError) && (
          <Notice kind="caution">{failureOf(error ?? drillError).text}</Notice>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mb: 2.5 }}>
          <Button
            variant="contained"
            disabled={isLoading}
            onClick={() => void start('free', board.today)}
          >
            {today?.finishedAt ? 'Today’s car: how it went' : 'Today’s car'}
          </Button>
          <Button disabled={isLoading} onClick={() => void start('free')}>
            Any car
          </Button>
          <Button disabled={isDealing} onClick={() => void drill()}>
            Bench drill
          </Button>
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault();
              if (code.trim()) void start('free', code.trim().toLowerCase());
            }}
            sx={{ display: 'flex', gap: 1 }}
          >
            <TextField
              label="Code of a colleague’s car"
              value={code}
              onChange={({ target }) => setCode(target.value)}
              slotProps={{ htmlInput: { autoComplete: 'off', maxLength: 40 } }}
              sx={{ width: 210 }}
            />
            <Button type="submit" disabled={isLoading || code.trim() === ''}>
              Take it
            </Button>
          </Box>
        </Box>
        <Typography variant="h2" component="h3" gutterBottom>
          Lessons
        </Typography>
        <Box component="ol" aria-label="Lessons" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {PRACTICE_LESSONS.filter((lesson) => lesson !== 'free').map((lesson) => (
            <LessonRow
              key={lesson}
              lesson={lesson}
              board={board}
              isBusy={isLoading}
              onStart={() => void start(lesson)}
            />
          ))}
        </Box>
      </Box>
      <Progress board={board} session={session} />
    </Box>
  );
}

interface LessonRowProps {
  lesson: PracticeLesson;
  board: PracticeBoard;
  isBusy: boolean;
  onStart: () => void;
}

function LessonRow({ lesson, board, isBusy, onStart }: LessonRowProps) {
  const { title, about } = LESSON_WORDS[lesson];
  const own = board.tries.filter((one) => one.lesson === lesson);
  const open = own.find(({ finishedAt }) => finishedAt === null);
  const points = own.flatMap((one) => one.points ?? []);
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        py: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 150px auto' },
        columnGap: 2,
        alignItems: 'center',
      }}
    >
      <Box>
        <Box sx={{ fontWeight: 650 }}>{title}</Box>
        <Box sx={{ color: 'text.secondary' }}>{about}</Box>
      </Box>
      <Box
        sx={{
          color: 'text.secondary',
          textAlign: { sm: 'right' },
          gridRow: { xs: 2, sm: 1 },
          gridColumn: { xs: 1, sm: 2 },
        }}
      >
        {points.length > 0 &&
          `best ${showPoints(Math.max(...points))}, ${points.length} ${points.length === 1 ? 'car' : 'cars'}`}
      </Box>
      {open ? (
        <Button component={Link} to={`/practice/${open.id}/read`}>
          Go on
        </Button>
      ) : (
        <Button disabled={isBusy} onClick={onStart}>
          {points.length > 0 ? 'Another' : 'Start'}
        </Button>
      )}
    </Box>
  );
}

function Progress({ board, session }: { board: PracticeBoard; session: Session }) {
  const [show, { isLoading, error }] = useShowPracticeMutation();
  const { own, tries, isShown, shown } = board;
  const { currency } = session.shop.settings.prices;
  return (
    <Box sx={{ display: 'grid', gap: 2.5, alignContent: 'start' }}>
      <Box component="section" aria-label="How you do">
        <Typography variant="h2" component="h3" gutterBottom>
          How you do
        </Typography>
        {own.points === null ? (
          <Typography color="textSecondary">Answer a first car, and it stands here.</Typography>
        ) : (
          <ProgressWords progress={own} />
        )}
        {board.drills.asked > 0 && (
          <Typography color="textSecondary">
            Bench drill: {board.drills.right} of {board.drills.asked} right lately.
          </Typography>
        )}
        {own.bands.length > 0 && (
          <Suspense fallback={<Box sx={{ height: 260 }} />}>
            <AgainstChart
              points={own.bands.map(({ said, found, low, high }) => ({
                said: 100 * said,
                found: 100 * found,
                spread: [100 * (found - low), 100 * (high - found)],
              }))}
              ticks={TICKS}
              saidLabel="how sure you were, %"
              foundLabel="it was so, %"
              label={own.bands
                .map(
                  ({ said, found, count }) =>
                    `of ${count} things said with ${Math.round(100 * said)} in 100, ${Math.round(100 * found)} in 100 were so`,
                )
                .join('; ')}
            />
          </Suspense>
        )}
        {own.cars > 0 && own.cars < LEAST_CARS && (
          <Typography color="textSecondary" sx={{ fontSize: '0.88rem' }}>
            {own.cars} of {LEAST_CARS} cars: too few to tell how well your sureness holds.
          </Typography>
        )}
      </Box>
      {tries.length > 0 && (
        <Box component="section" aria-label="Your cars">
          <Box sx={{ display: 'flex', alignItems: 'baseline' }}>
            <Typography variant="h2" component="h3" sx={{ flex: 1 }}>
              Your cars
            </Typography>
            <Button
              variant="text"
              onClick={() => saveFile('practice.csv', triesAsCsv(board), 'text/csv')}
            >
              Save as CSV
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
                  {LESSON_WORDS[one.lesson].title}
                </Box>
                <Box sx={{ color: 'text.secondary' }}>{dayjs(one.startedAt).format('D MMM')}</Box>
                <Box sx={{ minWidth: 170, textAlign: 'right' }}>
                  {one.points === null
                    ? 'not answered yet'
                    : `${showPoints(one.points)}, best ${showPoints(one.bestPoints ?? 0)}, lost ${formatMoney(one.lost ?? 0, currency, 'en', true)}`}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      )}
      <Box>
        <Choice
          label="Does the lead see how you do?"
          options={[
            { value: 'yes', label: 'Yes' },
            { value: 'no', label: 'No' },
          ]}
          value={isShown ? 'yes' : 'no'}
          onChange={(value) => value && !isLoading && void show(value === 'yes')}
          dense
        />
        {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      </Box>
      {shown.length > 0 && (
        <Box component="section" aria-label="The shop">
          <Typography variant="h2" component="h3" gutterBottom>
            The shop
          </Typography>
          {shown.map((progress) => (
            <Box key={progress.personId} sx={{ borderTop: '1px solid var(--hairline)', py: 0.75 }}>
              <strong>{nameOf(session, progress.personId)}</strong>
              <ProgressWords progress={progress} />
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

function ProgressWords({ progress }: { progress: PracticeProgress }) {
  const { cars, points, bestPoints, brier } = progress;
  if (points === null || bestPoints === null || brier === null) {
    return <Typography color="textSecondary">No car answered yet.</Typography>;
  }
  return (
    <Typography>
      <Box component="span" className="condensed" sx={{ fontSize: '1.7rem', fontWeight: 700 }}>
        {showPoints(points)}
      </Box>{' '}
      points a car over the last {cars === 1 ? 'one' : cars}; the best answers had{' '}
      {showPoints(bestPoints)}. Brier score {brier.toFixed(2)} a car, the lower the better.
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
