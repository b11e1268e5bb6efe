import type { CaseFile } from '@keen/contract';
import { createDiagnosisRun, FULL_SWEEPS, LIVE_SWEEPS } from '@keen/core';
import type { Answer } from '@keen/core';

/** What the page asks; a newer question makes the worker drop the one at hand. */
export interface Question {
  id: number;
  file: CaseFile;
}

export type Reply =
  | { id: number; kind: 'live' | 'full'; answer: Answer }
  | { id: number; kind: 'progress'; progress: number }
  | { id: number; kind: 'failed'; text: string };

/** Between chunks the worker looks whether a newer question has come. */
const CHUNK_SWEEPS = 250;
/** How far it is, is reported when so much time has passed, ms. */
const TELL_AFTER_MS = 300;

let newest = 0;
const chunk = new MessageChannel();
const nextTurn = () =>
  new Promise<void>((resolve) => {
    chunk.port1.onmessage = () => resolve();
    chunk.port2.postMessage(null);
  });

self.onmessage = ({ data }: MessageEvent<Question>) => {
  newest = data.id;
  void work(data);
};

async function work({ id, file }: Question): Promise<void> {
  // Let a newer question, already waiting behind this one, be seen first.
  await nextTurn();
  if (id !== newest) return;
  try {
    const run = createDiagnosisRun(file);
    run.step(LIVE_SWEEPS);
    reply({ id, kind: 'live', answer: run.answer() });
    let told = performance.now();
    while (run.sweeps < FULL_SWEEPS) {
      await nextTurn();
      if (id !== newest) return;
      run.step(CHUNK_SWEEPS);
      if (performance.now() - told > TELL_AFTER_MS) {
        told = performance.now();
        reply({ id, kind: 'progress', progress: run.sweeps / FULL_SWEEPS });
      }
    }
    reply({ id, kind: 'full', answer: run.answer() });
  } catch (error) {
    reply({ id, kind: 'failed', text: error instanceof Error ? error.message : String(error) });
  }
}

function reply(message: Reply): void {
  self.postMessage(message);
}
