import { createHash } from 'node:crypto';
import {
  chmodSync,
  createReadStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { run } from './run.mjs';
import { PlainError } from './say.mjs';

const NAME = /^keen-\d{4}-\d{2}-\d{2}T\d{6}Z\.backup$/;

/**
 * Saves the whole database to one file, while it is in use, with its checksum beside it. The file has its
 * name only once it is whole.
 * @param {import('./postgres.mjs').Cluster} cluster
 * @param {string} folder - made if it is not there
 * @param {Date} [now]
 * @returns {Promise<string>} the file
 */
export async function backUp(cluster, folder, now = new Date()) {
  const to = resolve(folder);
  try {
    mkdirSync(to, { recursive: true, mode: 0o700 });
  } catch (error) {
    throw new PlainError(`the folder ${to} cannot be used for backups: ${error.message}`);
  }
  const stamp = now.toISOString().replace(/[:]/g, '').replace(/\.\d+/, '');
  const file = join(to, `keen-${stamp}.backup`);
  const part = `${file}.part`;
  try {
    await run(
      join(cluster.bin, 'pg_dump'),
      ['--format=custom', `--file=${part}`, cluster.ownerUrl],
      {
        cwd: '/',
      },
    );
    chmodSync(part, 0o600);
    const sum = await checksumOf(part);
    writeFileSync(`${file}.sha256`, `${sum}  ${basename(file)}\n`, { mode: 0o600 });
    renameSync(part, file);
    return file;
  } catch (error) {
    rmSync(part, { force: true });
    rmSync(`${file}.sha256`, { force: true });
    throw error;
  }
}

function checksumOf(file) {
  return new Promise((done, fail) => {
    const hash = createHash('sha256');
    createReadStream(file)
      .on('data', (data) => hash.update(data))
      .on('error', fail)
      .on('end', () => done(hash.digest('hex')));
  });
}

/** Backups of a folder, the newest first. @returns {{ file: string, at: number }[]} */
export function backupsIn(folder) {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => NAME.test(name))
    .map((name) => join(folder, name))
    .map((file) => ({ file, at: statSync(file).mtimeMs }))
    .sort((a, b) => b.at - a.at);
}

/** Deletes all but the newest backups of a folder; nothing else in it is touched. */
export function pruneBackups(folder, keep) {
  for (const { file } of backupsIn(folder).slice(keep)) {
    rmSync(file, { force: true });
    rmSync(`${file}.sha256`, { force: true });
  }
}

/**
 * Brings a backup back. What the database holds now is not deleted: it is set aside under another name.
 * @param {import('./postgres.mjs').Cluster} cluster - no server may be using it
 * @param {string} file
 * @returns {Promise<{ aside: string | null }>} the name of the database that was set aside
 * @throws {PlainError} when the file is damaged; nothing is changed then
 */
export async function restore(cluster, file) {
  if (!existsSync(file)) throw new PlainError(`there is no file ${file}`);
  const sumFile = `${file}.sha256`;
  if (existsSync(sumFile)) {
    const wanted = readFileSync(sumFile, 'utf8').split(/\s/)[0];
    if ((await checksumOf(file)) !== wanted) {
      throw new PlainError(`${file} is damaged: its checksum is another; nothing was changed`);
    }
  }
  const program = (name) => join(cluster.bin, name);
  // A file that cannot be listed is not a backup.
  await run(program('pg_restore'), ['--list', file], { cwd: dirname(resolve(file)) });
  const psql = (database, sql) => {
    const url = new URL(cluster.ownerUrl);
    url.pathname = `/${database}`;
    return run(program('psql'), ['-d', url.href, '-AtqX', '-v', 'ON_ERROR_STOP=1', '-c', sql], {
      cwd: '/',
    });
  };
  const name = new URL(cluster.ownerUrl).pathname.slice(1);
  const fresh = `${name}_restoring`;
  await psql('postgres', `drop database if exists ${fresh}`);
  await psql('postgres', `create database ${fresh}`);
  const into = new URL(cluster.ownerUrl);
  into.pathname = `/${fresh}`;
  await run(
    program('pg_restore'),
    [
      '--exit-on-error',
      '--single-transaction',
      '--no-owner',
      '--no-privileges',
      `--dbname=${into.href}`,
      resolve(file),
    ],
    { cwd: '/' },
  );
  const tables = (
    await psql(name, `select count(*) from pg_tables where schemaname = 'public'`)
  ).trim();
  const aside =
    tables === '0'
      ? null
      : `${name}_before_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}`;
  await psql(
    'postgres',
    aside ? `alter database ${name} rename to ${aside}` : `drop database ${name}`,
  );
  await psql('postgres', `alter database ${fresh} rename to ${name}`);
  return { aside };
}
