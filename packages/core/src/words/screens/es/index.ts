import * as fields from './fields.ts';
import * as inspect from './inspect.ts';
import * as lab from './lab.ts';
import * as measure from './measure.ts';
import * as practice from './practice.ts';
import * as setRight from './setRight.ts';
import { tables } from './tables.ts';
import * as visit from './visit.ts';

/** What the core says on the screens, in Spanish, room by room. */
export const SPANISH_SCREENS = { fields, inspect, lab, measure, practice, setRight, tables, visit };
