import type { Adjuster, TurnMade } from '@keen/contract';
import { angleSd, learnTurn, parseMeasure, turnLeft } from '@keen/core';
import type { PlanStep } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { useStepWords } from '../../angles/useAngleWords.ts';
import { capital, showDegrees } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { FromEarlier } from './FromEarlier.tsx';
import { amountWords, unitOf } from './turnWords.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/setRight.ts';
import { whereWords } from '../../words/pageTexts.ts';

const MOST = 100;

interface LearnedTurnProps {
  step: PlanStep;
  adjuster: Adjuster;
}

/**
 * Learns from the hand: what was turned, what it did to the reading, and so how much more. No arm, pitch or
 * throw is asked for.
 */
export function LearnedTurn({ step, adjuster }: LearnedTurnProps) {
  const { draft, enter } = useVisit();
  const words = useStepWords(step);
  const unit = unitOf(adjuster);
  const all = draft.visit?.setRight?.turns?.[step.key] ?? [];
  const turns = all.filter((turn) => turn.adjuster === adjuster);
  if (!unit || step.kind === null) return null;
  const last = turns.at(-1);
  const isWaiting = last !== undefined && last.to === undefined;
  const sd = sdOf(draft, step);
  const did = didWords(turns, adjuster, words);
  const learned = learnTurn(turns, sd);
  const left =
    learned && step.change !== null && !isWaiting ? turnLeft(learned, step.change, sd) : null;
  const add = (amount: number) => {
    if (step.now === null) return;
    const made: TurnMade = {
      at: new Date().toISOString(),
      adjuster,
      amount,
      from: Number(step.now.toFixed(4)),
    };
    enter(`visit.setRight.turns.${step.key}`, [...all, made]);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {left && (
        <Box>
          <Box
            className="condensed"
            role="status"
            sx={{ fontSize: { xs: '2.2rem', md: '2.8rem' }, fontWeight: 700, lineHeight: 1.05 }}
          >
            {t(left.amount > 0 ? 'learnedTurn.moreTheSameWay' : 'learnedTurn.back', {
              amount: amountWords(left.amount, adjuster),
            })}
          </Box>
          <Box sx={{ color: 'text.secondary' }}>
            {t('learnedTurn.toItTakesGive', {
              did,
              words: words(step.target!),
              amount: Math.abs(left.amount).toFixed(2),
              more: unit.more,
              max: Math.max(0.01, left.giveOrTake).toFixed(2),
            })}
          </Box>
        </Box>
      )}
      {learned && !learned.isPlain && !isWaiting && (
        <Box sx={{ color: 'text.secondary' }}>{t('learnedTurn.thatIsNoMore', { did })}</Box>
      )}
      {!learned && !isWaiting && <FromTheOtherSide step={step} adjuster={adjuster} sd={sd} />}
      {turns.length === 0 && <FromEarlier step={step} adjuster={adjuster} sd={sd} />}
      {isWaiting ? (
        <Box>
          <Rich
            text={t('learnedTurn.turnedNowMeasure', { amount: amountWords(last.amount, adjuster) })}
          />
        </Box>
      ) : (
        step.now !== null && (
          <TurnForm
            key={turns.length}
            isFirst={turns.length === 0}
            adjuster={adjuster}
            onTurned={add}
          />
        )
      )}
    </Box>
  );
}

function sdOf(draft: Parameters<typeof angleSd>[0], { kind, where, axle }: PlanStep): number {
  if (kind === null) return 0;
  const [wheel, share] = where
    ? [where, 1]
    : [axle === 'rear' ? ('lr' as const) : ('lf' as const), Math.SQRT2];
  return share * angleSd(draft, wheel, kind);
}

/** What the last turn did, in words. */
function didWords(
  turns: readonly TurnMade[],
  adjuster: Adjuster,
  angle: (degrees: number) => string,
): string {
  const last = turns.filter(({ to }) => to !== undefined).at(-1);
  if (!last) return '';
  const words = amountWords(last.amount, adjuster);
  return t(last.amount < 0 ? 'learnedTurn.movedItBack' : 'learnedTurn.movedIt', {
    amount: capital(words),
    from: angle(last.from),
    to: angle(last.to!),
  });
}

