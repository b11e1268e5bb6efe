import { expect, test } from '@playwright/test';
import { signInAs } from './shop.ts';

test('a session that has ended leads to the front door, and from there back to the page', async ({
  page,
}) => {
  await signInAs(page, 'Ansa');
  // As the server answers whose session has run out; clearing the cookie would race what is on its way.
  const ended = { status: 401, contentType: 'application/problem+json', body: '{}' };
  await page.route(/\/api\/(due|session)/, (route) => route.fulfill(ended));
  await page.getByRole('link', { name: 'Due', exact: true }).click();
  await expect(page).toHaveURL(/sign-in/);
  // Nothing of the shop is left to be seen.
  await expect(page.getByRole('link', { name: 'Due', exact: true })).toHaveCount(0);
  // Whoever is asked from here on finds no session either, so that no late question leads back.
  await page.context().clearCookies();
  await page.unroute(/\/api\/(due|session)/);
  await page.getByRole('button', { name: /Mira/ }).click();
  await expect(page).toHaveURL(/due$/);
  await expect(page.getByRole('button', { name: /^Mira/ })).toBeVisible();
});
