import * as fields from '../src/words/screens/en/fields.ts';
import * as inspect from '../src/words/screens/en/inspect.ts';
import * as lab from '../src/words/screens/en/lab.ts';
import * as measure from '../src/words/screens/en/measure.ts';
import * as practice from '../src/words/screens/en/practice.ts';
import * as setRight from '../src/words/screens/en/setRight.ts';
import { tables } from '../src/words/screens/en/tables.ts';
import * as visit from '../src/words/screens/en/visit.ts';

/** What the core says on the screens, in English, room by room. */
export const ENGLISH_SCREENS = { fields, inspect, lab, measure, practice, setRight, tables, visit };
