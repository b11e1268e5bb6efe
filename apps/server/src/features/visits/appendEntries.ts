import type { EntriesSaved, Entry, StoredEntry } from '@keen/contract';
import { validationIssue, rightForPath, roleMay } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { and, eq, sql } from 'drizzle-orm';
import { prepared } from '../../db/client.ts';
import type { Handle } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { entries, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { AppError, conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/** Appends entries to a visit; those it already has are left as they are. */
export function appendEntries(
  tx: Handle,
  actor: Actor,
  id: string,
  list: readonly Entry[],
): Promise<EntriesSaved> {
  refuseUnallowed(actor, list);
  return append(tx, actor, id, list);
}

/** Some fields are the technician's. @throws {AppError} 403 naming the entries that are not this person's */
export function refuseUnallowed({ role }: Actor, list: readonly Entry[]): void {
  const refusals = list.flatMap(({ path }, index) => {
    const right = rightForPath(path);
    if (right === null || roleMay(role, right)) return [];
    return [validationIssue(`entries.${index}.path`, 'fieldOfYourRole')];
  });
  if (refusals.length > 0) {
    throw new AppError(403, 'forbidden', 'anglesForbidden', { refusals });
  }
}

/** The same for anyone who has been allowed to already. */
export async function append(
  tx: Handle,
  actor: Actor,
  visitId: string,
  list: readonly Entry[],
): Promise<EntriesSaved> {
  const { shopId, personId } = actor;
  const ids = list.map((entry) => entry.id.toLowerCase());
  const [[visit], known] = await Promise.all([
    statements.lock(tx).execute({ shopId, visitId }),
    // Sent after the lock, so that it sees what whoever held it has written.
    statements.known(tx).execute({ ids }),
  ]);
  if (!visit) throw notFound('noVisit');
  if (known.some((row) => row.visitId !== visitId)) throw conflict('entryTaken');
  const seen = new Set(known.map((row) => row.id));
  // Ids are compared as the database writes them, in lower case.
  const fresh = list
    .map((entry) => ({ ...entry, id: entry.id.toLowerCase() }))
    .filter((entry) => !seen.has(entry.id) && seen.add(entry.id))
    .map((entry, index): StoredEntry => ({
      id: entry.id,
      path: entry.path,
      value: entry.value,
      at: new Date(entry.at).toISOString(),
      seq: visit.seq + index + 1,
      personId,
      ...(entry.over ? { over: entry.over } : {}),
    }));
  const seq = visit.seq + fresh.length;
  const stored = known.map(entryRecord);
  if (fresh.length === 0) return { entries: stored.toSorted(bySeq), seq };
  const [added] = await Promise.all([
    statements.insert(tx).execute({ shopId, visitId, personId, rows: JSON.stringify(fresh) }),
    statements
      .fold(tx)
      .execute({ visitId, draft: JSON.stringify(foldEntries(visit.draft, fresh)), seq }),
    notifyLive(tx, { shopId, visitId, after: visit.seq }),
  ]);
  // An id of another shop's row, which is not seen from here: everything is taken back.
  if (added.rowCount !== fresh.length) throw conflict('entryTaken');
  return { entries: [...stored, ...fresh].toSorted(bySeq), seq };
}

const value = (name: string) => sql.placeholder(name);

/** What a saved reading asks of the database, over and over. */
const statements = {
  lock: (tx: Handle) =>
    prepared(tx, 'append_lock', () =>
      tx
        .select()
        .from(visits)
        .where(and(eq(visits.id, value('visitId')), eq(visits.shopId, value('shopId'))))
        .for('update')
        .prepare('append_lock'),
    ),
  known: (tx: Handle) =>
    prepared(tx, 'append_known', () =>
      tx
        .select()
        .from(entries)
        .where(sql`${entries.id} = any(${value('ids')}::uuid[])`)
        .prepare('append_known'),
    ),
  insert: (tx: Handle) =>
    prepared(tx, 'append_insert', () =>
      tx
        .insert(entries)
        .select(
          sql`select row.id, ${value('shopId')}::uuid, ${value('visitId')}::uuid, row.seq, row.path, row.value, row.over,
                ${value('personId')}::uuid, row.at, now()
              from jsonb_to_recordset(${value('rows')}::jsonb)
                as row(id uuid, seq int, path text, value jsonb, over jsonb, at timestamptz)`,
        )
        .onConflictDoNothing()
        .prepare('append_insert'),
    ),
  fold: (tx: Handle) =>
    prepared(tx, 'append_fold', () =>
      tx
        .update(visits)
        .set({ draft: sql`${value('draft')}::jsonb`, seq: sql`${value('seq')}::int` })
        .where(eq(visits.id, value('visitId')))
        .prepare('append_fold'),
    ),
};

const bySeq = (a: { seq: number }, b: { seq: number }) => a.seq - b.seq;
