import { execFileSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';

/**
 * Takes the pictures of docs/screenshots from the demo shop:
 * node scripts/e2e.mjs node scripts/screenshots.mjs, which `npm run screenshots` does. With names behind it, such as
 * `npm run screenshots -- decide shop`, these alone.
 */
const out = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const url = process.env.KEEN_URL;
const DESKTOP = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const SETTLE_MS = 400;
const YEARS_MS = 1_800_000;
const asked = process.argv.slice(2);
const isAsked = ({ name }) => asked.length === 0 || asked.includes(name);

const VISITS = [
  { name: 'arrive', plate: '418 KQ', step: 'arrive' },
  { name: 'read', plate: 'PT 12 W', step: 'read', keys: ['5'] },
  { name: 'read-phone', plate: 'HT 3318', step: 'read', keys: ['4'], viewport: PHONE },
  { name: 'inspect', plate: 'RC 5', step: 'inspect' },
  { name: 'explain', plate: '418 KQ', step: 'explain' },
  { name: 'decide', plate: 'BL 200 T', step: 'decide' },
  { name: 'hand-over', plate: '418 KQ', step: 'hand-over', prepare: handOver },
  { name: 'measure', plate: '552 BD', step: 'measure', prepare: measure },
  { name: 'set-right', plate: '552 BD', step: 'set', prepare: begin },
];

const PAGES = [
  { name: 'bench', path: '/bench/rearShim' },
  { name: 'practice', path: '/practice', prepare: practise },
  { name: 'wear-lab', path: '/wear-lab?tread=saw', text: /^Grey band/ },
  { name: 'shop', path: '/shop' },
  {
    name: 'car',
    path: '/garage',
    scheme: 'dark',
    link: /HT 2207/,
    text: 'band: where it will be',
  },
  { name: 'sheets', path: '/sheets', link: 'Harbour saloon' },
  { name: 'gauges', path: '/gauges', link: 'Depth gauge 1, all three', prepare: chartDrawn },
  // Of the made-up years, which take some minutes to make.
  {
    name: 'insights',
    path: '/insights',
    text: /^All of this is made up/,
    waitMs: YEARS_MS,
    prepare: allYears,
  },
];

/** What the page showed before the years were whole is asked for again. */
async function allYears(page) {
  await page.reload();
  await page.getByText(/^On \d+ cars the rig/).waitFor();
}

/** Charts come after the page that shows them. */
async function chartDrawn(page) {
  await page.locator('svg.recharts-surface').first().waitFor();
}

/** A lesson's car at its first rib, the gauge in the groove. */
async function practise(page) {
  const lesson = page.getByRole('listitem').filter({ hasText: 'One saw' });
  await lesson.getByRole('button').click();
  await page.getByRole('img', { name: /^Depth gauge/ }).waitFor();
}

/** Begins setting right, makes a first turn and reads again: the next turn follows from it. */
async function begin(page) {
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Adjustable arm' }).click();
  await page.getByLabel(/Turned by/).fill('1/2');
  await page.getByRole('button', { name: 'Turned', exact: true }).click();
  await page.getByText('Now measure it again.').waitFor();
  await page.getByLabel('Now reads').fill('0.3');
  await page.getByLabel('Now reads').blur();
  await page
    .getByText(/the same way/)
    .first()
    .waitFor();
  await page.getByText('Saved', { exact: true }).waitFor();
}

/** Types a set of made-up angles, so that the ledger has something to show. */
async function measure(page) {
  await page.getByRole('button', { name: 'Choose the sheet' }).click();
  await page.getByRole('button', { name: /^Courier van/ }).click();
  await page.getByRole('button', { name: 'Mark the rest done' }).click();
  await page.getByRole('button', { name: 'Comes back' }).click();
  await page.getByRole('button', { name: 'Hide', exact: true }).click();
  const angles = {
    Camber: ['-0.5', '-0.9', '-0.8', '-0.7'],
    Toe: ['0.06', '0.05', '0.55', '-0.05'],
    Caster: ['4.2', '4.0'],
  };
  for (const [kind, values] of Object.entries(angles)) {
    const fields = page.getByRole('group', { name: kind, exact: true }).getByRole('textbox');
    for (const [i, value] of values.entries()) await fields.nth(i).fill(value);
    await fields.first().focus();
  }
  await page.getByText('Thrust', { exact: true }).scrollIntoViewIfNeeded();
  await page.waitForTimeout(SETTLE_MS);
  await page
    .getByRole('heading', { name: 'Read the angles' })
    .evaluate((heading) => heading.scrollIntoView());
}

/** Puts on the shop’s list what is due, so that the list has something to show. */
async function handOver(page) {
  await page.getByRole('article').waitFor();
  await page.getByRole('button', { name: 'Put on the shop’s list' }).click();
  await page.getByRole('heading', { name: 'The customer’s sheet' }).scrollIntoViewIfNeeded();
  await page.getByRole('status').filter({ hasText: 'Saved' }).waitFor();
}

async function main() {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--disable-background-networking',
    ],
  });
  const shoot = (page, name) => page.screenshot({ path: join(out, `${name}.png`) });

  const door = await browser.newPage({ viewport: DESKTOP, baseURL: url });
  await door.goto('/sign-in');
  await door.getByRole('button', { name: /Mira/ }).waitFor();
  await door.getByRole('button', { name: /Ansa/ }).click();
  await door.getByRole('list', { name: 'Visits' }).waitFor();
  await door.mouse.move(0, 0);
  await door.waitForTimeout(SETTLE_MS);
  if (isAsked({ name: 'today' })) await shoot(door, 'today');
  const state = await door.context().storageState();

  for (const {
    name,
    plate,
    step,
    keys = [],
    prepare,
    viewport = DESKTOP,
    scheme = 'light',
  } of VISITS.filter(isAsked)) {
    const context = await browser.newContext({
      viewport,
      colorScheme: scheme,
      storageState: state,
      baseURL: url,
    });
    const page = await context.newPage();
    await page.goto('/');
    await page.getByRole('link', { name: new RegExp(plate) }).click();
    await page.waitForURL(/visits/);
    await page.goto(page.url().replace(/\/[a-z]+$/, `/${step}`));
    await page.getByRole('main').getByRole('heading', { level: 2 }).waitFor();
    if (step === 'explain') await page.getByText('Worked out in full.').waitFor();
    if (step === 'decide') await page.getByRole('button', { name: /^Save (the|this)/ }).waitFor();
    await page.waitForTimeout(SETTLE_MS);
    for (const key of keys) await page.keyboard.press(key);
    await prepare?.(page);
    await page.waitForTimeout(SETTLE_MS);
    await shoot(page, name);
    if (name === 'hand-over') await sheet(page);
    await context.close();
  }
  for (const { name, path, link, button, text, scheme = 'light', waitMs, prepare } of PAGES.filter(
    isAsked,
  )) {
    const context = await browser.newContext({
      viewport: DESKTOP,
      colorScheme: scheme,
      storageState: state,
      baseURL: url,
    });
    const page = await context.newPage();
    await page.goto(path);
    if (link) await page.getByRole('link', { name: link }).first().click();
    if (button) await page.getByRole('button', { name: button }).click();
    await page.getByRole('heading', { level: 2 }).first().waitFor();
    if (text) await page.getByText(text).waitFor({ timeout: waitMs });
    await prepare?.(page);
    await page.waitForTimeout(SETTLE_MS);
    await shoot(page, name);
    await context.close();
  }
  await browser.close();
}

/** The customer's sheet as a picture of its page. */
async function sheet(page) {
  const href = await page.getByRole('link', { name: 'Print (PDF)' }).getAttribute('href');
  const response = await page.request.get(href);
  const pdf = join(tmpdir(), `keen-sheet-${process.pid}.pdf`);
  writeFileSync(pdf, await response.body());
  execFileSync('pdftoppm', ['-r', '90', '-png', '-singlefile', pdf, join(out, 'sheet')]);
  rmSync(pdf);
}

await main();
