import { z } from 'zod';
import { momentSchema } from './storable.ts';

/** What a page says of an error of its own: where it happened, never what somebody typed. */
export const pageErrorSchema = z
  .strictObject({
    /** Kind of the error, such as TypeError. */
    name: z.string().trim().min(1).max(80),
    /** Path of the page, with ids and tokens left out. */
    page: z.string().max(120),
    /** Where in the page's code, innermost first. */
    frames: z.array(z.string().max(200)).max(12),
  })
  .meta({ id: 'PageError' });
export type PageError = z.infer<typeof pageErrorSchema>;

const count = z.int().min(0);
const happenedSchema = z.strictObject({ count, lastAt: momentSchema.nullable() });

/** Whether the installation is well, as the lead sees it. */
export const systemStateSchema = z
  .strictObject({
    version: z.string(),
    node: z.string(),
    startedAt: momentSchema,
    database: z.strictObject({
      version: z.string(),
      bytes: count,
      /** Connections of this server's pool. */
      connections: count,
      idle: count,
      waiting: count,
    }),
    /** Of the disk that the server's backups are on, bytes; null where it is not known. */
    disk: z.strictObject({ freeBytes: count, totalBytes: count }).nullable(),
    /** The newest backup that `./start` made; null where this server does not know of backups. */
    backup: z
      .strictObject({
        everyHours: z.number().positive(),
        newest: z.strictObject({ at: momentSchema, bytes: count }).nullable(),
      })
      .nullable(),
    /** Full answers that wait for a free thread, and how long the first of them has. */
    diagnoses: z.strictObject({ waiting: count, oldestSeconds: z.number().min(0) }),
    /** Work that is done when there is room, by any worker of the installation. */
    work: z.strictObject({
      /** Processes that do it. */
      workers: count,
      waiting: count,
      oldestSeconds: z.number().min(0),
      /** Given up in the last day, after all tries. */
      failed: count,
    }),
    /** Pages and devices that listen to this server. */
    streams: count,
    /** Since the server started. */
    pageErrors: happenedSchema,
    serverErrors: happenedSchema,
  })
  .meta({ id: 'SystemState' });
export type SystemState = z.infer<typeof systemStateSchema>;
