import type { PracticeCar, PracticeResult } from '@keen/contract';
import { DEFAULT_PRICES, PRACTICE_CHECKS } from '@keen/contract';
import { diagnose, draftToCase } from '@keen/core';
import { checkCost } from '@keen/core/practice';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { evenDraft, showStep } from '../../../tests/visitBench.tsx';
import { GaugeScale } from '../../drawing/GaugeScale.tsx';
import { AnswerStep } from './AnswerStep.tsx';
import { ChecksStep } from './ChecksStep.tsx';
import type { PracticeContext } from './practiceContext.ts';
import { ResultStep } from './ResultStep.tsx';

const draft = evenDraft(5);
const { diagnosis } = diagnose(draftToCase(draft, 'Practice car').file);

function resultOf(change: Partial<PracticeResult> = {}): PracticeResult {
  const ribs = { inner: 5, centre: 5, outer: 5 };
  return {
    answer: {
      causes: [{ cause: 'toeTooFarIn', where: 'front', chance: 0.9 }],
      course: 'align',
    },
    truth: {
      faults: [{ cause: 'bounce', where: 'lr' }],
      camber: [-0.4, -0.4, -0.7, -0.7],
      totalToe: [0.1, 0.2],
      pressure: [1, 1, 1, 1],
      play: [0, 0],
      cornering: 1,
      depthsMm: { lf: ribs, rf: ribs, lr: ribs, rr: ribs },
    },
    score: { brier: 1.8, usualBrier: 1.1, bestBrier: 0.4, points: -63.6, bestPoints: 63.6 },
    best: {
      causes: [{ cause: 'bounce', where: 'lr', chance: 0.8 }],
      course: 'balanceOrDampers',
      diagnosis,
    },
    courses: [
      { course: 'balanceOrDampers', minor: 40_000, lost: 0 },
      { course: 'align', minor: 52_300, lost: 12_300 },
    ],
    checks: [{ check: 'angles', minor: 2_900, worthMinor: 4_100, points: 0.2 }],
    ...change,
  };
}

function show(step: React.ReactNode, change: Partial<PracticeCar> = {}) {
  const check = vi.fn();
  const car: PracticeCar = {
    id: '33333333-3333-4333-8333-333333333333',
    personId: '11111111-1111-4111-8111-111111111111',
    lesson: 'waves',
    code: 'test',
    startedAt: '2026-03-01T09:00:00.000Z',
    finishedAt: null,
    draft,
    done: [],
    felt: null,
    costs: Object.fromEntries(
      PRACTICE_CHECKS.map((one) => [one, checkCost(one, DEFAULT_PRICES)]),
    ) as PracticeCar['costs'],
    readings: 12,
    minutes: 3,
    minor: 0,
    result: null,
    ...change,
  };
  const practising = { check, isChecking: false } as unknown as PracticeContext['practising'];
  const given = { draft, isPractice: true, car, practising };
  return { ...showStep(step, given), check };
}

describe('the checks', () => {
  it('say what they take, and what they found once they are made', async () => {
    const { check } = show(<ChecksStep />, { done: ['waves'] });
    const rows = within(screen.getByRole('list', { name: 'Checks' })).getAllByRole('listitem');
    const row = (text: string) => rows.find((one) => one.textContent.includes(text))!;
    expect(row('waves')).toHaveTextContent('No waves');
    expect(row('angles')).toHaveTextContent(/25 min, €\d+/);
    await userEvent.click(within(row('angles')).getByRole('button', { name: 'Do it' }));
    expect(check).toHaveBeenCalledWith('angles');
  });
});

