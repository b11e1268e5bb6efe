import type { Diagnosis, NextCheck, RankedCause } from '@keen/contract';
import {
  createDiagnosisRun,
  diagnose,
  draftToCase,
  foldEntries,
  LIVE_SWEEPS,
  USUAL_CONSTANTS,
} from '@keen/core';
import type { ExpectedDepths, Slot } from '@keen/core';
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
import { SinceLine } from './SinceLine.tsx';
import { StartsFrom } from './StartsFrom.tsx';
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
    cause({ cause: 'looseness', probability: 0.18, excess: 0.4 }),
    cause({ cause: 'bounce', where: 'lr', probability: 0.04, excess: 0 }),
  ];
  const { diagnosis } = diagnose(draftToCase(evenDraft(6), 'Test van').file);
  /** A front axle whose toe took 2 of the 5 mm lost at the left front, shared by toe and play. */
  function worn(ranked: RankedCause[]): Diagnosis {
    const made = structuredClone({ ...diagnosis, ranked });
    for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
      made.wheels[wheel].wear = {
        total: 5,
        base: 3,
        camber: 0,
        toe: wheel === 'lf' ? 2 : 1,
        pressure: wheel === 'rr' ? 0.9 : 0.6,
        cornering: 0,
        bounce: 0,
      };
    }
    return made;
  }

  it('shows how sure and how much, and folds the unlikely away', async () => {
    showStep(<CauseTable diagnosis={worn(many)} chosen={null} onChoose={vi.fn()} />);
    const row = screen.getByRole('row', { name: /Too much toe-in front axle/ });
    expect(row).toHaveTextContent('94 %');
    // Toe and play took 1.6 and 0.4 of the extra wear, so four fifths of the toe part are the toe's.
    expect(row).toHaveTextContent('1.6 of 5.0 mm');
    expect(row).toHaveTextContent('left front');
    expect(row).toHaveTextContent('very likely');
    expect(screen.queryByText(/Damper or balance/)).toBeNull();
    expect(screen.getByText('1 other cause, each under 8 %')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'show' }));
    expect(screen.getByRole('row', { name: /Damper or balance/ })).toHaveTextContent('4 %');
  });

  it('puts a cause that is at several places in one row, and that of the headline first', () => {
    const soft = (['rr', 'lf', 'rf', 'lr'] as const).map((where) =>
      cause({ cause: 'pressureLow', where, probability: 0.7, excess: 0.3 }),
    );
    showStep(
      <CauseTable
        diagnosis={worn([...soft, cause({ probability: 0.3, excess: 0.2 })])}
        chosen={null}
        onChoose={vi.fn()}
      />,
    );
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows).toHaveLength(2);
    expect(rows[0]).toHaveTextContent(/Pressure too low all four/);
    expect(rows[0]).toHaveTextContent('0.9 of 5.0 mm');
  });

  it('chooses a cause by its button, and says which is chosen', async () => {
    const onChoose = vi.fn();
    showStep(<CauseTable diagnosis={worn(many)} chosen="toeTooFarIn.front" onChoose={onChoose} />);
    expect(screen.getByRole('button', { name: /toe-in/ })).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(screen.getByRole('button', { name: /Loose joints/ }));
    expect(onChoose).toHaveBeenCalledWith(expect.objectContaining({ places: [many[1]] }));
  });

  it('shows depths in 32nds to who reads in them', () => {
    showStep(<CauseTable diagnosis={worn(many)} chosen={null} onChoose={vi.fn()} />, {
      units: { depth: 'in32', distance: 'mi', pressure: 'psi' },
    });
    expect(screen.getByRole('row', { name: /toe-in/ })).toHaveTextContent('2 of 6 /32');
  });
});

