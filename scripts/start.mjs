import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { installDependencies } from './lib/dependencies.mjs';
import { startCluster } from './lib/postgres.mjs';
import { complain, PlainError, say, step } from './lib/say.mjs';
import { buildWeb } from './lib/webBuild.mjs';

const HELP = `./start [options]

  --port N     port of the web app (4310)
  --host H     address to listen on (127.0.0.1)
  --data DIR   folder of the database (.keen)
  --fresh      sets up the demo shop anew; nothing else is touched
  --empty      starts without demo data; the first visitor sets up the shop
  --help       this

DATABASE_URL   uses a PostgreSQL server you already run instead of our own
Ctrl-C stops everything that was started here.
`;

const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const DATABASE_WATCH_MS = 2000;

/** What to stop, in the order it was started. */
const started = [];
let stopping = null;

function options() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string', default: '4310' },
        host: { type: 'string', default: '127.0.0.1' },
        data: { type: 'string', default: join(root, '.keen') },
        fresh: { type: 'boolean', default: false },
        empty: { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
      },
    });
    const port = Number(values.port);
    if (!Number.isInteger(port) || port < 1 || port > 65_535) {
      throw new PlainError(`--port takes a number from 1 to 65535, not ${values.port}`);
    }
    if (values.fresh && values.empty)
      throw new PlainError('--fresh and --empty do not go together');
    return { ...values, port };
  } catch (error) {
    throw error instanceof PlainError
      ? error
      : new PlainError(`${error.message} (see ./start --help)`);
  }
}

/** Only one start at a time may use a data folder. */
function lock(folder) {
  const file = join(folder, 'started');
  try {
    mkdirSync(folder, { recursive: true });
    if (existsSync(file)) {
      const pid = Number(readFileSync(file, 'utf8'));
      if (pid !== process.pid && isAlive(pid)) {
        throw new PlainError(
          `already running on ${folder} (process ${pid}); stop it, or use another --data folder`,
        );
      }
    }
    writeFileSync(file, String(process.pid));
  } catch (error) {
    if (error instanceof PlainError) throw error;
    throw new PlainError(`the folder ${folder} cannot be used: ${error.message}`);
  }
  started.push({ stop: () => rmSync(file, { force: true }) });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return isStart(pid);
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** Whether a process still runs; one that ended but was not collected yet does not. */
function isRunning(pid) {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

/** After a crash the number may belong to some other program by now. */
function isStart(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return true;
  }
}

function refuseTakenPort(port, host) {
  return new Promise((resolveFree, reject) => {
    const server = createServer();
    server.once('error', (error) =>
      reject(
        new PlainError(
          error.code === 'EADDRINUSE'
            ? `port ${port} is taken; use --port N for another`
            : error.code === 'EACCES'
              ? `port ${port} needs rights you do not have; use --port N with a number above 1023`
              : `${host}:${port} cannot be listened on: ${error.message}`,
        ),
      ),
    );
    server.listen(port, host, () => server.close(resolveFree));
  });
}

async function databaseUrl(data) {
  if (process.env.DATABASE_URL) return process.env.DATABASE_URL;
  const cluster = await startCluster(data);
  started.push(cluster);
  const watch = setInterval(() => {
    if (isRunning(cluster.pid)) return;
    clearInterval(watch);
    complain('the database stopped; nothing saved is lost, start again');
    void stop(1);
  }, DATABASE_WATCH_MS);
  watch.unref();
  return cluster.url;
}

/** Runs the server as a process of its own and waits until it is ready. */
function startServer({ url, web, port, host, fresh, empty }) {
  return new Promise((ready, reject) => {
    const demo = fresh ? ['--fresh-demo'] : empty ? [] : ['--demo'];
    const child = spawn(process.execPath, ['--import', 'tsx', 'apps/server/src/main.ts', ...demo], {
      cwd: root,
      env: {
        ...process.env,
        DATABASE_URL: url,
        WEB_DIR: web,
        PORT: String(port),
        HOST: host,
        LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'inherit', 'pipe', 'ipc'],
      // Ctrl-C reaches us alone; we then stop the parts in their order.
      detached: true,
    });
    let failed = null;
    let isReady = false;
    child.stderr.on('data', (data) => {
      if (failed === null) process.stderr.write(data);
    });
    child.on('message', (message) => {
      if (message.progress) step(message.progress);
      if (message.failed) failed = failureLine(message, port);
      if (message.ready) {
        isReady = true;
        ready();
      }
    });
    child.on('exit', (code) => {
      child.exited = true;
      if (stopping) return;
      const end =
        failed ?? `the server stopped (${code ?? 'killed'}); nothing saved is lost, start again`;
      if (!isReady) return reject(new PlainError(end));
      complain(end);
      void stop(1);
    });
    started.push({ stop: () => endChild(child) });
  });
}

function failureLine({ failed, code }, port) {
  if (code === 'EADDRINUSE') return `port ${port} is taken; use --port N for another`;
  if (code === 'ECONNREFUSED') return 'the database of DATABASE_URL does not answer';
  if (code === '53100' || code === 'ENOSPC') return 'the disk is full';
  if (code === '28P01') return 'the database refused the password of DATABASE_URL';
  return failed;
}

function endChild(child) {
  return new Promise((ended) => {
    if (child.exited) return ended();
    child.on('exit', ended);
    child.kill('SIGTERM');
  });
}

/** Stops what was started, last first, once. */
function stop(code) {
  stopping ??= (async () => {
    for (const part of started.reverse()) {
      try {
        await part.stop();
      } catch (error) {
        complain(error);
      }
    }
    process.exit(code);
  })();
  return stopping;
}

async function main() {
  const { help, port, host, data, fresh, empty } = options();
  if (help) {
    process.stdout.write(HELP);
    return;
  }
  await refuseTakenPort(port, host);
  const folder = resolve(data);
  lock(folder);
  await installDependencies(root);
  const web = await buildWeb(root);
  const url = await databaseUrl(folder);
  step('starting the server');
  await startServer({ url, web, port, host, fresh, empty });
  say(`\nKeen Groove is at http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`);
  say(
    empty
      ? 'The first visitor sets up the shop.'
      : 'Sign in: press one of the made-up people on the first page.',
  );
  say('Ctrl-C stops it.');
}

process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));
process.on('SIGHUP', () => void stop(0));
main().catch((error) => {
  complain(error);
  void stop(1);
});
