import type { SystemState } from '@keen/contract';

/** Something of the installation that somebody should look at. */
export type Concern =
  | { kind: 'noBackup' | 'noWorker' | 'serverErrors' | 'pageErrors' }
  | { kind: 'oldBackup'; at: string; hours: number }
  | { kind: 'lowSpace'; freeBytes: number; totalBytes: number }
  | { kind: 'longQueue'; seconds: number }
  | { kind: 'noConnection' | 'lateWork' | 'failedWork'; count: number };

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** A backup is late when one whole turn was missed. */
const LATE_TURNS = 2;
/** Less than this is little, whatever the disk's size. */
const LOW_BYTES = 2e9;
const LOW_PART = 0.1;
/** Longer than a busy counter makes anybody wait. */
const LONG_WAIT_SECONDS = 20;
const MANY_WAITING = 5;
/** A worker that is started again is back within this. */
const NO_WORKER_SECONDS = 60;
/** Work that nobody waits for may wait so long. */
const LATE_MINUTES = 15;
const MINUTE_SECONDS = 60;

/**
 * What needs a look, the worst first: lost data before slowness, slowness before what is over.
 * @param now - milliseconds since 1970
 */
export function concernsOf(state: SystemState, now: number): Concern[] {
  const { backup, disk, diagnoses, work, database, startedAt, serverErrors, pageErrors } = state;
  const concerns: Concern[] = [];
  const age = (at: string) => now - Date.parse(at);
  if (backup && !backup.newest && age(startedAt) > HOUR_MS) concerns.push({ kind: 'noBackup' });
  if (backup?.newest) {
    const hours = LATE_TURNS * backup.everyHours;
    const { at } = backup.newest;
    if (age(at) > hours * HOUR_MS) concerns.push({ kind: 'oldBackup', at, hours });
  }
  if (disk && (disk.freeBytes < LOW_BYTES || disk.freeBytes < LOW_PART * disk.totalBytes)) {
    concerns.push({ kind: 'lowSpace', ...disk });
  }
  if (diagnoses.oldestSeconds > LONG_WAIT_SECONDS) {
    concerns.push({ kind: 'longQueue', seconds: Math.round(diagnoses.oldestSeconds) });
  }
  const minutes = Math.round(work.oldestSeconds / MINUTE_SECONDS);
  if (work.workers === 0 && age(startedAt) > NO_WORKER_SECONDS * 1_000) {
    concerns.push({ kind: 'noWorker' });
  } else if (minutes >= LATE_MINUTES) concerns.push({ kind: 'lateWork', count: minutes });
  if (work.failed > 0) concerns.push({ kind: 'failedWork', count: work.failed });
  if (database.waiting > MANY_WAITING) {
    concerns.push({ kind: 'noConnection', count: database.waiting });
  }
  const isRecent = ({ lastAt }: SystemState['pageErrors']) =>
    lastAt !== null && age(lastAt) < DAY_MS;
  if (isRecent(serverErrors)) concerns.push({ kind: 'serverErrors' });
  if (isRecent(pageErrors)) concerns.push({ kind: 'pageErrors' });
  return concerns;
}
