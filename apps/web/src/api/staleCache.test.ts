import { afterEach, describe, expect, it, vi } from 'vitest';
import { noteStale, onStale } from './staleCache.ts';

describe('answers that may be old', () => {
  let stop = () => {};
  afterEach(() => stop());

  it('are heard of, also when one came before anybody listened, and only once', () => {
    noteStale();
    const hear = vi.fn();
    stop = onStale(hear);
    expect(hear).toHaveBeenCalledTimes(1);
    noteStale();
    expect(hear).toHaveBeenCalledTimes(2);
    stop();
    const other = vi.fn();
    stop = onStale(other);
    expect(other).not.toHaveBeenCalled();
  });
});
