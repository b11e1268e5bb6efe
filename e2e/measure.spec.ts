import { expect, test } from '@playwright/test';
import { comeIn, newPlate, step, takeIn } from './shop.ts';

test.describe('measuring', () => {
  test('from strings to the ledger, and against the tread', async ({ page }) => {
    await comeIn(page);
    await takeIn(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'All the rest is done' }).click();
    await expect(page.getByText('all answered')).toBeVisible();
    await page.getByRole('button', { name: 'Comes back' }).click();

    const toe = page.getByRole('group', { name: 'Toe', exact: true });
    await toe.getByRole('button', { name: 'Strings' }).click();
    await toe.getByRole('button', { name: 'Work it out from the readings' }).click();
    const dialog = page.getByRole('dialog', { name: 'Toe by strings' });
    const readings: Record<string, string> = {
      'String to string, front axle': '1900',
      'String to string, rear axle': '1900',
      Wheelbase: '2650',
      'Rim edge to rim edge, front': '440',
      'Rim edge to rim edge, rear': '440',
      'Left front, ahead of the hub': '153',
      'Left front, behind it': '150',
      'Right front, ahead of the hub': '153',
      'Right front, behind it': '150',
      'Left rear, ahead of the hub': '180',
      'Left rear, behind it': '180',
      'Right rear, ahead of the hub': '180',
      'Right rear, behind it': '180',
    };
    for (const [label, text] of Object.entries(readings)) {
      await dialog.getByLabel(label, { exact: true }).fill(text);
    }
    await dialog.getByRole('button', { name: 'Take over' }).click();

    const total = page.getByRole('row', { name: /Total toe front axle/ });
    // Both wheels asin(3 / 440).
    await expect(total).toContainText('+0.78°');
    await expect(total).toContainText('out');
    await expect(page.getByText(/Total toe-in of 0\.78° at the front/)).toBeVisible();

    // Kept, and there again after a reload.
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('row', { name: /Total toe front axle/ })).toContainText('+0.78°');
  });

  test('and on to a finished alignment, before and after in one ledger', async ({ page }) => {
    await comeIn(page);
    await takeIn(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Comes back' }).click();
    const toe = page.getByRole('group', { name: 'Toe', exact: true });
    for (const [wheel, value] of [
      ['Left front', '0.4'],
      ['Right front', '0.4'],
      ['Left rear', '0.35'],
      ['Right rear', '-0.15'],
    ] as const) {
      await toe.getByLabel(wheel).fill(value);
    }
    await toe.getByLabel('Left front').focus();
    await expect(page.getByText(/Thrust of 0\.25° to the right/)).toBeVisible();

    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Begin' }).click();
    const steps = page.getByRole('main').getByRole('list').getByRole('listitem');
    // Rear before front, the steering wheel last.
    await expect(steps).toHaveText([
      /Toe left rear/,
      /Toe right rear/,
      /left front/,
      /right front/,
      /Steering wheel/,
    ]);
    await steps.first().getByRole('button', { name: 'Hub shim' }).click();
    await steps
      .first()
      .getByRole('button', { name: /Work out the rear hub shim/ })
      .click();
    const dialog = page.getByRole('dialog', { name: 'Rear hub shim' });
    await dialog.getByLabel('Tapers in stock').fill('0.25; 0.5; 0.75');
    await expect(dialog.getByRole('status')).toContainText('thickest at');
    await dialog.getByRole('button', { name: 'Back to the plan' }).click();

    // Measured again, step by step; the plan shrinks with each.
    await steps.nth(0).getByLabel('Now reads').fill('0.08');
    await steps.nth(1).getByLabel('Now reads').fill('0.07');
    await expect(steps).toHaveText([/left front/, /right front/, /Steering wheel/]);
    await steps.nth(0).getByLabel('Now reads').fill('0.05');
    await steps.nth(1).getByLabel('Now reads').fill('0.05');
    await expect(page.getByRole('heading', { name: 'All angles are in.' })).toBeVisible();
    await expect(page.getByText(/Clamps off all four wheels/)).toBeVisible();
    await expect(page.getByText(/Hollow: before/)).toBeVisible();
  });

  test('stops where the reading does not come back', async ({ page }) => {
    await comeIn(page);
    await takeIn(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Has moved' }).click();
    await expect(page.getByRole('alert')).toContainText('something is worn');
    await expect(page.getByRole('heading', { name: 'Read the angles' })).toBeHidden();
    await page.getByRole('button', { name: 'Go to Inspect' }).click();
    await expect(page.getByRole('heading', { name: 'What does the hand say?' })).toBeVisible();
  });

  test('an angle typed beside the tread changes the verdict, and undo takes it back', async ({
    page,
  }) => {
    await comeIn(page);
    await page.getByRole('link', { name: /418 KQ/ }).click();
    await step(page, 'Explain');
    const toeIn = page.getByRole('row', { name: /Too much toe-in front axle/ });
    await expect(page.getByText('Worked out in full.')).toBeVisible();
    const before = await toeIn.textContent();
    await step(page, 'Measure');
    const toe = page.getByRole('group', { name: 'Toe', exact: true });
    await toe.getByLabel('Left front').fill('0.32');
    await toe.getByLabel('Right front').fill('0.3');
    await toe.getByLabel('Right front').blur();
    await expect(page.getByRole('row', { name: /Total toe front axle/ })).toContainText('+0.62°');
    await step(page, 'Explain');
    await expect(toeIn).not.toHaveText(before ?? '');
    await page.keyboard.press('ControlOrMeta+z');
    await page.keyboard.press('ControlOrMeta+z');
    await expect(toeIn).toHaveText(before ?? '');
  });
});
