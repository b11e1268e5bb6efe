import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { signInAs, newPlate, step, startVisit } from './shop.ts';

/** Jobs as they are really measured, with figures worked by hand beside each. */

async function atTheAngles(page: Page): Promise<void> {
  await signInAs(page, 'Tobin');
  await startVisit(page, newPlate());
  await step(page, 'Measure');
  await page.getByRole('button', { name: 'Comes back' }).click();
}

async function onTheBench(page: Page, tool: string): Promise<void> {
  await signInAs(page, 'Tobin');
  await page.goto(`/bench/${tool}`);
}

const hasMain = (page: Page, text: string | RegExp) =>
  expect(page.getByRole('main').getByText(text).first()).toBeVisible();

test('strings in sixteenths on the front axle alone, an inch out of parallel', async ({ page }) => {
  await atTheAngles(page);
  await page
    .getByRole('group', { name: 'Toe, measured with' })
    .getByRole('button', { name: 'Strings' })
    .click();
  const toe = page.getByRole('group', { name: 'Toe', exact: true });
  await toe.getByRole('button', { name: 'Work it out from the readings' }).click();
  const dialog = page.getByRole('dialog', { name: 'Toe by strings' });
  await dialog.getByRole('button', { name: 'inches' }).click();
  const readings: Record<string, string> = {
    'String to string, front axle': '67',
    'String to string, rear axle': '66',
    Wheelbase: '104',
    'Rim edge to rim edge, front': '17',
    'Left front, ahead of the hub': '1 3/16',
    'Left front, behind it': '1 1/8',
    'Right front, ahead of the hub': '1 3/4',
    'Right front, behind it': '1 1/4"',
  };
  for (const [label, text] of Object.entries(readings)) {
    await dialog.getByLabel(label, { exact: true }).fill(text);
  }
  // atan(1 / 104) = 0.551 degrees, half of it on each string: asin(1/16 / 17) = 0.211 and
  // asin(1/2 / 17) = 1.685 each lose 0.275.
  await dialog.getByRole('button', { name: 'Use' }).click();
  await expect(page.getByRole('row', { name: /^Toe left front/ })).toContainText('−0.06°');
  await expect(page.getByRole('row', { name: /^Toe right front/ })).toContainText('+1.41°');
  await expect(page.getByRole('row', { name: /Total toe front axle/ })).toContainText('+1.35°');
  await expect(page.getByRole('row', { name: /Total toe rear axle/ })).toHaveCount(0);
});

test('a body lifted by 64 mm, and by the same in inches', async ({ page }) => {
  await atTheAngles(page);
  const camber = page.getByRole('group', { name: 'Camber', exact: true });
  await camber.getByLabel('Left front').fill('1');
  await camber.getByLabel('Left front').blur();
  await step(page, 'Set right');
  await page.getByRole('button', { name: /Changed height/ }).click();
  const says = async (change: string) => {
    await page.getByRole('button', { name: 'Truck, arms sloping down' }).click();
    const dialog = page.getByRole('dialog', { name: 'Changed ride height' });
    await dialog.getByLabel(/Body up/).fill(change);
    const words = await dialog.getByRole('status').textContent();
    await dialog.getByRole('button', { name: 'Back to the plan' }).click();
    return words ?? '';
  };
  // Rods that sloped down slope more: the outer ends come in behind the axle, which is toe-out there.
  expect(await says('64')).toMatch(
    /^Raised by 64 mm, each front wheel changes by [+−]\d\.\d\d° of camber and \d\.\d\d° of toe-(in|out)\.$/,
  );
  expect(await says('2 1/2 in')).toMatch(/^Raised by 63.5 mm/);
});

test('much caster in a turn: the inside wheel leans out', async ({ page }) => {
  await onTheBench(page, 'camberInTurns');
  for (const side of ['left', 'right']) {
    await page.getByLabel(`Camber, ${side}`).fill('-2.25');
    await page.getByLabel(`Caster, ${side}`).fill('8');
    await page.getByLabel(`SAI, ${side}`).fill('13');
  }
  await page.getByLabel('Inside wheel steers').fill('24');
  // -2.25 + 8 sin 24 + 13 (1 - cos 24) = 2.13 by the small-angle rule; about +2.3 (common practice, no source).
  await hasMain(page, /^\+2\.[1-4]\d°$/);
});

test('one taper for camber and toe: what a 1 degree shim at 30 degrees leaves', async ({
  page,
}) => {
  await onTheBench(page, 'rearShim');
  await page.getByLabel('Camber change wanted').fill('1');
  await page.getByLabel('Toe change wanted, toe-in +').fill('0.5');
  await page.getByLabel('Tapers in stock').fill('1');
  // Toe 1 sin 30 = 0.5; camber 1 cos 30 = 0.866.
  await hasMain(page, /1°, thickest at 1 o’clock \(30°\)/);
  await hasMain(page, /0\.13° of camber/);
});

test('a tie rod in inches and threads per inch', async ({ page }) => {
  await onTheBench(page, 'tieRod');
  await page.getByLabel('Change of this wheel').fill('0.25');
  await page.getByLabel('Steering arm').fill('5 1/2 in');
  await page.getByLabel('Thread pitch').fill('16 tpi');
  // 139.7 mm x sin 0.25 = 0.610 mm; a pitch of 1.5875 mm: 0.38 turns.
  await hasMain(page, '0.38 turns, lengthen');
});

test('a floor that slopes: what goes under the low wheels', async ({ page }) => {
  await atTheAngles(page);
  await page
    .getByRole('group', { name: 'Camber, measured with' })
    .getByRole('button', { name: /Level/ })
    .click();
  const field = page.getByLabel('Floor rises by');
  if (!(await field.isVisible())) await page.getByRole('button', { name: 'Show' }).click();
  await field.fill('6');
  await page
    .getByRole('group', { name: 'High on the' })
    .getByRole('button', { name: 'Left' })
    .click();
  // atan(6 / 1500).
  await expect(
    page.getByText(/0\.23° high on the left. Put 6\.0 mm under the right wheels/),
  ).toBeVisible();
  // The level's form has it.
  const camber = page.getByRole('group', { name: 'Camber', exact: true });
  await camber.getByRole('button', { name: 'Work it out from the readings' }).click();
  const dialog = page.getByRole('dialog', { name: 'Camber by level' });
  await expect(dialog.getByLabel('Floor slope')).toHaveValue('0.229');
});
