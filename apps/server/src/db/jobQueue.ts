import { sql } from 'drizzle-orm';
import { queryIn } from './client.ts';
import type { Database, Handle } from './client.ts';
import { JOB_DATA, queueOn } from './queues.ts';
import type { JobData, JobName } from './queues.ts';

/** Connections by this name are those of workers, one a process. */
export const WORKER_NAME = 'keen worker';

interface SendOptions {
  /** What is higher is done first; 0 when left out. */
  priority?: number;
  /** Of two that wait with the same key there is one. */
  key?: string;
}

/** How much waits, in all queues. */
export interface QueueState {
  workers: number;
  waiting: number;
  oldestSeconds: number;
  /** Given up in the last day. */
  failed: number;
}

/** Work to be done when there is room, by any worker process on this database. */
export interface JobQueue {
  /** Sends work together with a transaction: it is there when the transaction is, or not at all. */
  send<Name extends JobName>(
    tx: Handle,
    name: Name,
    data: JobData<Name>,
    options?: SendOptions,
  ): Promise<void>;
  state(): Promise<QueueState>;
}

export function createJobQueue(db: Database): JobQueue {
  const boss = queueOn({
    executeSql: () => Promise.reject(new Error('work is sent with a transaction')),
  });
  return {
    async send(tx, name, data, { priority = 0, key } = {}) {
      await boss.send(name, JOB_DATA[name].parse(data) ?? {}, {
        priority,
        ...(key === undefined ? {} : { singletonKey: key }),
        db: { executeSql: (text, values) => queryIn(tx, text, values) },
      });
    },
    async state() {
      const { rows } = await db.execute<Record<keyof QueueState, string | null>>(sql`
        select
          count(*) filter (where state < 'active' and start_after <= now()) as waiting,
          extract(epoch from now() - min(start_after) filter (where state < 'active' and start_after <= now()))
            as "oldestSeconds",
          count(*) filter (where state = 'failed' and completed_on > now() - interval '1 day') as failed,
          (select count(*) from pg_stat_activity
            where datname = current_database() and application_name = ${WORKER_NAME}) as workers
        from keen_jobs.job where name not like '\\_%'`);
      const [row] = rows;
      const number = (key: keyof QueueState) => Number(row?.[key] ?? 0);
      return {
        workers: number('workers'),
        waiting: number('waiting'),
        oldestSeconds: number('oldestSeconds'),
        failed: number('failed'),
      };
    },
  };
}
