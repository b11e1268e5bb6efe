import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import type { Route } from '@playwright/test';
import { caseFileSchema } from '@keen/contract';
import { signInAs, headline, newPlate, step, startVisit, TOE_IN_KEYS } from './shop.ts';

test.use({ serviceWorkers: 'allow' });

test('what is typed is there after a reload and in another browser', async ({ page, browser }) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await page.getByLabel('In the customer’s words').fill('Hums at eighty');
  await page.getByRole('button', { name: 'Wanders' }).click();
  await step(page, 'Read');
  for (const key of '345') await page.keyboard.press(key);
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Left front, centre' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'left front outer, 3.4 mm' })).toBeVisible();

  const other = await browser.newPage({ baseURL: new URL(page.url()).origin });
  await signInAs(other, 'Tobin');
  await other.goto(page.url().replace('/read', '/arrive'));
  await expect(other.getByLabel('In the customer’s words')).toHaveValue('Hums at eighty');
  await expect(other.getByRole('button', { name: 'Wanders' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await other.close();
});

test('two people on one visit see each other’s readings', async ({ page, browser }) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  const other = await browser.newPage({ baseURL: new URL(page.url()).origin });
  await signInAs(other, 'Joss');
  await other.goto(page.url());
  await expect(other.getByRole('heading', { name: 'Left front, outer' })).toBeVisible();
  await page.keyboard.press('4');
  await page.keyboard.press('7');
  // How soon is measured by the bench of live changes.
  await expect(other.getByRole('button', { name: 'left front outer, 4.7 mm' })).toBeVisible();
  await other.close();
});

test('without a connection it says so, keeps everything, and sends it when it is back', async ({
  page,
  context,
}) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  await page.keyboard.press('5');
  await page.keyboard.press('1');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await context.setOffline(true);
  for (const key of '5253') await page.keyboard.press(key);
  await expect(page.getByRole('status').filter({ hasText: '2 not saved yet' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'left front inner, 5.3 mm' })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible({
    timeout: 15_000,
  });
  await page.reload();
  await expect(page.getByRole('button', { name: 'left front inner, 5.3 mm' })).toBeVisible();
});

test('with the server gone the visit opens again, goes on, and is sent once when it is back', async ({
  page,
  browser,
}) => {
  // The server goes and comes once within it.
  test.slow();
  const turn = (way: 'stop' | 'start') =>
    fetch(`${process.env.KEEN_SWITCH}/${way}`, { method: 'POST' });
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  const visit = page.url();
  await page.keyboard.type('51');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  // From the second load on everything is kept here.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Left front, centre' })).toBeVisible();
  const kept = () =>
    page.evaluate(async () => (await (await caches.open('keen-data-2')).keys()).length);
  await expect.poll(kept).toBeGreaterThan(15);
  await turn('stop');
  try {
    await page.keyboard.type('5253');
    await expect(page.getByRole('status').filter({ hasText: '2 not saved yet' })).toBeVisible();
    await expect.poll(() => page.evaluate(countUnsent)).toBe(2);
    await page.reload();
    await expect(page.getByRole('button', { name: 'left front inner, 5.3 mm' })).toBeVisible();
    await page.keyboard.type('61');
    await step(page, 'Inspect');
    await page
      .getByRole('region', { name: 'left front' })
      .getByRole('button', { name: 'Catches out' })
      .click();
    await expect(page.getByRole('status').filter({ hasText: '4 not saved yet' })).toBeVisible();
    // The shop's other cars open too.
    await page.goto('/');
    await page.getByRole('link', { name: /418 KQ/ }).click();
    await expect(page.getByRole('heading', { name: 'Courier van, 418 KQ' })).toBeVisible();
    await step(page, 'Read');
    await expect(page.getByRole('button', { name: /left front outer, \d\.\d mm/ })).toBeVisible();
    // What is not sent yet is said on every visit, whichever it belongs to.
    await expect(
      page.getByRole('status').filter({ hasText: '4 of other visits not saved yet' }),
    ).toBeVisible();
  } finally {
    await turn('start');
  }
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Visits' })).toBeVisible();
  await expect.poll(() => page.evaluate(countUnsent), { timeout: 30_000 }).toBe(0);
  const other = await browser.newPage({ baseURL: new URL(page.url()).origin });
  await signInAs(other, 'Joss');
  await other.goto(visit);
  await step(other, 'Read');
  await expect(other.getByRole('button', { name: /left rear outer, 6.1 mm/ })).toBeVisible();
  await other.close();
});

for (const [how, answer] of [
  ['cannot be reached', (route: Route) => route.abort('connectionrefused')],
  // As a proxy answers while the server behind it starts.
  ['is refused', (route: Route) => route.fulfill({ status: 503, body: '' })],
] as const) {
  test(`a page whose line of changes ${how} at first shows what it missed`, async ({
    page,
    browser,
  }) => {
    await signInAs(page);
    await startVisit(page, newPlate());
    await step(page, 'Read');
    const context = await browser.newContext({
      baseURL: new URL(page.url()).origin,
      serviceWorkers: 'block',
    });
    const other = await context.newPage();
    await signInAs(other, 'Joss');
    let refused = 0;
    await other.route('**/api/live?*', (route) => {
      refused++;
      return answer(route);
    });
    await other.goto(page.url());
    await expect.poll(() => refused).toBeGreaterThan(0);
    await expect(other.getByRole('heading', { name: 'Left front, outer' })).toBeVisible();
    await page.keyboard.type('53');
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
    await other.unroute('**/api/live?*');
    await expect(other.getByRole('button', { name: 'left front outer, 5.3 mm' })).toBeVisible({
      timeout: 30_000,
    });
    await context.close();
  });
}

test('two people who read one rib without seeing each other: both stand until one is chosen', async ({
  page,
  browser,
}) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  const other = await browser.newPage({ baseURL: new URL(page.url()).origin });
  await signInAs(other, 'Joss');
  await other.goto(page.url());
  await expect(other.getByRole('heading', { name: 'Left front, outer' })).toBeVisible();
  await other.context().setOffline(true);
  await other.keyboard.type('49');
  await page.keyboard.type('53');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await other.context().setOffline(false);
  const question = page.getByRole('alert').filter({ hasText: 'read twice' });
  await expect(question).toContainText('left front, outer', { timeout: 20_000 });
  await expect(question.getByRole('button')).toHaveText(['Mira: 5.3', 'Joss: 4.9']);
  await question.getByRole('button', { name: 'Mira: 5.3' }).click();
  await expect(question).toBeHidden();
  await expect(other.getByRole('button', { name: 'left front outer, 5.3 mm' })).toBeVisible();
  await expect(other.getByRole('alert').filter({ hasText: 'read twice' })).toBeHidden();
  await other.close();
});

