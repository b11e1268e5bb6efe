import type { Visit } from '@keen/contract';
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { evenDraft, PERSON, visitDetail } from '../../../tests/visitBench.tsx';
import { VisitRow } from './VisitRow.tsx';

function row(change: Partial<Visit>): HTMLElement {
  render(
    <MemoryRouter>
      <ul>
        <VisitRow visit={{ ...visitDetail().visit, ...change }} people={[PERSON]} />
      </ul>
    </MemoryRouter>,
  );
  return screen.getByRole('link');
}

describe('VisitRow', () => {
  it('says what stands next and leads there', () => {
    const link = row({ draft: evenDraft(6), waits: 'counter' });
    expect(link).toHaveTextContent('Next: Inspect');
    expect(link).toHaveTextContent('at the counter');
    expect(link).toHaveAttribute('href', expect.stringMatching(/\/inspect$/));
  });

  it('says how far a reading is', () => {
    const draft = evenDraft(6);
    for (const wheel of ['rf', 'lr', 'rr'] as const) delete draft.tires?.[wheel]?.stations;
    expect(row({ draft })).toHaveTextContent('Next: Read the tread, 3 of 12');
  });

  it('shows what was decided, the customer’s answer and by whom', () => {
    const link = row({
      draft: evenDraft(6),
      decision: {
        id: '5',
        action: 'align',
        advised: 'align',
        replace: [],
        answer: 'no',
        reason: '',
        entrySeq: 1,
        personId: PERSON.id,
        at: '2026-03-01T10:00:00.000Z',
      },
    });
    expect(link).toHaveTextContent('Align the wheels');
    expect(link).toHaveTextContent('Customer said no, Mira');
  });

  it('calls an unsafe tire so, in words', () => {
    const link = row({ draft: { tires: { rr: { damage: ['bulge'] } } } });
    expect(link).toHaveTextContent('Not safe to drive: right rear');
  });
});
