import type { Diagnosis, Visit } from '@keen/contract';
import { diagnose, draftToCase } from '@keen/core';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { evenDraft, showStep, visitDetail } from '../../../tests/visitBench.tsx';
import { Declined } from './Declined.tsx';
import { Rotation } from './Rotation.tsx';

const draft = evenDraft(5);
const { diagnosis } = diagnose(draftToCase(draft, '').file);
const worn: Diagnosis = structuredClone(diagnosis);
worn.wheels.lf.wear.toe = 1.5;

function earlier(answer: 'yes' | 'no'): Visit {
  return {
    ...visitDetail().visit,
    id: '44444444-4444-4444-8444-444444444444',
    number: 3,
    arrivedAt: '2025-03-01T09:00:00.000Z',
    draft: {},
    decision: {
      id: '5',
      action: 'fitOnly',
      advised: 'align',
      answer,
      reason: 'next year',
      replace: [],
      entrySeq: 1,
      personId: '6',
      at: '2025-03-01T09:10:00.000Z',
    },
  };
}

describe('Declined', () => {
  it('says when, why, how much rubber and money, beside what the work costs', () => {
    const detail = { ...visitDetail(draft), history: [earlier('no')] };
    showStep(<Declined diagnosis={worn} />, { draft, detail });
    const told = screen.getByRole('region', { name: 'Declined at visit 3, 1 Mar 2025' });
    expect(told).toHaveTextContent('Advised then: align the wheels. “next year”');
    expect(told).toHaveTextContent('1.5 mm at the left front');
    expect(told).toHaveTextContent(
      /the rubber of about 0\.\d tires, some €\d+\. The work costs €89\./,
    );
  });

  it('says nothing where the customer agreed', () => {
    const detail = { ...visitDetail(draft), history: [earlier('yes')] };
    showStep(<Declined diagnosis={worn} />, { draft, detail });
    expect(screen.queryByRole('region')).toBeNull();
  });
});

describe('Rotation', () => {
  it('draws the moves and says when they are due', () => {
    showStep(<Rotation />, {
      draft: { ...draft, rotations: [{ atDistance: 15_000, moves: {} }] },
    });
    expect(screen.getByRole('img')).toHaveAccessibleName(
      'Rotate the tires: left front to left rear, left rear to right front, right rear to left front, right front to right rear',
    );
    expect(screen.getByText(/Every 8 000 km; due in 3 000 km\./)).toBeVisible();
  });

  it('leaves tires where they were said to stay', () => {
    showStep(<Rotation />, { draft: { ...draft, vehicle: { drive: 'fwd', rotatable: false } } });
    expect(screen.getByText(/These tires stay where they are\./)).toBeVisible();
    expect(screen.queryByRole('img')).toBeNull();
  });
});