/** The other wheel of the axle has taught what a turn does: offered here, where it is built alike. */
function FromTheOtherSide({ step, adjuster, sd }: LearnedTurnProps & { sd: number }) {
  const { draft } = useVisit();
  const [isTaken, setTaken] = useState(false);
  if (!step.where || step.change === null) return null;
  const other = step.where.replace(/^./, (side) => (side === 'l' ? 'r' : 'l')) as typeof step.where;
  const key = `${step.kind}-${other}` as typeof step.key;
  const turns = draft.visit?.setRight?.turns?.[key] ?? [];
  const there = learnTurn(
    turns.filter((turn) => turn.adjuster === adjuster),
    sd,
  );
  if (!there?.isPlain) return null;
  const left = turnLeft(there, step.change, sd);
  if (!left) return null;
  const unit = unitOf(adjuster)!;
  if (!isTaken) {
    return (
      <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ color: 'text.secondary' }}>
          {t('learnedTurn.atTheOneMoved', {
            other: whereWords(other),
            one: unit.one,
            perUnit: showDegrees(there.perUnit, 2),
          })}
        </Box>
        <Button onClick={() => setTaken(true)}>{t('learnedTurn.builtAlikeUseIt')}</Button>
      </Box>
    );
  }
  return (
    <Box>
      <Box className="condensed" role="status" sx={{ fontSize: '2.2rem', fontWeight: 700 }}>
        {amountWords(left.amount, adjuster)}{' '}
        {left.amount > 0
          ? t('learnedTurn.asAtThe', { other: whereWords(other) })
          : t('learnedTurn.againstTheWayAt', { other: whereWords(other) })}
      </Box>
      <Box sx={{ color: 'text.secondary' }}>
        {t('learnedTurn.giveOrTakeLengthening', {
          amount: Math.abs(left.amount).toFixed(2),
          more: unit.more,
          max: Math.max(0.01, left.giveOrTake).toFixed(2),
        })}
      </Box>
    </Box>
  );
}

interface TurnFormProps {
  isFirst: boolean;
  adjuster: Adjuster;
  onTurned: (amount: number) => void;
}

function TurnForm({ isFirst, adjuster, onTurned }: TurnFormProps) {
  const unit = unitOf(adjuster)!;
  const [text, setText] = useState('');
  const [way, setWay] = useState<'same' | 'back'>('same');
  const size = parseMeasure(text.replace('½', '1/2').replace('¼', '1/4').replace('¾', '3/4'));
  const isWrong = size !== null && (!(size > 0) || size > MOST);

  function save(event: FormEvent): void {
    event.preventDefault();
    if (size === null || isWrong) return;
    onTurned(way === 'same' ? size : -size);
  }

  return (
    <Box
      component="form"
      onSubmit={save}
      sx={{ display: 'flex', gap: 1.25, alignItems: 'flex-end', flexWrap: 'wrap' }}
    >
      <TextField
        label={t('learnedTurn.turnedBy', { more: unit.more })}
        value={text}
        error={isWrong}
        helperText={isWrong ? t('learnedTurn.aNumberSuchAs') : null}
        onChange={({ target }) => setText(target.value)}
        sx={{ width: 132 }}
        slotProps={{
          inputLabel: { shrink: true },
          htmlInput: { inputMode: 'text', autoComplete: 'off' },
        }}
      />
      {!isFirst && (
        <Choice
          label={t('learnedTurn.whichWay')}
          hideLabel
          dense
          options={[
            { value: 'same', label: t('learnedTurn.theSameWay') },
            { value: 'back', label: t('learnedTurn.wayBack') },
          ]}
          value={way}
          onChange={(value) => value && setWay(value)}
        />
      )}
      <Button type="submit" disabled={size === null || isWrong}>
        {t('learnedTurn.turned')}
      </Button>
      {isFirst && (
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem', pb: 1 }}>
          {t('learnedTurn.turnALittleSay')}
        </Box>
      )}
    </Box>
  );
}
