import { API_PATHS, RIGHTS, ROLES, roleMay } from '@keen/contract';
import type { Right, Role } from '@keen/contract';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mountedRoutes } from '../src/app.ts';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  asOwner,
  bodyOf,
  createDatabase,
  entry,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let lead: Agent;
const agents = new Map<Role | null, Agent>();
beforeAll(async () => {
  server = await serve(await createDatabase());
  lead = agentOf(server);
  await setUpShop(lead);
  agents.set(null, agentOf(server));
  for (const role of ROLES) {
    const email = `${role}@rights.example`;
    const password = `tall harbour crane ${role} 7`;
    await lead
      .post('/api/shop/people')
      .send({ id: randomUUID(), name: `The ${role}`, email, password, role })
      .expect(200);
    const agent = agentOf(server);
    await agent.post('/api/session').send({ email, password }).expect(200);
    agents.set(role, agent);
  }
});
afterAll(() => server.close());

/** What the docs promise: the rights of each role, written out once more on purpose. */
const PROMISED: Record<Right, readonly Role[]> = {
  ownAccount: ['advisor', 'technician', 'lead'],
  read: ['advisor', 'technician', 'lead'],
  workOnVisits: ['advisor', 'technician', 'lead'],
  changeCars: ['advisor', 'technician', 'lead'],
  setAngles: ['technician', 'lead'],
  editSheets: ['technician', 'lead'],
  manageGauges: ['technician', 'lead'],
  checkGauges: ['advisor', 'technician', 'lead'],
  practise: ['advisor', 'technician', 'lead'],
  playDevices: ['advisor', 'technician', 'lead'],
  changeShop: ['lead'],
  managePeople: ['lead'],
  useArchive: ['lead'],
  manageKeys: ['lead'],
  manageCustomers: ['lead'],
  readInsights: ['lead'],
  readAudit: ['lead'],
  seeSystem: ['lead'],
};

const ID = '00000000-0000-4000-8000-000000000000';
/** A path that leads to nothing in particular: who may not is refused before anything is looked up. */
const concrete = (path: string) =>
  `/api${path.replace(/:(\w+)/g, (_, name: string) => (name === 'token' ? 'nothing' : ID))}`;
const ROUTES = mountedRoutes({} as never).filter(({ right }) => right !== null);

describe('the table of rights', () => {
  it('is what was promised', () => {
    expect(RIGHTS).toEqual(PROMISED);
  });

  it('covers every route that needs somebody', () => {
    expect(ROUTES.length).toBeGreaterThan(45);
  });

  // Streams never end, and the archive takes a while: who may is shown elsewhere.
  const endless = new Set(['/live', '/shop/archive']);
  it.each(ROUTES.map(({ method, path, right }) => [method, path, right!] as const))(
    '%s %s takes the right %s',
    async (method, path, right) => {
      const ask = (agent: Agent) =>
        agent[method](concrete(path)).send(method === 'get' ? undefined : {});
      expect((await ask(agents.get(null)!)).status).toBe(401);
      for (const role of ROLES) {
        if (roleMay(role, right) && endless.has(path)) continue;
        // Signing out in the middle would end the agent of the tests that follow.
        if (roleMay(role, right) && path === '/session/others') continue;
        const answer = await ask(agents.get(role)!);
        const { status } = answer;
        const { code } = bodyOf<{ code?: string }>(answer);
        if (roleMay(role, right)) {
          // Settings of the shop that are no stock are the lead's.
          expect([role, status, status === 403 ? code : '']).not.toEqual([role, 403, 'forbidden']);
          expect([role, status]).not.toEqual([role, 401]);
        } else expect([role, status, code]).toEqual([role, 403, 'forbidden']);
      }
    },
  );

  it('lets a technician change the stock and nothing else of the settings', async () => {
    const put = (role: Role, body: object) =>
      agents.get(role)!.put('/api/shop/settings').send(body);
    await put('technician', { hubShims: [0.5] }).expect(200);
    await put('technician', { limits: { legal: 1, advise: 1, snow: 1 } }).expect(403);
    await put('technician', { hubShims: [0.5], sheetHeader: 'Mine' }).expect(403);
    await put('advisor', { hubShims: [0.5] }).expect(403);
  });

  it('lets technician and lead set angles, and names the entries an advisor may not make', async () => {
    const visit = await arrive(lead);
    const post = (role: Role, ...list: object[]) =>
      agents.get(role)!.post(`/api/visits/${visit.id}/entries`).send({ entries: list });
    const own = entry('visit.words', 'pulls left');
    const angles = entry('visit.setRight.closing.torque', 'done');
    const refused = await post('advisor', own, angles).expect(403);
    expect(bodyOf<{ errors: { path: string }[] }>(refused).errors).toEqual([
      {
        path: 'entries.1.path',
        expected: 'a field that your role may enter',
        reason: 'fieldOfYourRole',
      },
    ]);
    await post('advisor', own).expect(200);
    await post('technician', angles).expect(200);
    await agents
      .get('advisor')!
      .post('/api/visits')
      .send({ id: randomUUID(), vehicle: { id: visit.vehicle.id }, entries: [angles] })
      .expect(403);
  });

  it('writes refused tries into the log', async () => {
    const rows = await asOwner<{ kind: string; detail: { right: string } }>(
      server,
      `select kind, detail from audit_log where kind = 'refused'`,
    );
    expect(rows.map(({ detail }) => detail.right)).toContain('useArchive');
  });
});

