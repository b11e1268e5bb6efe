import { fileURLToPath } from 'node:url';
import type { Paper } from '@keen/contract';
import { expectation } from '@keen/contract';
import type { Logger } from 'pino';
import { pool as createPool } from 'workerpool';
import { AppError } from '../errors.ts';
import type { CleanPicture, RefusedPicture } from '../pictures/cleanPicture.ts';
import type { PaperSize } from '../pdf/paperDocument.ts';

/** Work on what came from outside, in processes of their own with limits on time and memory. */
export interface Workshop {
  /** Decodes and encodes a picture again. @throws {AppError} 503 when it is too busy */
  cleanPicture(file: Buffer, longestSide: number): Promise<CleanPicture | RefusedPicture>;
  /** Makes a PDF. @throws {AppError} 503 when it is too busy, 500 when it takes too long */
  paperPdf(paper: Paper, size: PaperSize): Promise<Buffer>;
  close(): Promise<void>;
}

/** A picture hangs on to its own process, so that nobody's picture holds up anybody's paper. */
const PICTURE_MS = 20_000;
const PDF_MS = 20_000;
const MOST_WAITING = 40;
const MEMORY_MB = 512;

export function createWorkshop(log: Logger): Workshop {
  const start = () =>
    createPool(fileURLToPath(new URL('./workshopWorker.mjs', import.meta.url)), {
      workerType: 'process',
      maxWorkers: 1,
      maxQueueSize: MOST_WAITING,
      // Buffers travel as they are.
      forkOpts: { serialization: 'advanced', execArgv: [`--max-old-space-size=${MEMORY_MB}`] },
    });
  const pictures = start();
  const papers = start();

  /** Runs a task; a process that takes too long or dies is replaced, and the task has failed. */
  async function run<Result>(
    pool: ReturnType<typeof start>,
    task: string,
    args: unknown[],
    limitMs: number,
  ): Promise<Result> {
    if (pool.stats().pendingTasks >= MOST_WAITING) {
      throw new AppError(503, 'busy', 'busyMaking', {
        retryAfter: 3,
      });
    }
    return (await pool.exec(task, args).timeout(limitMs)) as Result;
  }

  return {
    async cleanPicture(file, longestSide) {
      try {
        const result = await run<CleanPicture | RefusedPicture>(
          pictures,
          'cleanPicture',
          [file, longestSide],
          PICTURE_MS,
        );
        return 'picture' in result ? { ...result, picture: Buffer.from(result.picture) } : result;
      } catch (error) {
        if (error instanceof AppError) throw error;
        // It took too long, or took its process along.
        return expectation('drawablePicture');
      }
    },
    async paperPdf(paper, size) {
      const make = (one: Paper) => run<Uint8Array>(papers, 'paperPdf', [one, size], PDF_MS);
      try {
        return Buffer.from(await make(paper));
      } catch (error) {
        if (error instanceof AppError || paper.logo === null) throw error;
        // A logo stored before pictures were checked may be damaged or far too large.
        log.warn({ err: error }, 'paper not made with its logo; made without it');
        return Buffer.from(await make({ ...paper, logo: null }));
      }
    },
    async close() {
      await Promise.all([pictures.terminate(true), papers.terminate(true)]);
    },
  };
}
