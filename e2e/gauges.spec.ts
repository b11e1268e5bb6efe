import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { signInAs } from './shop.ts';

/** How deep each mark is, mm. */
const DEPTHS: Record<string, number> = { 'Chalk one': 3.2, 'Chalk two': 7.4 };

/** One person reads all marks as they are dealt, by keyboard. */
async function readAll(page: Page, who: string, offMm: number): Promise<void> {
  await page.getByRole('button', { name: who }).click();
  const mark = page.getByText(/^Chalk (one|two)$/);
  for (let i = 0; i < 4; i++) {
    await expect(page.getByText(`${who} reads, ${i} of 4`)).toBeVisible();
    const depth = DEPTHS[(await mark.textContent())!]! + offMm + 0.1 * (i % 2);
    await page.keyboard.type(depth.toFixed(1));
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('All read. Thank you.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the study' }).click();
}

test('a gauge study from chalk marks to what new visits go by, and back', async ({ page }) => {
  await signInAs(page, 'Ansa');
  await page.goto('/gauges');
  await page.getByRole('button', { name: 'New gauge study' }).click();
  const dialog = page.getByRole('dialog', { name: 'New gauge study' });
  await dialog.getByLabel('Name').fill('Gauge on the wall');
  await dialog.getByRole('button', { name: 'Ansa Quell' }).click();
  await dialog.getByRole('button', { name: '2', exact: true }).click();
  await dialog.getByLabel('Marks, one a line').fill(Object.keys(DEPTHS).join('\n'));
  await expect(dialog).toContainText('8 readings in all.');
  await dialog.getByRole('button', { name: 'Start the study' }).click();
  await expect(page.getByText('Too few readings to tell.')).toBeVisible();
  await readAll(page, 'Mira Oland', 0);
  await expect(page.getByRole('button', { name: /Mira Oland/ })).toContainText('all read');
  await readAll(page, 'Joss Marren', 0.1);
  await expect(page.getByRole('heading', { name: /half a millimetre/ })).toBeVisible();
  await page.getByRole('button', { name: 'As a table' }).click();
  await expect(page.getByRole('region', { name: 'Every reading' })).toContainText('Chalk two');
  await page.getByRole('button', { name: 'Use it for new visits' }).click();
  await expect(page.getByText('New visits use it.')).toBeVisible();
  // Other tests of this shop go by the usual spread.
  await page.goto('/gauges');
  await page.getByRole('button', { name: 'Back to the usual 0.15 mm' }).click();
  await expect(page.getByText('The usual value, one standard deviation')).toBeVisible();
});

test('a depth gauge is checked on its block in the morning, by an advisor', async ({ page }) => {
  await signInAs(page, 'Mira');
  await page.goto('/gauges');
  const gauge = page.getByRole('listitem').filter({ hasText: 'Depth gauge 1' });
  await expect(page.getByRole('button', { name: 'Add a gauge' })).toHaveCount(0);
  await gauge.getByRole('button', { name: 'Check' }).click();
  const dialog = page.getByRole('dialog', { name: 'Check Depth gauge 1' });
  for (const [i, read] of ['2.0', '5.05', '8.3'].entries()) {
    await dialog.getByLabel('Reads, mm').nth(i).fill(read);
  }
  await expect(dialog.getByRole('status')).toContainText('Off by +0.30 mm at worst');
  await dialog.getByLabel('Reads, mm').nth(2).fill('8.05');
  await dialog.getByRole('button', { name: 'Save the check' }).click();
  await expect(gauge.first()).toContainText('Good, +0.05 mm at worst');
  await expect(gauge.first()).toContainText('Checked today');
});
