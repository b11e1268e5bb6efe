import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { backUp, backupsIn, pruneBackups, restore } from '../scripts/lib/backup.mjs';
import { startCluster } from '../scripts/lib/postgres.mjs';
import type { Cluster } from '../scripts/lib/postgres.mjs';

const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const folder = mkdtempSync(join(tmpdir(), 'keen-backup-'));
const backups = join(folder, 'backups');
let full: Cluster;
let empty: Cluster;
beforeAll(async () => {
  chmodSync(folder, 0o755);
  full = await startCluster(join(folder, 'full'));
  empty = await startCluster(join(folder, 'empty'));
  admin('people');
  // The demo shop is made by the server; rows enough of every kind for a comparison are made here.
  sql(
    full,
    `insert into shops (id, name, town, is_demo) values ('00000000-0000-4000-8000-000000000001', 'Saved Tires', 'Łódź', false);
     insert into accounts (id, email) values ('00000000-0000-4000-8000-000000000003', 'saul@saved.example');
     insert into people (id, shop_id, account_id, name, role, preferences)
       values ('00000000-0000-4000-8000-000000000002', '00000000-0000-4000-8000-000000000001', '00000000-0000-4000-8000-000000000003', 'Saul', 'lead', '{}');
     insert into vehicles (id, shop_id, plate, plate_key, label, customer)
       select gen_random_uuid(), '00000000-0000-4000-8000-000000000001', 'S ' || n, 'S' || n, 'Van', 'Customer ' || n from generate_series(1, 50) n;
     insert into visits (id, shop_id, vehicle_id, number, draft, seq)
       select gen_random_uuid(), shop_id, id, row_number() over (order by plate), '{"a": 1.5}', 1 from vehicles;
     insert into entries (id, shop_id, visit_id, seq, path, value, person_id, at)
       select gen_random_uuid(), shop_id, id, 1, 'visit.words', '"2319"', '00000000-0000-4000-8000-000000000002', now() from visits;
     insert into photos (id, shop_id, visit_id, subject, type, bytes, picture, person_id)
       select gen_random_uuid(), shop_id, id, '', 'image/png', 4, '\\x89504e47', '00000000-0000-4000-8000-000000000002' from visits;`,
  );
}, 120_000);
afterAll(async () => {
  await full.stop();
  await empty.stop();
  rmSync(folder, { recursive: true, force: true });
});

function sql(cluster: Cluster, text: string): string {
  const result = spawnSync(
    join(cluster.bin, 'psql'),
    ['-d', cluster.ownerUrl, '-AtqX', '-v', 'ON_ERROR_STOP=1'],
    {
      input: text,
      encoding: 'utf8',
    },
  );
  if (result.status !== 0) throw new Error(result.stderr);
  return result.stdout;
}

/** The administrator's command, against a data folder. */
function admin(...args: string[]) {
  return spawnSync('./keen-admin', [...args, '--data', join(folder, 'full')], {
    cwd: root,
    encoding: 'utf8',
  });
}

/** Every table with the number of its rows and a sum over all of them. */
function fingerprint(cluster: Cluster): Record<string, string> {
  const tables = sql(
    cluster,
    `select schemaname || '.' || tablename from pg_tables where schemaname in ('public', 'drizzle') order by 1`,
  )
    .trim()
    .split('\n');
  return Object.fromEntries(
    tables.map((table) => [
      table,
      sql(
        cluster,
        `select count(*) || ' ' || md5(coalesce(string_agg(t::text, '|' order by t::text), '')) from ${table} t`,
      ).trim(),
    ]),
  );
}

