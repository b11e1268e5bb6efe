import type { CaseFile } from '@keen/contract';
import * as engine from '../../engine/diagnosis/diagnose.ts';
import type {
  DiagnosisRun,
  DiagnosisWords,
  FullAnswer,
  WholeAnswer,
} from '../../engine/diagnosis/diagnose.ts';
import type { Known } from '../../engine/diagnosis/posterior.ts';
import { createReasons } from './reasons.ts';
import { recommend } from './recommend.ts';

const ENGLISH_WORDS: DiagnosisWords = {
  reasons: (resolved, file) => createReasons(resolved, file.units.depth),
  recommend,
};

/**
 * The full diagnosis of a case with its reasons in English.
 * @param file - a case file that the contract's schema has accepted
 * @throws {InputError} for a tire size that cannot be read
 */
export function diagnose(file: CaseFile): FullAnswer {
  return engine.diagnose(file, ENGLISH_WORDS);
}

/** The same with what a decision saves. @throws {InputError} for a tire size that cannot be read */
export function diagnoseWhole(file: CaseFile): WholeAnswer {
  return engine.diagnoseWhole(file, ENGLISH_WORDS);
}

/** The same in the making: step it on, ask it at any time. */
export function createDiagnosisRun(file: CaseFile, known?: Known, stream?: number): DiagnosisRun {
  return engine.createDiagnosisRun(file, ENGLISH_WORDS, known, stream);
}
