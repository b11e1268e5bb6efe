import { term } from '../../words/terms.ts';
import { practiceTexts } from '../../words/core/practice.ts';
import { drillAnswer, drillWhy } from '@keen/core/practice';
import type { Drill, DrillQuestion } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate, useParams } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import {
  useAnswerDrillMutation,
  useDrillQuery,
  useNewDrillMutation,
} from '../../api/practiceApi.ts';
import { failureOf } from '../../api/problem.ts';
import { SteeringFromAbove } from '../../drawing/SteeringFromAbove.tsx';
import { TapeEnd } from '../../drawing/TapeEnd.tsx';
import { WheelPosture } from '../../drawing/WheelPosture.tsx';
import { capital, showDegrees } from '../../shared/format.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { useEnter } from '../../shared/useEnter.ts';
import { t } from '../../words/practice.ts';
import { whereWords } from '../../words/pageTexts.ts';

const SHORTCUTS = [
  { keys: ['1', '2', '3', '4'], what: t('drillPage.chooseAnAnswer') },
  { keys: [t('drillPage.enter')], what: t('drillPage.nextQuestion') },
  { keys: ['P'], what: t('drillPage.allPracticeCars') },
];

/** Reading a tape, signs, rods and shims: a short drill for the bench. */
export function DrillPage() {
  const { data: session } = useSessionQuery();
  const { drillId } = useParams();
  const answer = useDrillQuery(drillId!);
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('drillPage.benchDrill')}</PageTitle>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 2.5, maxWidth: 860 }}>
        <Loaded answer={answer} label={t('drillPage.loadingTheDrill')} height={320}>
          {(drill) => <Asked key={drill.id} drill={drill} />}
        </Loaded>
      </Box>
    </Box>
  );
}

function Asked({ drill }: { drill: Drill }) {
  const { questions } = drill;
  const open = questions.findIndex(({ told }) => told === null);
  const [at, setAt] = useState(open);
  const [send, { isLoading, error }] = useAnswerDrillMutation();
  const navigate = useNavigate();
  useHotkeys('p', () => void navigate('/practice'));
  const asked = questions[at];
  const told = asked?.told ?? null;
  useEnter(() => {
    if (told) setAt(open);
  });
  if (!asked) return <Done drill={drill} />;
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h3" component="p" color="textSecondary">
        {t('drillPage.questionOf', { at: at + 1, length: questions.length })}
      </Typography>
      <Typography variant="h1" component="h2">
        {questionWords(asked.question)}
      </Typography>
      <Picture question={asked.question} />
      {told ? (
        <Box role="status" sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
          <Typography sx={{ fontSize: '1.15rem', fontWeight: 650 }}>
            {told.isRight
              ? t('drillPage.right')
              : t('drillPage.noItIsYou', {
                  right: drillAnswer(asked.question, told.right, practiceTexts.drill),
                  given: drillAnswer(asked.question, told.given, practiceTexts.drill),
                })}
          </Typography>
          <Typography sx={{ maxWidth: '60ch' }}>
            {drillWhy(asked.question, told.right, practiceTexts.drill)}
          </Typography>
          <Button variant="contained" onClick={() => setAt(open)}>
            {open < 0 ? t('drillPage.seeTheResult') : t('drillPage.next')}
          </Button>
        </Box>
      ) : (
        <AnswerField
          key={at}
          question={asked.question}
          isBusy={isLoading}
          onAnswer={(given) => void send({ id: drill.id, question: at, given })}
        />
      )}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}

