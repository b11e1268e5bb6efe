import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import type { ApiKeySecrets, Batch, BatchResults, VisitPage } from '@keen/contract';
import { openApiDocument } from '@keen/contract';
import openapiTS, { astToString } from 'openapi-typescript';
import type { OpenAPI3 } from 'openapi-typescript';
import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import ts from 'typescript';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  bodyOf,
  createDatabase,
  serve,
  setUpShop,
  toeInReadings,
} from './testServer.ts';

const run = promisify(execFile);
const ROOT = fileURLToPath(new URL('../../..', import.meta.url));

/** What somebody else would write who has nothing of ours but the description. */
const PROGRAM = `
import createClient from 'openapi-fetch';
import type { paths } from './api';

const [, , baseUrl, secret, cases] = process.argv as [string, string, string, string, string];
const client = createClient<paths>({ baseUrl, headers: { authorization: \`Bearer \${secret}\` } });

const posted = await client.POST('/api/v1/batches', {
  params: { query: { name: 'Generated' } },
  body: cases,
  bodySerializer: (body: string) => body,
  headers: { 'content-type': 'application/x-ndjson' },
});
if (!posted.data) throw new Error(posted.error.title);
const path = { id: posted.data.id };
let batch = posted.data;
while (batch.state === 'running') {
  await new Promise((turn) => setTimeout(turn, 700));
  const { data, error } = await client.GET('/api/v1/batches/{id}', { params: { path } });
  if (!data) throw new Error(error.title);
  batch = data;
}
const results = await client.GET('/api/v1/batches/{id}/results', { params: { path, query: { limit: 10 } } });
const first: string | undefined = results.data?.results[0]?.answer?.recommendation.action;
const visits = await client.GET('/api/v1/visits', { params: { query: { all: 'true' } } });
console.log(JSON.stringify({ batch, results: results.data, first, visits: visits.data }));
`;

const WRONG = `
// @ts-expect-error no such value
await client.GET('/api/v1/visits', { params: { query: { all: 'perhaps' } } });
// @ts-expect-error no such path
await client.GET('/api/v1/answers', {});
// @ts-expect-error no such field
console.log(results.data?.results[0]?.answer?.recommendation.deed);
`;

let server: RunningServer;
let folder: string;
beforeAll(async () => {
  server = await serve(await createDatabase(), { worker: true });
  // Within the project, so that the program finds its package.
  mkdirSync(join(ROOT, '.cache'), { recursive: true });
  folder = mkdtempSync(join(ROOT, '.cache/client-'));
  const document = openApiDocument() as unknown as OpenAPI3;
  writeFileSync(join(folder, 'api.ts'), astToString(await openapiTS(document)));
  writeFileSync(join(folder, 'program.ts'), PROGRAM);
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await server.close();
});

/** What the compiler says of the program. */
function complaints(text: string): string[] {
  const file = join(folder, 'checked.ts');
  writeFileSync(file, text);
  const program = ts.createProgram([file], {
    strict: true,
    noEmit: true,
    skipLibCheck: true,
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    types: ['node'],
    lib: ['lib.es2022.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'],
  });
  return ts
    .getPreEmitDiagnostics(program)
    .map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, '\n'));
}

describe('a client that a generator made from the description', () => {
  it('is typed by it, so that the compiler finds what the description does not have', () => {
    expect(complaints(`${PROGRAM}${WRONG}`)).toEqual([]);
  });

  it('has cases diagnosed and reads the shop’s visits', async () => {
    const lead = agentOf(server);
    await setUpShop(lead);
    const visit = await arrive(lead);
    await lead
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: toeInReadings() })
      .expect(200);
    const file = (await lead.get(`/api/visits/${visit.id}/case`).expect(200)).text;
    const { secret } = bodyOf<ApiKeySecrets>(
      await lead
        .post('/api/keys')
        .send({ id: randomUUID(), name: 'Made', scopes: ['diagnose', 'readVisits'], days: 30 })
        .expect(200),
    );
    const { port } = server.http.address() as AddressInfo;
    const { stdout } = await run(
      process.execPath,
      [
        '--import',
        'tsx',
        join(folder, 'program.ts'),
        `http://127.0.0.1:${port}`,
        secret,
        `${file}\nno case\n`,
      ],
      { cwd: ROOT },
    );
    const said = JSON.parse(stdout) as {
      batch: Batch;
      results: BatchResults;
      first: string;
      visits: VisitPage;
    };
    expect(said.batch).toMatchObject({ name: 'Generated', state: 'done', cases: 2, refused: 1 });
    expect(said.results.results.map(({ line }) => line)).toEqual([1, 2]);
    expect(said.first).toBe('align');
    expect(said.visits.visits.map(({ id }) => id)).toEqual([visit.id]);
  });
});
