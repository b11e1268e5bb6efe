import { chromium } from '@playwright/test';

/**
 * What the page costs in the browser: `npm run bench:pages`, which is
 * node scripts/e2e.mjs node scripts/benchPages.mjs.
 *
 * First paint on a slow line with nothing kept, a key of Read until it is painted beside a bare input on
 * the same machine, how long the page is blocked on a processor four times slower, and the frames of the wear
 * lab while a slider is dragged.
 */
const url = process.env.KEEN_URL;
/** 1.6 Mb/s down, 750 kb/s up, 150 ms there and back. */
const SLOW_LINE = {
  offline: false,
  downloadThroughput: (1.6e6 / 8) | 0,
  uploadThroughput: (750e3 / 8) | 0,
  latency: 150,
};
const ROUNDS = 5;
const RIBS = 12;
const CARS = 4;
/** Sixty frames a second, and moves of the hand in a drag. */
const FRAME_MS = 1000 / 60;
const DRAG_STEPS = 240;

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox'],
});

const median = (numbers) => quantile(numbers, 0.5);
function quantile(numbers, part) {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))];
}

/** A page with an empty cache and, where wanted, on a slow line or a slow processor. */
async function freshPage({ line = null, slower = 1, state } = {}) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    ...(state ? { storageState: state } : {}),
  });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Network.enable');
  if (line) await devtools.send('Network.emulateNetworkConditions', line);
  if (slower > 1) await devtools.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await page.addInitScript(() => {
    globalThis.blocked = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries())
        globalThis.blocked += Math.max(0, duration - 50);
    }).observe({ type: 'longtask', buffered: true });
  });
  return { page, context };
}

const paint = (page) =>
  page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN);
/** From asking for the page until something is there to be read. */
async function untilSeen(options, path, seen) {
  const { page, context } = await freshPage(options);
  const start = performance.now();
  await page.goto(url + path, { waitUntil: 'commit' });
  await seen(page).waitFor({ timeout: 60_000 });
  const ms = performance.now() - start;
  const bytes = await page.evaluate(() =>
    performance.getEntriesByType('resource').reduce((sum, one) => sum + one.transferSize, 0),
  );
  const first = await paint(page);
  const blocked = await page.evaluate(() => globalThis.blocked);
  await context.close();
  return { ms, bytes, first, blocked };
}

async function signedInState() {
  const { page, context } = await freshPage();
  await page.goto(url);
  await page.getByRole('button', { name: /Mira/ }).click();
  await page.getByRole('list', { name: 'Visits' }).waitFor();
  const visit = await page.getByRole('link', { name: /PT 12 W/ }).getAttribute('href');
  const state = await context.storageState();
  await context.close();
  return { state, visit: visit.replace(/[^/]*$/, 'read') };
}

const door = (page) => page.getByRole('button', { name: /Mira/ });
const board = (page) => page.getByRole('link', { name: /PT 12 W/ });
const { state, visit } = await signedInState();

for (const [name, options, path, seen] of [
  ['front door', { line: SLOW_LINE }, '/', door],
  ['Today', { line: SLOW_LINE, state }, '/', board],
  [
    'Read',
    { line: SLOW_LINE, state },
    visit,
    (page) => page.getByRole('heading', { level: 2 }).first(),
  ],
]) {
  const runs = [];
  for (let i = 0; i < ROUNDS; i++) runs.push(await untilSeen(options, path, seen));
  console.log(
    `${name}, cold on 1.6 Mb/s: first paint ${(median(runs.map((r) => r.first)) / 1000).toFixed(1)} s, there after ${(median(runs.map((r) => r.ms)) / 1000).toFixed(1)} s, ${Math.round(median(runs.map((r) => r.bytes)) / 1000)} kB`,
  );
}
for (const [name, path, seen] of [
  ['Today', '/', board],
  ['Read', visit, (page) => page.getByRole('heading', { level: 2 }).first()],
]) {
  const runs = [];
  for (let i = 0; i < ROUNDS; i++) runs.push(await untilSeen({ slower: 4, state }, path, seen));
  console.log(
    `${name}, on a processor four times slower: blocked for ${Math.round(median(runs.map((r) => r.blocked)))} ms, there after ${(median(runs.map((r) => r.ms)) / 1000).toFixed(1)} s`,
  );
}

