import { createHash } from 'node:crypto';

/** How a password link's secret is stored: whoever reads the table cannot use it. */
export function linkHash(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
