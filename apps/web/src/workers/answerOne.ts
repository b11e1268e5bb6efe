import type { CaseFile } from '@keen/contract';
import type { FullAnswer } from '@keen/core';
import type { Question, Reply } from './diagnosis.worker.ts';
import { t } from '../words/shared.ts';

/** Works out full answers one after another, off the page's thread. */
export interface AnswerOne {
  /** @throws {Error} where a case cannot be worked out, or the worker was closed */
  answer(file: CaseFile): Promise<FullAnswer>;
  close(): void;
}

/** Starts a worker of its own for many cases; one is asked for at a time. */
export function createAnswerOne(): AnswerOne {
  const worker = new Worker(new URL('./diagnosis.worker.ts', import.meta.url), { type: 'module' });
  let id = 0;
  let fail: ((error: Error) => void) | null = null;
  return {
    answer(file) {
      const asked = ++id;
      return new Promise((resolve, reject) => {
        fail = reject;
        worker.onmessage = ({ data }: MessageEvent<Reply>) => {
          if (data.id !== asked) return;
          if (data.kind === 'failed') reject(new Error(data.text));
          else if (data.kind === 'full') resolve(data.answer as FullAnswer);
        };
        worker.onerror = () => reject(new Error(t('answerOne.stopped')));
        const question: Question = { id: asked, file };
        worker.postMessage(question);
      });
    },
    close() {
      worker.terminate();
      fail?.(new Error('closed'));
    },
  };
}
