import { sectionTires } from '@keen/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { AxleSectionView } from './AxleSectionView.tsx';
import { TreadMiniature } from './TreadMiniature.tsx';

const draft = {
  tires: {
    lf: { newDepth: 8, stations: [{ outer: 1.2, centre: 4.5, inner: 'unreadable' as const }] },
  },
};

describe('AxleSectionView', () => {
  it('says every rib in words, with its unit and whether it is at the limit', () => {
    render(
      <AxleSectionView axle="front" tires={sectionTires(draft, null)} legalMm={1.6} unit="mm" />,
    );
    expect(
      screen.getByRole('img', { name: 'left front outer, 1.2 mm, at the legal limit' }),
    ).toBeVisible();
    expect(screen.getByRole('img', { name: 'left front inner, cannot be read' })).toBeVisible();
    expect(screen.getByRole('img', { name: 'right front centre, not read' })).toBeVisible();
  });

  it('shows 32nds to who reads in them', () => {
    render(
      <AxleSectionView axle="front" tires={sectionTires(draft, null)} legalMm={1.6} unit="in32" />,
    );
    expect(
      screen.getByRole('img', { name: 'left front centre, 6 32nds of an inch' }),
    ).toBeVisible();
  });

  it('says what the hand felt, and calls no tire smooth that has waves', () => {
    const felt = {
      tires: {
        lf: { feather: 'none' as const, cupping: 'heavy' as const },
        rf: { feather: 'none' as const, cupping: 'none' as const },
      },
    };
    render(
      <AxleSectionView axle="front" tires={sectionTires(felt, null)} legalMm={1.6} unit="mm" />,
    );
    expect(screen.getByText('heavy waves')).toBeVisible();
    expect(screen.getAllByText('smooth')).toHaveLength(1);
  });

  it('picks a rib by pressing it', async () => {
    const onPick = vi.fn();
    render(
      <AxleSectionView
        axle="front"
        tires={sectionTires(draft, null)}
        legalMm={1.6}
        unit="mm"
        onPick={onPick}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: /right front centre/ }));
    expect(onPick).toHaveBeenCalledWith({ wheel: 'rf', rib: 'centre' });
  });
});

describe('TreadMiniature', () => {
  it('says how far the reading is', () => {
    render(<TreadMiniature draft={draft} />);
    expect(screen.getByRole('img', { name: 'Tread, 3 of 12 ribs read' })).toBeVisible();
  });
});
