import { papers } from '../words/pageTexts.ts';

/** What a driver says, as a key to press: the same words as on the papers. */
export const COMPLAINT_WORDS = papers.complaints;
