import type { Learning, LearningRun, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import {
  useLearningQuery,
  useStartLearningMutation,
  useUseLearnedMutation,
} from '../../api/insightsApi.ts';
import { failureOf } from '../../api/problem.ts';
import { joined } from '../../shared/joined.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { mayDo } from '../../shared/mayDo.ts';
import { nameOf } from '../../shared/nameOf.ts';
import { newId } from '../../shared/newId.ts';
import { LearnedResult } from './LearnedResult.tsx';
import { RunAtWork } from './RunAtWork.tsx';
import { t } from '../../words/insights.ts';

/** What the diagnosis starts from for cars of this shop: the usual figures, or those its own cars taught. */
export function OwnFigures({ session }: { session: Session }) {
  const answer = useLearningQuery();
  return (
    <Loaded answer={answer} label={t('ownFigures.loadingWhatTheDiagnosis')} height={140}>
      {(data) => <Figures data={data} session={session} />}
    </Loaded>
  );
}

function Figures({ data, session }: { data: Learning; session: Session }) {
  const { runs, cars, leastCars } = data;
  const used = runs.find(({ usedSince }) => usedSince !== null);
  const [latest] = runs;
  const ended = runs.filter(({ result }) => result !== null);
  const [chosenId, choose] = useState<string | null>(null);
  const shown = ended.find(({ id }) => id === chosenId) ?? ended[0];
  const mayChange = mayDo(session, 'changeShop');
  const [start, starting] = useStartLearningMutation();
  const isAtWork = latest !== undefined && latest.state !== 'done';
  return (
    <Box component="section" aria-labelledby="own-figures">
      <Typography variant="h2" id="own-figures">
        {headline(data, used)}
      </Typography>
      <Typography color="textSecondary" sx={{ maxWidth: 860 }}>
        {t('ownFigures.howFastTiresWear')}
      </Typography>
      {isAtWork ? (
        <RunAtWork run={latest} mayChange={mayChange} onStartOver={() => void start(newId())} />
      ) : (
        mayChange && (
          <Box sx={{ mt: 1.5, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
            <Button
              variant={shown ? 'outlined' : 'contained'}
              disabled={cars < leastCars || starting.isLoading}
              onClick={() => void start(newId())}
            >
              {t(shown ? 'ownFigures.learnAgain' : 'ownFigures.learn', { count: cars })}
            </Button>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {cars < leastCars
                ? t('ownFigures.fromCarsOnEach', { leastCars })
                : t('ownFigures.oneVisitOfEach')}
            </Box>
          </Box>
        )
      )}
      {starting.isError && <Failed error={starting.error} />}
      {shown?.result && (
        <>
          <LearnedResult version={shown.version} result={shown.result} />
          {mayChange && <UseOrNot run={shown} used={used} />}
          {ended.length > 1 && (
            <Versions runs={ended} shownId={shown.id} session={session} onChoose={choose} />
          )}
        </>
      )}
    </Box>
  );
}

function headline({ cars, leastCars }: Learning, used: LearningRun | undefined): string {
  if (used?.result) {
    return t('ownFigures.theDiagnosisStartsFrom', { cars: used.result.cars });
  }
  return cars < leastCars
    ? t('ownFigures.yourOwnFiguresToo', { cars, leastCars })
    : t('ownFigures.theDiagnosisStartsFromFigures');
}

/** Takes what is shown into use, or goes back to what was before. */
function UseOrNot({ run, used }: { run: LearningRun; used: LearningRun | undefined }) {
  const [use, { isLoading, isError, error }] = useUseLearnedMutation();
  const isUsed = run.id === used?.id;
  return (
    <Box sx={{ mt: 2, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      {isUsed ? (
        <>
          <span>
            {t('ownFigures.inUseSinceFor', {
              usedSince: dayjs(run.usedSince).format('D MMM YYYY, HH:mm'),
            })}
          </span>
          <Button disabled={isLoading} onClick={() => void use(null)}>
            {t('ownFigures.backToTheUsual')}
          </Button>
        </>
      ) : (
        <Button variant="contained" disabled={isLoading} onClick={() => void use(run.id)}>
          {t('ownFigures.useForNewVisits')}
        </Button>
      )}
      {isError && <Failed error={error} />}
    </Box>
  );
}

interface VersionsProps {
  runs: readonly LearningRun[];
  shownId: string;
  session: Session;
  onChoose: (id: string) => void;
}

/** Every time that figures were learned, latest first. */
function Versions({ runs, shownId, session, onChoose }: VersionsProps) {
  return (
    <Box sx={{ mt: 2 }}>
      <Typography variant="h3" color="textSecondary">
        {t('ownFigures.learnedSoFar')}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {runs.map(({ id, version, at, personId, result, usedSince }) => (
          <Box
            component="li"
            key={id}
            sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}
          >
            <Button
              variant="text"
              sx={{ px: 0.5 }}
              aria-current={id === shownId}
              onClick={() => onChoose(id)}
            >
              {t('ownFigures.version', { version })}
            </Button>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {joined(
                dayjs(at).format('D MMM YYYY'),
                nameOf(session, personId),
                t('ownFigures.cars', { count: result?.cars ?? 0 }),
                usedSince !== null && t('ownFigures.inUse'),
                id === shownId && t('ownFigures.shownAbove'),
              )}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Failed({ error }: { error: unknown }) {
  return (
    <Typography role="alert" sx={{ color: 'var(--marker)', mt: 1 }}>
      {failureOf(error).text}
    </Typography>
  );
}
