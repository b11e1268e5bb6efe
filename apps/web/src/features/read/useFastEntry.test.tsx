import { foldEntries, readDepthText, readingOrder } from '@keen/core';
import type { Slot } from '@keen/core';
import type { DepthUnit, VisitDraft } from '@keen/contract';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { typeText } from '../../devices/typeText.ts';
import { useFastEntry } from './useFastEntry.ts';

const SLOTS = readingOrder('walkAround');

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
    readLine: (text) => {
      const mm = readDepthText(text, unit);
      if (mm !== null) entry.keep(mm);
    },
  });
  return (
    <>
      <output data-testid="at">
        {entry.current ? `${entry.current.wheel} ${entry.current.rib}` : 'done'}
      </output>
      <output data-testid="digits">{entry.digits}</output>
      <output data-testid="written">{entry.written}</output>
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

  it('takes what a gauge types, with a point and Enter, for one rib each', async () => {
    const { at, tires } = bench();
    for (const text of ['5.30', '4.95 mm', '12.40', '0.2500 in']) await typeText(text);
    expect(tires()).toEqual({
      lf: { stations: [{ outer: 5.3, centre: 4.95, inner: 12.4 }] },
      lr: { stations: [{ outer: 6.35 }] },
    });
    expect(at()).toBe('lr centre');
  });

  it('takes what a gauge types in mm for a person who reads in 32nds', async () => {
    const { tires } = bench({ unit: 'in32' });
    for (const text of ['05.30 mm', '4.95 mm']) await typeText(text);
    expect(tires()).toEqual({ lf: { stations: [{ outer: 5.3, centre: 4.95 }] } });
  });

  it('gives back what was there when a number written out is given up', async () => {
    const start = foldEntries({}, [{ path: 'tires.lf.stations.0.outer', value: 7 }]);
    const { at, tires } = bench({ start });
    await userEvent.keyboard('{ArrowLeft}12.');
    expect(screen.getByTestId('written')).toHaveTextContent('12.');
    expect(tires().lf?.stations?.[0]?.outer).toBe(7);
    await userEvent.keyboard('{Escape}');
    expect(screen.getByTestId('written')).toHaveTextContent('');
    expect(at()).toBe('lf outer');
  });
});
