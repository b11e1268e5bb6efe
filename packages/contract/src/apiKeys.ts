import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { momentSchema } from './storable.ts';

/** What another program may do with a key: have cases diagnosed, read the shop's visits. */
export const API_SCOPES = ['diagnose', 'readVisits'] as const;
export type ApiScope = (typeof API_SCOPES)[number];

/** Days that a key may be good for. */
export const API_KEY_DAYS = [30, 90, 365] as const;

export const newApiKeySchema = z
  .strictObject({
    id: z.uuid().toLowerCase(),
    /** Which program it is for. */
    name: z.string().trim().min(1).max(60),
    scopes: z
      .array(z.enum(API_SCOPES))
      .min(1)
      .refine((list) => new Set(list).size === list.length, {
        error: 'eachScopeOnce' satisfies ExpectedReason,
      }),
    /** Null for a key without an end. */
    days: z.union(API_KEY_DAYS.map((days) => z.literal(days))).nullable(),
  })
  .meta({ id: 'NewApiKey' });
export type NewApiKey = z.infer<typeof newApiKeySchema>;

export const apiKeySchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string(),
    scopes: z.array(z.enum(API_SCOPES)),
    /** The last characters of the secret, so that one knows which it is. */
    ending: z.string(),
    personId: z.uuid(),
    createdAt: momentSchema,
    endsAt: momentSchema.nullable(),
    lastUsedAt: momentSchema.nullable(),
    /** Until when the secret before the last change is taken, too. */
    oldSecretUntil: momentSchema.nullable(),
    revokedAt: momentSchema.nullable(),
  })
  .meta({ id: 'ApiKey' });
export type ApiKey = z.infer<typeof apiKeySchema>;

export const apiKeyListSchema = z.array(apiKeySchema).meta({ id: 'ApiKeys' });

/** A key with its secrets, which are shown only once. */
export const apiKeySecretsSchema = z
  .strictObject({
    key: apiKeySchema,
    /** What the program sends: `Authorization: Bearer …`. */
    secret: z.string(),
    /** What the program checks our calls back with, as Standard Webhooks writes it. */
    signingSecret: z.string(),
  })
  .meta({ id: 'ApiKeySecrets' });
export type ApiKeySecrets = z.infer<typeof apiKeySecretsSchema>;
