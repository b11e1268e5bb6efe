import { z } from 'zod';
import { momentSchema } from './storable.ts';

const changedSchema = { by: z.string(), at: momentSchema };

/** The chain that a shop belongs to, and how the two share what is settled; by path of a setting. */
export const shopChainSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  /** Whether who is signed in leads it. */
  isLead: z.boolean(),
  /** What the chain has settled, by whom. */
  settled: z.record(z.string(), z.strictObject({ value: z.unknown(), ...changedSchema })),
  /** What of it the shop keeps to itself, by whom. */
  own: z.record(z.string(), z.strictObject(changedSchema)),
});
export type ShopChain = z.infer<typeof shopChainSchema>;
