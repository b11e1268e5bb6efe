import { expect, test } from '@playwright/test';
import { signInAs, newPlate, step, startVisit } from './shop.ts';

test('a sheet is entered once, judges a visit, and a later change leaves that visit alone', async ({
  page,
}) => {
  await signInAs(page, 'Tobin');
  await page.getByRole('link', { name: 'Sheets' }).click();
  await expect(page.getByRole('link', { name: 'New sheet' })).toBeVisible();
  await page.keyboard.press('n');
  const name = `Test car ${newPlate()}`;
  await page.getByLabel(/^Name/).fill(name);
  await page.getByLabel(/^Source/).fill('Made-up book');
  const toe = page.getByRole('group', { name: 'Total toe, front' });
  await toe.getByLabel('From').fill('0.4');
  await toe.getByLabel('To').fill('0.2');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  // What is wrong is said at its place, and nothing is lost.
  await expect(toe.getByRole('alert')).toContainText('more than the low of 0.4');
  await toe.getByLabel('From').fill('-0.2');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByText(/Revision 1, entered by Tobin/)).toBeVisible();

  await page.goto('/');
  await startVisit(page, newPlate());
  await step(page, 'Measure');
  await page.getByRole('button', { name: 'Choose the sheet' }).click();
  await page.getByLabel('Find by name').fill(name);
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  const group = page.getByRole('group', { name: 'Toe', exact: true });
  await group.getByLabel('Left front').fill('0.2');
  await group.getByLabel('Right front').fill('0.2');
  await group.getByLabel('Right front').blur();
  const total = page.getByRole('row', { name: /Total toe front/ });
  await expect(total).toContainText('−0.20° to +0.20°');
  await expect(total).toContainText('out');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const visit = page.url();

  await page.getByRole('link', { name: 'Sheets' }).click();
  await page.getByRole('navigation', { name: 'Sheets' }).getByRole('link', { name }).click();
  await toe.getByLabel('To').fill('0.6');
  await page.getByRole('button', { name: 'Save as a new revision' }).click();
  await expect(page.getByText(/Revision 2, entered by Tobin/)).toBeVisible();
  await page.goto(visit);
  await expect(total).toContainText('−0.20° to +0.20°');
  await expect(page.getByText(/revision 1/)).toBeVisible();

  // Chosen again, it is the new revision.
  await page.getByRole('button', { name: 'Change the sheet' }).click();
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await expect(total).toContainText('−0.20° to +0.60°');
  await expect(total).not.toContainText('out');
});

test('sheets come in as CSV, line by line, and go out again', async ({ page }) => {
  await signInAs(page, 'Tobin');
  await page.getByRole('link', { name: 'Sheets' }).click();
  const name = `Listed ${newPlate()}`;
  const csv = [
    'name,source,camber.front.low,camber.front.high',
    `${name},Made-up list,-1,0.5`,
    'Turned round,Made-up list,1,0.5',
  ].join('\n');
  await page
    .getByLabel('File of sheets')
    .setInputFiles({ name: 'sheets.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  const dialog = page.getByRole('dialog', { name: '1 sheet to save' });
  await expect(dialog.getByRole('alert')).toContainText(
    'Line 3, camber.front.high: expected more than the low of 1',
  );
  await dialog.getByRole('button', { name: 'Save it' }).click();
  await expect(dialog).toBeHidden();
  const list = page.getByRole('navigation', { name: 'Sheets' });
  await list.getByRole('link', { name }).click();
  await page.getByRole('button', { name: 'Retire it' }).click();
  await expect(list.getByRole('link', { name })).toBeHidden();

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const stream = await (await download).createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  expect(Buffer.concat(chunks).toString()).toContain('Courier van, steel wheels');
});

test('readings of many cars come in from a table, line by line, and can be stopped', async ({
  page,
}) => {
  await signInAs(page, 'Tobin');
  const first = `P1 ${newPlate()}`;
  const second = `P2 ${newPlate()}`;
  const others = newPlate();
  await page.getByRole('button', { name: 'Tables' }).click();
  await page.getByRole('menuitem', { name: 'Readings from a table' }).click();
  const dialog = page.getByRole('dialog', { name: 'Readings from a table' });
  const rows = [
    'plate;tire;place;mm',
    `${first};FL;outer;34`,
    `${first};FL;rim;45`,
    `${second};FL;outer;7/32`,
    ...Array.from({ length: 600 }, (_, i) => `M${i} ${others};RR;in;5`),
  ];
  await dialog
    .getByLabel('Table of readings')
    .setInputFiles({ name: 'r.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
  await expect(dialog.getByRole('alert')).toContainText('Line 3, place: expected a rib');
  await expect(dialog.getByRole('status').first()).toContainText('602 readings of 602 cars');
  await dialog.getByRole('button', { name: 'Save them' }).click();
  await expect(dialog.getByText(/[1-9]\d* of 602 cars saved/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog.getByText(/of 602 cars saved, stopped by you/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('link', { name: new RegExp(first) }).click();
  await step(page, 'Read');
  await expect(page.getByRole('button', { name: 'left front outer, 3.4 mm' })).toBeVisible();
});
