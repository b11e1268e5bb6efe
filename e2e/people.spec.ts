import { expect, test } from '@playwright/test';
import { signInAs } from './shop.ts';

test.use({ serviceWorkers: 'allow' });

const PASSWORD = 'seven grey gulls';

/** The code of an authenticator app, by the server's own clock (RFC 6238). */
async function codeOf(secret: string): Promise<string> {
  const bits = [...secret.replace(/\s/g, '')]
    .map((letter) =>
      'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0'),
    )
    .join('');
  const bytes = Uint8Array.from(bits.match(/.{8}/g) ?? [], (byte) => parseInt(byte, 2));
  const key = await crypto.subtle.importKey('raw', bytes, { name: 'HMAC', hash: 'SHA-1' }, false, [
    'sign',
  ]);
  const counter = new DataView(new ArrayBuffer(8));
  counter.setUint32(4, Math.floor(Date.now() / 30_000));
  const mac = new DataView(await crypto.subtle.sign('HMAC', key, counter.buffer));
  const at = mac.getUint8(19) & 15;
  return String((mac.getUint32(at) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('a colleague is invited, chooses a password, adds a second factor, changes role, is suspended', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  const email = `nell${Date.now().toString(36)}@example.com`;
  await signInAs(page, 'Ansa');
  await page.goto('/shop');
  const form = page.getByRole('form', { name: 'Invite a colleague' });
  await form.getByLabel('Name').fill('Nell New');
  await form.getByLabel(/Email/).fill('nell.new');
  await form.getByRole('button', { name: 'Add' }).click();
  await expect(form.getByText('Such as name@example.com')).toBeVisible();
  await form.getByLabel(/Email/).fill(email);
  await form.getByRole('button', { name: 'Add' }).click();
  await expect(form.getByRole('status')).toHaveText(/is added/);
  await form.getByRole('button', { name: 'Link to choose a password' }).click();
  const link = await form.getByLabel('Password link for Nell New').inputValue();

  const own = await (await browser.newContext()).newPage();
  await own.goto(link);
  await own.getByLabel('Password').fill('password123');
  await own.getByRole('button', { name: 'Save' }).click();
  await expect(own.getByText(/easily guessed/)).toBeVisible();
  await own.getByLabel('Password').fill(PASSWORD);
  await own.getByRole('button', { name: 'Save' }).click();
  await own.getByRole('link', { name: 'Sign in' }).click();
  const enter = async () => {
    await own.getByLabel('Email').fill(email);
    await own.getByLabel('Password').fill(PASSWORD);
    await own.getByRole('button', { name: 'Sign in' }).click();
  };
  await enter();
  await expect(own.getByRole('list', { name: 'Visits' })).toBeVisible();

  await own.goto('/account');
  await own.getByRole('button', { name: 'Set it up' }).click();
  const key = await own.getByText(/^[A-Z2-7 ]{30,}$/).textContent();
  await own.getByLabel('Six-digit code').fill(await codeOf(key ?? ''));
  await own.getByRole('button', { name: 'Turn it on' }).click();
  const codes = own.getByRole('list', { name: 'Recovery codes' });
  const recovery = await codes.getByRole('listitem').first().textContent();
  await own.getByRole('button', { name: 'I have them' }).click();
  await expect(own.getByText('It is on.')).toBeVisible();
  await own.getByRole('button', { name: /^Nell/ }).click();
  await own.getByRole('button', { name: 'Sign out' }).click();
  await enter();
  await own.getByLabel('Code of your second factor').fill(recovery ?? '');
  await own.getByRole('button', { name: 'Sign in' }).click();
  await expect(own.getByRole('list', { name: 'Visits' })).toBeVisible();

  // What an advisor may not do is not offered.
  await own.goto('/shop');
  await expect(own.getByText('changed by the lead of the shop')).toBeVisible();
  await expect(own.getByRole('button', { name: 'Import a shop' })).toHaveCount(0);
  await own.goto('/sheets');
  await expect(own.getByRole('link', { name: 'New sheet' })).toHaveCount(0);

  await page.reload();
  await page.getByRole('button', { name: 'Change Nell New' }).click();
  const row = page.getByRole('listitem').filter({ hasText: email });
  await row.getByRole('button', { name: 'Technician' }).click();
  await expect(row.getByText('Technician, second factor')).toBeVisible();
  await own.reload();
  await expect(own.getByRole('link', { name: 'New sheet' })).toBeVisible();
  await row.getByRole('button', { name: 'Suspend' }).click();
  await expect(row.getByText(/suspended/).first()).toBeVisible();
  // At once, without anything being asked.
  await expect(own.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Log' })).toContainText('Changed a colleague');
});

test('signing out without a network signs out, and the server hears of it later', async ({
  page,
}) => {
  await signInAs(page, 'Joss');
  const requests: string[] = [];
  await page.context().setOffline(true);
  await page.getByRole('button', { name: /^Joss/ }).click();
  // Had it not failed by the time the network is back, it would still reach the server.
  const failed = page.waitForEvent('requestfailed', (request) => request.method() === 'DELETE');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await failed;
  await expect(page).toHaveURL(/sign-in/);
  page.on('request', (request) =>
    requests.push(`${request.method()} ${new URL(request.url()).pathname}`),
  );
  await page.context().setOffline(false);
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect(requests).toContain('DELETE /api/session');
  // The server has heard of it: the cookie opens nothing any more.
  expect((await page.request.get('/api/session')).status()).toBe(401);
});
