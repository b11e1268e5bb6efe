import { randomUUID } from 'node:crypto';
import { openApiDocument } from '@keen/contract';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  agentOf,
  arrive,
  createDatabase,
  entry,
  setUpShop,
  spawnServer,
  toeInReadings,
} from './testServer.ts';
import type { ServerProcess } from './testServer.ts';

/** Requests in all; each is made from the API's own description and then damaged. */
const REQUESTS = 5_000;
/** The same requests in every run; another seed tries others. */
const SEED = Number(process.env.KEEN_SEED ?? 20_261_128);
/** What takes seconds each is asked now and then only. */
const SLOW = new Set([
  'get /api/shop/archive',
  'post /api/shop/archive',
  'get /api/visits/{id}/sheet',
]);
/** How often each other route stands in the list beside one of these. */
const OFTEN = 40;
/** Never ends. */
const ENDLESS = new Set(['get /api/live']);
/** Ends the session that all others need. */
const SIGNS_OUT = new Set([
  'delete /api/session',
  'put /api/session/password',
  'put /api/shop/people/{id}',
  'put /api/shop/people/{id}/password',
]);

interface Schema {
  $ref?: string;
  type?: string | string[];
  enum?: unknown[];
  const?: unknown;
  anyOf?: Schema[];
  oneOf?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  prefixItems?: Schema[];
  additionalProperties?: boolean | Schema;
  format?: string;
  minimum?: number;
  maximum?: number;
}

const document = JSON.parse(JSON.stringify(openApiDocument())) as {
  paths: Record<
    string,
    Record<
      string,
      {
        requestBody?: { content: Record<string, { schema: Schema }> };
        parameters?: { name: string; in: string }[];
      }
    >
  >;
  components: { schemas: Record<string, Schema> };
};

const nastyText = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 40 }),
  fc.constantFrom(
    '',
    ' ',
    '\0',
    'a\0b',
    '\ud800',
    '\udfff x',
    'null',
    'true',
    '2319',
    '{}',
    '0000-01-01T00:00:00Z',
    '9999-12-31T23:59:59Z',
    '+010000-01-01T00:00:00Z',
    "'; drop table entries; --",
    '../../etc/passwd',
    '<script>alert(1)</script>',
    '%00',
    '\u202e',
    'x'.repeat(5_000),
    '__proto__',
    'constructor',
  ),
);
const nastyNumber = fc.oneof(
  fc.double(),
  fc.constantFrom(
    0,
    -0,
    -1,
    2 ** 31 - 1,
    2 ** 31,
    -(2 ** 31) - 1,
    2 ** 53,
    1e308,
    -1e308,
    5e-324,
    0.1,
  ),
);
const deep = (levels: number): unknown => {
  let value: unknown = 1;
  for (let i = 0; i < levels; i++) value = i % 2 ? [value] : { a: value };
  return value;
};
const nasty: fc.Arbitrary<unknown> = fc.oneof(
  nastyText,
  nastyNumber,
  fc.constantFrom(null, true, false, [], {}, deep(50), deep(3_000), { __proto__: 1 }),
  fc.jsonValue({ maxDepth: 2 }) as fc.Arbitrary<unknown>,
);

let ids: string[] = [];
const someId = fc.oneof(
  fc.nat().map((n) => ids[n % ids.length]!),
  fc.uuid(),
  fc.uuid().map((id) => id.toUpperCase()),
);

/** A value that a schema describes, with now and then a part that it does not. */
function valueOf(schema: Schema, depth = 0): fc.Arbitrary<unknown> {
  const fitting = fittingOf(schema, depth);
  return fc.oneof({ weight: 14, arbitrary: fitting }, { weight: 1, arbitrary: nasty });
}

function fittingOf(schema: Schema, depth: number): fc.Arbitrary<unknown> {
  if (schema.$ref)
    return valueOf(document.components.schemas[schema.$ref.split('/').at(-1)!]!, depth);
  if (depth > 7) return fc.constant(null);
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const either = schema.anyOf ?? schema.oneOf;
  if (either) return fc.oneof(...either.map((one) => valueOf(one, depth + 1)));
  const [type] = [schema.type].flat();
  switch (type) {
    case 'object': {
      const known = Object.entries(schema.properties ?? {});
      const required = new Set(schema.required);
      return fc.record(
        Object.fromEntries(known.map(([name, one]) => [name, valueOf(one, depth + 1)])),
        {
          requiredKeys: known.map(([name]) => name).filter((name) => required.has(name)),
        },
      );
    }
    case 'array':
      if (schema.prefixItems)
        return fc.tuple(...schema.prefixItems.map((one) => valueOf(one, depth + 1)));
      return fc.array(valueOf(schema.items ?? {}, depth + 1), { maxLength: 3 });
    case 'integer':
      return fc.integer({
        min: Math.max(schema.minimum ?? -5, -1e6),
        max: Math.min(schema.maximum ?? 100, 1e6),
      });
    case 'number':
      return fc.double({
        min: Math.max(schema.minimum ?? -5, -1e6),
        max: Math.min(schema.maximum ?? 1e4, 1e6),
        noNaN: true,
      });
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'string':
      if (schema.format === 'uuid') return someId;
      if (schema.format === 'date-time') {
        return fc.constantFrom(
          '2026-03-01T10:00:00.000Z',
          '0000-01-01T00:00:00Z',
          '1970-01-01T00:00:00Z',
          '9999-12-31T23:59:59.999Z',
        );
      }
      if (schema.format === 'email')
        return fc.constantFrom('a@b.example', 'lea@test.example', `${'x'.repeat(300)}@b.example`);
      return fc.oneof(
        fc.string({ maxLength: 12 }),
        fc.constantFrom('visit.words', 'tires.lf.newDepth', 'IMPORT 1'),
      );
    default:
      return nasty;
  }
}

