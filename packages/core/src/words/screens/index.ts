import type * as englishFields from './en/fields.ts';
import type * as englishInspect from './en/inspect.ts';
import type * as englishLab from './en/lab.ts';
import type * as englishMeasure from './en/measure.ts';
import type * as englishPractice from './en/practice.ts';
import type * as englishSetRight from './en/setRight.ts';
import type { tables as englishTables } from './en/tables.ts';
import type * as englishVisit from './en/visit.ts';
import type { Translation } from './translation.ts';

/** What the core says on the screens, room by room, in whatever language. */
export type FieldNames = Translation<typeof englishFields>;
export type InspectTexts = Translation<typeof englishInspect>;
export type LabTexts = Translation<typeof englishLab>;
export type MeasureTexts = Translation<typeof englishMeasure>;
export type PracticeTexts = Translation<typeof englishPractice>;
export type SetRightTexts = Translation<typeof englishSetRight>;
export type TableTexts = Translation<typeof englishTables>;
export type VisitTexts = Translation<typeof englishVisit>;
export type { Translation } from './translation.ts';
