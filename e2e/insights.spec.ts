import { expect, test } from '@playwright/test';
import { signInAs } from './shop.ts';

test('the lead reads how advice was taken and who said no', async ({ page }) => {
  await signInAs(page, 'Ansa');
  await page.getByRole('button', { name: /Ansa/ }).click();
  await page.getByRole('button', { name: 'Insights' }).click();
  await page.getByRole('button', { name: 'All', exact: true }).click();
  await expect(
    page.getByRole('heading', { name: /customers say yes|Too few answers/ }),
  ).toBeVisible();
  await expect(
    page.getByRole('list', { name: 'By who asked' }).getByRole('listitem').first(),
  ).toContainText(/yes|too few/);
  // The made-up shop has measured no car after deciding on it.
  await expect(
    page.getByRole('heading', { name: 'Was the diagnosis right? Too few cars to tell.' }),
  ).toBeVisible();
  const no = page.getByRole('list', { name: 'Who said no' }).getByRole('listitem');
  await expect(no).not.toHaveCount(0);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).first().click();
  expect((await download).suggestedFilename()).toBe('advice.csv');
  await no.first().getByRole('link').click();
  await expect(page).toHaveURL(/visits\/.*decide/);
});

test('how advice was taken is nothing for an advisor to read', async ({ page }) => {
  await signInAs(page, 'Mira');
  await page.goto('/insights');
  await expect(page.getByText('Only the lead sees how advice was taken.')).toBeVisible();
});
