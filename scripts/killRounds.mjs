import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { freePort } from './lib/postgres.mjs';
import { complain, say } from './lib/say.mjs';

/**
 * Kills parts of the running product with -9 while readings are entered, again and again, and counts:
 * sent, acknowledged, lost (acknowledged, and not there any more), doubled (there more than once).
 *   npm run kill-rounds -- --rounds 5 [--only server|database|both|tablet]
 */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const { values } = parseArgs({
  options: { rounds: { type: 'string', default: '5' }, only: { type: 'string' } },
});
const ROUNDS = Number(values.rounds);
const WRITERS = 4;
const PERSON = { email: 'kit@kill.example', password: 'seven grey gulls' };
const headers = { 'content-type': 'application/json' };
const isWanted = ([name]) => values.only === undefined || values.only === name;
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

async function until(what, test, limitMs = 60_000) {
  const end = Date.now() + limitMs;
  while (Date.now() < end) {
    if (await test().catch(() => false)) return;
    await sleep(50);
  }
  throw new Error(`waited in vain until ${what}`);
}

function startProduct(folder, port) {
  const child = spawn(
    './start',
    ['--port', String(port), '--data', folder, '--empty', '--backup-every', '0'],
    { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] },
  );
  return child;
}

const serverOf = (start) =>
  Number(
    spawnSync('pgrep', ['-P', String(start.pid), '-f', 'apps/server/dist/[^/]+/main.mjs'], {
      encoding: 'utf8',
    }).stdout.split('\n')[0],
  );
const postmasterOf = (folder) =>
  Number(readFileSync(join(folder, 'cluster/data/postmaster.pid'), 'utf8').split('\n')[0]);
const kill = (pid) => pid > 0 && process.kill(pid, 'SIGKILL');

/** Enters one value after another, each until it is acknowledged, under one id. */
async function writer(url, cookie, visitId, state) {
  for (let n = 0; !state.isOver; n++) {
    const id = randomUUID();
    state.sent.add(id);
    const body = JSON.stringify({
      entries: [{ id, path: 'visit.words', value: `w ${n}`, at: new Date().toISOString() }],
    });
    while (!state.isOver) {
      const response = await fetch(`${url}/api/visits/${visitId}/entries`, {
        method: 'POST',
        headers: { ...headers, cookie },
        body,
        signal: AbortSignal.timeout(5_000),
      }).catch(() => null);
      if (response?.status === 200) {
        state.acknowledged.add(id);
        break;
      }
      await sleep(50);
    }
  }
}