const encodings = fc.constantFrom(
  '%',
  '%00',
  '%E0%A4%A',
  '..',
  'x'.repeat(3_000),
  '%F0%9F%9A%97',
  "'",
  ' ',
);

interface Request {
  method: string;
  url: string;
  body: string | undefined;
  type: string;
}

const requests: fc.Arbitrary<Request> = fc
  .constantFrom(
    ...Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.entries(methods).flatMap(([method, operation]) =>
        Array.from({ length: SLOW.has(`${method} ${path}`) ? 1 : OFTEN }, () => ({
          path,
          method,
          operation,
        })),
      ),
    ),
  )
  .filter(
    ({ path, method }) => !ENDLESS.has(`${method} ${path}`) && !SIGNS_OUT.has(`${method} ${path}`),
  )
  .chain(({ path, method, operation }) => {
    const [content] = Object.entries(operation.requestBody?.content ?? {});
    const params = (path.match(/\{\w+\}/g) ?? []).map(() =>
      fc.oneof({ weight: 9, arbitrary: someId }, { weight: 1, arbitrary: encodings }),
    );
    const query = (operation.parameters ?? []).filter((one) => one.in === 'query');
    return fc
      .record({
        method: fc.constant(method.toUpperCase()),
        params: fc.tuple(...params),
        query: fc.tuple(
          ...query.map(() => fc.oneof(nastyText, fc.constantFrom('true', 'A4', '%'))),
        ),
        isNoJson: fc.integer({ min: 0, max: 40 }),
        json: content?.[0] === 'application/json' ? valueOf(content[1].schema) : nasty,
        bytes: fc.uint8Array({ maxLength: 60 }),
      })
      .map(({ params: values, query: words, isNoJson, json, bytes, ...rest }) => {
        let at = 0;
        const filled = path.replace(/\{\w+\}/g, () => {
          const value = values[at++]!;
          return /%/.test(value) ? value : encodeURIComponent(value);
        });
        const search = query
          .map(
            ({ name }, i) =>
              `${name}=${encodeURIComponent(words[i]!.replace(/\p{Surrogate}/gu, '?'))}`,
          )
          .join('&');
        const isJson = content === undefined || content[0] === 'application/json';
        return {
          ...rest,
          url: filled + (search ? `?${search}` : ''),
          type:
            isNoJson === 1 ? 'text/plain; charset=utf-7' : isJson ? 'application/json' : content[0],
          body:
            rest.method === 'GET' || rest.method === 'DELETE'
              ? undefined
              : isNoJson === 0
                ? '{"a":'
                : isJson
                  ? JSON.stringify(json)
                  : Buffer.from(bytes).toString('latin1'),
        };
      });
  });

describe('the API', () => {
  let server: ServerProcess;
  let cookie: string;
  beforeAll(async () => {
    const url = await createDatabase();
    server = await spawnServer(url);
    const agent = agentOf({ http: server.url } as never);
    const session = await setUpShop(agent);
    const visit = await arrive(agent, 'FUZZ 1');
    const visits = await arrive(agent, 'FUZZ 2');
    await agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: toeInReadings() })
      .expect(200);
    const signedIn = await agent
      .post('/api/session')
      .send({ email: 'lea@test.example', password: 'correct horse battery' })
      .expect(200);
    cookie = signedIn.headers['set-cookie']![0]!.split(';')[0]!;
    const one = entry('visit.words', 'known');
    await agent
      .post(`/api/visits/${visits.id}/entries`)
      .send({ entries: [one] })
      .expect(200);
    ids = [
      visit.id,
      visits.id,
      visit.vehicle.id,
      session.person.id,
      session.shop.id,
      one.id,
      one.id.toUpperCase(),
      randomUUID(),
    ];
  });
  afterAll(() => server.stop());

  it(`answers ${REQUESTS} damaged requests, none with a 5xx`, { timeout: 600_000 }, async () => {
    const failures: string[] = [];
    const statuses = new Map<number, number>();
    await fc.assert(
      fc.asyncProperty(requests, async ({ method, url, body, type }) => {
        const response = await fetch(server.url + url, {
          method,
          // A sign-in that happens to be right would end the session that all others need.
          headers: { ...(url === '/api/session' ? {} : { cookie }), 'content-type': type },
          ...(body === undefined ? {} : { body }),
        });
        await response.arrayBuffer();
        const { status } = response;
        // Who changes the shop goes on in a new session.
        const changed = url === '/api/session/shop' && response.headers.get('set-cookie');
        if (changed && response.ok) cookie = changed.split(';')[0]!;
        statuses.set(status, (statuses.get(status) ?? 0) + 1);
        if (status >= 500) failures.push(`${status} ${method} ${url} ${body?.slice(0, 300) ?? ''}`);
      }),
      { numRuns: REQUESTS, seed: SEED },
    );
    expect(failures.slice(0, 10)).toEqual([]);
    // A fuzzer whose requests are all refused at the door finds nothing.
    const told = JSON.stringify([...statuses]);
    expect(statuses.get(200) ?? 0, told).toBeGreaterThan(REQUESTS / 20);
    expect(statuses.get(400) ?? 0, told).toBeGreaterThan(REQUESTS / 20);
    expect(statuses.get(401) ?? 0, told).toBeLessThan(REQUESTS / 10);
    expect(server.isAlive()).toBe(true);
  });

  it('logs nothing that was typed', () => {
    const log = server.printed();
    for (const typed of [
      'correct horse battery',
      'drop table entries',
      'FUZZ',
      'argon2',
      'lea@test',
    ]) {
      expect(log).not.toContain(typed);
    }
    expect(Math.max(...log.split('\n').map((line) => line.length))).toBeLessThan(4_000);
  });
});
