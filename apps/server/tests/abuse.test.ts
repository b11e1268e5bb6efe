import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createDatabase, LEAD, spawnServer, stopDatabase } from './testServer.ts';
import type { ServerProcess } from './testServer.ts';

let url: string;
let server: ServerProcess;
let cookie: string;
beforeAll(async () => {
  url = await createDatabase();
  server = await spawnServer(url);
  const response = await fetch(`${server.url}/api/setup`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(LEAD),
  });
  expect(response.status).toBe(200);
  cookie = response.headers.get('set-cookie')!.split(';')[0]!;
});
afterAll(() => server.stop());

const WAIT_MS = 1_500;

/** Sends bytes as they are and takes what comes back until the server hangs up or says nothing more. */
function raw(bytes: string, { reset = false } = {}): Promise<string> {
  return new Promise((done) => {
    const socket = connect(server.port, '127.0.0.1', () => {
      socket.write(bytes);
      if (reset) setTimeout(() => socket.resetAndDestroy(), 5);
    });
    let heard = '';
    socket.setTimeout(WAIT_MS, () => socket.destroy());
    socket.on('data', (data) => (heard += data.toString('latin1')));
    socket.on('error', () => undefined);
    socket.on('close', () => done(heard));
  });
}

const upgrade = (path: string, ...headers: string[]) =>
  [
    `GET ${path} HTTP/1.1`,
    `Host: 127.0.0.1:${server.port}`,
    'Connection: Upgrade',
    'Upgrade: websocket',
    'Sec-WebSocket-Version: 13',
    'Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==',
    ...headers,
    '',
    '',
  ].join('\r\n');
const GAUGE = '/api/devices/gauge/stream';

async function expectAlive(): Promise<void> {
  expect(server.isAlive()).toBe(true);
  expect((await fetch(`${server.url}/api/health`)).status).toBe(200);
}

describe('no request ends the server', () => {
  it.each([
    ['an origin of null', () => upgrade(GAUGE, 'Origin: null'), '403'],
    ['an origin that is no address', () => upgrade(GAUGE, 'Origin: %%%'), '400'],
    ['a page of another origin', () => upgrade(GAUGE, 'Origin: http://elsewhere.example'), '403'],
    ['nobody signed in', () => upgrade(GAUGE), '401'],
    ['a path of slashes', () => upgrade('//'), '404'],
    ['a path that is no path', () => upgrade('http://[::1'), '404'],
    ['broken percent-encoding', () => upgrade('/api/%'), '404'],
    ['a key that is none', () => upgrade(GAUGE, 'Sec-WebSocket-Key: x'), '4'],
  ])('an upgrade with %s is refused', async (_name, bytes, status) => {
    expect((await raw(bytes())).split('\r\n')[0]).toContain(` ${status}`);
    await expectAlive();
  });

  it('a signed-in page gets its line, and may break it at any moment', async () => {
    const withCookie = upgrade(GAUGE, `Cookie: ${cookie}`);
    expect(await raw(withCookie)).toMatch(/^HTTP\/1.1 101/);
    for (let i = 0; i < 20; i++) await raw(withCookie, { reset: true });
    // A frame that breaks the protocol, and one that is far too long.
    await raw(`${withCookie}\x83\xff\xff\xff\xff\xff\xff\xff\xff\xff`);
    await raw(`${withCookie}\xc1\x7f\x7f\x7f`);
    await expectAlive();
  });

  it.each([
    ['garbage', 'nonsense\r\n\r\n'],
    ['a proxy’s CONNECT', 'CONNECT a:1 HTTP/1.1\r\nHost: a\r\n\r\n'],
    ['no host', 'GET /api/health HTTP/1.1\r\n\r\n'],
    ['broken percent-encoding', 'GET /%E0%A4%A HTTP/1.1\r\nHost: a\r\n\r\n'],
    [
      'a length that is none',
      'POST /api/session HTTP/1.1\r\nHost: a\r\nContent-Length: -5\r\n\r\n',
    ],
    [
      'two lengths',
      'POST /api/session HTTP/1.1\r\nHost: a\r\nContent-Length: 5\r\nTransfer-Encoding: chunked\r\n\r\n',
    ],
    ['headers without end', `GET / HTTP/1.1\r\nX: ${'x'.repeat(200_000)}`],
    [
      'an expectation',
      'POST /api/session HTTP/1.1\r\nHost: a\r\nExpect: 200-maybe\r\nContent-Length: 0\r\n\r\n',
    ],
    ['a trace', 'TRACE / HTTP/1.1\r\nHost: a\r\n\r\n'],
  ])('%s is answered or hung up on', async (_name, bytes) => {
    expect(await raw(bytes)).not.toMatch(/^HTTP\/1.1 5/);
    await raw(bytes, { reset: true });
    await expectAlive();
  });

  it('a body that breaks off', async () => {
    const head = `POST /api/visits HTTP/1.1\r\nHost: a\r\nCookie: ${cookie}\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{`;
    for (let i = 0; i < 10; i++) await raw(head, { reset: true });
    await expectAlive();
  });
});

describe('while the database is away', () => {
  it('the server lives, says that it is not ready, and goes on when the database is back', async () => {
    const ask = (path: string, init: RequestInit = {}) =>
      fetch(server.url + path, { ...init, headers: { cookie, ...init.headers } });
    expect((await ask('/api/ready')).status).toBe(200);
    const bring = await stopDatabase(url);
    try {
      expect((await ask('/api/ready')).status).toBe(503);
      expect((await ask('/api/health')).status).toBe(200);
      expect(await raw(upgrade(GAUGE, `Cookie: ${cookie}`))).toMatch(/^HTTP\/1.1 503/);
      for (const path of ['/api/session', '/api/visits', '/api/live', '/api/welcome']) {
        const response = await ask(path);
        expect([path, response.status]).toEqual([path, 503]);
        expect(response.headers.get('retry-after')).not.toBeNull();
      }
      const start = await ask('/api/visits', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: randomUUID(), vehicle: { id: randomUUID() }, entries: [] }),
      });
      expect(start.status).toBe(503);
      await expectAlive();
    } finally {
      await bring();
    }
    await expect.poll(async () => (await ask('/api/ready')).status, { timeout: 20_000 }).toBe(200);
    await expect
      .poll(async () => (await ask('/api/session')).status, { timeout: 20_000 })
      .toBe(200);
  });
});
