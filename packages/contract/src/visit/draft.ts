import type { ValueOf } from './fieldTree.ts';
import { schemaOf } from './fieldTree.ts';
import { VISIT_FIELDS } from './fields.ts';

/** What is known of a visit so far; everything may still be missing. */
export const visitDraftSchema = schemaOf(VISIT_FIELDS).meta({ id: 'VisitDraft' });
export type VisitDraft = ValueOf<typeof VISIT_FIELDS>;

type OfVisit = NonNullable<VisitDraft['visit']>;
export type DraftTire = NonNullable<NonNullable<VisitDraft['tires']>['lf']>;
export type DraftCar = NonNullable<OfVisit['car']>;
export type DraftInspect = NonNullable<OfVisit['inspect']>;
export type DraftMeasure = NonNullable<OfVisit['measure']>;
export type DraftSetRight = NonNullable<OfVisit['setRight']>;
export type DraftHandOver = NonNullable<OfVisit['handOver']>;
