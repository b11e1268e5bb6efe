import { createHash, randomBytes } from 'node:crypto';
import type { PasswordLink } from '@keen/contract';
import type { Handle } from '../db/client.ts';
import { passwordLinks } from '../db/schema/index.ts';

const LINK_DAYS = 7;
const DAY_MS = 86_400_000;
const TOKEN_BYTES = 24;

/** How a password link's secret is stored: whoever reads the table cannot use it. */
export function linkHash(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** Makes a link by which somebody chooses a password, once. */
export async function newPasswordLink(
  tx: Handle,
  whose: { shopId: string; personId: string },
): Promise<PasswordLink> {
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  const endsAt = new Date(Date.now() + LINK_DAYS * DAY_MS);
  await tx.insert(passwordLinks).values({ ...whose, hash: linkHash(token), endsAt });
  return { token, endsAt: endsAt.toISOString() };
}
