import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { Choice } from './Choice.tsx';
import { ManyChoice } from './ManyChoice.tsx';

const USES = [
  { value: 'street', label: 'Street' },
  { value: 'towing', label: 'Towing' },
  { value: 'track', label: 'Track' },
];

describe('a row of answers', () => {
  it('is one stop of the Tab key, at what is chosen', async () => {
    render(
      <>
        <Choice label="Used for" options={USES} value="towing" onChange={vi.fn()} />
        <button>after</button>
      </>,
    );
    await userEvent.tab();
    expect(screen.getByRole('button', { name: 'Towing' })).toHaveFocus();
    await userEvent.tab();
    expect(screen.getByRole('button', { name: 'after' })).toHaveFocus();
    await userEvent.tab({ shift: true });
    expect(screen.getByRole('button', { name: 'Towing' })).toHaveFocus();
  });

  it('goes round by the arrows and presses with Space', async () => {
    const choose = vi.fn();
    render(<Choice label="Used for" options={USES} value={null} onChange={choose} />);
    await userEvent.tab();
    await userEvent.keyboard('{ArrowLeft}');
    expect(screen.getByRole('button', { name: 'Track' })).toHaveFocus();
    expect(choose).not.toHaveBeenCalled();
    await userEvent.keyboard('{ArrowRight}{ArrowRight} ');
    expect(choose.mock.calls).toEqual([['towing']]);
  });

  it('presses by the first letter, the next one where several begin alike', async () => {
    const choose = vi.fn();
    const row = (value: string | null) => (
      <Choice label="Used for" options={USES} value={value} onChange={choose} />
    );
    const { rerender } = render(row(null));
    await userEvent.tab();
    await userEvent.keyboard('t');
    rerender(row('towing'));
    await userEvent.keyboard('t');
    expect(choose.mock.calls).toEqual([['towing'], ['track']]);
  });

  it('keeps its letters and arrows from the page, and leaves other keys to it', async () => {
    const heard = vi.fn();
    document.addEventListener('keydown', heard);
    render(<ManyChoice label="Used for" options={USES} values={[]} onChange={vi.fn()} />);
    await userEvent.tab();
    heard.mockClear();
    const at = screen.getByRole('button', { name: 'Street' });
    fireEvent.keyDown(at, { key: 't' });
    fireEvent.keyDown(at, { key: 'ArrowRight' });
    expect(heard).not.toHaveBeenCalled();
    fireEvent.keyDown(at, { key: ']' });
    fireEvent.keyDown(at, { key: 'z', ctrlKey: true });
    expect(heard).toHaveBeenCalledTimes(2);
    document.removeEventListener('keydown', heard);
  });
});
