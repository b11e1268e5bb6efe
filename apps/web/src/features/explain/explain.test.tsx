import type { NextCheck, RankedCause } from '@keen/contract';
import { createDiagnosisRun, draftToCase, foldEntries, LIVE_SWEEPS } from '@keen/core';
import type { ExpectedDepths } from '@keen/core';
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { evenDraft, showStep } from '../../../tests/visitBench.tsx';
import { IDLE } from '../../workers/useDiagnosis.ts';
import { AnswerState } from './AnswerState.tsx';
import { CauseTable } from './CauseTable.tsx';
import { ExplainStep } from './ExplainStep.tsx';
import { MisfitNotice } from './MisfitNotice.tsx';
import { NextCheckBar } from './NextCheckBar.tsx';
import { ReasonLists } from './ReasonLists.tsx';
import { WearRates } from './WearRates.tsx';
import { WhatIf } from './WhatIf.tsx';

function cause(change: Partial<RankedCause> = {}): RankedCause {
  return {
    cause: 'toeTooFarIn',
    where: 'front',
    probability: 0.94,
    excess: 1.6,
    because: [],
    against: [],
    ...change,
  };
}

describe('CauseTable', () => {
  const many = [
    cause(),
    cause({ cause: 'looseness', probability: 0.18, excess: 0.3 }),
    cause({ cause: 'bounce', where: 'lr', probability: 0.04, excess: 0 }),
  ];

  it('shows how sure and how much, and folds the unlikely away', async () => {
    showStep(<CauseTable ranked={many} lostMm={16} chosen={null} onChoose={vi.fn()} />);
    const row = screen.getByRole('row', { name: /Too much toe-in front axle/ });
    expect(row).toHaveTextContent('94 %');
    expect(row).toHaveTextContent('1.6 mm · 10 %');
    expect(row).toHaveTextContent('very likely');
    expect(screen.queryByText(/Damper or balance/)).toBeNull();
    expect(screen.getByText('1 other cause, each under 8 %')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'show' }));
    expect(screen.getByRole('row', { name: /Damper or balance/ })).toHaveTextContent('4 %');
  });

  it('chooses a cause by its button, and says which is chosen', async () => {
    const onChoose = vi.fn();
    showStep(
      <CauseTable ranked={many} lostMm={16} chosen="toeTooFarIn.front" onChoose={onChoose} />,
    );
    expect(screen.getByRole('button', { name: /toe-in/ })).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(screen.getByRole('button', { name: /Loose joints/ }));
    expect(onChoose).toHaveBeenCalledWith(many[1]);
  });

  it('shows depths in 32nds to who reads in them', () => {
    showStep(<CauseTable ranked={many} lostMm={16} chosen={null} onChoose={vi.fn()} />, {
      units: { depth: 'in32', distance: 'mi', pressure: 'psi' },
    });
    expect(screen.getByRole('row', { name: /toe-in/ })).toHaveTextContent('2.0 /32');
  });
});

