import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { signInAs, open } from './shop.ts';

/** WCAG 2.2 A and AA, as axe knows them. */
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

const STEPS = ['arrive', 'read', 'inspect', 'explain', 'decide', 'measure', 'set', 'hand-over'];

async function expectClean(page: Page, what: string, scheme = 'light'): Promise<void> {
  const axe = new AxeBuilder({ page });
  // The dark page differs by its inks alone.
  if (scheme === 'dark') axe.withRules(['color-contrast']);
  else axe.withTags(RULES);
  const { violations } = await axe.analyze();
  const found = violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' | ')}`,
  );
  expect(found, what).toEqual([]);
}

for (const scheme of ['light', 'dark'] as const) {
  test.describe(`in ${scheme}`, () => {
    test.use({ colorScheme: scheme });

    test('the front door and today have nothing that axe objects to', async ({ page }) => {
      await page.goto('/sign-in');
      await expect(page.getByRole('button', { name: /Mira/ })).toBeVisible();
      await expectClean(page, 'front door', scheme);
      await signInAs(page);
      await expectClean(page, 'today', scheme);
      await page.keyboard.press('n');
      await expect(page.getByRole('dialog')).toBeVisible();
      await expectClean(page, 'new visit', scheme);
    });

    test('every step of a visit has nothing that axe objects to', async ({ page }) => {
      // Eight pages, each gone over whole.
      test.slow();
      await signInAs(page);
      await open(page, 'LW 70 R');
      for (const step of STEPS) {
        await page.goto(page.url().replace(/\/[a-z-]+$/, `/${step}`));
        await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toBeVisible();
        await expectClean(page, step, scheme);
      }
    });
  });
}

test('the bench, the wear lab, practice and the page on how it works have nothing that axe objects to', async ({
  page,
}) => {
  await signInAs(page);
  await page.getByRole('link', { name: 'Bench' }).click();
  for (const tool of ['Toe by strings', 'Changed ride height', 'Rear hub shim']) {
    await page.getByRole('link', { name: tool }).click();
    await expect(page.getByRole('heading', { name: tool, level: 2 })).toBeVisible();
    await expectClean(page, tool);
  }
  await page.goto('/wear-lab?tread=waves&wheel=lr');
  await expect(page.getByRole('region', { name: 'Contact patch' })).toBeVisible();
  await expectClean(page, 'the wear lab');
  await page.goto('/practice');
  await expect(page.getByRole('list', { name: 'Lessons' })).toBeVisible();
  await expectClean(page, 'practice');
  await page.getByRole('button', { name: 'Any car' }).click();
  await expect(page.getByRole('img', { name: /Depth gauge/ })).toBeVisible();
  await expectClean(page, 'a practice car');
  await page.getByRole('link', { name: 'Checks' }).click();
  await expectClean(page, 'its checks');
  await page.getByRole('button', { name: /Mira/ }).click();
  await page.getByRole('button', { name: 'How it works' }).click();
  await expect(page.getByRole('heading', { name: 'Its constants' })).toBeVisible();
  await expectClean(page, 'how it works');
});

test('sheets, devices, shop, garage, gauges and the due list have nothing that axe objects to', async ({
  page,
}) => {
  test.slow();
  await signInAs(page, 'Ansa');
  await page.getByRole('link', { name: 'Sheets' }).click();
  await page.getByRole('link', { name: /Harbour saloon/ }).click();
  await expect(page.getByRole('heading', { name: 'Harbour saloon' })).toBeVisible();
  await expectClean(page, 'sheets');
  await page.goto('/devices');
  await expect(page.getByRole('group', { name: 'Left front', exact: true })).toBeVisible();
  await expectClean(page, 'devices');
  await page.goto('/shop');
  await expect(page.getByRole('heading', { name: 'Everything as files' })).toBeVisible();
  await expectClean(page, 'shop');
  await page.goto('/due');
  await expect(page.getByRole('group', { name: 'Looking ahead' })).toBeVisible();
  await expectClean(page, 'due');
  await page.goto('/garage');
  await expect(page.getByRole('link', { name: /418 KQ/ })).toBeVisible();
  await expectClean(page, 'garage');
  await page.getByRole('link', { name: /418 KQ/ }).click();
  await expect(page.getByText('band: where it will be')).toBeVisible();
  await expectClean(page, 'a car');
  await page.getByRole('button', { name: 'As a table' }).click();
  await expectClean(page, 'a car as a table');
  await page.getByRole('link', { name: /, all \d+ cars/ }).click();
  await expect(page.getByText(/within three months/)).toBeVisible({ timeout: 60_000 });
  await expectClean(page, 'a fleet');
  await page.goto('/gauges');
  await expect(page.getByRole('listitem').filter({ hasText: 'Alignment rig' })).toBeVisible();
  await expectClean(page, 'gauges');
  await page.getByRole('link', { name: 'Depth gauge 1, all three' }).click();
  await expect(page.getByRole('table', { name: 'Spreads' })).toBeVisible();
  await expectClean(page, 'a gauge study');
  await page.goto('/insights');
  await expect(page.getByRole('list', { name: 'By who asked' })).toBeVisible();
  await expectClean(page, 'insights');
  await page.goto('/account');
  await expect(page.getByRole('heading', { name: 'Where you are signed in' })).toBeVisible();
  await expectClean(page, 'account');
});

test('what an advisor may read and not change has nothing that axe objects to', async ({
  page,
}) => {
  await signInAs(page, 'Mira');
  await page.getByRole('link', { name: 'Sheets' }).click();
  await page.getByRole('link', { name: /Harbour saloon/ }).click();
  await expect(page.getByRole('heading', { name: 'Harbour saloon' })).toBeVisible();
  await expectClean(page, 'sheets of an advisor');
  await page.goto('/shop');
  await expect(page.getByText(/changed by the lead/)).toBeVisible();
  await expectClean(page, 'shop of an advisor');
});

test('on a phone the steps have nothing that axe objects to', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signInAs(page);
  await expectClean(page, 'today');
  await open(page, '418 KQ');
  for (const step of ['read', 'explain', 'decide', 'measure', 'hand-over']) {
    await page.goto(page.url().replace(/\/[a-z-]+$/, `/${step}`));
    await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toBeVisible();
    await expectClean(page, step);
  }
});

test('? lists the keys of the page', async ({ page }) => {
  await signInAs(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys on this page' })).toContainText('new visit');
});

test('an unsafe tire is called so on every step', async ({ page }) => {
  await signInAs(page);
  await expect(page.getByRole('link', { name: /LW 70 R/ })).toContainText('Not safe to drive');
  await open(page, 'LW 70 R');
  for (const step of ['arrive', 'explain', 'decide']) {
    await page.goto(page.url().replace(/\/[a-z-]+$/, `/${step}`));
    await expect(page.getByRole('alert').filter({ hasText: 'Not safe to drive' })).toBeVisible();
  }
});

for (const [width, height] of [
  [1024, 768],
  [768, 1024],
] as const) {
  test(`no step runs off its side on a tablet of ${width} by ${height}`, async ({ page }) => {
    test.slow();
    await page.setViewportSize({ width, height });
    await signInAs(page, 'Ansa');
    await open(page, '552 BD');
    for (const step of STEPS) {
      await page.goto(page.url().replace(/\/[a-z-]+$/, `/${step}`));
      await expect(page.getByRole('main').getByRole('heading', { level: 2 })).toBeVisible();
      const over = await page
        .getByRole('main')
        .evaluate((main) => [
          main.scrollWidth - main.clientWidth,
          document.documentElement.scrollWidth - window.innerWidth,
        ]);
      expect(Math.max(...over), step).toBeLessThanOrEqual(0);
    }
  });
}
