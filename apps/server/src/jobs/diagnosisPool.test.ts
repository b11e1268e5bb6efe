import { EventEmitter } from 'node:events';
import type { Worker } from 'node:worker_threads';
import type { CaseFile } from '@keen/contract';
import { describe, expect, it, vi } from 'vitest';
import { createDiagnosisPool } from './diagnosisPool.ts';

/** A worker thread that answers when the test says so. */
class SlowWorker extends EventEmitter {
  jobs: { id: number; file: CaseFile }[] = [];
  postMessage(job: { id: number; file: CaseFile }) {
    this.jobs.push(job);
  }
  answer() {
    const { id, file } = this.jobs.at(-1)!;
    this.emit('message', { id, ok: true, answer: file });
  }
  terminate() {
    return Promise.resolve(0);
  }
}

function pool() {
  const workers: SlowWorker[] = [];
  const made = createDiagnosisPool({
    threads: 2,
    start() {
      const worker = new SlowWorker();
      workers.push(worker);
      return worker as unknown as Worker;
    },
  });
  const begun = () =>
    workers.flatMap(({ jobs }) => jobs.map(({ file }) => (file as unknown as { n: string }).n));
  return { ...made, workers, begun };
}
const caseOf = (n: string) => ({ n }) as unknown as CaseFile;
const failed = (work: Promise<unknown>) =>
  work.then(
    () => null,
    (error: unknown) => error as { status: number; retryAfter?: number },
  );
const turn = () => new Promise((done) => setTimeout(done));

/** Fills every worker, so that what comes next waits. */
async function busy(made: ReturnType<typeof pool>) {
  let n = 0;
  while (made.waiting() === 0) {
    made.diagnose({ file: caseOf(`busy ${n}`), personId: `busy ${n++}` }).catch(() => undefined);
    await turn();
  }
  return made.begun().length;
}

describe('the queue of diagnoses', () => {
  it('is bounded, for all and for each person, and says when to come again', async () => {
    const made = pool();
    await busy(made);
    const one = Array.from({ length: 30 }, (_, n) =>
      failed(made.diagnose({ file: caseOf(`own ${n}`), personId: 'own' })),
    );
    await turn();
    const refused = await Promise.all(one.slice(20));
    expect(refused.map((error) => [error?.status, error?.retryAfter])).toEqual(
      Array.from({ length: 10 }, () => [503, 5]),
    );
    // Somebody else's first case is still taken.
    const other = made.diagnose({ file: caseOf('other'), personId: 'other' });
    const all = Array.from({ length: 200 }, (_, n) =>
      failed(made.diagnose({ file: caseOf(`many ${n}`), personId: `many ${n}` })),
    );
    await turn();
    // Half a minute's worth, at the half second that an answer is thought to take.
    expect(made.waiting()).toBe(120);
    expect((await Promise.race(all.slice(150)))?.status).toBe(503);
    other.catch(() => undefined);
    await made.close();
  });

  it('lets fewer wait when answers take longer', async () => {
    const made = pool();
    const clock = vi.spyOn(performance, 'now').mockReturnValue(0);
    for (let n = 0; n < 40; n++) {
      clock.mockReturnValue(n * 3_000);
      const answer = made.diagnose({ file: caseOf(`slow ${n}`), personId: `slow ${n}` });
      await turn();
      clock.mockReturnValue((n + 1) * 3_000);
      made.workers[0]!.answer();
      await answer;
    }
    const all = Array.from({ length: 200 }, (_, n) =>
      failed(made.diagnose({ file: caseOf(`many ${n}`), personId: `many ${n}` })),
    );
    await turn();
    // At three seconds each, two at a time, the last of twenty waits half a minute.
    expect(made.waiting()).toBe(20);
    expect((await all.at(-1))?.status).toBe(503);
    clock.mockRestore();
    await made.close();
  });

  it('takes turns between people: one case of somebody does not wait for many of another', async () => {
    const made = pool();
    const before = await busy(made);
    for (let n = 0; n < 6; n++) {
      made.diagnose({ file: caseOf(`fleet ${n}`), personId: 'fleet' }).catch(() => undefined);
    }
    made.diagnose({ file: caseOf('counter'), personId: 'counter' }).catch(() => undefined);
    await turn();
    // The one that made everything busy waits first.
    for (let n = 0; n < 3; n++) {
      made.workers[0]!.answer();
      await turn();
    }
    expect(made.begun().slice(0)).toContain('counter');
    expect(made.begun().filter((n) => n.startsWith('fleet'))).toHaveLength(1);
    expect(before).toBeGreaterThan(0);
    await made.close();
  });

  it('forgets what nobody waits for any more, and computes what somebody still does', async () => {
    const made = pool();
    await busy(made);
    const before = made.waiting();
    const [first, second] = [new AbortController(), new AbortController()];
    const file = caseOf('shared');
    const asked = [first, second].map(({ signal }) =>
      failed(made.diagnose({ file, personId: 'p', signal })),
    );
    await turn();
    expect(made.waiting()).toBe(before + 1);
    first.abort();
    await turn();
    expect(made.waiting()).toBe(before + 1);
    second.abort();
    expect((await Promise.all(asked)).map((error) => error?.status)).toEqual([499, 499]);
    expect(made.waiting()).toBe(before);
    await made.close();
  });

  it('goes on when a worker thread dies', async () => {
    const made = pool();
    const lost = failed(made.diagnose({ file: caseOf('lost') }));
    await turn();
    made.workers[0]!.emit('error', new Error('out of memory'));
    expect(await lost).toMatchObject({ message: 'out of memory' });
    const next = made.diagnose({ file: caseOf('next') });
    await turn();
    made.workers.at(-1)!.answer();
    expect(await next).toEqual({ n: 'next' });
    await made.close();
  });
});
