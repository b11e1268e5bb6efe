import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { headline, open, signInAs, step } from './shop.ts';

/** Scripts that a page has asked for so far and that hold the chart library, by a class name it writes. */
function watchCharts(page: Page): () => Promise<number> {
  const scripts: Promise<string>[] = [];
  page.on('response', (response) => {
    if (/\/assets\/.*\.js$/.test(response.url())) scripts.push(response.text().catch(() => ''));
  });
  return async () => (await Promise.all(scripts)).filter((js) => js.includes('recharts-')).length;
}

test('charts are loaded by the pages that draw them, and by no other', async ({ page }) => {
  const charts = watchCharts(page);
  await page.goto('/');
  await expect(page.getByRole('button', { name: /Ansa/ })).toBeVisible();
  expect(await charts()).toBe(0);
  await signInAs(page, 'Ansa');
  await open(page, 'PT 12 W');
  await step(page, 'Read');
  await expect(headline(page)).toBeVisible();
  expect(await charts()).toBe(0);
  await page.goto('/insights');
  await expect(page.locator('.recharts-surface').first()).toBeVisible();
  expect(await charts()).toBeGreaterThan(0);
});
