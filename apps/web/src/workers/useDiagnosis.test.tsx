import { createDiagnosisRun, draftToCase, LIVE_SWEEPS } from '@keen/core';
import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { evenDraft } from '../../tests/visitBench.tsx';
import type { Question, Reply } from './diagnosis.worker.ts';
import { useDiagnosis } from './useDiagnosis.ts';

/** Stands in for the browser's worker thread: the test says when it replies, and with what. */
class SlowWorker {
  static last: SlowWorker;
  asked: Question[] = [];
  onmessage: ((event: { data: Reply }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor() {
    SlowWorker.last = this;
  }
  postMessage(question: Question): void {
    this.asked.push(question);
  }
  reply(data: Reply): void {
    act(() => this.onmessage?.({ data }));
  }
  terminate(): void {
    this.onmessage = null;
  }
}

const START: { mm: number | null } = { mm: 6 };
const caseWith = (mm: number) => draftToCase(evenDraft(mm), 'Test van').file;
const answerTo = (file: ReturnType<typeof caseWith>) => {
  const run = createDiagnosisRun(file);
  run.step(LIVE_SWEEPS);
  return run.answer();
};

describe('useDiagnosis', () => {
  beforeEach(() => vi.stubGlobal('Worker', SlowWorker));

  const ask = () =>
    renderHook(({ mm }: { mm: number | null }) => useDiagnosis(mm === null ? null : caseWith(mm)), {
      initialProps: START,
    });

  it('never lets an answer to an older case replace a newer one', () => {
    const { result, rerender } = ask();
    const first = SlowWorker.last.asked[0]!;
    rerender({ mm: 5 });
    const second = SlowWorker.last.asked[1]!;
    const newer = answerTo(second.file);
    SlowWorker.last.reply({ id: second.id, kind: 'live', answer: newer });
    SlowWorker.last.reply({ id: first.id, kind: 'full', answer: answerTo(first.file) });
    expect(result.current).toMatchObject({ state: 'live', answer: newer });
    expect(result.current.file).toEqual(second.file);
  });

  it('keeps the answer before while a new one is worked out, and tells how far it is', () => {
    const { result, rerender } = ask();
    const [{ id, file }] = SlowWorker.last.asked as [Question];
    const answer = answerTo(file);
    SlowWorker.last.reply({ id, kind: 'full', answer });
    expect(result.current).toMatchObject({ state: 'full', progress: 1 });
    rerender({ mm: 5 });
    expect(result.current).toMatchObject({ state: 'working', answer });
    const next = SlowWorker.last.asked[1]!.id;
    SlowWorker.last.reply({ id: next, kind: 'live', answer });
    SlowWorker.last.reply({ id: next, kind: 'progress', progress: 0.5 });
    expect(result.current).toMatchObject({ state: 'live', progress: 0.5 });
  });

  it('says what failed, and has nothing to say without a case', () => {
    const { result, rerender } = ask();
    const { id } = SlowWorker.last.asked[0]!;
    SlowWorker.last.reply({ id, kind: 'failed', text: 'no such size' });
    expect(result.current).toMatchObject({
      state: 'failed',
      failure: 'no such size',
      answer: null,
    });
    rerender({ mm: null });
    expect(result.current.state).toBe('idle');
  });
});
