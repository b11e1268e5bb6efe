import { describe, expect, it } from 'vitest';
import { failureOf } from './problem.ts';

describe('failureOf', () => {
  it('takes the words and fields of a problem document', () => {
    const failure = failureOf({
      status: 400,
      data: {
        type: 'x',
        title: 'Cannot be kept',
        status: 400,
        code: 'invalid',
        errors: [{ path: 'a.b', expected: 'c' }],
      },
    });
    expect(failure).toEqual({
      text: 'Cannot be kept',
      refusals: [{ path: 'a.b', expected: 'c' }],
      isPassing: false,
      status: 400,
    });
  });

  it('says that typed text is saved when the server is away, and that it may pass', () => {
    const failure = failureOf({ status: 'FETCH_ERROR', error: 'x' });
    expect(failure.isPassing).toBe(true);
    expect(failure.text).toMatch(/saved on this device/);
  });

  it('treats a busy or broken server as passing, a refusal as final', () => {
    const problem = (status: number) => ({
      status,
      data: { type: 'x', title: 't', status, code: 'c' },
    });
    expect(failureOf(problem(500)).isPassing).toBe(true);
    expect(failureOf(problem(429)).isPassing).toBe(true);
    expect(failureOf(problem(404)).isPassing).toBe(false);
  });
});
