import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { backUp, backupsIn, pruneBackups } from './lib/backup.mjs';
import { isRunning, lockDataFolder } from './lib/dataFolder.mjs';
import { installDependencies } from './lib/dependencies.mjs';
import { startCluster } from './lib/postgres.mjs';
import { complain, PlainError, say, step } from './lib/say.mjs';
import { startServerProcess } from './lib/serverProcess.mjs';
import { supervise } from './lib/supervise.mjs';
import { buildWeb } from './lib/webBuild.mjs';

const HELP = `./start [options]

  --port N     port of the web app (4310)
  --host H     address to listen on (127.0.0.1)
  --data DIR   folder of the database (.keen)
  --backup-every H    hours between backups into DIR/backups (24; 0 for none)
  --backup-keep N     backups to keep (14)
  --fresh      sets up the demo shop anew; nothing else is touched
  --empty      starts without demo data; the first visitor sets up the shop
  --help       this

DATABASE_URL   uses a PostgreSQL server you already run instead of our own
Ctrl-C stops everything that was started here.
`;

const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const DATABASE_WATCH_MS = 500;
const HOUR_MS = 3_600_000;
/** The first look for a backup that is due; later ones follow regularly. */
const FIRST_BACKUP_MS = 60_000;
const BACKUP_LOOK_MS = 600_000;

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
        'backup-every': { type: 'string', default: '24' },
        'backup-keep': { type: 'string', default: '14' },
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
    return {
      ...values,
      port,
      backupEvery: wholeNumber(values['backup-every'], '--backup-every', 0),
      backupKeep: wholeNumber(values['backup-keep'], '--backup-keep', 1),
    };
  } catch (error) {
    throw error instanceof PlainError
      ? error
      : new PlainError(`${error.message} (see ./start --help)`);
  }
}

function wholeNumber(text, option, least) {
  const number = Number(text);
  if (text.trim() === '' || !Number.isInteger(number) || number < least) {
    throw new PlainError(`${option} takes a whole number from ${least} on, not ${text}`);
  }
  return number;
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

/** Keeps our own database running, unless the environment names another. */
async function superviseDatabase(data) {
  if (process.env.DATABASE_URL) {
    return { url: process.env.DATABASE_URL, ownerUrl: process.env.DATABASE_OWNER_URL };
  }
  let url = null;
  let ownerUrl;
  let port;
  let current = null;
  const onMoved = [];
  const part = await supervise({
    name: 'the database',
    tell: complain,
    giveUp,
    async start(isAgain) {
      const cluster = await startCluster(data, { port });
      if (isAgain && cluster.url !== url) onMoved.forEach((moved) => moved(cluster));
      ({ url, ownerUrl, port } = cluster);
      current = cluster;
      return { ended: endOf(cluster.pid), stop: cluster.stop };
    },
  });
  started.push(part);
  return { url, ownerUrl, cluster: () => current, onMoved: (moved) => onMoved.push(moved) };
}

/** The database runs on its own: its end is seen by looking. */
function endOf(pid) {
  return new Promise((ended) => {
    const watch = setInterval(() => {
      if (isRunning(pid)) return;
      clearInterval(watch);
      ended('its process is gone');
    }, DATABASE_WATCH_MS);
    watch.unref();
  });
}

async function superviseServer(
  database,
  { web, port, host, fresh, empty, backupDir, backupEvery },
) {
  let { url, ownerUrl } = database;
  let current = null;
  // Its port was taken meanwhile: the server is started again with the new address.
  database.onMoved?.((moved) => {
    ({ url, ownerUrl } = moved);
    void current?.stop();
  });
  const part = await supervise({
    name: 'the server',
    tell: complain,
    giveUp,
    async start(isAgain) {
      // A demo is made again once, not each time the server comes back.
      const demo = empty ? [] : [fresh && !isAgain ? '--fresh-demo' : '--demo', '--years'];
      current = await startServerProcess({
        root,
        args: demo,
        env: {
          DATABASE_URL: url,
          ...(ownerUrl ? { DATABASE_OWNER_URL: ownerUrl } : {}),
          WEB_DIR: web,
          // Both may have crashed: the database needs a moment longer.
          DATABASE_WAIT_SECONDS: isAgain ? '60' : '0',
          PORT: String(port),
          HOST: host,
          // The lead sees whether there are backups, where they are made here.
          ...(database.cluster && backupEvery > 0
            ? { BACKUP_DIR: backupDir, BACKUP_EVERY_HOURS: String(backupEvery) }
            : {}),
        },
        inWords: (failure) => failureLine(failure, port),
      });
      return current;
    },
  });
  started.push(part);
}

/**
 * Backs up regularly. It looks now and then whether the newest backup is old enough, so that a machine
 * that is off at night gets its backup too.
 */
function scheduleBackups(database, folder, { backupEvery, backupKeep }) {
  if (backupEvery === 0 || !database.cluster) return;
  let isRunningOne = false;
  const look = async () => {
    const newest = backupsIn(folder)[0]?.at ?? 0;
    if (isRunningOne || Date.now() - newest < backupEvery * HOUR_MS) return;
    isRunningOne = true;
    try {
      await backUp(database.cluster(), folder);
      pruneBackups(folder, backupKeep);
    } catch (error) {
      complain(`the backup failed, and is tried again: ${error.message}`);
    } finally {
      isRunningOne = false;
    }
  };
  const timers = [setTimeout(look, FIRST_BACKUP_MS), setInterval(look, BACKUP_LOOK_MS)];
  started.push({ stop: () => timers.forEach(clearTimeout) });
}

function giveUp(line) {
  complain(`${line}; nothing saved is lost`);
  void stop(1);
}

function failureLine({ failed, code }, port) {
  if (code === 'EADDRINUSE') return `port ${port} is taken; use --port N for another`;
  if (code === 'ECONNREFUSED') return 'the database of DATABASE_URL does not answer';
  if (code === '53100' || code === 'ENOSPC') return 'the disk is full';
  if (code === '28P01') return 'the database refused the password of DATABASE_URL';
  return failed;
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
  const { help, port, host, data, fresh, empty, ...backups } = options();
  if (help) {
    process.stdout.write(HELP);
    return;
  }
  await refuseTakenPort(port, host);
  const folder = resolve(data);
  started.push({ stop: lockDataFolder(folder) });
  await installDependencies(root);
  const web = await buildWeb(root);
  const database = await superviseDatabase(folder);
  step('starting the server');
  const backupDir = join(folder, 'backups');
  const { backupEvery } = backups;
  await superviseServer(database, { web, port, host, fresh, empty, backupDir, backupEvery });
  scheduleBackups(database, backupDir, backups);
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
