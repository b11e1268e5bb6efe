import { z } from 'zod';

const configSchema = z.object({
  DATABASE_URL: z.url({ protocol: /^postgres(ql)?$/ }),
  /** Of the role that owns the tables, where it is another than the app's: used for migrations only. */
  DATABASE_OWNER_URL: z.url({ protocol: /^postgres(ql)?$/ }).optional(),
  /** Of a standby, as the app's role: for lists and figures that may be a moment old. */
  DATABASE_READ_URL: z.url({ protocol: /^postgres(ql)?$/ }).optional(),
  /** How long to wait for a database that does not answer yet, as after a crash of both. */
  DATABASE_WAIT_SECONDS: z.coerce.number().min(0).max(600).default(0),
  PORT: z.coerce.number().int().min(0).max(65_535).default(4310),
  HOST: z.string().default('127.0.0.1'),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
  /** Where backups are made and how often, so that the lead sees whether there are any. */
  BACKUP_DIR: z.string().optional(),
  BACKUP_EVERY_HOURS: z.coerce.number().positive().max(8_760).default(24),
  /** Serves figures in the format of Prometheus at /metrics; not to be led to from outside. */
  METRICS_PORT: z.coerce.number().int().min(1).max(65_535).optional(),
  METRICS_HOST: z.string().default('127.0.0.1'),
  /** Addresses of proxies whose word on the caller's address is taken; `loopback` for this machine. */
  TRUSTED_PROXIES: z.string().default('loopback'),
  /** Whether this server keeps a worker process beside it. */
  WORKER: z.stringbool().default(true),
  /** Whether programs may be called back at addresses of this network, and without https. */
  CALLBACKS_ANYWHERE: z.stringbool().default(false),
  /** Where the built web app is; without it only the API is served. */
  WEB_DIR: z.string().optional(),
});
export type Config = z.infer<typeof configSchema>;

/** Reads the environment once; a wrong value ends the start with one clear line. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const result = configSchema.safeParse(env);
  if (result.success) return result.data;
  const issue = result.error.issues[0];
  throw new Error(`${issue?.path.join('.')}: ${issue?.message}`);
}