describe('the stroke', () => {
  it('says sharp or smooth as the hand moves, and takes what the learner makes of it', async () => {
    const smooth = { out: 'smooth', in: 'smooth' } as const;
    const felt = {
      lf: { out: 'sharp', in: 'smooth' },
      rf: smooth,
      lr: smooth,
      rr: smooth,
    } as const;
    const { enter } = show(<ChecksStep />, { done: ['stroke'], felt });
    const [lf] = within(screen.getByRole('list', { name: 'Treads under the hand' })).getAllByRole(
      'listitem',
    );
    const left = within(lf!);
    expect(left.queryByText('sharp')).toBeNull();
    await userEvent.click(left.getByRole('button', { name: 'Hand out' }));
    expect(left.getByText('sharp')).toBeVisible();
    await userEvent.click(left.getByRole('button', { name: 'Hand in' }));
    expect(left.getByText('smooth')).toBeVisible();
    await userEvent.click(left.getByRole('button', { name: /Catches out/ }));
    expect(enter).toHaveBeenCalledWith('tires.lf.feather', 'catchesOutward');
  });
});

describe('the answer', () => {
  it('is asked for causes with how sure, and a course before it can be given', async () => {
    show(<AnswerStep />);
    const send = screen.getByRole('button', { name: 'Answer and see' });
    expect(send).toBeDisabled();
    await userEvent.click(
      within(screen.getByRole('group', { name: 'Too much toe-in, where' })).getByRole('button', {
        name: 'Front axle',
      }),
    );
    expect(screen.getByRole('slider', { name: 'Too much toe-in, how sure' })).toHaveAttribute(
      'aria-valuetext',
      '70\u00a0%',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Align the wheels' }));
    expect(send).toBeEnabled();
  });
});

describe('the result', () => {
  it('sets what was said beside the truth and the best answer, and tells the money', () => {
    show(<ResultStep />, { result: resultOf(), finishedAt: '2026-03-01T09:10:00.000Z' });
    expect(screen.getByRole('heading', { level: 2 })).toHaveTextContent(
      '−64 points: too sure of something that was not there.',
    );
    const rows = screen.getAllByRole('row');
    expect(rows[1]).toHaveTextContent(/Damper or balance, left rearyes3 %/);
    expect(rows.find((row) => row.textContent.startsWith('Too much toe-in'))).toHaveTextContent(
      'no90 %',
    );
    expect(screen.getByRole('region', { name: 'The money' })).toHaveTextContent(
      /cost this customer €123 too much/,
    );
    expect(screen.getByRole('list', { name: 'What the checks were worth' })).toHaveTextContent(
      'cost €29, was worth €41 before its result was known, and added nothing',
    );
    // The true car as the wear lab takes it.
    const href = screen.getByRole('link', { name: 'See it wear' }).getAttribute('href')!;
    const query = new URLSearchParams(href.split('?')[1]);
    expect(query.get('bounces')).toBe('0,0,1,0');
    expect(query.get('toe')).toBe('0.05,0.05,0.1,0.1');
  });

  it('says so where nobody could have spent less, and where nothing was out', () => {
    const { truth, courses } = resultOf();
    const result = resultOf({
      truth: { ...truth, faults: [] },
      answer: { causes: [], course: 'fitOnly' },
      courses: [{ course: 'fitOnly', minor: 30_000, lost: 0 }, ...courses],
      checks: [],
      score: { brier: 0.1, usualBrier: 0.1, bestBrier: 0.05, points: 0, bestPoints: 50 },
    });
    show(<ResultStep />, { result });
    expect(screen.getByRole('heading', { name: 'Nothing was out' })).toBeVisible();
    expect(screen.getByRole('heading', { name: 'This was the cheapest course' })).toBeVisible();
  });
});

describe('the gauge', () => {
  it('has its pointer where the scale says what it shows, and nothing below nought', () => {
    const { container } = render(<GaugeScale mm={0.3} isAskew />);
    expect(screen.getByRole('img')).toHaveAccessibleName(
      'Depth gauge in the groove, pointer at 0.3 mm, the gauge is tilted',
    );
    expect([...container.querySelectorAll('text')].map(({ textContent }) => textContent)).toEqual([
      '0',
      '1',
      'mm',
    ]);
  });
});