describe('a backup', { timeout: 120_000 }, () => {
  it('comes back on an empty machine, every table as it was', async () => {
    const before = fingerprint(full);
    expect(Object.keys(before)).toContain('public.entries');
    expect(before['public.entries']).toMatch(/^50 /);
    const file = await backUp(full, backups);
    expect(readFileSync(`${file}.sha256`, 'utf8')).toMatch(/^[0-9a-f]{64} {2}keen-/);
    expect((await restore(empty, file)).aside).toBeNull();
    expect(fingerprint(empty)).toEqual(before);
    // The wall came along: policies, keys, and rows that nobody sees without a shop.
    const policies = 'select count(*) from pg_policies';
    expect(sql(empty, policies)).toBe(sql(full, policies));
    const keys = `select count(*) from pg_constraint where contype in ('f', 'c', 'u')`;
    expect(sql(empty, keys)).toBe(sql(full, keys));
  });

  it('sets aside what was there, which is not lost', async () => {
    const file = await backUp(full, backups, new Date(Date.now() + 2_000));
    sql(empty, `update shops set name = 'Changed since'`);
    const { aside } = await restore(empty, file);
    expect(aside).toMatch(/^keen_before_\d{14}$/);
    expect(sql(empty, 'select name from shops').trim()).toBe('Saved Tires');
    const url = new URL(empty.ownerUrl);
    url.pathname = `/${aside}`;
    expect(sql({ ...empty, ownerUrl: url.href }, 'select name from shops').trim()).toBe(
      'Changed since',
    );
  });

  it('that is damaged is refused, and nothing is changed', async () => {
    const file = await backUp(full, backups, new Date(Date.now() + 4_000));
    const before = fingerprint(empty);
    const bytes = readFileSync(file);
    bytes[bytes.length >> 1]! ^= 0xff;
    writeFileSync(file, bytes);
    await expect(restore(empty, file)).rejects.toThrow(/damaged/);
    await expect(restore(empty, join(folder, 'none'))).rejects.toThrow(/no file/);
    expect(fingerprint(empty)).toEqual(before);
  });

  it('that is old is pruned, and nothing else in the folder', () => {
    writeFileSync(join(backups, 'notes.txt'), 'ours');
    const count = backupsIn(backups).length;
    expect(count).toBe(3);
    pruneBackups(backups, 1);
    expect(backupsIn(backups)).toHaveLength(1);
    expect(readFileSync(join(backups, 'notes.txt'), 'utf8')).toBe('ours');
  });

  it('has pages with checksums under it', () => {
    expect(sql(full, 'show data_checksums').trim()).toBe('on');
  });
});

describe('keen-admin', { timeout: 120_000 }, () => {
  it('lets a locked-out lead in again, and says whom there is', () => {
    sql(
      full,
      `update people set suspended_at = now(), role = 'advisor'; update accounts set totp_secret = 'X'`,
    );
    expect(admin('people').stdout).toMatch(
      /Saul <saul@saved.example> \(advisor, suspended, no password, second factor\)/,
    );
    const made = admin('make-lead', 'SAUL@saved.example', '--url', 'https://shop.example');
    expect(made.stdout).toMatch(/Saul is lead.*\nhttps:\/\/shop\.example\/password\/[\w-]{32}\n/);
    expect(admin('people').stdout).toMatch(/\(lead, no password\)/);
    expect(sql(full, `select kind from audit_log where person_id is null`).trim()).toBe(
      'personChanged',
    );
    expect(admin('make-lead', 'nobody@saved.example').status).toBe(1);
    // Of which shop is asked of who works in two.
    sql(
      full,
      `insert into shops (id, name, town, is_demo) values ('00000000-0000-4000-8000-000000000005', 'Other Tires', '', false);
       insert into people (id, shop_id, account_id, name, role, preferences)
         select gen_random_uuid(), '00000000-0000-4000-8000-000000000005', account_id, 'Saul', 'advisor', '{}' from people`,
    );
    expect(admin('make-lead', 'saul@saved.example').stderr).toMatch(/Other Tires|Saved Tires/);
    expect(admin('make-lead', 'saul@saved.example', 'Other Tires').stdout).toMatch(/Saul is lead/);
    expect(admin('nonsense').status).toBe(1);
    expect(admin('--help').stdout).toContain('restore FILE');
  });

  it('backs up while the database works, and leaves it running', () => {
    const { stdout } = admin('backup', '--to', join(folder, 'by-hand'));
    expect(stdout).toMatch(/Saved .*\.backup/);
    expect(backupsIn(join(folder, 'by-hand'))).toHaveLength(1);
    expect(sql(full, 'select 1').trim()).toBe('1');
  });
});
