import type { SystemState } from '@keen/contract';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { pageErrorOf } from '../../app/reportErrors.ts';
import { showPage } from '../../../tests/pageBench.tsx';
import { SESSION } from '../../../tests/visitBench.tsx';
import { concernsOf } from './concerns.ts';
import { SystemPage } from './SystemPage.tsx';

const NOW = Date.parse('2026-11-30T12:00:00Z');
const WELL: SystemState = {
  version: '0.1.0',
  node: '20.20.2',
  startedAt: '2026-11-01T00:00:00.000Z',
  database: { version: '15.1', bytes: 9e7, connections: 4, idle: 3, waiting: 0 },
  disk: { freeBytes: 8e10, totalBytes: 1e11 },
  backup: { everyHours: 24, newest: { at: '2026-11-30T03:00:00.000Z', bytes: 3e7 } },
  diagnoses: { waiting: 0, oldestSeconds: 0 },
  work: { workers: 1, waiting: 0, oldestSeconds: 0, failed: 0 },
  streams: 2,
  pageErrors: { count: 0, lastAt: null },
  serverErrors: { count: 3, lastAt: '2026-11-20T00:00:00.000Z' },
};
const kinds = (change: Partial<SystemState>) =>
  concernsOf({ ...WELL, ...change }, NOW).map(({ kind }) => kind);

describe('what of the installation needs a look', () => {
  it('is nothing while all is well, and an error of long ago is over', () => {
    expect(kinds({})).toEqual([]);
    // Somebody else makes the backups, and nothing is known of the disk.
    expect(kinds({ backup: null, disk: null })).toEqual([]);
  });

  it('is a backup that is late by a whole turn, or missing for an hour', () => {
    const newest = (at: string) => ({ everyHours: 24, newest: { at, bytes: 1 } });
    expect(kinds({ backup: newest('2026-11-28T13:00:00Z') })).toEqual([]);
    expect(kinds({ backup: newest('2026-11-28T11:00:00Z') })).toEqual(['oldBackup']);
    const none = { everyHours: 24, newest: null };
    expect(kinds({ backup: none })).toEqual(['noBackup']);
    expect(kinds({ backup: none, startedAt: '2026-11-30T11:30:00.000Z' })).toEqual([]);
  });

  it('is a full disk, by what is left and by its part', () => {
    expect(kinds({ disk: { freeBytes: 1e9, totalBytes: 5e9 } })).toEqual(['lowSpace']);
    expect(kinds({ disk: { freeBytes: 5e9, totalBytes: 1e11 } })).toEqual(['lowSpace']);
  });

  it('is a missing worker, work that comes late, and work that was given up', () => {
    const work = WELL.work;
    const busy = { ...work, waiting: 30, oldestSeconds: 1_000 };
    expect(kinds({ work: { ...busy, oldestSeconds: 600 } })).toEqual([]);
    expect(kinds({ work: busy })).toEqual(['lateWork']);
    expect(kinds({ work: { ...busy, workers: 0, failed: 2 } })).toEqual(['noWorker', 'failedWork']);
    // Its worker is being started.
    const startedAt = new Date(NOW - 30_000).toISOString();
    expect(kinds({ startedAt, work: { ...work, workers: 0 } })).toEqual([]);
  });

  it('is a queue, a lack of connections, and errors of the last day, the worst first', () => {
    const lately = { count: 1, lastAt: '2026-11-30T01:00:00.000Z' };
    expect(
      kinds({
        pageErrors: lately,
        serverErrors: lately,
        database: { ...WELL.database, waiting: 9 },
        diagnoses: { waiting: 40, oldestSeconds: 25 },
        disk: { freeBytes: 1, totalBytes: 1e11 },
      }),
    ).toEqual(['lowSpace', 'longQueue', 'noConnection', 'serverErrors', 'pageErrors']);
  });
});

describe('SystemPage', () => {
  const open = (answer: unknown, role: 'lead' | 'advisor' = 'lead') =>
    showPage(<SystemPage />, {
      path: '/system',
      answers: {
        'GET /api/session': { ...SESSION, person: { ...SESSION.person, role } },
        'GET /api/system': answer,
      },
    });

  it('says first whether all is well, then what is so', async () => {
    const newest = { at: new Date(Date.now() - 3_600_000).toISOString(), bytes: 31_400_000 };
    open({ ...WELL, backup: { everyHours: 24, newest } });
    expect(await screen.findByRole('heading', { name: 'Everything is well.' })).toBeVisible();
    expect(screen.getByText(/, 31 MB$/)).toBeVisible();
    expect(screen.getByText('Every 24 hours')).toBeVisible();
    expect(screen.getByText('80 GB of 100 GB')).toBeVisible();
    expect(screen.getByText('1 busy, 3 idle, 0 waiting')).toBeVisible();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('names each thing that needs a look', async () => {
    open({
      ...WELL,
      disk: { freeBytes: 5e8, totalBytes: 1e11 },
      backup: { everyHours: 24, newest: null },
    });
    expect(await screen.findByRole('heading', { name: '2 things need a look.' })).toBeVisible();
    expect(screen.getAllByRole('alert')[0]).toHaveTextContent(/no backup yet/);
    expect(screen.getAllByRole('alert')[1]).toHaveTextContent(/Only 500 MB of 100 GB/);
  });

  it('is the lead’s', async () => {
    const { queries } = open(WELL, 'advisor');
    expect(await screen.findByText(/^Only the lead sees/)).toBeVisible();
    expect(queries('GET /api/system')).toEqual([]);
  });

  it('says when the server did not tell', async () => {
    open(503);
    expect(await screen.findByRole('button', { name: 'Try again' })).toBeVisible();
  });
});

describe('an error of a page', () => {
  const at = {
    origin: 'http://shop.example',
    pathname: '/visits/0b8f8c1e-0000-4000-8000-00000000000a/read',
  };

  it('tells where it happened, and neither its message nor whose page it was', () => {
    const error = new TypeError('the plate 418 KQ of a@b.example is missing');
    error.stack = [
      'TypeError: the plate 418 KQ of a@b.example is missing',
      '    at ReadStep (http://shop.example/assets/read.js:10:20)',
      'commit@http://shop.example/assets/app.js:1:2',
    ].join('\n');
    expect(pageErrorOf(error, at)).toEqual({
      name: 'TypeError',
      page: '/visits/:id/read',
      frames: ['at ReadStep (/assets/read.js:10:20)', 'commit@/assets/app.js:1:2'],
    });
  });

  it('is told of whatever was thrown, and keeps a link’s token to itself', () => {
    expect(pageErrorOf('lost', { ...at, pathname: '/s/abcdef' })).toEqual({
      name: 'string',
      page: '/s/:token',
      frames: [],
    });
    expect(pageErrorOf(null, at).name).toBe('null');
  });
});