function Done({ drill }: { drill: Drill }) {
  const [deal, { isLoading, error }] = useNewDrillMutation();
  const navigate = useNavigate();
  const right = drill.questions.filter(({ told }) => told?.isRight).length;
  async function again(): Promise<void> {
    const { data } = await deal(newId());
    if (data) await navigate(`/practice/drill/${data.id}`);
  }
  return (
    <Box sx={{ display: 'grid', gap: 2, justifyItems: 'start' }}>
      <Typography variant="h1" component="h2">
        {t('drillPage.ofRight', { right, length: drill.questions.length })}
      </Typography>
      <Box
        component="ol"
        aria-label={t('drillPage.questions')}
        sx={{ m: 0, pl: 2.5, display: 'grid', gap: 1 }}
      >
        {drill.questions.map(({ question, told }, i) => (
          <li key={i}>
            {questionWords(question)}{' '}
            <strong>{told && drillAnswer(question, told.right, practiceTexts.drill)}.</strong>{' '}
            {told?.isRight && t('drillPage.right')}
            {told &&
              !told.isRight &&
              t('drillPage.youAnswered', {
                given: drillAnswer(question, told.given, practiceTexts.drill),
                why: drillWhy(question, told.right, practiceTexts.drill),
              })}
          </li>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" disabled={isLoading} onClick={() => void again()}>
          {t('drillPage.anotherDrill')}
        </Button>
        <Button component={Link} to="/practice">
          {t('drillPage.backToPractice')}
        </Button>
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}

function questionWords(question: DrillQuestion): string {
  switch (question.kind) {
    case 'tape':
      return t('drillPage.whatDoesTheTape');
    case 'sign':
      return t('drillPage.isThisPlusOr', {
        capital: capital(whereWords(question.wheel)),
        angle: term(`angle.${question.angle}`),
      });
    case 'rod':
      return t('drillPage.eachFrontWheelShould', { target: showDegrees(question.target, 1) });
    case 'shim':
      return t('drillPage.camberWantedWhatGoes', {
        camber: showDegrees(question.camber, 1),
        target: showDegrees(question.target, 1),
      });
  }
}

function Picture({ question }: { question: DrillQuestion }) {
  switch (question.kind) {
    case 'tape':
      return <TapeEnd inches={question.inches} />;
    case 'sign': {
      const { angle, wheel, degrees } = question;
      const turned = {
        left: wheel === 'lf' ? degrees : 0,
        right: wheel === 'rf' ? degrees : 0,
      };
      return (
        <Box sx={{ width: 340, maxWidth: '100%', '& svg': { maxWidth: '340px !important' } }}>
          <WheelPosture
            axle="front"
            {...(angle === 'toe' ? { toeDeg: turned } : { camberDeg: turned })}
            eaten={null}
            label={t('drillPage.theWheelDrawnLarger', {
              wheel: whereWords(wheel),
              question: leanWords(question),
            })}
          />
        </Box>
      );
    }
    case 'rod':
      return (
        <SteeringFromAbove
          rack={question.rack}
          toe={question.toe}
          label={t(question.rack === 'ahead' ? 'drillPage.rackAhead' : 'drillPage.rackBehind', {
            left: showDegrees(question.toe.lf, 1),
            right: showDegrees(question.toe.rf, 1),
          })}
        />
      );
    case 'shim':
      return (
        <Typography color="textSecondary" sx={{ maxWidth: '60ch' }}>
          {t('drillPage.itsShimsMoveThe', { armHeight: question.armHeight })}
        </Typography>
      );
  }
}

/** What is seen, for people who cannot see it; it says no sign. */
function leanWords({ angle, degrees }: Extract<DrillQuestion, { kind: 'sign' }>): string {
  if (angle === 'toe') {
    return t(degrees > 0 ? 'drillPage.frontToward' : 'drillPage.frontAway');
  }
  return t(degrees > 0 ? 'drillPage.topAway' : 'drillPage.topToward');
}

const RODS = ['left.longer', 'left.shorter', 'right.longer', 'right.shorter'];

/** Codes of the answers to choose from. */
function optionsOf(question: DrillQuestion): readonly string[] {
  switch (question.kind) {
    case 'tape':
      return [];
    case 'sign':
      return ['plus', 'minus'];
    case 'rod':
      return RODS;
    case 'shim':
      return question.options;
  }
}

interface AnswerFieldProps {
  question: DrillQuestion;
  isBusy: boolean;
  onAnswer: (given: string) => void;
}

function AnswerField({ question, isBusy, onAnswer }: AnswerFieldProps) {
  const [text, setText] = useState('');
  const options = optionsOf(question);
  useHotkeys(['1', '2', '3', '4'], ({ key }) => {
    const option = options[Number(key) - 1];
    if (option !== undefined && !isBusy) onAnswer(option);
  });
  if (options.length > 0) {
    return (
      <Box
        role="group"
        aria-label={t('drillPage.answers')}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}
      >
        {options.map((option, i) => (
          <Button
            key={option}
            disabled={isBusy}
            onClick={() => onAnswer(option)}
            aria-keyshortcuts={String(i + 1)}
            sx={{ minWidth: 120, minHeight: 56 }}
          >
            {capital(drillAnswer(question, option, practiceTexts.drill))}
          </Button>
        ))}
      </Box>
    );
  }
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') onAnswer(text.trim());
      }}
      sx={{ display: 'flex', gap: 1 }}
    >
      <TextField
        label={t('drillPage.inches')}
        placeholder="57 11/16"
        value={text}
        onChange={({ target }) => setText(target.value)}
        slotProps={{
          htmlInput: { autoComplete: 'off', maxLength: 40 },
          inputLabel: { shrink: true },
        }}
        // A drill is typed through.
        autoFocus
        sx={{ width: 190 }}
      />
      <Button type="submit" variant="contained" disabled={isBusy || text.trim() === ''}>
        {t('drillPage.answer')}
      </Button>
    </Box>
  );
}
