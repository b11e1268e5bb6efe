import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import type { Download, Page } from '@playwright/test';
import { signInAs } from './shop.ts';

const asIs = (page: Page) => page.getByRole('region', { name: 'As it is' });
const rib = (page: Page, name: RegExp) => asIs(page).getByRole('img', { name });

async function depthOf(page: Page, name: RegExp): Promise<number> {
  const words = await rib(page, name).getAttribute('aria-label');
  return Number(/, ([\d.]+) mm/.exec(words!)![1]);
}

async function saved(page: Page, button: string): Promise<Download> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  return download;
}

test('the tread wears before one’s eyes, by keyboard, and the link brings it back', async ({
  page,
}) => {
  await signInAs(page);
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('link', { name: 'Wear lab' }).click();
  await expect(page.getByRole('heading', { name: /legal limit after/ })).toBeVisible();
  const even = await depthOf(page, /^left front outer/);
  const toe = page.getByRole('slider', { name: 'Toe of this wheel' });
  await toe.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(toe).toHaveAttribute('aria-valuetext', '+0.65°');
  expect(await depthOf(page, /^left front outer/)).toBeLessThan(even - 0.5);
  await expect(asIs(page).getByText('catches moving out').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Contact patch' })).toContainText(
    'Toe drags the whole width',
  );
  // Done on the way: the drawing follows, and it can be taken out again.
  await page.getByRole('button', { name: 'Align here' }).click();
  await expect(page.getByRole('list', { name: 'Done on the way' })).toContainText('aligned');
  await page.getByRole('slider', { name: 'Distance driven' }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageUp');
  await expect(page.getByText('30 000', { exact: false }).first()).toBeVisible();
  await expect(page).toHaveURL(/events=align\.20000/);
  await expect(page).toHaveURL(/km=30000/);
  const there = await depthOf(page, /^left front outer/);
  await page.reload();
  await expect(toe).toHaveAttribute('aria-valuetext', '+0.65°');
  expect(await depthOf(page, /^left front outer/)).toBe(there);
  await page.getByRole('button', { name: /Take out: aligned/ }).click();
  await expect.poll(() => depthOf(page, /^left front outer/)).toBeLessThan(there);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => depthOf(page, /^left front outer/)).toBe(there);
});

test('a named tread drives off by itself and is taken along as files', async ({ page }) => {
  await signInAs(page);
  await page.goto('/wear-lab?tread=innerEdge&km=0');
  await page.getByRole('button', { name: 'Drive' }).click();
  await expect.poll(() => depthOf(page, /^left front inner/)).toBeLessThan(7);
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.goto('/wear-lab?tread=innerEdge&km=20000');
  await expect(rib(page, /^left front inner/)).toBeVisible();
  const inner = await depthOf(page, /^left front inner/);
  const file = JSON.parse(
    await readFile(await (await saved(page, 'Save as case file')).path(), 'utf8'),
  ) as {
    format: string;
    tires: { lf: { stations: { inner: number }[] } };
  };
  expect(file.format).toBe('keen-groove/case');
  expect(file.tires.lf.stations[0]!.inner).toBeCloseTo(inner, 1);
  const table = await readFile(await (await saved(page, 'Save as CSV')).path(), 'utf8');
  expect(table.split('\n')).toHaveLength(62);
  const picture = await readFile(await (await saved(page, 'Save as picture')).path());
  expect(picture.subarray(1, 4).toString()).toBe('PNG');
  // The same car by other physics: other figures, the same edge.
  await page.getByRole('button', { name: 'First principles' }).click();
  await expect.poll(() => depthOf(page, /^left front inner/)).not.toBe(inner);
  expect(await depthOf(page, /^left front inner/)).toBeLessThan(
    await depthOf(page, /^left front outer/),
  );
});

test('a visit’s car can be tried on, and a wrong link says what it lacks', async ({ page }) => {
  await signInAs(page);
  await page
    .getByRole('link', { name: /418 KQ/ })
    .first()
    .click();
  await page.waitForURL(/visits/);
  const visit = /visits\/([^/]+)/.exec(page.url())![1];
  await page.goto(`/wear-lab?visit=${visit}`);
  await expect(page.getByRole('combobox', { name: 'Start from' })).toHaveText(/418 KQ/);
  // Its fronts toe in: that is what the tread says.
  await expect(page.getByRole('slider', { name: 'Toe of this wheel' })).toHaveAttribute(
    'aria-valuetext',
    /^\+0\.[2-5]/,
  );
  await expect(page.getByText('the cars that this tread allows')).toBeVisible();
  await page.goto('/wear-lab?camber=a&km=99');
  await expect(
    page.getByText('could not be read, so the usual values are used there: camber'),
  ).toBeVisible();
});