/** Milliseconds from a key press until the frame that shows it has been painted. */
async function keyTimes(page, keys) {
  await page.evaluate(() => {
    globalThis.times = [];
    globalThis.addEventListener(
      'keydown',
      ({ timeStamp }) => {
        // After the next frame's work has gone to the screen, and before what has been put off until then.
        globalThis.requestAnimationFrame(() => {
          void globalThis.scheduler.postTask(
            () => globalThis.times.push(performance.now() - timeStamp),
            { priority: 'user-blocking' },
          );
        });
      },
      { capture: true },
    );
  });
  for (const key of keys) {
    await page.keyboard.press(key);
    await page.waitForTimeout(60);
  }
  await page.waitForTimeout(300);
  return page.evaluate(() => globalThis.times);
}

/** A new car at its first rib. */
async function newCar(page) {
  await page.goto(url);
  await page.getByRole('button', { name: 'New visit' }).first().click();
  await page.getByLabel('Plate').fill(`B ${Date.now().toString(36).slice(-6).toUpperCase()}`);
  await page.getByRole('button', { name: 'Start the visit' }).click();
  await page.getByRole('heading', { name: 'What brings the car in?' }).waitFor();
  await page
    .getByRole('navigation', { name: 'Steps of the visit' })
    .getByRole('link', { name: 'Read' })
    .click();
  await page.getByRole('heading', { level: 2 }).first().waitFor();
  await page.waitForTimeout(1_500);
}

{
  const { page, context } = await freshPage({ state });
  const ours = [];
  // Twelve ribs of two digits: the first shows the figure, the second saves the reading.
  const keys = Array.from({ length: RIBS * 2 }, (_, i) =>
    i % 2 === 0 ? '5' : String((i * 7) % 10),
  );
  for (let car = 0; car < CARS; car++) {
    await newCar(page);
    ours.push(...(await keyTimes(page, keys)));
  }
  await page.goto('about:blank');
  await page.setContent('<input autofocus>');
  await page.locator('input').focus();
  const bare = await keyTimes(page, [...keys, ...keys]);
  const [a, b] = [quantile(ours, 0.95), quantile(bare, 0.95)];
  console.log(
    `a key of Read until painted: p50 ${median(ours).toFixed(1)} ms, p95 ${a.toFixed(1)} ms; a bare input ${median(bare).toFixed(1)} and ${b.toFixed(1)} ms: ${(median(ours) / median(bare)).toFixed(1)} and ${(a / b).toFixed(1)} times`,
  );
  await context.close();
}

/** Frames while a slider is dragged from end to end and back, as often as the screen is drawn. */
for (const world of ['own', 'patch']) {
  const { page, context } = await freshPage({ state });
  await page.goto(`${url}/wear-lab?tread=saw&world=${world}`);
  const slider = page.getByRole('slider', { name: 'Camber' });
  await slider.waitFor();
  await page.waitForTimeout(1_500);
  const box = await slider.evaluate((input) => {
    const { x, y, width, height } = input.closest('.MuiSlider-root').getBoundingClientRect();
    return { x, y, width, height };
  });
  await page.evaluate(() => {
    globalThis.blocked = 0;
    globalThis.frames = [];
    let last = performance.now();
    globalThis.requestAnimationFrame(function frame(now) {
      globalThis.frames.push(now - last);
      last = now;
      globalThis.requestAnimationFrame(frame);
    });
  });
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width / 2, y);
  await page.mouse.down();
  for (let step = 0; step <= DRAG_STEPS; step++) {
    const along = 0.5 + 0.45 * Math.sin((2 * Math.PI * step) / DRAG_STEPS);
    await page.mouse.move(box.x + box.width * along, y);
  }
  await page.mouse.up();
  const { frames, blocked } = await page.evaluate(() => ({
    frames: globalThis.frames.slice(1),
    blocked: globalThis.blocked,
  }));
  const dropped = frames.filter((ms) => ms > 1.5 * FRAME_MS).length;
  console.log(
    `the wear lab while a slider is dragged, ${world === 'own' ? 'our formula' : 'first principles'}: ${frames.length} frames, p50 ${median(frames).toFixed(1)} ms, p95 ${quantile(frames, 0.95).toFixed(1)} ms, ${dropped} dropped, blocked for ${Math.round(blocked)} ms`,
  );
  await context.close();
}
await browser.close();
