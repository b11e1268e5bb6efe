import type { Diagnosis, ShopSettings } from '@keen/contract';
import type { ExpectedDepths, Outlook, Weighing } from '@keen/core';
import type { decisions, people, vehicles, visits } from '../../db/schema/index.ts';

export type Paper = 'A4' | 'LETTER';

/** Everything the sheet says. */
export interface SheetData {
  shop: { name: string; town: string; settings: ShopSettings };
  visit: typeof visits.$inferSelect;
  vehicle: typeof vehicles.$inferSelect;
  advisor: string;
  diagnosis: Diagnosis;
  expectedMm: ExpectedDepths;
  outlook: Outlook;
  /** The courses weighed at the shop's prices. */
  weighing: Weighing;
  decision: typeof decisions.$inferSelect | null;
  preferences: (typeof people.$inferSelect)['preferences'];
}
