import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { signInAs, headline, newPlate, step, startVisit } from './shop.ts';

/** Takes a new car in, up to the angles. */
async function readyToMeasure(page: Page): Promise<void> {
  await signInAs(page, 'Tobin');
  await startVisit(page, newPlate());
  await step(page, 'Measure');
  await page.getByRole('button', { name: 'Comes back' }).click();
}

/** Brings a step of the plan to hand and types what it reads now. */
async function readNow(page: Page, title: string, value: string): Promise<void> {
  const row = page
    .getByRole('list', { name: 'What to set' })
    .getByRole('listitem')
    .filter({ hasText: title });
  const closed = row.getByRole('button', { name: title });
  if (await closed.isVisible()) await closed.click();
  const field = row.getByLabel('Now reads');
  await field.fill(value);
  await field.blur();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
}

test.describe('setting right', () => {
  test('rear before front to a finished alignment, before and after in one ledger', async ({
    page,
  }) => {
    await readyToMeasure(page);
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
    const steps = page.getByRole('list', { name: 'What to set' }).getByRole('listitem');
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
    await readNow(page, 'Toe left rear', '0.08');
    await readNow(page, 'Toe right rear', '0.07');
    // The front goes by where the rear points: its readings are stale, and are not judged.
    await expect(headline(page)).toHaveText('Measure again: front toe.');
    await expect(page.getByRole('row', { name: /Toe left front/ })).toContainText('measure again');
    await readNow(page, 'Toe left front', '0.45');
    await readNow(page, 'Toe right front', '0.4');
    await expect(headline(page)).toHaveText('Front toe is out.');
    // Learned from the hand: half a turn took 0.2 of the 0.4 that are too much.
    const hand = steps.filter({ hasText: 'Toe left front' });
    await hand.getByLabel(/Turned by/).fill('1/2');
    await hand.getByRole('button', { name: 'Turned', exact: true }).click();
    await expect(headline(page)).toContainText('out');
    await readNow(page, 'Toe left front', '0.25');
    await expect(hand.getByText('½ turn more, the same way')).toBeVisible();
    await readNow(page, 'Toe left front', '0.05');
    await readNow(page, 'Toe right front', '0.05');
    await expect(headline(page)).toHaveText('Angles are in. Now the steering wheel.');
    await steps.getByRole('button', { name: 'Straight', exact: true }).click();
    await expect(headline(page)).toHaveText(/What was measured is in/);
    await expect(page.getByText(/Hollow: before/)).toBeVisible();
    // The closing list is answered, and kept.
    for (const answer of await page.getByRole('button', { name: 'Done', exact: true }).all()) {
      await answer.click();
    }
    await expect(page.getByText('all answered')).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(page.getByText('all answered')).toBeVisible();
    const rail = page.getByRole('navigation', { name: 'Steps of the visit' });
    await expect(rail.getByRole('link', { name: /Set right.*done/ })).toBeVisible();
  });

  test('four wheels by read-out, from the angles found to a finished alignment in under 40 entries', async ({
    page,
  }) => {
    await readyToMeasure(page);
    let entries = 1;
    const found = {
      Camber: {
        'Left front': '-0.4',
        'Right front': '-0.5',
        'Left rear': '-2.6',
        'Right rear': '-1',
      },
      Toe: { 'Left front': '0.4', 'Right front': '-0.1', 'Left rear': '0.3', 'Right rear': '0.1' },
    };
    for (const [kind, wheels] of Object.entries(found)) {
      for (const [wheel, value] of Object.entries(wheels)) {
        const field = page.getByRole('group', { name: kind, exact: true }).getByLabel(wheel);
        await field.fill(value);
        await field.blur();
        entries++;
      }
    }
    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Begin' }).click();
    entries += 2;
    const hand = page.getByRole('listitem').and(page.locator('[aria-current="step"]'));
    const target: Record<string, string> = { Camber: '-0.75', rear: '0.075', front: '0.05' };
    // Always the step that stands open: no choosing, no dialog.
    while ((await hand.count()) > 0) {
      const title = (await hand.getByRole('heading').textContent()) ?? '';
      if (title.startsWith('Steering')) {
        await hand.getByRole('button', { name: 'Straight', exact: true }).click();
      } else {
        const value = title.startsWith('Camber')
          ? target.Camber!
          : target[title.endsWith('rear') ? 'rear' : 'front']!;
        await hand.getByLabel('Now reads').fill(value);
        await hand.getByLabel('Now reads').press('Enter');
        await hand.getByLabel('Now reads').blur();
      }
      entries++;
      await expect(page.getByText('Saved', { exact: true })).toBeVisible();
      await expect(hand.getByRole('heading', { name: title, exact: true })).toHaveCount(0);
    }
    await expect(page.getByRole('heading', { name: 'All angles are in.' })).toBeVisible();
    for (const answer of await page.getByRole('button', { name: 'Done', exact: true }).all()) {
      await answer.click();
      entries++;
    }
    expect(entries).toBeLessThan(40);
  });

  test('from the rig’s file as it rolls in to its file as it leaves', async ({ page }) => {
    await readyToMeasure(page);
    const give = async (front: number, name: string) => {
      const wheels = {
        lf: { camber: -0.4, caster: 4.2, toe: front },
        rf: { camber: -0.5, caster: 4.1, toe: front },
        lr: { camber: -1, toe: 0.06 },
        rr: { camber: -1.1, toe: 0.06 },
      };
      const text = JSON.stringify({ format: 'keen-groove/angles', version: 1, wheels });
      await page
        .getByLabel('File of angles')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
      const dialog = page.getByRole('dialog', { name: `Angles from ${name}` });
      await dialog.getByRole('button', { name: 'Use' }).click();
      await expect(dialog).toBeHidden();
    };
    await give(0.42, 'before.json');
    const total = page.getByRole('row', { name: /Total toe front/ });
    await expect(total).toContainText('out');
    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Begin' }).click();
    const steps = page.getByRole('list', { name: 'What to set' }).getByRole('listitem');
    await expect(steps).toHaveText([/Toe left front/, /Toe right front/, /Steering wheel/]);

    // What the rig sees afterwards comes in the same way, and the plan is done.
    await step(page, 'Measure');
    await give(0.05, 'after.json');
    await expect(total).toContainText('+0.10°');
    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Straight', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'All angles are in.' })).toBeVisible();
    // Before, now, and the limits in one row.
    await expect(total).toContainText('+0.84°');
    await expect(total).toContainText('+0.10°');
  });

  test('a rear hub shim: toe first where no shim in stock gives both, then the rest', async ({
    page,
  }) => {
    await readyToMeasure(page);
    const fill = async (kind: string, wheel: string, value: string) => {
      const field = page.getByRole('group', { name: kind, exact: true }).getByLabel(wheel);
      await field.fill(value);
      await field.blur();
    };
    // Usual limits aim at -0.75 of camber and 0.075 of toe at each rear wheel.
    await fill('Camber', 'Right rear', '-2.15');
    await fill('Toe', 'Left rear', '0.075');
    await fill('Toe', 'Right rear', '-0.325');
    await step(page, 'Set right');
    await page.getByRole('button', { name: 'Begin' }).click();
    const steps = page.getByRole('list', { name: 'What to set' }).getByRole('listitem');
    const toe = steps.filter({ hasText: 'Toe right rear' });
    await toe.getByRole('button', { name: 'Toe right rear' }).click();
    await expect(toe).toContainText('+0.40°');
    await toe.getByRole('button', { name: 'Hub shim' }).click();
    await toe.getByRole('button', { name: 'Work out the rear hub shim' }).click();
    const dialog = page.getByRole('dialog', { name: 'Rear hub shim' });
    await expect(dialog.getByRole('alert')).toContainText('Take old shims out first');
    await expect(dialog.getByRole('alert')).toContainText('tighten in a star');
    await expect(dialog.getByLabel('Camber change wanted')).toHaveValue('1.4');
    await expect(dialog.getByRole('button', { name: 'Right' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await dialog.getByLabel('Tapers in stock').fill('0.25; 0.5; 1');
    // Toe 0.40 of a 1 degree taper leaves sqrt(1 - 0.16) = 0.92 of camber; the right wheel's clock runs
    // the other way: 360 - asin(0.4) = 336 degrees, near 11.
    await expect(dialog.getByRole('status')).toContainText('1°, thickest at 11 o’clock (336°)');
    await expect(dialog.getByRole('status')).toContainText('Remaining error: +0.48° of camber');
    await expect(dialog.getByRole('status')).toContainText('Part: QT-100, template D');
    await expect(dialog.getByText('right rear hub, seen from outside')).toBeVisible();
    await expect(dialog.getByRole('link', { name: 'Template to print' })).toHaveAttribute(
      'href',
      /shim-template\?side=right&taper=1&clock=336/,
    );
    await dialog.getByRole('button', { name: 'Back to the plan' }).click();

    await readNow(page, 'Toe right rear', '0.075');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    // What was typed as stock is the shop's from now on; parts keep their numbers.
    await page.goto('/sheets');
    await expect(page.getByLabel('Hub shim tapers, degrees')).toHaveValue(
      '0.25; 0.5 QT-050 B; 1 QT-100 D',
    );
  });

  test('a cam bolt that runs out of travel: what is missing, and what would bring it', async ({
    page,
  }) => {
    await readyToMeasure(page);
    const camber = page.getByRole('group', { name: 'Camber', exact: true });
    await camber.getByLabel('Left rear').fill('-3');
    await camber.getByLabel('Left rear').blur();
    await step(page, 'Set right');
    const first = page
      .getByRole('list', { name: 'What to set' })
      .getByRole('listitem')
      .filter({ hasText: 'Camber left rear' });
    await first.getByRole('button', { name: 'Work out the cam bolt' }).click();
    const dialog = page.getByRole('dialog', { name: 'Cam bolt' });
    await dialog.getByLabel('Bolt centre to cam centre').fill('11.63');
    await dialog.getByLabel('Cam to the point the arm turns about').fill('300');
    await expect(dialog.getByRole('status')).toContainText('out of reach');
    await dialog.getByRole('button', { name: 'Back to the plan' }).click();
    // 2.25 wanted, atan(11.63 / 300) = 2.22 there: three hundredths short.
    await expect(first.getByRole('alert')).toContainText('+0.03° remains');
    await expect(first.getByRole('alert')).toContainText('an adjustable camber arm');
    // An arm that is put in is not bound by the cam's travel.
    await first.getByRole('button', { name: 'Adjustable arm' }).click();
    await expect(first.getByRole('alert')).toHaveCount(0);
  });
});
