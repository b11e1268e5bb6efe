import type { Diagnosis } from '@keen/contract';
import type { ExpectedDepths } from '@keen/core';
import type { decisions, people, vehicles, visits } from '../../db/schema/index.ts';

export type Paper = 'A4' | 'LETTER';

/** Everything the sheet says. */
export interface SheetData {
  shop: { name: string; town: string };
  visit: typeof visits.$inferSelect;
  vehicle: typeof vehicles.$inferSelect;
  advisor: string;
  diagnosis: Diagnosis;
  expectedMm: ExpectedDepths;
  decision: typeof decisions.$inferSelect | null;
  preferences: (typeof people.$inferSelect)['preferences'];
}
