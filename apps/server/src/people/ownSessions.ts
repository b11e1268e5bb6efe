import type { OwnSession } from '@keen/contract';
import { and, ne, sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { sessions } from '../db/schema/index.ts';
import { notifyLive } from '../db/notifyLive.ts';
import type { SessionOwner } from '../db/notifyLive.ts';
import { sessionName } from '../http/sessionName.ts';

const isOf = (owner: SessionOwner) =>
  'personId' in owner
    ? sql`${sessions.sess} ->> 'personId' = ${owner.personId}`
    : sql`${sessions.sess} ->> 'accountId' = ${owner.accountId}`;

/** An account's open sessions, the newest first. */
export async function listOwnSessions(
  db: Handle,
  accountId: string,
  current: string,
): Promise<OwnSession[]> {
  const rows = await db
    .select()
    .from(sessions)
    .where(and(isOf({ accountId }), sql`${sessions.expire} > now()`));
  return rows
    .map(({ sid, sess }) => {
      const {
        agent = '',
        address = '',
        since,
      } = sess as Partial<Record<'agent' | 'address' | 'since', string>>;
      return {
        name: sessionName(sid),
        agent,
        address,
        since: since ?? new Date(0).toISOString(),
        isThis: sid === current,
      };
    })
    .toSorted((a, b) => b.since.localeCompare(a.since));
}

/**
 * Ends sessions with their live streams and device lines, in every server process, at once.
 * @param owner - a person, in their shop; or an account, wherever its owner works
 * @param except - the session that goes on, by its secret id
 */
export async function endSessions(db: Handle, owner: SessionOwner, except?: string): Promise<void> {
  await db
    .delete(sessions)
    .where(and(isOf(owner), ...(except === undefined ? [] : [ne(sessions.sid, except)])));
  await notifyLive(db, {
    kind: 'signedOut',
    ...owner,
    ...(except === undefined ? {} : { except: sessionName(except) }),
  });
}

/** Ends one session's streams; its row is ended by the session library. */
export async function endLines(db: Handle, personId: string, sessionId: string): Promise<void> {
  await notifyLive(db, { kind: 'signedOut', personId, session: sessionName(sessionId) });
}

/** Gives a person's open sessions another role, so that it holds from their next request. */
export async function changeSessionRole(db: Handle, personId: string, role: string): Promise<void> {
  await db
    .update(sessions)
    .set({ sess: sql`jsonb_set(${sessions.sess}::jsonb, '{role}', to_jsonb(${role}::text))::json` })
    .where(isOf({ personId }));
}
