import type { VisitDraft } from '@keen/contract';
import { wheelsInSight } from '@keen/core';
import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showDegrees } from '../shared/format.ts';
import type { MarkedAngle } from './handArrows.tsx';
import { AxleWheels } from './WheelsInSight.tsx';

function show(draft: VisitDraft, marked: MarkedAngle | null = null) {
  const { axles } = wheelsInSight(draft);
  return render(
    <AxleWheels
      axle={axles.rear}
      marked={marked}
      toeWords={(degrees) => showDegrees(degrees, 2)}
    />,
  );
}

const BEFORE = {
  lr: { camber: -3, toe: 0.3 },
  rr: { camber: -0.8, toe: 0.05 },
};

describe('AxleWheels', () => {
  it('says in words what it draws, and what was not read', () => {
    show({ angles: { lr: { toe: 0.3 } } });
    expect(screen.getByRole('img')).toHaveAccessibleName('Rear wheels. left rear: toe +0.30°');
    expect(screen.getAllByText('not read')).toHaveLength(3);
  });

  it('asks for a stale reading again instead of showing it as one that stands', () => {
    show({
      angles: { ...BEFORE, lr: { camber: -0.8, toe: 0.3 } },
      visit: { setRight: { before: BEFORE } },
    });
    expect(screen.getAllByText('again')).toHaveLength(2);
    expect(screen.getByText('was +0.30°')).toBeInTheDocument();
    // Camber was read again: it stands, with what it was under it.
    expect(screen.getAllByText('−0.8°')).toHaveLength(2);
    expect(screen.getByText('was −3.0°')).toBeInTheDocument();
    expect(screen.getByRole('img')).toHaveAccessibleName(/left rear: toe to be measured again/);
  });

  it('marks what is out, and draws which way the hand goes', () => {
    const { container } = show({ angles: BEFORE }, { kind: 'toe', where: 'lr', change: -0.2 });
    expect(screen.getByText('◆ +0.30°')).toBeInTheDocument();
    const arrows = () => container.querySelectorAll('path[stroke="var(--marker)"]').length;
    expect(arrows()).toBe(1);
    // Only read, not turned: no arrow.
    const { container: still } = show(
      { angles: BEFORE },
      { kind: 'toe', where: 'lr', change: null },
    );
    expect(still.querySelectorAll('path[stroke="var(--marker)"]')).toHaveLength(0);
  });

  it('shows camber in the strip while camber is at hand, else toe', () => {
    const { axles } = wheelsInSight({ angles: BEFORE });
    const strip = (kind: 'camber' | 'toe') =>
      render(
        <AxleWheels
          axle={axles.rear}
          marked={{ kind, where: 'lr', change: 1 }}
          toeWords={(degrees) => showDegrees(degrees, 2)}
          isSmall
        />,
      ).container;
    const camber = strip('camber');
    expect(camber).toHaveTextContent('◆ −3.0°');
    expect(camber.querySelectorAll('path[stroke="var(--marker)"]')).toHaveLength(1);
    expect(strip('toe')).toHaveTextContent('◆ +0.30°');
  });
});
