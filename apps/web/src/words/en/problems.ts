import { PROBLEM_TEXTS } from '@keen/contract';

/** What the server says when it cannot do what was asked, by reason. */
export const problems = PROBLEM_TEXTS;
