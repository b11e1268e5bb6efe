import { expect, test } from '@playwright/test';
import { signInAs, headline, newPlate, step, startVisit } from './shop.ts';

test.describe('measuring', () => {
  test('from strings to the ledger, and against the tread', async ({ page }) => {
    await signInAs(page, 'Tobin');
    await startVisit(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Mark the rest done' }).click();
    await expect(page.getByText('all answered')).toBeVisible();
    await page.getByRole('button', { name: 'Comes back' }).click();

    const toe = page.getByRole('group', { name: 'Toe', exact: true });
    await page
      .getByRole('group', { name: 'Toe, measured with' })
      .getByRole('button', { name: 'Strings' })
      .click();
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
    await dialog.getByRole('button', { name: 'Use' }).click();

    const total = page.getByRole('row', { name: /Total toe front axle/ });
    // Both wheels asin(3 / 440).
    await expect(total).toContainText('+0.78°');
    await expect(total).toContainText('out');
    await expect(page.getByText(/Total toe-in of 0\.78° at the front/)).toBeVisible();

    // Kept, and there again after a reload.
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('row', { name: /Total toe front axle/ })).toContainText('+0.78°');

    // On to the finished alignment: the same turns on both rods, measured again by strings.
    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Begin' }).click();
    const steps = page.getByRole('list', { name: 'What to set' }).getByRole('listitem');
    await expect(steps).toHaveText([/Toe left front/, /Toe right front/, /Steering wheel/]);
    await steps.first().getByRole('button', { name: 'Work out the tie rod' }).click();
    const rod = page.getByRole('dialog', { name: 'Tie rod' });
    await rod.getByLabel('Steering arm').fill('140');
    await rod.getByLabel('Thread pitch').fill('1.5');
    await rod.getByRole('button', { name: 'Behind the axle' }).click();
    // 140 mm x sin(0.05 - 0.3907 degrees) over 1.5 mm.
    await expect(rod.getByRole('status')).toContainText('0.55 turns, shorten');
    await expect(rod.getByRole('status')).toContainText('anticlockwise, looking in');
    await rod.getByRole('button', { name: 'Back to the plan' }).click();
    // The other wheel's dialog knows this car's arm and thread.
    await steps.nth(1).getByRole('button', { name: 'Toe right front' }).click();
    await steps.nth(1).getByRole('button', { name: 'Work out the tie rod' }).click();
    await expect(rod.getByLabel('Steering arm')).toHaveValue('140');
    await rod.getByRole('button', { name: 'Back to the plan' }).click();
    // In place, by the strings that hang already: two readings a wheel, three keys each.
    for (const wheel of ['Right front', 'Left front']) {
      const row = steps.filter({ hasText: `Toe ${wheel.toLowerCase()}` });
      const closed = row.getByRole('button', { name: `Toe ${wheel.toLowerCase()}` });
      if (await closed.isVisible()) await closed.click();
      await row.getByLabel(`${wheel}, ahead of the hub`).fill('');
      await page.keyboard.type('152');
      await row.getByLabel(`${wheel}, behind it`).fill('');
      await page.keyboard.type('151');
      // asin(1 / 440)
      await expect(row.getByRole('status').last()).toHaveText('Reads +0.13°');
      await page.keyboard.press('Enter');
      await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    }
    await expect(total).toContainText('+0.26°');
    await expect(headline(page)).toHaveText(/Can’t tell yet|Angles are in/);
  });

  test('from a rig’s own table, its signs and units said once, to the ledger', async ({ page }) => {
    await signInAs(page, 'Tobin');
    await startVisit(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Comes back' }).click();
    const table = [
      'Corner;Camber [min];Castor [min];Toe [mm]',
      'FL;-24;252;-1,2',
      'FR;-30;246;-1,1',
      'RL;-60;;-0,4',
      'RR;-66;;tilted',
    ].join('\r\n');
    const give = (text: string, name: string) =>
      page
        .getByLabel('File of angles')
        .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    await give(table, 'rig-17.csv');
    const dialog = page.getByRole('dialog', { name: 'Angles from rig-17.csv' });
    await expect(dialog.getByRole('alert')).toContainText(
      'Line 2, Toe [mm]: expected the diameter',
    );
    await dialog.getByLabel(/Taken at a diameter/).fill('440');
    await dialog.getByLabel('Toe: change the sign').check();
    await expect(dialog.getByRole('alert')).toHaveText(/Line 5, Toe \[mm\]: expected a number/);
    await expect(dialog.getByRole('row', { name: /Left front/ })).toContainText('+0.16°');
    await dialog.getByRole('button', { name: 'Use' }).click();
    await expect(page.getByRole('row', { name: /Camber left front/ })).toContainText('−0.40°');
    await expect(page.getByRole('row', { name: /Caster right front/ })).toContainText('+4.10°');
    await expect(page.getByRole('row', { name: /Total toe front/ })).toContainText('+0.30°');

    // The next file of the same rig needs no word more.
    await give(table.replace('tilted', '-0,4'), 'rig-18.csv');
    const again = page.getByRole('dialog', { name: 'Angles from rig-18.csv' });
    await expect(again.getByRole('alert')).toBeHidden();
    await again.getByRole('button', { name: 'Use' }).click();
    await expect(page.getByRole('row', { name: /Total toe rear/ })).toContainText('+0.10°');

    await give(
      '{"format":"keen-groove/angles","version":1,"wheels":{"lf":{"toe":"in"}}}',
      'x.json',
    );
    await expect(page.getByText('wheels.lf.toe: expected a finite number')).toBeVisible();
    await page.getByRole('button', { name: 'Understood' }).click();
    await expect(page.getByRole('row', { name: /Total toe rear/ })).toContainText('+0.10°');
  });

  test('from the simulated rig, with the faults that rigs have', async ({ page }) => {
    await signInAs(page, 'Tobin');
    await page.goto('/devices');
    const wheel = page.getByRole('group', { name: 'Left front', exact: true });
    await wheel.getByLabel('Toe').fill('1.25');
    await wheel.getByLabel('Toe').blur();
    await page.getByRole('button', { name: 'Target blocked' }).click();
    await page.getByRole('button', { name: 'Right rear' }).click();
    await page.goto('/');
    await startVisit(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Read the rig' }).click();
    const dialog = page.getByRole('dialog', { name: 'What the rig sees now' });
    await expect(dialog.getByRole('alert')).toContainText('does not see right rear');
    await dialog.getByRole('button', { name: 'Use' }).click();
    const toe = page.getByRole('row', { name: /^Toe left front/ });
    await expect(toe).toContainText(/\+1\.2[3-7]°/);
    await expect(page.getByRole('row', { name: /right rear/ })).toHaveCount(0);
  });

  test('a cart by one tape and a square: the total, half to each, limits of carts', async ({
    page,
  }) => {
    await signInAs(page, 'Tobin');
    await startVisit(page, newPlate());
    await page.getByRole('button', { name: 'Cart' }).click();
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Comes back' }).click();
    const toe = page.getByRole('group', { name: 'Toe', exact: true });
    const withWhat = page.getByRole('group', { name: 'Toe, measured with' });
    await expect(withWhat.getByRole('button', { name: 'One tape, a helper' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await toe.getByRole('button', { name: 'Work it out from the readings' }).click();
    const tape = page.getByRole('dialog', { name: 'Toe by tape' });
    await tape.getByRole('button', { name: 'inches' }).click();
    await tape.getByLabel('Ahead of the axle').fill('38 1/8');
    await tape.getByLabel('Behind the axle').fill('39 1/4');
    await tape.getByLabel('Between the marks, along the wheel').fill('18');
    await tape.getByRole('button', { name: 'Use' }).click();
    // 1 1/8 in over 18 in: 2 asin(0.5625 / 18).
    await expect(page.getByRole('row', { name: /Total toe front/ })).toContainText('+3.58°');
    await expect(page.getByRole('row', { name: /^Toe left front/ })).toHaveCount(0);

    const camber = page.getByRole('group', { name: 'Camber', exact: true });
    await camber.getByRole('button', { name: 'Work it out from the readings' }).click();
    const square = page.getByRole('dialog', { name: 'Camber by square' });
    await square.getByRole('button', { name: 'inches' }).click();
    await square.getByLabel('Gap at the top of the rim').fill('3/16');
    await square.getByLabel('Gap at the bottom of the rim').fill('0');
    await square.getByLabel('Rim edge to rim edge').fill('8');
    await square.getByRole('button', { name: 'Use' }).click();
    await expect(page.getByRole('row', { name: /Camber left front/ })).toContainText('−1.34°');

    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Left', exact: true }).click();
    await expect(page.getByText('The right side is fine')).toBeVisible();
    await page.getByRole('button', { name: 'Begin' }).click();
    const steps = page.getByRole('list', { name: 'What to set' }).getByRole('listitem');
    // A total is set as one, all of it at the wheel that is wrong.
    await expect(steps).toHaveText([/Total toe front.*at the left wheel/, /Steering wheel/]);
    await expect(steps.first()).not.toContainText('the same on both sides');
    // By the same tape, in inches as before: two entries.
    await steps.first().getByLabel('Ahead of the axle').fill('38 15/16');
    await steps.first().getByLabel('Behind the axle').fill('39 1/32');
    await expect(steps.first().getByRole('status').last()).toHaveText('Reads +0.30°');
    await steps.first().getByRole('button', { name: 'Save' }).click();
    await expect(steps).toHaveText([/Steering wheel/]);
    await expect(steps).toContainText('half a turn out of one rod, half a turn into the other');
    await steps.getByRole('button', { name: 'Straight', exact: true }).click();
    await expect(headline(page)).toHaveText(/is in\./);
  });

  test('stops where the reading does not come back', async ({ page }) => {
    await signInAs(page, 'Tobin');
    await startVisit(page, newPlate());
    await step(page, 'Measure');
    await page.getByRole('button', { name: 'Has moved' }).click();
    await expect(page.getByRole('alert')).toContainText('something is worn');
    await expect(page.getByRole('heading', { name: 'Read the angles' })).toBeHidden();
    await page.getByRole('button', { name: 'Go to Inspect' }).click();
    await expect(page.getByRole('heading', { name: 'Walk round the car' })).toBeVisible();
  });

  test('an angle typed beside the tread changes the verdict, and undo takes it back', async ({
    page,
  }) => {
    await signInAs(page, 'Tobin');
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
