import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { backUp, backupsIn, restore } from './lib/backup.mjs';
import { lockDataFolder } from './lib/dataFolder.mjs';
import { installDependencies } from './lib/dependencies.mjs';
import { buildNode } from './lib/nodeBuild.mjs';
import { isClusterRunning, startCluster } from './lib/postgres.mjs';
import { complain, PlainError, say, step } from './lib/say.mjs';

const HELP = `./keen-admin COMMAND [options]: for whoever runs the server

  backup                  saves everything to one file, while the shop works
  backups                 lists the backups
  restore FILE            brings a backup back; stop ./start first. What is there now is set aside
  people                  lists who may sign in
  password-link E-MAIL    a link by which that person chooses a password
  make-lead E-MAIL [SHOP] makes a person lead again who is locked out: takes back a suspension, removes
                          the second factor, and prints a link to choose a password

  --data DIR   folder of the database (.keen)
  --to DIR     folder of the backups (DIR/backups)
  --url URL    where the app is, for links (http://127.0.0.1:4310)
  --help       this
`;

const root = resolve(fileURLToPath(new URL('..', import.meta.url)));

function options() {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: {
        data: { type: 'string', default: join(root, '.keen') },
        to: { type: 'string' },
        url: { type: 'string', default: 'http://127.0.0.1:4310' },
        help: { type: 'boolean', default: false },
      },
    });
    const data = resolve(values.data);
    return { ...values, data, to: resolve(values.to ?? join(data, 'backups')), positionals };
  } catch (error) {
    throw new PlainError(`${error.message} (see ./keen-admin --help)`);
  }
}

/** Runs work on the database, started for it if need be and then stopped again. */
async function withCluster(data, work) {
  const wasRunning = await isClusterRunning(data);
  const cluster = await startCluster(data);
  try {
    return await work(cluster);
  } finally {
    if (!wasRunning) await cluster.stop();
  }
}

async function restoreBackup(data, file) {
  // Holds the folder, so that nothing is started on it meanwhile.
  const release = lockDataFolder(data);
  try {
    await withCluster(data, async (cluster) => {
      step('checking and restoring the backup');
      const { aside } = await restore(cluster, resolve(file));
      say(`Restored ${file}. Start as usual with ./start.`);
      if (aside) say(`What was there before is kept in the database ${aside}.`);
    });
  } finally {
    release();
  }
}

/** What is done to people is the server's code, run as the owner of the tables. */
async function people(cluster, args, url) {
  const program = join(await buildNode(root, 'server'), 'admin.mjs');
  return new Promise((done, fail) => {
    const child = spawn(process.execPath, ['--enable-source-maps', program, ...args], {
      cwd: root,
      stdio: 'inherit',
      env: {
        ...process.env,
        DATABASE_URL: cluster.url,
        DATABASE_OWNER_URL: cluster.ownerUrl,
        KEEN_URL: url,
      },
    });
    child.on('error', fail);
    child.on('exit', (code) => (code === 0 ? done() : fail(new PlainError('nothing was changed'))));
  });
}

async function main() {
  const { help, data, to, url, positionals } = options();
  const [command, argument] = positionals;
  if (help || command === undefined) {
    process.stdout.write(HELP);
    return;
  }
  const needs = { restore: 'a file', 'password-link': 'an email', 'make-lead': 'an email' }[
    command
  ];
  if (needs && argument === undefined) {
    throw new PlainError(`${command} needs ${needs} (see ./keen-admin --help)`);
  }
  await installDependencies(root);
  switch (command) {
    case 'backup':
      await withCluster(data, async (cluster) => say(`Saved ${await backUp(cluster, to)}`));
      return;
    case 'backups':
      for (const { file, at } of backupsIn(to)) say(`${new Date(at).toISOString()}  ${file}`);
      return;
    case 'restore':
      return restoreBackup(data, argument);
    case 'people':
    case 'password-link':
    case 'make-lead':
      return withCluster(data, (cluster) => people(cluster, positionals, url));
    default:
      throw new PlainError(`there is no command ${command} (see ./keen-admin --help)`);
  }
}

main().catch((error) => {
  complain(error);
  process.exit(1);
});
