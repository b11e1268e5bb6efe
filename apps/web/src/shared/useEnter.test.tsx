import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { useEnter } from './useEnter.ts';

function Page({ goOn, follow }: { goOn: () => void; follow: () => void }) {
  useEnter(goOn);
  return (
    <>
      <a href="#here" aria-current="step" onClick={follow}>
        here
      </a>
      <a href="#there" onClick={follow}>
        there
      </a>
      <input aria-label="field" />
    </>
  );
}

function show() {
  const [goOn, follow] = [vi.fn(), vi.fn()];
  render(<Page goOn={goOn} follow={follow} />);
  return { goOn, follow };
}

describe('useEnter', () => {
  it('goes on from the link to where one is, and does not follow it', async () => {
    const { goOn, follow } = show();
    screen.getByText('here').focus();
    await userEvent.keyboard('{Enter}');
    expect(goOn).toHaveBeenCalledOnce();
    expect(follow).not.toHaveBeenCalled();
  });

  it('leaves Enter to another link, and to a field but for Ctrl', async () => {
    const { goOn, follow } = show();
    screen.getByText('there').focus();
    await userEvent.keyboard('{Enter}');
    expect(follow).toHaveBeenCalledOnce();
    screen.getByLabelText('field').focus();
    await userEvent.keyboard('{Enter}');
    expect(goOn).not.toHaveBeenCalled();
    await userEvent.keyboard('{Control>}{Enter}{/Control}');
    expect(goOn).toHaveBeenCalledOnce();
  });
});
