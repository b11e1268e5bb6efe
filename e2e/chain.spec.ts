import { expect, test } from '@playwright/test';
import { signInAs } from './shop.ts';

const PASSWORD = 'seven grey gulls';

test('a chain opens a shop, shares its prices, hands a car over, and its lead works there too', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000);
  await signInAs(page, 'Ansa');
  await page.goto('/shop');
  const chain = page.getByRole('region', { name: 'Several shops' });
  await chain.getByLabel('Name of the chain').fill('Saltmarsh Tires');
  await chain.getByRole('button', { name: 'Make a chain' }).click();
  await page.getByRole('link', { name: 'All shops of the chain' }).click();
  const figures = page.getByRole('table', { name: 'Shops' });
  await expect(figures.getByRole('row', { name: /Quay Street Tires/ })).toBeVisible();

  const email = `runa${Date.now().toString(36)}@example.com`;
  const form = page.getByRole('form', { name: 'Open a shop' });
  await form.getByLabel('Name of the shop').fill('Upper Road Tires');
  await form.getByLabel('Its lead').fill('Runa Velt');
  await form.getByRole('button', { name: 'Open it' }).click();
  await expect(form.getByText('Such as name@example.com')).toBeVisible();
  await form.getByLabel('Email to sign in with').fill(email);
  await form.getByRole('button', { name: 'Open it' }).click();
  await expect(form.getByRole('status')).toHaveText('Upper Road Tires is open.');
  const link = await form.getByLabel('Password link for Runa Velt').inputValue();
  await expect(figures.getByRole('row', { name: /Upper Road Tires/ })).toBeVisible();

  const runa = await (await browser.newContext()).newPage();
  await runa.goto(link);
  await runa.getByLabel('Password').fill(PASSWORD);
  await runa.getByRole('button', { name: 'Save' }).click();
  await runa.getByRole('link', { name: 'Sign in' }).click();
  await runa.getByLabel('Email').fill(email);
  await runa.getByLabel('Password').fill(PASSWORD);
  await runa.getByRole('button', { name: 'Sign in' }).click();
  await expect(runa.getByRole('button', { name: /^Runa/ })).toBeVisible();

  // What the chain settles holds here until this shop settles its own.
  const balance = (where: typeof page) => where.getByLabel('Balance the wheels, EUR');
  await balance(page).fill('64');
  await balance(page).press('Enter');
  await runa.goto('/shop');
  await expect(balance(runa)).toHaveValue('64.00');
  await balance(runa).fill('50');
  await balance(runa).press('Enter');
  const own = runa.getByRole('region', { name: 'Of Saltmarsh Tires' });
  await expect(own.getByRole('listitem')).toContainText('Price: Balance the wheels');
  await own.getByRole('button', { name: /^Back to the chain’s/ }).click();
  await expect(balance(runa)).toHaveValue('64.00');

  await page.goto('/garage');
  await page.getByRole('searchbox').fill('HT 2207');
  await page.getByRole('link', { name: /HT 2207/ }).click();
  await page.waitForURL(/garage\/./);
  const visitsOf = async (where: typeof page) => {
    const answer = await where.request.get(where.url().replace('/garage/', '/api/garage/'));
    return ((await answer.json()) as { visits: unknown[] }).visits.length;
  };
  const visits = await visitsOf(page);
  expect(visits).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = await page.getByLabel('Code for the customer').inputValue();
  await runa.goto('/garage');
  await runa.getByRole('button', { name: 'A car with a code' }).click();
  const dialog = runa.getByRole('dialog');
  await dialog.getByLabel('The customer’s code').fill('wrong wrong wrong');
  await dialog.getByRole('button', { name: 'Take the car' }).click();
  await expect(dialog.getByText(/no such code/)).toBeVisible();
  await dialog.getByLabel('The customer’s code').fill(code.toLowerCase().replace(/-/g, ' '));
  await dialog.getByRole('button', { name: 'Take the car' }).click();
  await expect(runa.getByRole('heading', { name: /HT 2207/ })).toBeVisible();
  expect(await visitsOf(runa)).toBe(visits);
  await page.reload();
  await expect(page.getByText(/^Upper Road Tires took the car/)).toBeVisible();

  // The chain's lead sees no car of the shop until its lead adds them to its people.
  await runa.goto('/shop');
  const invite = runa.getByRole('form', { name: 'Invite a colleague' });
  await invite.getByLabel('Name').fill('Ansa Quell');
  await invite.getByLabel(/Email/).fill('ansa.quell@quay-street.example');
  await invite.getByRole('button', { name: 'Add' }).click();
  await expect(invite.getByRole('status')).toHaveText(/is added/);
  const changeTo = async (shop: RegExp) => {
    await page.getByRole('button', { name: /^Ansa/ }).click();
    await page.getByRole('combobox', { name: 'Shop' }).click();
    await page.getByRole('option', { name: shop }).click();
  };
  await page.goto('/');
  await changeTo(/Upper Road/);
  await expect(page.getByRole('button', { name: /^Ansa ?, advisor/ })).toBeVisible();
  await page.goto('/garage');
  await expect(page.getByText('HT 2207')).toBeVisible();
  await changeTo(/Quay Street/);
  await expect(page.getByRole('button', { name: /^Ansa ?, lead/ })).toBeVisible();
});