describe('the API’s own description', () => {
  it('names every route that is mounted, and no other', () => {
    const described = API_PATHS.map(({ method, path }) => `${method} ${path}`);
    const mounted = mountedRoutes({} as never).map(
      ({ method, path }) => `${method} /api${path.replace(/:(\w+)/g, '{$1}')}`,
    );
    expect(new Set(described)).toEqual(new Set(mounted));
    expect(new Set(described).size).toBe(described.length);
  });

  it('says which routes need nobody signed in', () => {
    const open = API_PATHS.filter((one) => one.open).map(({ method, path }) => `${method} ${path}`);
    const mounted = mountedRoutes({} as never)
      .filter(({ right, scope }) => right === null && scope === undefined)
      .map(({ method, path }) => `${method} /api${path.replace(/:(\w+)/g, '{$1}')}`);
    expect(new Set(open)).toEqual(new Set(mounted));
  });
});

describe('routes for other programs', () => {
  const routes = mountedRoutes({} as never).flatMap(({ method, path, scope }) =>
    scope ? [{ method, path, scope }] : [],
  );

  it('are described with the scope that they take', () => {
    const described = API_PATHS.flatMap(({ method, path, scope }) =>
      scope ? [`${method} ${path} ${scope}`] : [],
    );
    expect(new Set(described)).toEqual(
      new Set(
        routes.map(
          ({ method, path, scope }) => `${method} /api${path.replace(/:(\w+)/g, '{$1}')} ${scope}`,
        ),
      ),
    );
  });

  it.each(routes)('$method $path takes a key, and no session', async ({ method, path }) => {
    const answer = await lead[method](concrete(path));
    expect([answer.status, bodyOf<{ code: string }>(answer).code]).toEqual([401, 'bad_key']);
  });
});

describe('the page on security', () => {
  it('says who may do what, as it is', () => {
    const page = readFileSync(new URL('../../../docs/security.md', import.meta.url), 'utf8');
    const rows = [
      ...page.matchAll(/^\| (\w+): [^|]*\| (yes|no)\s*\| (yes|no)\s*\| (yes|no)\s*\|$/gm),
    ];
    const said: unknown = Object.fromEntries(
      rows.map(([, right, ...cells]) => [right, ROLES.filter((_, i) => cells[i] === 'yes')]),
    );
    expect(said).toEqual(RIGHTS);
  });
});
