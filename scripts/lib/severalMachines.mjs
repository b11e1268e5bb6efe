import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readFileSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { asOwner, freePort } from './postgres.mjs';
import { run } from './run.mjs';
import { installPackages } from './systemPackages.mjs';

/** What stands for machines of their own, on loopback: a standby, a pooler, servers, workers, a proxy. */

const SYSTEM_USER = 'postgres';
const isRoot = () => process.getuid?.() === 0;

/** Installs what the trial needs beside the product. */
export async function ensurePrograms() {
  const missing = [
    ['/usr/sbin/haproxy', 'haproxy'],
    ['/usr/sbin/pgbouncer', 'pgbouncer'],
    ['/usr/bin/openssl', 'openssl'],
  ].filter(([path]) => !existsSync(path));
  if (missing.length > 0) {
    await installPackages(
      missing.map(([, name]) => name),
      'proxy and pooler',
    );
  }
}

/** Gives a file or folder to the user that databases run as. */
function handOver(path) {
  if (!isRoot()) return;
  const id = (flag) => Number(spawnSync('id', [flag, SYSTEM_USER], { encoding: 'utf8' }).stdout);
  chownSync(path, id('-u'), id('-g'));
}

function child(program, args, { env = {}, asSystemUser = false, ...options } = {}) {
  const command =
    asSystemUser && isRoot()
      ? [
          'setpriv',
          `--reuid=${SYSTEM_USER}`,
          `--regid=${SYSTEM_USER}`,
          '--init-groups',
          program,
          ...args,
        ]
      : [program, ...args];
  const started = spawn(command[0], command.slice(1), {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
    ...options,
  });
  const ended = new Promise((end) => started.once('exit', end));
  return {
    process: started,
    ended,
    kill: () => started.kill('SIGKILL'),
    async stop() {
      started.kill('SIGTERM');
      await ended;
    },
  };
}

/** A standby that repeats every commit before it is acknowledged. */
export async function startStandby(primary, folder) {
  const home = join(folder, 'standby');
  mkdirSync(home, { mode: 0o700 });
  handOver(home);
  const data = join(home, 'data');
  const port = await freePort();
  await asOwner(join(primary.bin, 'pg_basebackup'), [
    ...['-d', primary.ownerUrl, '-D', data],
    ...['-X', 'stream', '--checkpoint=fast', '--write-recovery-conf'],
  ]);
  await asOwner(join(primary.bin, 'pg_ctl'), [
    ...['start', '-D', data, '-w', '-t', '30', '-l', join(home, 'postgres.log'), '-o'],
    `-c port=${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=''`,
  ]);
  const at = (url) => {
    const address = new URL(url);
    address.port = String(port);
    return address.href;
  };
  return {
    port,
    url: at(primary.url),
    ownerUrl: at(primary.ownerUrl),
    promote: () => asOwner(join(primary.bin, 'pg_ctl'), ['promote', '-D', data, '-w']),
    stop: () => asOwner(join(primary.bin, 'pg_ctl'), ['stop', '-D', data, '-m', 'fast', '-w']),
  };
}

/** The pooler by the configuration in deploy/, towards one database and then another. */
export async function startPooler(root, folder, cluster) {
  const home = join(folder, 'pooler');
  mkdirSync(home);
  const port = await freePort();
  const file = join(home, 'pgbouncer.ini');
  const users = join(home, 'userlist.txt');
  const lineOf = (url) => {
    const { username, password } = new URL(url);
    return `"${username}" "${password}"\n`;
  };
  writeFileSync(users, lineOf(cluster.url) + lineOf(cluster.ownerUrl), { mode: 0o600 });
  handOver(users);
  const write = (databasePort) => {
    const text = readFileSync(join(root, 'deploy/pgbouncer.ini'), 'utf8')
      .replace('port=5432', `port=${databasePort}`)
      .replace('listen_port = 6432', `listen_port = ${port}`)
      .replace('/etc/pgbouncer/userlist.txt', users);
    writeFileSync(file, text);
  };
  write(cluster.port);
  const pooler = child('/usr/sbin/pgbouncer', ['-q', file], { asSystemUser: true });
  const through = (url) => {
    const address = new URL(url);
    address.port = String(port);
    return address.href;
  };
  return {
    ...pooler,
    url: through(cluster.url),
    ownerUrl: through(cluster.ownerUrl),
    /** Leads everybody to another database from now on. */
    leadTo(databasePort) {
      write(databasePort);
      pooler.process.kill('SIGHUP');
    },
  };
}

/** A server without a worker of its own, which reads its lists on the standby. */
export async function startServer(program, { database, readUrl, port }) {
  const server = child(process.execPath, ['--enable-source-maps', program], {
    env: {
      DATABASE_URL: database.url,
      DATABASE_OWNER_URL: database.ownerUrl,
      DATABASE_READ_URL: readUrl,
      DATABASE_WAIT_SECONDS: '30',
      WORKER: 'false',
      PORT: String(port),
      LOG_LEVEL: 'error',
      NODE_ENV: 'production',
    },
  });
  return { ...server, port, url: `http://127.0.0.1:${port}` };
}

export function startWorker(program, database) {
  return child(process.execPath, ['--enable-source-maps', program], {
    env: { DATABASE_URL: database.url, LOG_LEVEL: 'error', NODE_ENV: 'production' },
  });
}

/** The proxy by the configuration in deploy/, with a certificate of its own. */
export async function startProxy(root, folder, ports) {
  const home = join(folder, 'proxy');
  mkdirSync(home);
  const [key, certificate, both] = ['key.pem', 'cert.pem', 'both.pem'].map((name) =>
    join(home, name),
  );
  await run('openssl', [
    ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=127.0.0.1'],
    ...['-keyout', key, '-out', certificate],
  ]);
  writeFileSync(both, readFileSync(certificate, 'utf8') + readFileSync(key, 'utf8'));
  chmodSync(both, 0o600);
  unlinkSync(key);
  const port = await freePort();
  const proxy = child('/usr/sbin/haproxy', ['-f', join(root, 'deploy/haproxy.cfg'), '-db'], {
    // It says that servers come and go, as they shall here.
    stdio: 'ignore',
    env: {
      KEEN_BIND: `127.0.0.1:${port}`,
      KEEN_CERT: both,
      KEEN_SERVER_1: `127.0.0.1:${ports[0]}`,
      KEEN_SERVER_2: `127.0.0.1:${ports[1]}`,
    },
  });
  return { ...proxy, url: `https://127.0.0.1:${port}` };
}
