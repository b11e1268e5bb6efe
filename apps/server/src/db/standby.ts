import type { Logger } from 'pino';
import { connect, readInShop } from './client.ts';
import type { Database, Handle } from './client.ts';
import { AWAY_CODES, isConnectionFault } from './connectionFault.ts';

/** Looks that may be a moment old: on a standby where there is one, so that they take nothing from the counter. */
export interface Standby {
  read<T>(shopId: string, work: (tx: Handle) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** A standby that does not answer is left alone for so long. */
const AWAY_MS = 10_000;

/**
 * @param primary - asked where there is no standby, or none that answers
 * @param url - of the standby, as the app's role
 */
export function createStandby(primary: Database, url: string | undefined, log: Logger): Standby {
  if (url === undefined) {
    return { read: (shopId, work) => readInShop(primary, shopId, work), close: async () => {} };
  }
  const { pool, db } = connect(url, { name: 'keen reads' });
  pool.on('error', (error) => log.warn({ err: error }, 'idle connection to the standby lost'));
  let awayUntil = 0;
  return {
    async read(shopId, work) {
      if (Date.now() >= awayUntil) {
        try {
          return await readInShop(db, shopId, work);
        } catch (error) {
          if (!isStandbysOwn(error)) throw error;
          log.warn({ err: error }, 'the standby does not answer; the primary is asked');
          awayUntil = Date.now() + AWAY_MS;
        }
      }
      return readInShop(primary, shopId, work);
    },
    close: () => pool.end(),
  };
}

/** A standby that takes up changes ends a question that still needs what they remove. */
const OVERTAKEN = '40001';

/** What ails the standby and not the question. */
function isStandbysOwn(error: unknown): boolean {
  if (isConnectionFault(error)) return true;
  for (let at = error; at instanceof Error; at = at.cause) {
    if (!('code' in at) || typeof at.code !== 'string') continue;
    if (at.code === OVERTAKEN || AWAY_CODES.test(at.code)) return true;
  }
  return false;
}