test('undo takes back the last entry, redo brings it again', async ({ page }) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  for (const key of '34') await page.keyboard.press(key);
  await expect(page.getByRole('button', { name: 'left front outer, 3.4 mm' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'left front outer, not read' })).toBeVisible();
  await page.keyboard.press('Control+y');
  await expect(page.getByRole('button', { name: 'left front outer, 3.4 mm' })).toBeVisible();
});

test('a visit goes out as a case file and comes in again with the same answer', async ({
  page,
}, info) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  for (const key of TOE_IN_KEYS.join('')) await page.keyboard.press(key);
  await step(page, 'Explain');
  await expect(page.getByText('Worked out in full.')).toBeVisible();
  const said = await headline(page).textContent();
  await step(page, 'Hand over');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Case file' }).click();
  const path = info.outputPath('visit.keen.json');
  await (await download).saveAs(path);
  const file = caseFileSchema.parse(JSON.parse(await readFile(path, 'utf8')));
  expect(file.tires.lf.stations[0]).toEqual({ inner: 5.3, centre: 4.5, outer: 3.4 });

  await page.goto('/');
  await page.getByLabel('Case file', { exact: true }).setInputFiles(path);
  await expect(page.getByText('Worked out in full.')).toBeVisible();
  await expect(headline(page)).toHaveText(said ?? '');
});

