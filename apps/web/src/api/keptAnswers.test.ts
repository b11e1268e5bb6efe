import { afterEach, describe, expect, it, vi } from 'vitest';
import { noteKept, whenKept } from './keptAnswers.ts';

describe('answers that may be old', () => {
  let stop = () => {};
  afterEach(() => stop());

  it('are heard of, also when one came before anybody listened, and only once', () => {
    noteKept();
    const hear = vi.fn();
    stop = whenKept(hear);
    expect(hear).toHaveBeenCalledTimes(1);
    noteKept();
    expect(hear).toHaveBeenCalledTimes(2);
    stop();
    const other = vi.fn();
    stop = whenKept(other);
    expect(other).not.toHaveBeenCalled();
  });
});
