import { expect, test } from '@playwright/test';
import { signInAs } from './shop.ts';

test('a car’s life: found by its tires’ size, its tread through time, what is to come', async ({
  page,
}) => {
  await signInAs(page);
  await page.getByRole('link', { name: 'Garage' }).click();
  await page.getByLabel('Search the cars').fill('215/60R16 taxi dunmore');
  const cars = page.getByRole('list', { name: 'Cars' }).getByRole('link');
  await expect(cars).toHaveCount(1);
  await page.getByLabel('Search the cars').press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('HT 2207');
  // It is told how the tires wear, with what was done in between.
  const story = page.getByRole('region', { name: 'Wear then and now' });
  await expect(story.getByRole('heading')).toContainText(/mm in 10\s000 km|too short/);
  const tread = page.getByRole('region', { name: 'Tread through time' });
  await expect(tread.getByRole('slider')).toHaveAttribute('aria-valuetext', /\d{4}/);
  const latest = await tread.getByRole('heading').textContent();
  await page.keyboard.press('ArrowLeft');
  await expect(tread.getByRole('heading')).not.toHaveText(latest!);
  // The way ahead comes from the same engine as the visit's answer.
  await expect(page.getByText('band: where it will be')).toBeVisible();
  await page.getByRole('button', { name: 'As a table' }).click();
  const rows = page.getByRole('region', { name: 'Depth against distance' }).getByRole('row');
  await expect(rows.filter({ hasText: 'forecast' })).not.toHaveCount(0);
  await expect(rows.filter({ hasText: 'read' })).not.toHaveCount(0);
  await page
    .getByRole('link', { name: /visit \d+/ })
    .last()
    .click();
  await expect(page).toHaveURL(/visits\/.*explain/);
});

test('a fleet: when its cars need tires, and the same as a table', async ({ page }) => {
  test.slow();
  await signInAs(page);
  await page.goto('/garage');
  await page.getByLabel('Search the cars').fill('402 KQ');
  await page.getByRole('link', { name: /402 KQ/ }).click();
  await page.getByRole('link', { name: /, all 12 cars$/ }).click();
  await expect(page.getByRole('status')).toContainText(/12 cars: .* within three months/, {
    timeout: 60_000,
  });
  await expect(
    page.getByRole('list', { name: 'Cars of the fleet' }).getByRole('listitem'),
  ).toHaveCount(12);
  await expect(page.getByRole('figure')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('fleet.csv');
});

test('a plate that was typed wrong is joined to its car, leads there, and is taken apart again', async ({
  page,
}) => {
  await signInAs(page);
  const stem = Date.now()
    .toString(36)
    .slice(-4)
    .toUpperCase()
    .replace(/[OISBZ]/g, 'X');
  const startVisit = async (plate: string) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New visit' }).first().click();
    await page.getByLabel('Plate').fill(plate);
    await page.getByLabel('Car', { exact: true }).fill('Pilot boat trailer');
    await page.getByLabel('Customer', { exact: true }).fill('Pier Pilots');
    await page.getByRole('button', { name: 'Start the visit' }).click();
    await expect(page.getByRole('heading', { name: 'What brings the car in?' })).toBeVisible();
  };
  const right = `${stem} 08`;
  const wrong = `${stem} O8`;
  await startVisit(right);
  await startVisit(wrong);
  await page.goto('/garage');
  await page.getByLabel('Search the cars').fill(right);
  await page.getByRole('link', { name: new RegExp(right) }).click();
  await expect(page.getByRole('heading', { name: 'Entered twice?' })).toBeVisible();
  await page.getByRole('button', { name: 'It is this car: join' }).click();
  const visits = page.getByRole('link', { name: /, visit \d+/ });
  await expect(visits).toHaveCount(2);
  await page.goto('/garage');
  await page.getByLabel('Search the cars').fill(wrong);
  await page.getByRole('link', { name: new RegExp(right) }).click();
  await page.getByRole('button', { name: `Separate ${wrong} again` }).click();
  await expect(visits).toHaveCount(1);
});

test('a customer whose name was typed wrong is joined, leads on, and is taken apart again', async ({
  page,
}) => {
  await signInAs(page);
  await page.goto('/garage');
  await page.getByRole('button', { name: 'Customers' }).click();
  await page.getByLabel('Search the customers').fill('marnia');
  await page.getByRole('link', { name: /Saltmarsh Marnia/ }).click();
  await page.getByRole('link', { name: 'Saltmarsh Marina' }).click();
  await expect(page.getByRole('heading', { name: 'Saltmarsh Marina' })).toBeVisible();
  await page.getByRole('button', { name: 'The same customer: join' }).click();
  await expect(page.getByRole('heading', { name: 'Joined names' })).toBeVisible();
  const cars = page.getByRole('list', { name: 'Cars of the fleet' }).getByRole('listitem');
  await expect(cars).toHaveCount(2);
  await page.getByRole('button', { name: 'Separate Saltmarsh Marnia again' }).click();
  await expect(page.getByRole('heading', { name: 'Entered twice?' })).toBeVisible();
  await expect(cars).toHaveCount(1);
});

test('tires that stay here have a place, are found by it, and may be moved', async ({ page }) => {
  await signInAs(page);
  await page.goto('/garage?list=stored');
  await page.getByLabel('Search the stored tires').fill('rack a 4');
  await page.getByRole('link', { name: /Rack A 4/ }).click();
  await expect(page.getByText('Stored here:')).toBeVisible();
  await page
    .getByRole('link', { name: /visit \d+/ })
    .first()
    .click();
  await page.getByRole('link', { name: /Hand over/ }).click();
  const stored = page.getByRole('region', { name: 'Tires stored here' });
  await stored.getByRole('button', { name: 'Change' }).click();
  await stored.getByLabel('Place').fill('');
  await stored.getByRole('button', { name: 'Save' }).click();
  await expect(stored.getByText('Where they can be found again')).toBeVisible();
  await stored.getByLabel('Place').fill('Attic 9');
  await stored.getByRole('button', { name: 'Save' }).click();
  await expect(stored.getByText(/4 winter tires, .* at Attic 9 since/)).toBeVisible();
  await page.goto('/garage?list=stored');
  await expect(page.getByRole('link', { name: /Attic 9/ })).toBeVisible();
});
