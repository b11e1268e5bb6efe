import type { CaseFile } from '@keen/contract';
import type { Answer } from '@keen/core';
import { useEffect, useRef, useState } from 'react';
import type { Question, Reply } from './diagnosis.worker.ts';
import { t } from '../words/shared.ts';

export interface Diagnosing {
  /** The newest answer; while a newer one is worked out, the one before stays. */
  answer: Answer | null;
  /** The case that the answer belongs to. */
  file: CaseFile | null;
  /** `live` is the quick answer, `full` the one that is kept and printed. */
  state: 'idle' | 'working' | 'live' | 'full' | 'failed';
  /** Part of the full answer's work that is done, 0 to 1. */
  progress: number;
  failure: string | null;
}

export const IDLE: Diagnosing = {
  answer: null,
  file: null,
  state: 'idle',
  progress: 0,
  failure: null,
};

/**
 * Diagnoses a case off the page's thread, again whenever it changes. An answer to an older case never
 * replaces a newer one: replies carry the number of their question.
 * @param file - the case, or null while there is nothing to say
 */
export function useDiagnosis(file: CaseFile | null): Diagnosing {
  const [result, setResult] = useState<Diagnosing>(IDLE);
  const worker = useRef<Worker | null>(null);
  const question = useRef(0);
  // What the app keeps of a visit beside the case changes no answer.
  const key = file === null ? null : JSON.stringify({ ...file, visit: undefined });

  useEffect(() => {
    const started = new Worker(new URL('./diagnosis.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = started;
    return () => {
      started.terminate();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    const at = worker.current;
    if (!at || key === null) {
      setResult(IDLE);
      return;
    }
    const asked = JSON.parse(key) as CaseFile;
    const id = ++question.current;
    setResult((before) => ({ ...before, state: 'working', progress: 0, failure: null }));
    at.onmessage = ({ data }: MessageEvent<Reply>) => {
      if (data.id !== id) return;
      if (data.kind === 'failed') setResult({ ...IDLE, state: 'failed', failure: data.text });
      else if (data.kind === 'progress') {
        setResult((before) => ({ ...before, progress: data.progress }));
      } else {
        const { answer, kind } = data;
        setResult({ ...IDLE, answer, file: asked, state: kind, progress: kind === 'full' ? 1 : 0 });
      }
    };
    at.onerror = () => {
      setResult({ ...IDLE, state: 'failed', failure: t('answerOne.stopped') });
    };
    const message: Question = { id, file: asked };
    at.postMessage(message);
  }, [key]);

  return result;
}
