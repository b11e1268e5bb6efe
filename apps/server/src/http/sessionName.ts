import { createHash } from 'node:crypto';

/** A session as it may be named outside: nobody can sign in with it. */
export function sessionName(sessionId: string): string {
  return createHash('sha256').update(sessionId).digest('hex').slice(0, 32);
}