describe('NextCheckBar', () => {
  const check = (one: NextCheck['check'], where: NextCheck['where'], gain = 0.4): NextCheck => ({
    check: one,
    where,
    gain,
  });
  const bar = (
    checks: NextCheck[],
    changes = 0.24,
    minor = 3_120,
    readFirst: Slot | null = null,
  ) => (
    <NextCheckBar
      checks={checks}
      readFirst={readFirst}
      worths={checks.map((one) => ({ check: one.check, where: one.where, changes, minor }))}
      onDecide={vi.fn()}
    />
  );

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
    const { enter } = showStep(bar([next]));
    await userEvent.click(screen.getByRole('button', { name: answer }));
    expect(enter.mock.calls).toEqual(entries);
  });

  it('leads to the step where buttons cannot answer', async () => {
    const { goTo } = showStep(bar([check('checkPressure', 'lf')]));
    await userEvent.click(screen.getByRole('button', { name: 'Enter the pressure' }));
    expect(goTo).toHaveBeenCalledWith('arrive');
  });

  it('takes another check up when it is asked for, with its caution', async () => {
    showStep(bar([check('feelFeather', 'lf'), check('checkPlay', 'front', 0.2)]));
    expect(screen.queryByRole('alert')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /or shake both front wheels/ }));
    expect(screen.getByRole('button', { name: 'Too much' })).toBeVisible();
    expect(screen.getByRole('alert')).toHaveTextContent(/never under a car on a jack alone/);
  });

  it('goes on to the next check when one is skipped', async () => {
    showStep(bar([check('feelFeather', 'lf'), check('feelWaves', 'lf', 0.2)]));
    expect(screen.getByText(/stroke the left front tire/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Skip' }));
    expect(screen.getByText(/feel the left front tire for waves/)).toBeVisible();
  });

  it('does not send anyone for next to nothing', () => {
    showStep(bar([check('feelFeather', 'lf', 0.01), check('measureAngles', 'front', 0.7)]));
    expect(screen.getByText(/Nothing left to feel or look at/)).toBeVisible();
    expect(screen.getByText(/Measuring the front angles/)).toHaveTextContent(
      'Measuring the front angles changes the advice one time in four, worth about €31 to this car.',
    );
    expect(screen.queryByRole('button', { name: 'Smooth' })).toBeNull();
  });

  it('says what a check is worth in words and money', () => {
    showStep(bar([check('feelFeather', 'lf')], 0.65, 1_240));
    expect(screen.getByText(/Most useful next check/).parentElement).toHaveTextContent(
      'stroke the left front tire across the ribs. Changes the advice two times in three, worth about €12 to this car.',
    );
  });

  it('does not ask for what would not change the advice', () => {
    showStep(bar([check('checkPlay', 'front', 0.1)], 0.01, 4));
    expect(screen.getByText(/Nothing left to feel or look at would change/)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'No play' })).toBeNull();
  });

  it('asks for what tells a good deal of the cause, and says that the advice would stay', () => {
    showStep(bar([check('feelFeather', 'lf', 0.5)], 0.01, 4));
    expect(
      screen.getByText(/Tells more about the cause; the advice would hardly change/),
    ).toBeVisible();
    expect(screen.getByRole('button', { name: 'Smooth' })).toBeVisible();
  });

  it('asks for a rib that the answer hangs on before any check, and lets another be picked', async () => {
    const rib = { wheel: 'rr', rib: 'inner' } as const;
    const { setActiveSlot, goTo } = showStep(bar([check('feelFeather', 'lf')], 0.24, 3_120, rib));
    expect(screen.getByText(/^First read the right rear inner rib/)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Smooth' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Read it' }));
    expect(setActiveSlot).toHaveBeenCalledWith(rib);
    expect(goTo).toHaveBeenCalledWith('read');
    await userEvent.click(screen.getByRole('button', { name: /^or / }));
    expect(screen.getByRole('button', { name: 'Smooth' })).toBeVisible();
  });

  it('asks for nothing while that is worked out', () => {
    showStep(
      <NextCheckBar
        checks={[check('feelFeather', 'lf')]}
        worths={null}
        readFirst={null}
        onDecide={vi.fn()}
      />,
    );
    expect(screen.getByRole('status')).toHaveTextContent('Working out what to check next…');
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

  it('says which reading does not fit, and leads there', async () => {
    // Doubted, but not so much that the advice asks for it first.
    const { recommendation } = answer.diagnosis;
    const diagnosis = { ...answer.diagnosis, recommendation: { ...recommendation, codes: [] } };
    const { goTo, setActiveSlot } = showStep(
      <MisfitNotice answer={{ ...answer, diagnosis }} file={file} />,
    );
    expect(screen.getByRole('note')).toHaveTextContent(
      'The right rear centre reading does not fit the others.',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Read it again' }));
    expect(setActiveSlot).toHaveBeenCalledWith({ wheel: 'rr', rib: 'centre' });
    expect(goTo).toHaveBeenCalledWith('read');
  });

  it('leaves a reading to the next check where that asks for it first', () => {
    expect(answer.diagnosis.recommendation.codes).toContainEqual({
      code: 'readAgain',
      figures: ['rr', 'centre'],
    });
    showStep(<MisfitNotice answer={answer} file={file} />);
    expect(screen.queryByRole('note')).toBeNull();
  });

  it('says what it cannot explain where no single reading is to blame', () => {
    const expectedMm = structuredClone(answer.expectedMm);
    expectedMm.lf.outer = { mean: 4.5, sd: 0.3 };
    const diagnosis = { ...answer.diagnosis, oddities: [] };
    showStep(<MisfitNotice answer={{ ...answer, diagnosis, expectedMm }} file={file} />);
    expect(screen.getByRole('note')).toHaveTextContent(/left front outer|right rear centre/);
    expect(screen.getByRole('note')).toHaveTextContent(/mm read, .* expected/);
  });

  it('asks for the age of an axle that does not fit one distance for all', async () => {
    const oddities = [{ kind: 'age' as const, where: 'rear' as const, probability: 0.6 }];
    const { goTo } = showStep(
      <MisfitNotice
        answer={{ ...answer, diagnosis: { ...answer.diagnosis, oddities } }}
        file={file}
      />,
    );
    expect(screen.getByRole('note')).toHaveTextContent('The rear tires look older or newer');
    await userEvent.click(screen.getByRole('button', { name: 'Enter their own distance' }));
    expect(goTo).toHaveBeenCalledWith('arrive');
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
    showStep(
      <ReasonLists
        cause={cause({ because: ['Both outer edges are lower.'] })}
        file={draftToCase(evenDraft(6), 'Test van').file}
      />,
    );
    expect(screen.getByText('Both outer edges are lower.')).toBeVisible();
    expect(screen.getByText('Nothing read or felt so far.')).toBeVisible();
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

describe('SinceLine', () => {
  it('says since when the answer speaks, and why', () => {
    showStep(
      <SinceLine since={{ km: 12_340, because: 'putRight', putRight: ['angles', 'pressures'] }} />,
    );
    expect(
      screen.getByText(/the 12 340 km since the angles and the pressures were put right here/),
    ).toBeVisible();
    showStep(<SinceLine since={{ km: 8_000, because: 'changed', putRight: [] }} />);
    expect(screen.getByText(/8 000 km since .* something has started or stopped/)).toBeVisible();
  });

  it('says nothing of a tire’s whole life', () => {
    showStep(<SinceLine since={undefined} />);
    expect(screen.queryByText(/This is about/)).toBeNull();
  });
});

describe('StartsFrom', () => {
  const learned = { ...USUAL_CONSTANTS, version: 3, lines: [] };

  it('says when an answer starts from what the shop’s own cars taught, and where that came from', () => {
    showStep(<StartsFrom />, { draft: { constants: learned } });
    expect(screen.getByText(/learned from this shop’s own cars, version 3/)).toBeVisible();
    showStep(<StartsFrom />, { draft: { constants: { ...learned, version: null } } });
    expect(screen.getByText(/the shop that sent this case/)).toBeVisible();
  });

  it('says nothing where the usual figures stand', () => {
    showStep(<StartsFrom />);
    expect(screen.queryByText(/starts from/)).toBeNull();
  });
});