async function signIn(page) {
  await page.getByLabel('Email').fill(PERSON.email);
  await page.getByLabel('Password').fill(PERSON.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

async function startVisit(url, cookie, plate) {
  const visit = {
    id: randomUUID(),
    vehicle: { id: randomUUID(), plate, label: '', customer: '' },
    entries: [],
  };
  await fetch(`${url}/api/visits`, {
    method: 'POST',
    headers: { ...headers, cookie },
    body: JSON.stringify(visit),
  });
  return visit.id;
}

/** One round by API: writers write, something is killed, all comes back, and what is there is counted. */
async function round(name, { url, folder, start, cookie, visitIds }, killNow) {
  const state = { sent: new Set(), acknowledged: new Set(), isOver: false };
  const writers = visitIds.map((id) => writer(url, cookie, id, state));
  await sleep(600);
  const acknowledged = state.acknowledged.size;
  killNow({ server: () => kill(serverOf(start)), database: () => kill(postmasterOf(folder)) });
  const began = performance.now();
  await until('it takes readings again', () =>
    Promise.resolve(state.acknowledged.size > acknowledged + WRITERS),
  );
  const awayMs = performance.now() - began;
  await sleep(300);
  state.isOver = true;
  await Promise.all(writers);
  await until('it is ready', async () => (await fetch(`${url}/api/ready`)).ok);
  const there = [];
  for (const id of visitIds) {
    const detail = await (await fetch(`${url}/api/visits/${id}`, { headers: { cookie } })).json();
    there.push(...detail.entries.map((entry) => entry.id));
  }
  return count(name, state, there, awayMs);
}

function count(name, { sent, acknowledged }, there, awayMs) {
  const stored = new Set(there);
  return {
    name,
    sent: sent.size,
    acknowledged: acknowledged.size,
    lost: [...acknowledged].filter((id) => !stored.has(id)).length,
    doubled: there.length - stored.size,
    awayMs: Math.round(awayMs),
  };
}

/** A tablet: typed in a browser whose process is killed, and which is opened again on the same profile. */
async function tabletRounds({ url, cookie }, rounds) {
  const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (!existsSync(chromium)) {
    say('tablet: no Chromium here, left out');
    return [];
  }
  const { chromium: browser } = await import('@playwright/test');
  const profile = mkdtempSync(join(tmpdir(), 'keen-tablet-'));
  const open = () =>
    browser.launchPersistentContext(profile, {
      executablePath: chromium,
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-sync',
        '--disable-background-networking',
      ],
      locale: 'en-GB',
    });
  const results = [];
  const readings = async (visitId) => {
    const detail = await (
      await fetch(`${url}/api/visits/${visitId}`, { headers: { cookie } })
    ).json();
    return detail.entries.filter(({ path }) => path.startsWith('tires.'));
  };
  let context = await open();
  try {
    let page = context.pages()[0] ?? (await context.newPage());
    await page.goto(url);
    await signIn(page);
    await page.getByRole('list', { name: 'Visits' }).waitFor();
    for (let n = 0; n < rounds; n++) {
      const visitId = await startVisit(url, cookie, `TABLET ${n}`);
      await page.goto(`${url}/visits/${visitId}/read`);
      await page.getByRole('heading', { name: /outer|centre|inner/ }).waitFor();
      await context.setOffline(true);
      const typed = ['41', '42', '43', '44', '45', '46'].map((text) => String(Number(text) + n));
      for (const text of typed) for (const key of text) await page.keyboard.press(key);
      await page.getByText(/\d+ not saved yet/).waitFor();
      await sleep(500);
      // Gone without a word, as when the battery is pulled out.
      spawnSync('pkill', ['-9', '-f', profile]);
      await context.close().catch(() => undefined);
      const began = performance.now();
      context = await open();
      page = context.pages()[0] ?? (await context.newPage());
      await page.goto(`${url}/visits/${visitId}/read`);
      // A browser that was killed may have lost its newest cookie; its person then signs in again.
      const isOut = page.getByRole('button', { name: 'Sign in' });
      const isIn = page.getByRole('navigation', { name: 'Steps of the visit' });
      await isOut.or(isIn).first().waitFor();
      if (await isOut.isVisible()) await signIn(page);
      await until(
        'the tablet has sent what was typed',
        async () => (await readings(visitId)).length >= typed.length,
        30_000,
      ).catch(() => undefined);
      const all = await readings(visitId);
      const fresh = all.map(({ value }) => Math.round(value * 10));
      results.push({
        name: `tablet ${n + 1}`,
        sent: typed.length,
        acknowledged: typed.length,
        lost: typed.filter((text) => !fresh.includes(Number(text))).length,
        doubled:
          all.length -
          new Set(all.map(({ id }) => id)).size +
          Math.max(0, fresh.length - typed.length),
        awayMs: Math.round(performance.now() - began),
      });
    }
  } finally {
    await context.close().catch(() => undefined);
    rmSync(profile, { recursive: true, force: true });
  }
  return results;
}

async function main() {
  const folder = mkdtempSync(join(tmpdir(), 'keen-kill-'));
  chmodSync(folder, 0o755);
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const start = startProduct(folder, port);
  const results = [];
  try {
    await until('it is ready', async () => (await fetch(`${url}/api/ready`)).ok, 300_000);
    const setup = await fetch(`${url}/api/setup`, {
      method: 'POST',
      headers,
      body: JSON.stringify({ shopName: 'Kill Tires', town: '', name: 'Kit', ...PERSON }),
    });
    const cookie = setup.headers.get('set-cookie').split(';')[0];
    const visitIds = [];
    for (let i = 0; i < WRITERS; i++) visitIds.push(await startVisit(url, cookie, `KILL ${i}`));
    const product = { url, folder, start, cookie, visitIds };
    const kinds = [
      ['server', (it) => it.server()],
      ['database', (it) => it.database()],
      ['both', (it) => (it.database(), it.server())],
    ];
    for (const [name, killNow] of kinds.filter(isWanted)) {
      for (let n = 1; n <= ROUNDS; n++) {
        const result = await round(`${name} ${n}`, product, killNow);
        results.push(result);
        say(lineOf(result));
        // The start gives up after repeated failure within a minute: a shop's day has no such minute.
        await sleep(11_000);
      }
    }
    for (const result of isWanted(['tablet']) ? await tabletRounds(product, ROUNDS) : []) {
      results.push(result);
      say(lineOf(result));
    }
  } finally {
    start.kill('SIGTERM');
    await new Promise((done) => start.once('exit', done));
    rmSync(folder, { recursive: true, force: true });
  }
  const sum = (key) => results.reduce((total, one) => total + one[key], 0);
  say(
    `all: sent ${sum('sent')}, acknowledged ${sum('acknowledged')}, lost ${sum('lost')}, doubled ${sum('doubled')}`,
  );
  process.exit(sum('lost') + sum('doubled') === 0 ? 0 : 1);
}

const lineOf = ({ name, sent, acknowledged, lost, doubled, awayMs }) =>
  `${name.padEnd(12)} sent ${sent}, acknowledged ${acknowledged}, lost ${lost}, doubled ${doubled}, back after ${awayMs} ms`;

main().catch((error) => {
  complain(error);
  process.exit(1);
});
