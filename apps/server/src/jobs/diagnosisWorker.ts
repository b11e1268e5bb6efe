import { parentPort } from 'node:worker_threads';
import type { CaseFile } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { diagnoseWhole, InputError } from '@keen/core';
import type { DiagnosisReply } from './diagnosisPool.ts';

parentPort?.on('message', ({ id, file }: { id: number; file: CaseFile }) => {
  const reply = answer(id, file);
  parentPort?.postMessage(reply);
});

function answer(id: number, file: CaseFile): DiagnosisReply {
  try {
    return { id, ok: true, answer: diagnoseWhole(file) };
  } catch (error) {
    if (error instanceof InputError) {
      return { id, ok: false, refusal: validationIssue(error.path, error.reason, error.values) };
    }
    throw error;
  }
}
