import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { IncomingHttpHeaders, Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type {
  ApiKey,
  ApiKeySecrets,
  AuditPage,
  Batch,
  BatchResults,
  CaseFile,
  Problem,
  SystemState,
  VisitDetail,
  VisitPage,
} from '@keen/contract';
import { diagnose } from '@keen/core';
import { Webhook } from 'standardwebhooks';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { KEY_LIMIT_A_MINUTE } from '../src/http/programRoutes.ts';
import {
  agentOf,
  arrive,
  asOwner,
  bodyOf,
  createDatabase,
  secondShop,
  serve,
  setUpShop,
  toeInReadings,
  until,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let lead: Agent;
let other: Agent;
/** Without any cookie. */
let program: Agent;
let file: CaseFile;
let visitId: string;

/** A program's own server, which is called back. */
let listener: Server;
const calls: { headers: IncomingHttpHeaders; body: string }[] = [];
let answers: number[] = [];

beforeAll(async () => {
  server = await serve(await createDatabase(), { worker: true, callbacksAnywhere: true });
  lead = agentOf(server);
  await setUpShop(lead);
  other = await secondShop(server);
  program = agentOf(server);
  const visit = await arrive(lead, 'KEY 1');
  visitId = visit.id;
  await lead.post(`/api/visits/${visitId}/entries`).send({ entries: toeInReadings() }).expect(200);
  file = bodyOf<CaseFile>(await lead.get(`/api/visits/${visitId}/case`).expect(200));
  listener = createServer((req, res) => {
    let body = '';
    req.on('data', (chunk: Buffer) => (body += chunk.toString()));
    req.on('end', () => {
      calls.push({ headers: req.headers, body });
      res.writeHead(answers.shift() ?? 204).end();
    });
  });
  await new Promise<void>((done) => listener.listen(0, '127.0.0.1', done));
});
afterAll(async () => {
  listener.close();
  await server.close();
});

const callbackUrl = () => `http://127.0.0.1:${(listener.address() as AddressInfo).port}/ended`;

async function makeKey(change: object = {}, who = lead): Promise<ApiKeySecrets> {
  const order = { id: randomUUID(), name: 'Fleet desk', scopes: ['diagnose'], days: null };
  const response = await who
    .post('/api/keys')
    .send({ ...order, ...change })
    .expect(200);
  return bodyOf<ApiKeySecrets>(response);
}

const asked = (secret: string) => ({
  get: (path: string) => program.get(`/api/v1${path}`).set('authorization', `Bearer ${secret}`),
  delete: (path: string) =>
    program.delete(`/api/v1${path}`).set('authorization', `Bearer ${secret}`),
  post: (query: string, body: string, type = 'application/x-ndjson') =>
    program
      .post(`/api/v1/batches${query}`)
      .set('authorization', `Bearer ${secret}`)
      .set('content-type', type)
      .send(body),
});

const batchOf = async (secret: string, id: string) =>
  bodyOf<Batch>(await asked(secret).get(`/batches/${id}`).expect(200));

/** Looked for past the API, which a key may not ask as often. */
const reached = (id: string, what: string) =>
  until(async () => {
    const rows = await asOwner(server, `select id from batches where id = $1 and ${what}`, [id]);
    return rows.length > 0 ? true : null;
  });
async function ended(secret: string, id: string): Promise<Batch> {
  await reached(id, "state <> 'running'");
  return batchOf(secret, id);
}

const titleOf = (response: { body: unknown }) => bodyOf<Problem>(response).title;

describe('a key', () => {
  it('is told once, and lets a program in without anybody signed in', async () => {
    const { key, secret, signingSecret } = await makeKey({ scopes: ['readVisits'] });
    expect(secret.endsWith(key.ending)).toBe(true);
    const page = bodyOf<VisitPage>(await asked(secret).get('/visits?all=true').expect(200));
    expect(page.visits.map(({ id }) => id)).toEqual([visitId]);
    const detail = bodyOf<VisitDetail>(await asked(secret).get(`/visits/${visitId}`).expect(200));
    expect(detail.entries.length).toBeGreaterThan(12);

    const listed = await lead.get('/api/keys').expect(200);
    expect(JSON.stringify(listed.body)).not.toContain(secret);
    expect(JSON.stringify(listed.body)).not.toContain(signingSecret);
    expect(bodyOf<ApiKey[]>(listed).find(({ id }) => id === key.id)!.lastUsedAt).not.toBeNull();
    const stored = await asOwner<{ text: string }>(
      server,
      'select to_jsonb(k)::text as text from api_keys k where id = $1',
      [key.id],
    );
    expect(stored[0]!.text).not.toContain(secret);
  });

  it('opens what its scopes say, and a try at more is in the log', async () => {
    const { secret } = await makeKey({ scopes: ['diagnose'] });
    const refused = await asked(secret).get('/visits').expect(403);
    expect(titleOf(refused)).toContain('readVisits');
    const log = bodyOf<AuditPage>(await lead.get('/api/shop/audit').expect(200));
    expect(log.events[0]).toMatchObject({ kind: 'refused', personId: null });
    // It is no session either.
    await program.get('/api/visits').set('authorization', `Bearer ${secret}`).expect(401);
  });

  it('is refused when it is wrong, taken back or over', async () => {
    const wrong = await asked(`keen_${'x'.repeat(43)}`)
      .get('/visits')
      .expect(401);
    expect(wrong.headers['www-authenticate']).toBe('Bearer');
    expect(bodyOf<Problem>(wrong).code).toBe('bad_key');
    await program.get('/api/v1/visits').expect(401);

    const revoked = await makeKey({ scopes: ['readVisits'] });
    await lead.delete(`/api/keys/${revoked.key.id}`).expect(204);
    await lead.delete(`/api/keys/${revoked.key.id}`).expect(204);
    await asked(revoked.secret).get('/visits').expect(401);
    await lead.post(`/api/keys/${revoked.key.id}/secret`).expect(409);

    const over = await makeKey({ scopes: ['readVisits'], days: 30 });
    await asked(over.secret).get('/visits').expect(200);
    await asOwner(server, "update api_keys set ends_at = now() - interval '1 s' where id = $1", [
      over.key.id,
    ]);
    await asked(over.secret).get('/visits').expect(401);
  });

  it('gets a new secret, while the one before is taken for a day', async () => {
    const { key, secret } = await makeKey({ scopes: ['readVisits'] });
    const changed = bodyOf<ApiKeySecrets>(
      await lead.post(`/api/keys/${key.id}/secret`).expect(200),
    );
    expect(changed.secret).not.toBe(secret);
    expect(changed.key.oldSecretUntil).not.toBeNull();
    await asked(secret).get('/visits').expect(200);
    await asked(changed.secret).get('/visits').expect(200);
    await asOwner(server, "update api_keys set old_until = now() - interval '1 s' where id = $1", [
      key.id,
    ]);
    await asked(secret).get('/visits').expect(401);
    await asked(changed.secret).get('/visits').expect(200);
  });

  it('may ask so often a minute', async () => {
    const { key, secret } = await makeKey({ scopes: ['readVisits'] });
    await asked(secret).get('/visits').expect(200);
    await asOwner(
      server,
      "update api_keys set asked = $2, minute = date_trunc('minute', now() + interval '1 s') where id = $1",
      [key.id, KEY_LIMIT_A_MINUTE],
    );
    const refused = await asked(secret).get('/visits').expect(429);
    expect(Number(refused.headers['retry-after'])).toBeGreaterThan(0);
    expect(titleOf(refused)).toContain(String(KEY_LIMIT_A_MINUTE));
    await asOwner(
      server,
      "update api_keys set minute = minute - interval '1 minute' where id = $1",
      [key.id],
    );
    await asked(secret).get('/visits').expect(200);
  });

  it('is its own shop’s', async () => {
    const { key, secret } = await makeKey({ scopes: ['readVisits'] }, other);
    const page = bodyOf<VisitPage>(await asked(secret).get('/visits?all=true').expect(200));
    expect(page.visits).toEqual([]);
    await asked(secret).get(`/visits/${visitId}`).expect(404);
    await lead.delete(`/api/keys/${key.id}`).expect(404);
    await lead.post(`/api/keys/${key.id}/secret`).expect(404);
  });

  it('needs a name and a scope, each once', async () => {
    for (const change of [{ name: ' ' }, { scopes: [] }, { scopes: ['diagnose', 'diagnose'] }]) {
      await lead
        .post('/api/keys')
        .send({ id: randomUUID(), name: 'X', scopes: ['diagnose'], days: 90, ...change })
        .expect(400);
    }
  });
});

describe('a batch', () => {
  it('is answered line by line as the command answers, and the program is told', async () => {
    const { secret, signingSecret } = await makeKey();
    const bad = { ...file, tires: undefined };
    const body = [JSON.stringify(file), '', 'no JSON', JSON.stringify(bad), JSON.stringify(file)];
    answers = [503];
    const query = `?name=Monday&callback=${encodeURIComponent(callbackUrl())}`;
    const posted = bodyOf<Batch>(await asked(secret).post(query, body.join('\n')).expect(200));
    expect(posted).toMatchObject({ name: 'Monday', key: 'Fleet desk', cases: 4, refused: 2 });

    const batch = await ended(secret, posted.id);
    expect(batch).toMatchObject({ state: 'done', done: 4, refused: 2 });
    const first = bodyOf<BatchResults>(
      await asked(secret).get(`/batches/${posted.id}/results?limit=3`).expect(200),
    );
    const second = bodyOf<BatchResults>(
      await asked(secret).get(`/batches/${posted.id}/results?after=${first.next}`).expect(200),
    );
    expect(second.next).toBeNull();
    const results = [...first.results, ...second.results];
    expect(results.map(({ line }) => line)).toEqual([1, 3, 4, 5]);
    const { diagnosis } = diagnose(file);
    expect(results[0]!.answer).toEqual(JSON.parse(JSON.stringify(diagnosis)));
    expect(results[3]!.answer).toEqual(results[0]!.answer);
    expect(results[1]!.error).toEqual({ path: '', expected: 'JSON', reason: 'json' });
    expect(results[2]!.error!.path).toBe('tires');

    // Answered 503 at first, it is told again, with the same id.
    await until(async () => {
      // At once, instead of after half a minute.
      await asOwner(
        server,
        "update keen_jobs.job set start_after = now() where name = 'callback' and state = 'retry'",
      );
      return calls.length >= 2 ? true : null;
    });
    for (const { headers, body: said } of calls) {
      const webhook = new Webhook(signingSecret);
      expect(webhook.verify(said, headers as Record<string, string>)).toEqual({
        type: 'batch.ended',
        timestamp: batch.endedAt,
        data: { id: posted.id, cases: 4, refused: 2 },
      });
      expect(headers['webhook-id']).toBe(posted.id);
      expect(() =>
        new Webhook(`whsec_${Buffer.alloc(32).toString('base64')}`).verify(
          said,
          headers as Record<string, string>,
        ),
      ).toThrow();
    }
    await reached(posted.id, "callback_state <> 'waiting'");
    expect((await batchOf(secret, posted.id)).callback).toEqual({
      url: callbackUrl(),
      state: 'delivered',
      status: 204,
    });
  });

  it('begins once, however often it is posted with the same id', async () => {
    const { secret } = await makeKey();
    const id = randomUUID();
    const post = () => asked(secret).post(`?id=${id}`, JSON.stringify(file)).expect(200);
    const [one] = [bodyOf<Batch>(await post()), await post()];
    expect(one.id).toBe(id);
    expect((await ended(secret, id)).cases).toBe(1);
    const rows = await asOwner<{ n: number }>(
      server,
      "select count(*)::int as n from keen_jobs.job where name = 'cases' and data->>'batchId' = $1",
      [id],
    );
    expect(rows[0]!.n).toBe(1);
  });

  it('does not wait for the whole of a longer one that came before', async () => {
    const { secret } = await makeKey();
    const long = bodyOf<Batch>(await asked(secret).post('', variants(60).join('\n')).expect(200));
    const short = bodyOf<Batch>(
      await asked(secret).post('', variants(2, 0.2).join('\n')).expect(200),
    );
    await ended(secret, short.id);
    expect((await batchOf(secret, long.id)).state).toBe('running');

    // The lead sees both, and stops the long one; what is answered stays.
    const listed = bodyOf<Batch[]>(await lead.get('/api/batches').expect(200));
    expect(listed.slice(0, 2).map(({ id }) => id)).toEqual([short.id, long.id]);
    const canceled = bodyOf<Batch>(await lead.put(`/api/batches/${long.id}/canceled`).expect(200));
    expect(canceled.state).toBe('canceled');
    const left = await asOwner(
      server,
      'select 1 from batch_cases where batch_id = $1 and file is not null',
      [long.id],
    );
    expect(left).toEqual([]);
    await new Promise((resolve) => setTimeout(resolve, 3_000));
    expect(await batchOf(secret, long.id)).toMatchObject({
      state: 'canceled',
      done: canceled.done,
    });
    await asked(secret).delete(`/batches/${long.id}`).expect(204);
    await asked(secret).get(`/batches/${long.id}`).expect(404);
    await asked(secret).delete(`/batches/${long.id}`).expect(404);
  });

  it('goes on where its worker was killed, and no line is answered twice', async () => {
    const { secret } = await makeKey();
    const { id } = bodyOf<Batch>(
      await asked(secret).post('', variants(12, 0.3).join('\n')).expect(200),
    );
    await reached(id, 'done >= 2');
    const workers = await asOwner<{ pid: number }>(
      server,
      "select pid from pg_stat_activity where datname = current_database() and application_name = 'keen worker'",
    );
    expect(workers).toHaveLength(1);
    // Its presence gone, it ends as if it had been killed, in the middle of a job.
    await asOwner(server, 'select pg_terminate_backend($1)', [workers[0]!.pid]);
    await until(async () => {
      const { work } = bodyOf<SystemState>(await lead.get('/api/system').expect(200));
      return work.workers === 1 ? true : null;
    });
    const before = await batchOf(secret, id);
    // Its time is up at once, instead of after minutes.
    await asOwner(
      server,
      "update keen_jobs.job set started_on = now() - interval '1 day' where name = 'cases' and state = 'active'",
    );
    const batch = await ended(secret, id);
    expect(batch).toMatchObject({ state: 'done', done: 12, refused: 0 });
    expect(before.done).toBeLessThan(12);
  });

  it('gives up the one case at which workers break off, and answers the others', async () => {
    const { secret } = await makeKey();
    const { id } = bodyOf<Batch>(
      await asked(secret).post('', variants(3, 0.4).join('\n')).expect(200),
    );
    await asOwner(
      server,
      `with gone as (delete from keen_jobs.job where name = 'cases' and data->>'batchId' = $1 returning data)
       insert into keen_jobs.job (name, data) select 'casesFailed', data from gone`,
      [id],
    );
    const batch = await ended(secret, id);
    expect(batch.cases).toBe(3);
    expect(batch.refused).toBeLessThanOrEqual(1);
  });

  it('is refused when it is no batch', async () => {
    const { secret } = await makeKey();
    await asked(secret).post('', JSON.stringify(file), 'application/json').expect(415);
    expect(titleOf(await asked(secret).post('', '\n\n').expect(400))).toContain('no case');
    const many = '1\n'.repeat(5_001);
    expect(titleOf(await asked(secret).post('', many).expect(400))).toContain('5000');
    await asked(secret).post('?callback=ftp%3A%2F%2Fexample.com', '1').expect(400);
    await asked(secret).post('?id=7', '1').expect(400);
    await asked(secret).get(`/batches/${randomUUID()}`).expect(404);
    await asked(secret).get(`/batches/${randomUUID()}/results`).expect(404);
  });

  it('is its own shop’s', async () => {
    const own = await makeKey();
    const theirs = await makeKey({}, other);
    const { id } = bodyOf<Batch>(await asked(own.secret).post('', 'no case').expect(200));
    await asked(theirs.secret).get(`/batches/${id}`).expect(404);
    await asked(theirs.secret).delete(`/batches/${id}`).expect(404);
    await other.put(`/api/batches/${id}/canceled`).expect(404);
    expect(bodyOf<Batch[]>(await other.get('/api/batches').expect(200))).toEqual([]);
    await asked(theirs.secret).post(`?id=${id}`, 'no case').expect(409);
  });
});

/** Cases that differ, so that none is answered from memory. */
function variants(count: number, off = 0.1): string[] {
  return Array.from({ length: count }, (_, at) => {
    const { lf } = file.tires;
    const distance = 30_000 + 10 * at + 1_000 * off;
    return JSON.stringify({ ...file, tires: { ...file.tires, lf: { ...lf, distance } } });
  });
}

describe('calls back', () => {
  it('go to no address within the network unless the installation allows it', async () => {
    const strict = await serve(await createDatabase(), { worker: true });
    try {
      const agent = agentOf(strict);
      await setUpShop(agent);
      const { secret } = await makeKey({}, agent);
      const post = (callback: string) =>
        agentOf(strict)
          .post(`/api/v1/batches?callback=${encodeURIComponent(callback)}`)
          .set('authorization', `Bearer ${secret}`)
          .set('content-type', 'application/x-ndjson')
          .send('no case');
      await post(callbackUrl()).expect(400);
      const before = calls.length;
      const inside = callbackUrl().replace('http:', 'https:');
      const { id } = bodyOf<Batch>(await post(inside).expect(200));
      const failed = await until(async () => {
        const [row] = await asOwner<{ output: { message: string } | null }>(
          strict,
          "select output from keen_jobs.job where name = 'callback' and data->>'batchId' = $1",
          [id],
        );
        return row?.output ?? null;
      });
      expect(failed.message).toContain('private');
      expect(calls).toHaveLength(before);
    } finally {
      await strict.close();
    }
  });
});
