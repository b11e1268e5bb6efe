import { EXPECTED_TEXTS } from '@keen/contract';

/** What is expected where an input is refused, by reason, as it goes on after "expected". */
export const expected = EXPECTED_TEXTS;
