import { randomBytes } from 'node:crypto';
import type { ApiKey, ApiKeySecrets, NewApiKey } from '@keen/contract';
import { and, asc, count, eq, isNull, sql } from 'drizzle-orm';
import type { InferSelectModel } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { apiKeys } from '../../db/schema/index.ts';
import { conflict, notFound } from '../../errors.ts';
import { hashOf } from '../../http/programRoutes.ts';
import type { Actor } from '../../http/signedIn.ts';

const MOST_KEYS = 50;
const SECRET_BYTES = 32;
/** As Standard Webhooks asks for: 24 to 64 bytes. */
const SIGNING_BYTES = 32;
const ENDING = 4;
const DAY_MS = 86_400_000;
/** A program has this long to take the new secret. */
const OLD_SECRET_MS = DAY_MS;

/** Keys of the shop, the first first; those that were taken back stay, as they did what they did. */
export async function keysOf(tx: Handle, shopId: string): Promise<ApiKey[]> {
  const rows = await tx
    .select()
    .from(apiKeys)
    .where(eq(apiKeys.shopId, shopId))
    .orderBy(asc(apiKeys.createdAt));
  return rows.map(keyRecord);
}

/** @throws {AppError} 409 when there are too many */
export async function makeKey(
  tx: Handle,
  actor: Actor,
  { id, name, scopes, days }: NewApiKey,
  address: string | undefined,
): Promise<ApiKeySecrets> {
  const { shopId, personId } = actor;
  const [active] = await tx
    .select({ n: count() })
    .from(apiKeys)
    .where(and(eq(apiKeys.shopId, shopId), isNull(apiKeys.revokedAt)));
  if ((active?.n ?? 0) >= MOST_KEYS) throw conflict('mostKeys', { most: MOST_KEYS });
  const secret = newSecret();
  const [row] = await tx
    .insert(apiKeys)
    .values({
      id,
      shopId,
      personId,
      name,
      scopes,
      hash: hashOf(secret),
      ending: secret.slice(-ENDING),
      signingSecret: `whsec_${randomBytes(SIGNING_BYTES).toString('base64')}`,
      endsAt: days === null ? null : new Date(Date.now() + days * DAY_MS),
    })
    .returning();
  await addAudit(tx, actor, 'keyMade', { key: name }, address);
  return secretsOf(row!, secret);
}

/** @throws {AppError} 404 when there is none, 409 when it was taken back */
export async function changeSecret(
  tx: Handle,
  actor: Actor,
  id: string,
  address: string | undefined,
): Promise<ApiKeySecrets> {
  const own = and(eq(apiKeys.shopId, actor.shopId), eq(apiKeys.id, id));
  const [key] = await tx.select().from(apiKeys).where(own).for('update');
  if (!key) throw notFound('noKey');
  if (key.revokedAt) throw conflict('keyRevoked');
  const secret = newSecret();
  const [row] = await tx
    .update(apiKeys)
    .set({
      hash: hashOf(secret),
      ending: secret.slice(-ENDING),
      oldHash: key.hash,
      oldUntil: new Date(Date.now() + OLD_SECRET_MS),
    })
    .where(own)
    .returning();
  await addAudit(tx, actor, 'keyChanged', { key: key.name }, address);
  return secretsOf(row!, secret);
}

/** Takes a key back; doing it again changes nothing. @throws {AppError} 404 when there is none */
export async function revokeKey(
  tx: Handle,
  actor: Actor,
  id: string,
  address: string | undefined,
): Promise<void> {
  const own = and(eq(apiKeys.shopId, actor.shopId), eq(apiKeys.id, id));
  const [key] = await tx.select().from(apiKeys).where(own).for('update');
  if (!key) throw notFound('noKey');
  if (key.revokedAt) return;
  await tx
    .update(apiKeys)
    .set({ revokedAt: sql`now()` })
    .where(own);
  await addAudit(tx, actor, 'keyRevoked', { key: key.name }, address);
}

function newSecret(): string {
  return `keen_${randomBytes(SECRET_BYTES).toString('base64url')}`;
}

function secretsOf(row: InferSelectModel<typeof apiKeys>, secret: string): ApiKeySecrets {
  return { key: keyRecord(row), secret, signingSecret: row.signingSecret };
}

function keyRecord(row: InferSelectModel<typeof apiKeys>): ApiKey {
  const { id, name, scopes, ending, personId } = row;
  const isOldTaken = row.oldUntil !== null && row.oldUntil > new Date();
  return {
    id,
    name,
    scopes,
    ending,
    personId,
    createdAt: row.createdAt.toISOString(),
    endsAt: row.endsAt?.toISOString() ?? null,
    lastUsedAt: row.lastUsedAt?.toISOString() ?? null,
    oldSecretUntil: isOldTaken ? row.oldUntil!.toISOString() : null,
    revokedAt: row.revokedAt?.toISOString() ?? null,
  };
}
