import { diagnose } from '@keen/core';
import type { Question, Reply } from '../src/workers/diagnosis.worker.ts';

/** Stands in for the browser's worker, which jsdom lacks: takes every question and answers none. */
export class SilentWorker {
  onmessage: ((event: { data: Reply }) => void) | null = null;
  onerror: (() => void) | null = null;
  postMessage(_question: Question): void {}
  terminate(): void {
    this.onmessage = null;
  }
}

/** Stands in for the browser's worker with the same engine, on the thread of the test. */
export class EngineWorker extends SilentWorker {
  override postMessage({ id, file }: Question): void {
    queueMicrotask(() => this.onmessage?.({ data: { id, kind: 'full', answer: diagnose(file) } }));
  }
}
