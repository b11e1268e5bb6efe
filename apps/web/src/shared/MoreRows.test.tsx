import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MoreRows } from './MoreRows.tsx';

/** A window in which the end of the list is always in sight. */
class InSight {
  readonly #seen: (entries: { isIntersecting: boolean }[]) => void;
  constructor(seen: (entries: { isIntersecting: boolean }[]) => void) {
    this.#seen = seen;
  }
  observe(): void {
    this.#seen([{ isIntersecting: true }]);
  }
  disconnect(): void {
    return undefined;
  }
}

beforeEach(() => vi.stubGlobal('IntersectionObserver', InSight));

describe('MoreRows', () => {
  it('fetches by itself while its end is in sight, page after page', () => {
    const onMore = vi.fn();
    const rows = (isLoading: boolean) => (
      <MoreRows label="Later ones" isLoading={isLoading} hasFailed={false} onMore={onMore} />
    );
    const { rerender } = render(rows(false));
    expect(onMore).toHaveBeenCalledTimes(1);
    rerender(rows(true));
    expect(onMore).toHaveBeenCalledTimes(1);
    rerender(rows(false));
    expect(onMore).toHaveBeenCalledTimes(2);
  });

  it('asks a server that failed only when it is pressed', async () => {
    const onMore = vi.fn();
    render(<MoreRows label="Later ones" isLoading={false} hasFailed onMore={onMore} />);
    expect(onMore).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Later ones' }));
    expect(onMore).toHaveBeenCalledTimes(1);
  });
});
