import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { VisitPage } from '@keen/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { safeError } from '../src/http/logging.ts';
import { agentOf, arrive, bodyOf, createDatabase, serve, setUpShop } from './testServer.ts';
import type { Agent } from './testServer.ts';

const web = mkdtempSync(join(tmpdir(), 'keen-web-'));
let server: RunningServer;
let agent: Agent;
beforeAll(async () => {
  mkdirSync(join(web, 'assets'));
  writeFileSync(join(web, 'index.html'), '<div id="root"></div>');
  writeFileSync(join(web, 'assets/a.js'), '1');
  writeFileSync(join(web, 'assets/a.js.br'), brotliCompressSync('1'));
  writeFileSync(join(web, 'assets/a.js.gz'), gzipSync('1'));
  writeFileSync(join(web, 'assets/a.js.map'), '{}');
  server = await serve(await createDatabase(), { webDir: web, demo: false });
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(async () => {
  await server.close();
  rmSync(web, { recursive: true, force: true });
});

describe('what travels', () => {
  it.each([
    ['gzip, deflate, br', 'br'],
    ['gzip', 'gzip'],
    ['identity', undefined],
  ])('of the page is packed as the browser takes it: %s', async (takes, encoding) => {
    const { headers } = await agent
      .get('/assets/a.js')
      .set('accept-encoding', takes)
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200);
    expect(headers['content-encoding']).toBe(encoding);
    expect(headers['content-type']).toMatch(/javascript/);
    expect(headers['cache-control']).toMatch(/immutable/);
    expect(headers.vary).toMatch(/accept-encoding/i);
  });

  it('of long answers is packed, of short ones and streams it is not', async () => {
    for (let i = 0; i < 6; i++) await arrive(agent);
    const long = await agent.get('/api/visits').set('accept-encoding', 'gzip').expect(200);
    expect(long.headers['content-encoding']).toBe('gzip');
    expect(bodyOf<VisitPage>(long).visits.length).toBeGreaterThan(5);
    const short = await agent.get('/api/health').set('accept-encoding', 'gzip').expect(200);
    expect(short.headers['content-encoding']).toBeUndefined();
    const cookie = (await agent.get('/api/session')).headers['set-cookie'] as unknown as string[];
    const stream = await fetch(`http://127.0.0.1:${server.port}/api/live`, {
      headers: { cookie: cookie[0]!.split(';')[0]!, 'accept-encoding': 'gzip' },
    });
    expect(stream.headers.get('content-encoding')).toBeNull();
    await stream.body!.cancel();
  });
});

describe('what a browser is told', () => {
  it('scripts, styles, fonts and pictures come from here alone, and nobody frames the page', async () => {
    const { headers } = await agent.get('/').expect(200);
    const policy = headers['content-security-policy']!;
    for (const part of [
      "default-src 'self'",
      "font-src 'self'",
      "object-src 'none'",
      "frame-ancestors 'none'",
    ]) {
      expect(policy.split(';')).toContain(part);
    }
    expect(policy).not.toMatch(/https?:|unsafe-eval|script-src [^;]*unsafe/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('to stay with https once it came by https through a proxy of this machine, and not before', async () => {
    const plain = await agent.get('/api/health').expect(200);
    expect(plain.headers['strict-transport-security']).toBeUndefined();
    const secure = await agent.get('/api/health').set('x-forwarded-proto', 'https').expect(200);
    expect(secure.headers['strict-transport-security']).toMatch(/max-age=31536000/);
  });

  it('not to store a picture, so that it cannot be read after signing out', async () => {
    const visit = await arrive(agent);
    const id = randomUUID();
    const picture = await sharp({
      create: { width: 5, height: 5, channels: 3, background: '#fff' },
    })
      .png()
      .toBuffer();
    await agent
      .put(`/api/visits/${visit.id}/photos/${id}`)
      .set('content-type', 'image/png')
      .send(picture)
      .expect(200);
    const { headers } = await agent.get(`/api/photos/${id}`).expect(200);
    expect(headers['cache-control']).toBe('private, no-store');
  });

  it('not to index the customer’s page', async () => {
    expect((await agent.get('/s/some-token').expect(200)).headers['x-robots-tag']).toBe('noindex');
    expect((await agent.get('/api/shared/some-token').expect(404)).headers['x-robots-tag']).toBe(
      'noindex',
    );
  });

  it('nothing of the sources: maps are not served', async () => {
    await agent.get('/assets/a.js').expect(200);
    await agent.get('/assets/a.js.map').expect(404);
  });

  it('which request failed, the same in the answer and in the log', async () => {
    const response = await agent.get('/api/nowhere').expect(404);
    const { headers } = response;
    const body = bodyOf<{ requestId: string }>(response);
    expect(headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    expect(body).toMatchObject({ requestId: headers['x-request-id'] });
  });

  it('that the session’s cookie is for this site and not for scripts', async () => {
    const answer = await agent
      .post('/api/session')
      .send({ email: 'lea@test.example', password: 'correct horse battery' })
      .expect(200);
    const [cookie] = answer.headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
  });
});

describe('one-press sign-in', () => {
  it('is not there when the demo is not served, even if the data is a demo’s', async () => {
    await server.context.pool.query(`select 1`);
    expect((await agentOf(server).get('/api/welcome').expect(200)).body).toMatchObject({
      demo: null,
    });
    await agentOf(server).post('/api/session/demo').send({ personId: randomUUID() }).expect(403);
  });
});

describe('slow clients', () => {
  it('that send a header letter by letter are hung up on', async () => {
    const began = performance.now();
    await new Promise<void>((done) => {
      const socket = connect(server.port, '127.0.0.1', () => socket.write('GET / HTTP/1.1\r\n'));
      const drip = setInterval(() => socket.write('X'), 500);
      socket.on('error', () => undefined);
      socket.on('data', () => undefined);
      socket.on('close', () => {
        clearInterval(drip);
        done();
      });
    });
    expect(performance.now() - began).toBeLessThan(30_000);
  });
});

describe('safeError', () => {
  it('takes nothing of a statement and its values into the log', () => {
    const secret = 'Zelda Quint';
    const query = Object.assign(new Error(`Failed query: insert … params: ${secret}`), {
      query: 'insert',
      params: [secret],
    });
    expect(JSON.stringify(safeError(query))).not.toContain(secret);
    expect(safeError(new Error('out of disk')).message).toBe('out of disk');
    expect(safeError(secret)).toEqual({ type: 'string', frames: [] });
  });
});
