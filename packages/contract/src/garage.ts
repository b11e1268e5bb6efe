import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { vehicleRecordSchema, visitSchema } from './api.ts';
import { VISIT_FIELDS } from './visit/fields.ts';
import { group, schemaOf } from './visit/fieldTree.ts';
import { dueReminderSchema, dueRowSchema, storedTiresSchema } from './handOver.ts';
import { momentSchema, rowNumberSchema } from './storable.ts';

/** The shop's cars, each with its whole life here. */

/** Which cars are asked for. */
export const garageQuerySchema = z.object({
  /** Cars that fit every word: plate, car, customer, telephone, VIN, tire size. */
  words: z.string().trim().max(100).optional(),
  /** Cars of the customer of this car, by name. */
  customerOf: z.uuid().optional(),
  /** What the page before ended with. */
  after: z
    .string()
    .regex(
      /^(\d{1,3}|[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12})$/,
      'pageBefore' satisfies ExpectedReason,
    )
    .optional(),
});

/** A car as the list has it. */
export const garageRowSchema = z.strictObject({
  vehicle: vehicleRecordSchema,
  visits: rowNumberSchema,
  /** Its latest visit, with what its picture is drawn from; null for a car without one. */
  last: z
    .strictObject({
      id: z.uuid(),
      number: rowNumberSchema,
      arrivedAt: momentSchema,
      draft: schemaOf(group({ tires: VISIT_FIELDS.of.tires, limits: VISIT_FIELDS.of.limits })),
    })
    .nullable(),
  /** What is due first; null when nothing is. */
  due: dueReminderSchema.nullable(),
});
export type GarageRow = z.infer<typeof garageRowSchema>;

/** Some of the shop's cars, the latest seen first. */
export const garagePageSchema = z
  .strictObject({
    rows: z.array(garageRowSchema),
    /** What the next page comes after; null on the last page. */
    after: z.string().nullable(),
  })
  .meta({ id: 'GaragePage' });
export type GaragePage = z.infer<typeof garagePageSchema>;

/** Another entry of the same car that was joined to this one. */
export const carMergeSchema = z.strictObject({
  id: z.uuid(),
  /** The entry that was joined. */
  vehicle: vehicleRecordSchema,
  visits: rowNumberSchema,
  personId: z.uuid(),
  at: momentSchema,
});
export type CarMerge = z.infer<typeof carMergeSchema>;

/** One car with its visits, what is due, and what may be the same car entered twice. */
export const carDetailSchema = z
  .strictObject({
    vehicle: vehicleRecordSchema,
    /** Latest first. */
    visits: z.array(visitSchema),
    due: z.array(dueRowSchema),
    /** Cars of the same customer, this one included. */
    customerCars: rowNumberSchema,
    /** Entries that look like the same car. */
    doubles: z.array(vehicleRecordSchema),
    /** Entries that were joined to this one, latest first. */
    merges: z.array(carMergeSchema),
  })
  .meta({ id: 'CarDetail' });
export type CarDetail = z.infer<typeof carDetailSchema>;

/** Joins another entry of the same car to this one. */
export const newCarMergeSchema = z
  .strictObject({ id: z.uuid(), vehicleId: z.uuid() })
  .meta({ id: 'NewCarMerge' });
export type NewCarMerge = z.infer<typeof newCarMergeSchema>;

/** Which customers, or stored tires, are asked for. */
export const listQuerySchema = z.object({
  words: z.string().trim().max(100).optional(),
  /** What the page before ended with. */
  after: z.string().max(130).optional(),
});

/** A customer as the list has it: everybody of one name. */
export const customerRowSchema = z.strictObject({
  /** One of the customer's cars, by which the customer is asked for: the latest seen. */
  carId: z.uuid(),
  name: z.string(),
  phone: z.string(),
  cars: rowNumberSchema,
  lastVisitAt: momentSchema,
});
export type CustomerRow = z.infer<typeof customerRowSchema>;

export const customerPageSchema = z
  .strictObject({ rows: z.array(customerRowSchema), after: z.string().nullable() })
  .meta({ id: 'CustomerPage' });
export type CustomerPage = z.infer<typeof customerPageSchema>;

/** A name under which a customer was entered once more, joined to the customer's own. */
export const customerMergeSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  cars: rowNumberSchema,
  personId: z.uuid(),
  at: momentSchema,
});
export type CustomerMerge = z.infer<typeof customerMergeSchema>;

/** A customer with who may be the same, and what was joined. */
export const customerDetailSchema = customerRowSchema
  .extend({
    doubles: z.array(customerRowSchema),
    /** Latest first. */
    merges: z.array(customerMergeSchema),
  })
  .meta({ id: 'CustomerDetail' });
export type CustomerDetail = z.infer<typeof customerDetailSchema>;

/** Joins the customer of another car to this car's. */
export const newCustomerMergeSchema = z
  .strictObject({ id: z.uuid(), carId: z.uuid() })
  .meta({ id: 'NewCustomerMerge' });
export type NewCustomerMerge = z.infer<typeof newCustomerMergeSchema>;

/** Tires that the shop stores, with their car. */
export const storedRowSchema = z.strictObject({
  vehicle: vehicleRecordSchema,
  visitId: z.uuid(),
  stored: storedTiresSchema,
});
export type StoredRow = z.infer<typeof storedRowSchema>;

/** By the day since when they are here, latest first. */
export const storedPageSchema = z
  .strictObject({ rows: z.array(storedRowSchema), after: z.string().nullable() })
  .meta({ id: 'StoredPage' });
export type StoredPage = z.infer<typeof storedPageSchema>;
