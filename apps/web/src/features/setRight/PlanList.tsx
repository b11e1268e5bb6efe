import type { AngleKind, Axle, VisitDraft, Wheel } from '@keen/contract';
import type { PlanStep } from '@keen/core';
import { setRightPlan, wheelsAt } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useAngleWords } from '../../angles/useAngleWords.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { StepAtHand } from './StepAtHand.tsx';
import { t } from '../../words/setRight.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { setRightTexts } from '../../words/core/setRight.ts';
import { term } from '../../words/terms.ts';

/** The plan as a list: what is done, the step at hand opened, and what comes after it. */
export function PlanList({ plan, hasBegun }: { plan: readonly PlanStep[]; hasBegun: boolean }) {
  const { draft, setAtHand, isBay } = useVisit();
  const angleWords = useAngleWords();
  const [chosen, setChosen] = useState<PlanStep['key'] | null>(null);
  const open = plan.find(({ key }) => key === chosen) ?? plan[0];
  const { kind = null, where = null, axle = null, change = null } = open ?? {};
  useEffect(() => {
    const place = where ?? axle;
    setAtHand(kind && place ? { kind, where: place, change } : null);
    return () => setAtHand(null);
  }, [kind, where, axle, change, setAtHand]);
  const next = plan[(plan.findIndex(({ key }) => key === open?.key) + 1) % plan.length];
  useHotkeys('n', () => next && setChosen(next.key), { enabled: isBay });
  if (isBay) {
    return (
      <Box>
        {open && <StepAtHand key={open.key} step={open} plan={plan} hasBegun={hasBegun} />}
        {next && next.key !== open?.key && (
          <Button sx={{ mt: 3, width: '100%' }} onClick={() => setChosen(next.key)}>
            {t('planList.next', { title: next.title.toLowerCase(), next: placeOf(next) })}
          </Button>
        )}
      </Box>
    );
  }
  const done = doneSteps(draft, plan);
  return (
    <Box>
      <Box
        component="ol"
        aria-label={t('planList.whatToSet')}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {plan.map((step) =>
          step.key === open?.key ? (
            <Box component="li" key={step.key} aria-current="step" sx={{ borderTop: LINE, py: 2 }}>
              <StepAtHand key={step.key} step={step} plan={plan} hasBegun={hasBegun} />
            </Box>
          ) : (
            <Box component="li" key={step.key} sx={{ borderTop: LINE }}>
              <Box
                component="button"
                type="button"
                onClick={() => setChosen(step.key)}
                sx={{
                  ...ROW,
                  border: 0,
                  width: '100%',
                  background: 'none',
                  font: 'inherit',
                  color: 'inherit',
                  textAlign: 'left',
                  cursor: 'pointer',
                  '&:hover': { bgcolor: 'var(--sheet)' },
                }}
              >
                <Square isDone={false} />
                <Box>
                  {setRightTexts.stepTitles[step.title]} {placeOf(step)}
                </Box>
                <Box sx={{ ml: 'auto', color: 'text.secondary', whiteSpace: 'nowrap' }}>
                  {shortly(step, angleWords)}
                </Box>
              </Box>
            </Box>
          ),
        )}
      </Box>
      {done.length > 0 && (
        <Box component="ul" aria-label={t('planList.done')} sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {done.map(({ key, title, place, kind, where, was, now }) => (
            <Box component="li" key={key} sx={ROW}>
              <Square isDone />
              <Box sx={{ color: 'text.secondary' }}>
                {setRightTexts.stepTitles[title]} {place}
              </Box>
              <Box sx={{ ml: 'auto', color: 'text.secondary', whiteSpace: 'nowrap' }}>
                {angleWords(was, kind, where)} → {angleWords(now, kind, where)}
              </Box>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

const LINE = '1px solid var(--hairline)';
const ROW = {
  display: 'flex',
  gap: 1.75,
  alignItems: 'center',
  minHeight: 44,
  py: 0.75,
  px: 0,
  borderTop: LINE,
} as const;

function Square({ isDone }: { isDone: boolean }) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        width: 10,
        height: 10,
        flexShrink: 0,
        border: '1.5px solid var(--soft)',
        bgcolor: isDone ? 'var(--soft)' : 'transparent',
        borderRadius: isDone ? 0 : '50%',
      }}
    />
  );
}

function placeOf({ where, axle }: PlanStep): string {
  return where ? whereWords(where) : axle ? term(`axle.${axle}`) : '';
}

/** What is to be done at a step, on one line. */
function shortly(
  { needs, kind, where, axle, now, target }: PlanStep,
  words: ReturnType<typeof useAngleWords>,
): string {
  if (kind === null) return '';
  if (needs === 'measure') return t('planList.measureAgain');
  if (now === null || target === null) return '';
  const place = where ?? axle ?? 'front';
  return t('planList.wants', { now: words(now, kind, place), target: words(target, kind, place) });
}

interface DoneStep {
  key: string;
  title: PlanStep['title'];
  place: string;
  kind: AngleKind;
  where: Wheel | Axle;
  was: number;
  now: number;
}

/** Steps of the plan that setting began with and that are not in it any more. */
function doneSteps(draft: VisitDraft, plan: readonly PlanStep[]): DoneStep[] {
  const { before } = draft.visit?.setRight ?? {};
  if (!before) return [];
  const visit = { ...draft.visit, setRight: {} };
  const first = setRightPlan({ ...draft, angles: before, visit });
  const open = new Set(plan.map(({ key }) => key));
  return first.flatMap((step) => {
    const { key, kind, axle, title } = step;
    const where = step.where ?? axle;
    if (open.has(key) || kind === null || where === null) return [];
    const wheels = wheelsAt(where);
    const sum = (angles: VisitDraft['angles']) =>
      wheels.reduce<number>((total, wheel) => total + (angles?.[wheel]?.[kind] ?? Number.NaN), 0);
    const [was, now] = [sum(before), sum(draft.angles)];
    if (Number.isNaN(was + now)) return [];
    return { key, title, place: placeOf(step), kind, where, was, now };
  });
}
