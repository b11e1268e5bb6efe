import type { Session, Study } from '@keen/contract';
import { studySoFar } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link as RouterLink, useNavigate, useParams } from 'react-router';
import { useCloseStudyMutation, useStudyQuery } from '../../api/gaugesApi.ts';
import { useSessionQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { StudyReader } from './StudyReader.tsx';
import { StudyResult } from './StudyResult.tsx';
import { t } from '../../words/gauges.ts';

const SHORTCUTS = [
  { keys: ['G'], what: t('studyPage.backToTheGauges') },
  { keys: ['T'], what: t('studyPage.backToToday') },
  { keys: [t('studyPage.enter')], what: t('studyPage.keepAReading') },
];

/** A gauge study: who reads now, and what has come of it. */
export function StudyPage() {
  const { data: session } = useSessionQuery();
  const { studyId = '' } = useParams();
  const { data: study, error, isLoading, refetch } = useStudyQuery(studyId);
  const navigate = useNavigate();
  useHotkeys('g', () => void navigate('/gauges'));
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('studyPage.gaugeStudy')}</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          px: { xs: 2, md: 5 },
          py: { xs: 2, md: 3 },
          maxWidth: 1240,
          width: '100%',
          mx: 'auto',
        }}
      >
        {isLoading && (
          <Box role="status" aria-label={t('studyPage.loadingTheStudy')}>
            <Skeleton variant="rectangular" height={240} sx={{ bgcolor: 'var(--hairline)' }} />
          </Box>
        )}
        {!study && error && (
          <Box role="alert">
            <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
            <Button onClick={() => void refetch()}>{t('studyPage.tryAgain')}</Button>{' '}
            <Link component={RouterLink} to="/gauges">
              {t('studyPage.allGauges')}
            </Link>
          </Box>
        )}
        {study && <LoadedStudy session={session} study={study} />}
      </Box>
    </Box>
  );
}

function LoadedStudy({ session, study }: { session: Session; study: Study }) {
  const { id, name, people, marks, trials, readings, closedAt, createdAt } = study;
  const [reader, setReader] = useState<number | null>(null);
  const [close, { isLoading, error }] = useCloseStudyMutation();
  const size = useMemo(
    () => ({ people: people.length, trials, marks: marks.length }),
    [people.length, trials, marks.length],
  );
  const soFar = useMemo(() => studySoFar(size, readings), [size, readings]);
  if (reader !== null && closedAt === null) {
    return (
      <StudyReader
        key={reader}
        session={session}
        study={study}
        person={reader}
        onDone={() => setReader(null)}
      />
    );
  }
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ flex: '1 1 320px' }}>
          <Typography variant="h1" component="h2">
            {name}
          </Typography>
          <Typography color="textSecondary">
            {t('studyPage.marksTimes', {
              marks: marks.length,
              trials,
              createdAt: dayjs(createdAt).format('D MMM YYYY'),
            })}
            {closedAt !== null &&
              `; ${t('studyPage.closed', { closedAt: dayjs(closedAt).format('D MMM YYYY') })}`}
          </Typography>
        </Box>
        {mayDo(session, 'manageGauges') && (
          <Button
            variant="text"
            disabled={isLoading}
            onClick={() => void close({ id, closed: closedAt === null })}
          >
            {closedAt === null ? t('studyPage.closeTheStudy') : t('studyPage.openItAgain')}
          </Button>
        )}
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      {closedAt === null && !soFar.isWhole && (
        <Box component="section" aria-labelledby="who-reads">
          <Typography variant="h2" id="who-reads" sx={{ mb: 1 }}>
            {t('studyPage.whoReadsNow')}
          </Typography>
          <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
            {people.map((person, i) => {
              const isDone = soFar.taken[i]! >= soFar.planned;
              return (
                <Button
                  key={person}
                  variant={isDone ? 'text' : 'contained'}
                  onClick={() => setReader(i)}
                  sx={{ minHeight: 56, display: 'grid', justifyItems: 'start', textAlign: 'left' }}
                >
                  <span>{nameOf(session, person)}</span>
                  <Box component="span" sx={{ fontSize: '0.85rem', fontWeight: 400 }}>
                    {isDone
                      ? t('studyPage.allRead')
                      : t('studyPage.ofRead', { taken: soFar.taken[i]!, planned: soFar.planned })}
                  </Box>
                </Button>
              );
            })}
          </Box>
          <Typography color="textSecondary" sx={{ mt: 1, maxWidth: 640 }}>
            {t('studyPage.theMarksComeIn')}
          </Typography>
        </Box>
      )}
      <StudyResult session={session} study={study} soFar={soFar} />
    </Box>
  );
}