test('a wrong case file is refused with the field that is wrong', async ({ page }) => {
  await signInAs(page);
  await page.getByLabel('Case file', { exact: true }).setInputFiles({
    name: 'bad.keen.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format": "keen-groove/case", "version": 1}'),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('units: expected an object');
  await dialog.getByRole('button', { name: 'Understood' }).click();
  await expect(dialog).toBeHidden();
});

test('an answer to the next check changes the verdict at once and can be undone', async ({
  page,
}) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await step(page, 'Read');
  for (const key of TOE_IN_KEYS.join('')) await page.keyboard.press(key);
  await step(page, 'Explain');
  await expect(page.getByText('Worked out in full.')).toBeVisible();
  const chance = page.getByRole('row', { name: /Too much toe-in front axle/ });
  const before = await chance.textContent();
  await page.getByRole('button', { name: 'Catches out' }).click();
  await expect(page.getByText('Worked out in full.')).toBeVisible();
  await expect(chance).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chance).toHaveText(before ?? '');
});

/** Entries that this browser still keeps for the server. */
async function countUnsent(): Promise<number> {
  const done = <T>(request: IDBRequest<T>) =>
    new Promise<T>((resolve, reject) => {
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error(request.error?.message));
    });
  const db = await done(indexedDB.open('keen-groove'));
  const count = await done(db.transaction('outbox').objectStore('outbox').count());
  db.close();
  return count;
}

test('text that looks like a number stays text: a date code is there again after a reload', async ({
  page,
}) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  await page.getByRole('button', { name: /^\+?\s*Sidewalls/ }).click();
  const code = page.getByLabel(/week and year/i).first();
  await code.fill('2319');
  await code.blur();
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^\+?\s*Sidewalls/ }).click();
  await expect(code).toHaveValue('2319');
});

test('an entry that makes the server fail is set aside; the others are saved, and it can be tried again', async ({
  page,
}) => {
  await signInAs(page);
  await startVisit(page, newPlate());
  const fails = (url: URL) => url.pathname.endsWith('/entries');
  await page.route(fails, async (route) => {
    if (!route.request().postData()?.includes('"visit.words"')) return route.continue();
    const problem = {
      type: 'x',
      title: 'Something went wrong here',
      status: 500,
      code: 'internal',
    };
    return route.fulfill({ status: 500, json: problem });
  });
  await page.getByLabel('In the customer’s words').fill('pulls left');
  await step(page, 'Read');
  for (const key of '4748') await page.keyboard.press(key);
  await expect(page.getByRole('button', { name: '◆ 1 not accepted' })).toBeVisible({
    timeout: 40_000,
  });
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  // It survives the page.
  await page.reload();
  await page.getByRole('button', { name: '◆ 1 not accepted' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('words: pulls left');
  await expect(dialog).toContainText('Something went wrong here');
  await page.unroute(fails);
  await dialog.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  await step(page, 'Arrive');
  await expect(page.getByLabel('In the customer’s words')).toHaveValue('pulls left');
});

test('at a shared tablet each entry is sent by who typed it, and by nobody else', async ({
  page,
}) => {
  const leave = async (name: string) => {
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await page.getByRole('button', { name: 'Sign out' }).click();
  };
  await signInAs(page, 'Mira');
  await startVisit(page, newPlate());
  await step(page, 'Read');
  const visit = page
    .url()
    .replace(/\/read$/, '')
    .replace('/visits/', '/api/visits/');
  await page.context().setOffline(true);
  for (const key of '47') await page.keyboard.press(key);
  await expect(page.getByText(/not saved yet/)).toBeVisible();
  await leave('Mira');
  await expect(page.getByText(/They stay on this device/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page).toHaveURL(/sign-in/);
  await page.context().setOffline(false);
  await signInAs(page, 'Joss');
  const outer = async () => {
    const { entries, visit: own } = (await (await page.request.get(visit)).json()) as {
      entries: { path: string; value: number; personId: string }[];
      visit: { id: string };
    };
    expect(own.id).toBeTruthy();
    return entries.filter(({ path }) => path === 'tires.lf.stations.0.outer');
  };
  await page.goto(page.url());
  await expect(page.getByRole('list', { name: 'Visits' })).toBeVisible();
  expect(await outer()).toEqual([]);
  const { person: joss } = (await (await page.request.get('/api/session')).json()) as {
    person: { id: string };
  };
  await leave('Joss');
  await signInAs(page, 'Mira');
  await expect.poll(async () => (await outer()).map(({ value }) => value)).toEqual([4.7]);
  expect((await outer())[0]!.personId).not.toBe(joss.id);
});
