import { textsOf } from '@keen/core';

/** What a driver says, as a key to press: the same words as on the papers. */
export const COMPLAINT_WORDS = textsOf('en').papers.complaints;
