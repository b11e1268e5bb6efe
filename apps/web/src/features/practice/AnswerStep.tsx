import type { Action, Axle, Cause, PracticeAnswer, Wheel } from '@keen/contract';
import { ACTIONS, AXLE_CAUSES, AXLES, WHEEL_CAUSES } from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import { usualChance } from '@keen/core/practice';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAnswerPracticeMutation } from '../../api/practiceApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { capital, showPercent } from '../../shared/format.ts';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { usePractice } from './practiceContext.ts';
import { t } from '../../words/practice.ts';
import { actionWords, causeWords, whereWords } from '../../words/pageTexts.ts';

type Place = Wheel | Axle;
interface Named {
  places: readonly Place[];
  chance: number;
}
const CAUSES = [...AXLE_CAUSES, ...WHEEL_CAUSES] as const;
const FIRST_CHANCE = 0.7;
const LEAST_RIBS = 3;

/** Which causes, how sure, and what to do: said before anything is shown. */
export function AnswerStep() {
  const { car, ribsRead, goTo, practising } = usePractice();
  const [named, setNamed] = useState<Partial<Record<Cause, Named>>>({});
  const [course, setCourse] = useState<Action | null>(null);
  const [answer, { isLoading, error }] = useAnswerPracticeMutation();
  const navigate = useNavigate();
  if (ribsRead < LEAST_RIBS) {
    return (
      <Box sx={{ maxWidth: 520 }}>
        <Typography variant="h1" component="h2" gutterBottom>
          {t('answerStep.readSomeOfThe')}
        </Typography>
        <Button variant="contained" onClick={() => goTo('read')}>
          {t('answerStep.readTheTread')}
        </Button>
      </Box>
    );
  }
  async function send(chosen: Action): Promise<void> {
    // The best answer is worked out from what the server has: all of it, or none yet.
    if (!(await practising.flush())) return;
    const { data } = await answer({ id: car.id, answer: answerOf(named, chosen) });
    if (data) await navigate(`/practice/${car.id}/result`, { replace: true });
  }
  return (
    <Box sx={{ maxWidth: 800 }}>
      <Typography variant="h1" component="h2" gutterBottom>
        {t('answerStep.whatMadeThisTread')}
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 2 }}>
        {t('answerStep.pickWhereThenSay')}
      </Typography>
      <Box
        component="ul"
        aria-label={t('answerStep.causes')}
        sx={{ listStyle: 'none', p: 0, m: 0 }}
      >
        {CAUSES.map((cause) => (
          <CauseRow
            key={cause}
            cause={cause}
            named={named[cause]}
            onChange={(next) => setNamed({ ...named, [cause]: next })}
          />
        ))}
      </Box>
      <Box sx={{ mt: 2.5 }}>
        <Choice
          label={t('answerStep.whatWouldYouDo')}
          options={ACTIONS.map((value) => ({ value, label: actionWords(value, false) }))}
          value={course}
          onChange={setCourse}
        />
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 2.5 }}>
        <Button
          variant="contained"
          disabled={course === null || isLoading}
          onClick={() => course && void send(course)}
        >
          {t('answerStep.answerAndBeTold')}
        </Button>
        <Box role="status" sx={{ color: 'text.secondary' }}>
          {isLoading
            ? t('answerStep.workingOutTheBest')
            : course === null
              ? t('answerStep.sayWhatYouWould')
              : t('answerStep.itCountsOnce')}
        </Box>
      </Box>
    </Box>
  );
}

interface CauseRowProps {
  cause: Cause;
  named: Named | undefined;
  onChange: (named: Named | undefined) => void;
}

function CauseRow({ cause, named, onChange }: CauseRowProps) {
  const isAxle = (AXLE_CAUSES as readonly Cause[]).includes(cause);
  // The driver corners hard with both axles.
  const places: readonly Place[] =
    cause === 'hardCornering' ? ['front'] : isAxle ? AXLES : WHEEL_ORDER;
  const label = capital(causeWords(cause));
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        py: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '156px minmax(0, 1fr) 164px' },
        columnGap: 2,
        rowGap: 0.5,
        alignItems: 'center',
      }}
    >
      <Box sx={{ fontWeight: named ? 700 : 450 }}>{label}</Box>
      <ManyChoice
        label={t('answerStep.where', { cause: label })}
        hideLabel
        options={places.map((value) => ({
          value,
          label: cause === 'hardCornering' ? t('answerStep.yes') : capital(whereWords(value)),
        }))}
        values={[...(named?.places ?? [])]}
        onChange={(next) =>
          onChange(next ? { places: next, chance: named?.chance ?? FIRST_CHANCE } : undefined)
        }
      />
      {named ? (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <Slider
            aria-label={t('answerStep.howSure', { label })}
            value={named.chance}
            min={0.05}
            max={0.99}
            step={0.05}
            shiftStep={0.2}
            getAriaValueText={showPercent}
            onChange={(_, chance) => onChange({ ...named, chance: Number(chance.toFixed(2)) })}
          />
          <Box sx={{ minWidth: 48, textAlign: 'right', fontWeight: 700 }}>
            {showPercent(named.chance)}
          </Box>
        </Box>
      ) : (
        <Box sx={{ color: 'text.secondary', textAlign: 'right' }}>
          {t('answerStep.ofAnyCar', { percent: showPercent(usualChance(cause, places[0]!)) })}
        </Box>
      )}
    </Box>
  );
}

function answerOf(named: Partial<Record<Cause, Named>>, course: Action): PracticeAnswer {
  return {
    course,
    causes: Object.entries(named).flatMap(([cause, one]) =>
      one.places.map((where) => ({ cause: cause as Cause, where, chance: one.chance })),
    ),
  };
}
