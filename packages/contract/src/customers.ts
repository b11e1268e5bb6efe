import { z } from 'zod';
import { momentSchema } from './storable.ts';

/** What is stored of one customer: everything that names them or is theirs. */
export const customerRecordSchema = z
  .strictObject({
    carId: z.uuid(),
    plate: z.string(),
    car: z.string(),
    customer: z.string(),
    phone: z.string(),
    vin: z.string(),
    erasedAt: momentSchema.nullable(),
    visits: z.array(
      z.strictObject({
        id: z.uuid(),
        number: z.int(),
        arrivedAt: momentSchema,
        /** The customer's own words. */
        words: z.string(),
        /** Who signed the estimate; null when nobody did. */
        signedBy: z.string().nullable(),
        reasons: z.array(z.string()),
        photos: z.int(),
        links: z.int(),
      }),
    ),
  })
  .meta({ id: 'CustomerRecord' });
export type CustomerRecord = z.infer<typeof customerRecordSchema>;
