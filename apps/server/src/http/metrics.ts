import type { RequestHandler } from 'express';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

/** How long people wait: from what nobody notices to what somebody gives up on, seconds. */
const REQUEST_BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10];
const DIAGNOSIS_BUCKETS = [0.1, 0.25, 0.5, 0.75, 1, 1.5, 2.5, 5, 15, 60];

/** Work on the queue; see `JobQueue`. */
interface WorkState {
  workers: number;
  waiting: number;
  oldestSeconds: number;
  failed: number;
}

/** What is asked when somebody looks. */
export interface Watched {
  connections: () => { total: number; idle: number; waiting: number };
  diagnoses: () => { waiting: number; oldestSeconds: number };
  streams: () => number;
  /** Of all workers of the installation. */
  work: () => Promise<WorkState>;
}

/** How often something happened since the server started, and when last. */
export interface Happened {
  count: number;
  lastAt: Date | null;
}

/** What is counted and timed in this process, readable as text. */
export interface Metrics {
  /** Times every request of the API by its route, never by its path, which may name somebody. */
  timeRequests: RequestHandler;
  /** @param seconds - of work, without waiting */
  diagnosed: (seconds: number) => void;
  /** An error that a page has reported. */
  pageError(): void;
  /** Names what to ask for figures of the moment. */
  watch(what: Watched): void;
  pageErrors(): Happened;
  /** Answers with a status from 500 on, but those that say that it is busy or away. */
  serverErrors(): Happened;
  contentType: string;
  /** All figures in the text format that Prometheus reads. */
  text: () => Promise<string>;
}

export function createMetrics(): Metrics {
  const registry = new Registry();
  const registers = [registry];
  collectDefaultMetrics({ register: registry });
  const requests = new Histogram({
    name: 'keen_http_request_seconds',
    help: 'Time to answer a request of the API.',
    labelNames: ['method', 'route', 'status'],
    buckets: REQUEST_BUCKETS,
    registers,
  });
  const refused = new Counter({
    name: 'keen_entries_refused_total',
    help: 'Entries of an outbox that were refused.',
    registers,
  });
  const diagnoses = new Histogram({
    name: 'keen_diagnosis_seconds',
    help: 'Time to work out a full answer, without waiting.',
    buckets: DIAGNOSIS_BUCKETS,
    registers,
  });
  const ofPages = new Counter({
    name: 'keen_page_errors_total',
    help: 'Errors that pages have told of.',
    registers,
  });
  const pageErrors: Happened = { count: 0, lastAt: null };
  const serverErrors: Happened = { count: 0, lastAt: null };
  let asked: Promise<WorkState | null> | null = null;

  return {
    timeRequests(req, res, next) {
      const end = requests.startTimer({ method: req.method });
      res.once('finish', () => {
        const route = (req.route as { path?: string } | undefined)?.path ?? 'none';
        const { statusCode } = res;
        end({ route, status: String(statusCode) });
        if (route === '/visits/:id/entries' && statusCode >= 400 && statusCode < 500) refused.inc();
        if (statusCode >= 500 && statusCode !== 503) happen(serverErrors);
      });
      next();
    },
    diagnosed: (seconds) => diagnoses.observe(seconds),
    pageError() {
      ofPages.inc();
      happen(pageErrors);
    },
    watch({ connections, diagnoses: waitingDiagnoses, streams, work }) {
      const gauge = (name: string, help: string, value: () => number) =>
        new Gauge({
          name,
          help,
          registers,
          collect() {
            this.set(value());
          },
        });
      new Gauge({
        name: 'keen_database_connections',
        help: 'Connections of the pool, and requests that wait for one.',
        labelNames: ['state'],
        registers,
        collect() {
          for (const [state, value] of Object.entries(connections())) this.set({ state }, value);
        },
      });
      gauge(
        'keen_diagnoses_waiting',
        'Full answers that wait for a free thread.',
        () => waitingDiagnoses().waiting,
      );
      gauge(
        'keen_diagnoses_oldest_seconds',
        'How long the first of them has waited.',
        () => waitingDiagnoses().oldestSeconds,
      );
      gauge('keen_streams', 'Pages and devices that listen.', streams);
      const ofWork = (name: string, help: string, key: keyof WorkState) =>
        new Gauge({
          name,
          help,
          registers,
          async collect() {
            // The database is asked once each time somebody looks, whatever it says.
            asked ??= work().catch(() => null);
            const state = await asked;
            if (state) this.set(state[key]);
          },
        });
      ofWork('keen_workers', 'Worker processes of the installation.', 'workers');
      ofWork('keen_jobs_waiting', 'Work on the queue that waits.', 'waiting');
      ofWork('keen_jobs_oldest_seconds', 'How long the first of it has waited.', 'oldestSeconds');
      ofWork('keen_jobs_failed', 'Work given up in the last day, after all tries.', 'failed');
    },
    pageErrors: () => ({ ...pageErrors }),
    serverErrors: () => ({ ...serverErrors }),
    contentType: registry.contentType,
    text() {
      asked = null;
      return registry.metrics();
    },
  };
}

function happen(what: Happened): void {
  what.count++;
  what.lastAt = new Date();
}
