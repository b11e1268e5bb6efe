import type { NewPractice, PracticeBoard, PracticeLesson, Session } from '@keen/contract';
import { PRACTICE_LESSONS } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import {
  useDealPracticeMutation,
  useNewDrillMutation,
  usePracticeQuery,
} from '../../api/practiceApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { PracticeProgress } from './PracticeProgress.tsx';
import { showPoints } from './showPoints.ts';
import { t } from '../../words/practice.ts';
import { practiceTexts } from '../../words/core/practice.ts';

const SHORTCUTS = [
  { keys: ['D'], what: t('practicePage.todaysCar') },
  { keys: ['T'], what: t('practicePage.backToToday') },
];

/** Cars to practise on, and how one does. */
export function PracticePage() {
  const { data: session } = useSessionQuery();
  const answer = usePracticeQuery();
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('practicePage.practice')}</PageTitle>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 2.5, maxWidth: 1240 }}>
        <Loaded answer={answer} label={t('practicePage.loadingThePracticeCars')} height={400}>
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
  async function start(wanted: Omit<NewPractice, 'id'>): Promise<void> {
    const { data } = await deal({ id: newId(), ...wanted });
    if (data) await navigate(`/practice/${data.id}/read`);
  }
  async function drill(): Promise<void> {
    const { data } = await dealDrill(newId());
    if (data) await navigate(`/practice/drill/${data.id}`);
  }
  useHotkeys('d', () => void start({ lesson: 'free', code: board.today }));
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
          {t('practicePage.readAMadeUp')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5, mb: 2, maxWidth: '62ch' }}>
          {t('practicePage.setTheGaugeDown')}
        </Typography>
        {(error ?? drillError) && (
          <Notice kind="caution">{failureOf(error ?? drillError).text}</Notice>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mb: 2.5 }}>
          <Button
            variant="contained"
            disabled={isLoading}
            onClick={() => void start({ lesson: 'free', code: board.today })}
          >
            {today?.finishedAt
              ? t('practicePage.todaysCarHowIt')
              : t('practicePage.todaysCarTitle')}
          </Button>
          <Button disabled={isLoading} onClick={() => void start({ lesson: 'free' })}>
            {t('practicePage.anyCar')}
          </Button>
          <Button disabled={isDealing} onClick={() => void drill()}>
            {t('practicePage.benchDrill')}
          </Button>
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault();
              if (code.trim()) void start({ code: code.trim().toLowerCase() });
            }}
            sx={{ display: 'flex', gap: 1 }}
          >
            <TextField
              label={t('practicePage.codeOfAColleagues')}
              value={code}
              onChange={({ target }) => setCode(target.value)}
              slotProps={{ htmlInput: { autoComplete: 'off', maxLength: 40 } }}
              sx={{ width: 210 }}
            />
            <Button type="submit" disabled={isLoading || code.trim() === ''}>
              {t('practicePage.open')}
            </Button>
          </Box>
        </Box>
        <Typography variant="h2" component="h3" gutterBottom>
          {t('practicePage.lessons')}
        </Typography>
        <Box
          component="ol"
          aria-label={t('practicePage.lessons')}
          sx={{ listStyle: 'none', p: 0, m: 0 }}
        >
          {PRACTICE_LESSONS.filter((lesson) => lesson !== 'free').map((lesson) => (
            <LessonRow
              key={lesson}
              lesson={lesson}
              board={board}
              isBusy={isLoading}
              onStart={() => void start({ lesson })}
            />
          ))}
        </Box>
      </Box>
      <PracticeProgress board={board} session={session} />
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
  const { title, about } = practiceTexts.lessons[lesson];
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
        <PastPoints points={points} />
      </Box>
      {open ? (
        <Button component={Link} to={`/practice/${open.id}/read`}>
          {t('practicePage.goOn')}
        </Button>
      ) : (
        <Button disabled={isBusy} onClick={onStart}>
          {points.length > 0 ? t('practicePage.another') : t('practicePage.start')}
        </Button>
      )}
    </Box>
  );
}

/** How earlier cars of a lesson went. */
function PastPoints({ points }: { points: readonly number[] }) {
  if (points.length === 0) return null;
  const mean = points.reduce((sum, one) => sum + one, 0) / points.length;
  if (points.length === 1) return <>{t('practicePage.oneCar', { mean: showPoints(mean) })}</>;
  return (
    <>
      {t('practicePage.carsMean', { cars: points.length, mean: showPoints(mean) })}
      <br />
      {t('practicePage.best', { best: showPoints(Math.max(...points)) })}
    </>
  );
}
