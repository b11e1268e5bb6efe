import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showStep } from '../../../tests/visitBench.tsx';
import { StrokePad } from './StrokePad.tsx';

const draw = (from: number, to: number) => {
  const pad = screen.getByTestId('stroke-pad');
  fireEvent.pointerDown(pad, { clientX: from });
  fireEvent.pointerUp(pad, { clientX: to });
};

describe('StrokePad', () => {
  it('takes three keys, for the first tire that is still open on the walk round the car', () => {
    const { enter } = showStep(<StrokePad />, { draft: { tires: { lf: { feather: 'none' } } } });
    for (const key of ['o', 's', 'i']) fireEvent.keyDown(document.body, { key, code: key });
    expect(enter.mock.calls).toEqual([
      ['tires.lr.feather', 'catchesOutward'],
      ['tires.lr.feather', 'none'],
      ['tires.lr.feather', 'catchesInward'],
    ]);
  });

  it('takes the way the finger is drawn: outward is left on a left tire, right on a right one', () => {
    const { enter } = showStep(<StrokePad />, {
      draft: { tires: { lf: { feather: 'none' }, lr: { feather: 'none' } } },
    });
    draw(100, 160);
    draw(160, 100);
    draw(100, 104);
    fireEvent.click(screen.getByRole('button', { name: /left front/ }));
    draw(160, 100);
    expect(enter.mock.calls).toEqual([
      ['tires.rr.feather', 'catchesOutward'],
      ['tires.rr.feather', 'catchesInward'],
      ['tires.rr.feather', 'none'],
      ['tires.lf.feather', 'catchesOutward'],
    ]);
  });

  it('says when all four are felt, and lets one be felt again by its arrow keys', () => {
    const felt = { feather: 'none' } as const;
    const { enter } = showStep(<StrokePad />, {
      draft: { tires: { lf: felt, lr: felt, rr: felt, rf: { feather: 'catchesInward' } } },
    });
    expect(screen.getByRole('status')).toHaveTextContent('All four are felt.');
    expect(screen.getByRole('button', { name: /right front/ })).toHaveTextContent('catches in');
    fireEvent.keyDown(document.body, { key: 's', code: 's' });
    expect(enter).not.toHaveBeenCalled();
    fireEvent.keyDown(document.body, { key: 'ArrowLeft', code: 'ArrowLeft' });
    fireEvent.keyDown(document.body, { key: 's', code: 's' });
    expect(enter.mock.calls).toEqual([['tires.rf.feather', 'none']]);
  });
});