describe('NextCheckBar', () => {
  const check = (one: NextCheck['check'], where: NextCheck['where'], gain = 0.4): NextCheck => ({
    check: one,
    where,
    gain,
  });

  it.each<[NextCheck, string, [string, unknown][]]>([
    [check('feelFeather', 'lf'), 'Catches out', [['tires.lf.feather', 'catchesOutward']]],
    [check('feelWaves', 'rr'), 'Heavy', [['tires.rr.cupping', 'heavy']]],
    [
      check('checkPlay', 'front'),
      'No play',
      [
        ['play.lf', 'none'],
        ['play.rf', 'none'],
      ],
    ],
    [
      check('checkPlay', 'rear'),
      'Too much',
      [
        ['play.lr', 'excessive'],
        ['play.rr', 'none'],
      ],
    ],
  ])('takes the answer to %o by %s', async (next, answer, entries) => {
    const { enter } = showStep(<NextCheckBar checks={[next]} onDecide={vi.fn()} />);
    await userEvent.click(screen.getByRole('button', { name: answer }));
    expect(enter.mock.calls).toEqual(entries);
  });

  it('leads to the step where buttons cannot answer', async () => {
    const { goTo } = showStep(
      <NextCheckBar checks={[check('checkPressure', 'lf')]} onDecide={vi.fn()} />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Enter the pressure' }));
    expect(goTo).toHaveBeenCalledWith('arrive');
  });

  it('takes another check up when it is asked for, with its caution', async () => {
    showStep(
      <NextCheckBar
        checks={[check('feelFeather', 'lf'), check('checkPlay', 'front', 0.2)]}
        onDecide={vi.fn()}
      />,
    );
    expect(screen.queryByRole('alert')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /or shake both front wheels/ }));
    expect(screen.getByRole('button', { name: 'Too much' })).toBeVisible();
    expect(screen.getByRole('alert')).toHaveTextContent(/never under a car on a jack alone/);
  });

  it('goes on to the next check when one is skipped', async () => {
    showStep(
      <NextCheckBar
        checks={[check('feelFeather', 'lf'), check('feelWaves', 'lf', 0.2)]}
        onDecide={vi.fn()}
      />,
    );
    expect(screen.getByText(/stroke the left front tire/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Skip' }));
    expect(screen.getByText(/feel the left front tire for waves/)).toBeVisible();
  });

  it('does not send anyone for next to nothing', () => {
    showStep(
      <NextCheckBar
        checks={[check('feelFeather', 'lf', 0.01), check('measureAngles', 'front', 0.7)]}
        onDecide={vi.fn()}
      />,
    );
    expect(screen.getByText(/Nothing left to feel or look at/)).toBeVisible();
    expect(screen.getByText(/Measuring the front angles would\./)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Smooth' })).toBeNull();
  });
});

describe('the answer looked into', () => {
  const odd = evenDraft(6);
  const file = draftToCase(
    foldEntries(odd, [
      { path: 'tires.rr.stations.0.centre', value: 2.2 },
      { path: 'tires.rr.pressure', value: { measured: 230, target: 230 } },
    ]),
    'Test van',
  ).file;
  const run = createDiagnosisRun(file);
  run.step(LIVE_SWEEPS);
  const answer = run.answer();

  it('draws what other settings would leave, and goes back to the car', async () => {
    const { setTried } = showStep(<WhatIf answer={answer} file={file} startAt="lf" />);
    const back = screen.getByRole('button', { name: 'Back to the car' });
    expect(back).toBeDisabled();
    const depths = screen.getByText(/Left front, inner to outer/).textContent;
    const toe = screen.getByRole('slider', { name: 'Total toe, front' });
    act(() => toe.focus());
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{PageUp}');
    expect(screen.getByText(/Left front, inner to outer/).textContent).not.toBe(depths);
    const drawn = setTried.mock.lastCall?.[0] as ExpectedDepths;
    expect(drawn.lf.outer.mean).toBeLessThan(answer.expectedMm.lf.outer.mean);
    await userEvent.click(back);
    expect(setTried).toHaveBeenLastCalledWith(null);
    expect(screen.getByText(/Left front, inner to outer/).textContent).toBe(depths);
  });

  it('says which rib it cannot explain, and leads there', async () => {
    const setActiveSlot = vi.fn();
    const { goTo } = showStep(<MisfitNotice answer={answer} file={file} />, { setActiveSlot });
    expect(screen.getByRole('note')).toHaveTextContent('right rear centre: 2.2 mm read');
    await userEvent.click(screen.getByRole('button', { name: 'Read it again' }));
    expect(setActiveSlot).toHaveBeenCalledWith({ wheel: 'rr', rib: 'centre' });
    expect(goTo).toHaveBeenCalledWith('read');
  });

  it('tells how far it is', () => {
    showStep(<AnswerState diagnosing={{ ...IDLE, answer, file, state: 'live', progress: 0.4 }} />);
    expect(screen.getByRole('status')).toHaveTextContent('being refined. 40 %');
    expect(screen.getByRole('link', { name: 'How it works' })).toHaveAttribute(
      'href',
      '/how-it-works',
    );
  });
});

describe('ReasonLists', () => {
  it('says what speaks for and against, or that nothing does', () => {
    showStep(<ReasonLists cause={cause({ because: ['Both outer edges are lower.'] })} />);
    expect(screen.getByText('Both outer edges are lower.')).toBeVisible();
    expect(screen.getByText('Nothing that was read or felt.')).toBeVisible();
  });
});

describe('ExplainStep', () => {
  it('asks for the tread while there is too little of it', async () => {
    const { goTo } = showStep(<ExplainStep />);
    expect(screen.getByRole('heading', { name: /has not said enough/ })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Read the tread' }));
    expect(goTo).toHaveBeenCalledWith('read');
  });

  it('shows that it is working', () => {
    showStep(<ExplainStep />, {
      draft: evenDraft(6),
      diagnosing: { ...IDLE, state: 'working' },
    });
    expect(screen.getByRole('status', { name: 'Working out the answer' })).toBeVisible();
  });

  it('says what is kept when the answer cannot be worked out', () => {
    showStep(<ExplainStep />, {
      draft: evenDraft(6),
      diagnosing: { ...IDLE, state: 'failed', failure: 'no such size' },
    });
    expect(screen.getByRole('alert')).toHaveTextContent('no such size. What was entered is saved');
  });
});

describe('WearRates', () => {
  it('tells how fast each axle wears', () => {
    showStep(<WearRates />, { draft: evenDraft(6) });
    const front = screen.getByText(/at the front/).parentElement!;
    expect(within(front).getByText('1.0')).toBeVisible();
  });
});
