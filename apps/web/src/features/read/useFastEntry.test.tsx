import { foldEntries, readingOrder } from '@keen/core';
import type { Slot } from '@keen/core';
import type { DepthUnit, VisitDraft } from '@keen/contract';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { useFastEntry } from './useFastEntry.ts';

const SLOTS = readingOrder('walkRound');

/** The step without its looks: draft and active rib held here. */
function Bench({
  unit = 'mm',
  start = {},
  finish,
}: {
  unit?: DepthUnit;
  start?: VisitDraft;
  finish: () => void;
}) {
  const [draft, setDraft] = useState<VisitDraft>(start);
  const [activeSlot, setActiveSlot] = useState<Slot | null>(null);
  const entry = useFastEntry({
    slots: SLOTS,
    unit,
    draft,
    activeSlot,
    setActiveSlot,
    read: ({ wheel, rib }, reading) =>
      setDraft((before) =>
        foldEntries(before, [
          {
            path: `tires.${wheel}.stations.0.${rib}`,
            value: reading,
          },
        ]),
      ),
    finish,
  });
  return (
    <>
      <output data-testid="at">
        {entry.current ? `${entry.current.wheel} ${entry.current.rib}` : 'done'}
      </output>
      <output data-testid="digits">{entry.digits}</output>
      <output data-testid="draft">{JSON.stringify(draft.tires ?? {})}</output>
      <input aria-label="elsewhere" />
    </>
  );
}

function bench(props: { unit?: DepthUnit; start?: VisitDraft } = {}) {
  const finish = vi.fn();
  render(<Bench {...props} finish={finish} />);
  const tires = () =>
    JSON.parse(screen.getByTestId('draft').textContent ?? '') as NonNullable<VisitDraft['tires']>;
  return { finish, at: () => screen.getByTestId('at').textContent, tires };
}

describe('useFastEntry', () => {
  it('reads twelve ribs in 24 keys and finishes with Enter', async () => {
    const { at, tires, finish } = bench();
    expect(at()).toBe('lf outer');
    await userEvent.keyboard('343647596163585960335545'.slice(0, 24));
    expect(at()).toBe('done');
    expect(tires().lf?.stations).toEqual([{ outer: 3.4, centre: 3.6, inner: 4.7 }]);
    await userEvent.keyboard('{Enter}');
    expect(finish).toHaveBeenCalledOnce();
  });

  it('lets 2 to 9 go at once in 32nds and holds 1', async () => {
    const { at, tires } = bench({ unit: 'in32' });
    await userEvent.keyboard('7');
    expect(at()).toBe('lf centre');
    await userEvent.keyboard('1');
    expect(at()).toBe('lf centre');
    await userEvent.keyboard('0');
    expect(at()).toBe('lf inner');
    expect(tires().lf?.stations?.[0]?.centre).toBeCloseTo(10 * 0.79375, 9);
  });

  it('steps back with Backspace: first the digit, then the reading', async () => {
    const { at, tires } = bench();
    await userEvent.keyboard('345');
    expect(screen.getByTestId('digits')).toHaveTextContent('5');
    await userEvent.keyboard('{Backspace}');
    expect(at()).toBe('lf centre');
    expect(screen.getByTestId('digits')).toHaveTextContent('');
    await userEvent.keyboard('{Backspace}');
    expect(at()).toBe('lf outer');
    expect(tires().lf?.stations?.[0]?.outer).toBeUndefined();
  });

  it('moves by rib with the arrows, taking a single digit as it stands', async () => {
    const { at, tires } = bench();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    expect(at()).toBe('lf inner');
    await userEvent.keyboard('{ArrowLeft}5{ArrowRight}');
    expect(tires().lf?.stations?.[0]?.centre).toBe(5);
    expect(at()).toBe('lf inner');
  });

  it('marks a rib that cannot be read and goes on', async () => {
    const { at, tires } = bench();
    await userEvent.keyboard('/');
    expect(tires().lf?.stations?.[0]?.outer).toBe('unreadable');
    expect(at()).toBe('lf centre');
  });

  it('goes on where an earlier person left off, and back to what was skipped', async () => {
    const start = foldEntries(
      {},
      SLOTS.slice(1, 11).map(({ wheel, rib }) => ({
        path: `tires.${wheel}.stations.0.${rib}`,
        value: 5,
      })),
    );
    const { at } = bench({ start });
    expect(at()).toBe('lf outer');
    await userEvent.keyboard('50');
    await userEvent.keyboard('{ArrowLeft}');
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    expect(at()).not.toBe('done');
  });

  it('leaves keys alone that are typed elsewhere', async () => {
    const { at } = bench();
    await userEvent.type(screen.getByLabelText('elsewhere'), '53');
    expect(at()).toBe('lf outer');
  });
});
