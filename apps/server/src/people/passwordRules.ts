import type { ValidationIssue } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { invalid } from '../errors.ts';

/** Of zxcvbn's scale from 0 to 4: 2 takes more than a million guesses, which our limits on tries never let pass. */
const LEAST_SCORE = 2;
/** Longer ones are not looked through further: the work grows with the length. */
const LONGEST_LOOKED_AT = 64;

const checker = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/**
 * Whether a password is among the common ones, or made of its owner's own words.
 * @param own - name, email and shop of whoever will use it
 * @returns what is expected instead, or null when the password will do
 * Source: NIST SP 800-63B, 5.1.1.2: compare with common and context-specific words, no rules of
 * composition.
 */
export function passwordFault(password: string, own: readonly string[]): ValidationIssue | null {
  const words = own
    .flatMap((text) => [text, text.replace(/[\s@._-]+/g, ''), ...text.split(/[\s@._-]+/)])
    .filter((one) => one !== '');
  const lower = password.toLowerCase();
  if (words.some((word) => lower === word.toLowerCase())) {
    return validationIssue('password', 'passwordNotOwn');
  }
  const { score } = checker.check(password.slice(0, LONGEST_LOOKED_AT), words);
  return score < LEAST_SCORE ? validationIssue('password', 'passwordHard') : null;
}

/** @throws {AppError} 400 for a password that is easily guessed */
export function refuseWeak(password: string, own: readonly string[]): void {
  const fault = passwordFault(password, own);
  if (fault) throw invalid([fault], 'choosePassword');
}
