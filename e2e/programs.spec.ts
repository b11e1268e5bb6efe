import { expect, test } from '@playwright/test';
import { signInAs } from './shop.ts';

test('the lead gives a program a key, the program has cases diagnosed, the lead sees it and takes the key back', async ({
  page,
  playwright,
}) => {
  test.setTimeout(240_000);
  await signInAs(page, 'Ansa');
  const { visits } = (await (await page.request.get('/api/visits')).json()) as {
    visits: { id: string }[];
  };
  const files = await Promise.all(
    visits
      .slice(0, 3)
      .map(async ({ id }) => (await page.request.get(`/api/visits/${id}/case`)).text()),
  );

  await page.goto('/shop');
  const programs = page.getByRole('region', { name: 'Other programs' });
  await programs.getByLabel('Which program it is for').fill('Fleet desk');
  await programs.getByRole('button', { name: 'diagnose cases' }).click();
  await programs.getByRole('button', { name: 'Make the key' }).click();
  const secret = await programs.getByLabel('Secret', { exact: true }).inputValue();

  // Another machine, without any cookie of ours.
  const program = await playwright.request.newContext({
    baseURL: new URL(page.url()).origin,
    extraHTTPHeaders: { authorization: `Bearer ${secret}` },
  });
  const posted = await program.post('/api/v1/batches?name=Fridays', {
    headers: { 'content-type': 'application/x-ndjson' },
    data: `${files.join('\n')}\nno case`,
  });
  expect(posted.status()).toBe(200);
  const { id } = (await posted.json()) as { id: string };

  await page.reload();
  const list = programs.getByRole('list', { name: 'Batches of the last week' });
  await expect(list).toContainText('Fleet desk: Fridays');
  await expect(list).toContainText('4 cases done, 1 refused');
  const answers = await program.get(`/api/v1/batches/${id}/results`);
  const { results } = (await answers.json()) as { results: { answer: object | null }[] };
  expect(results.map(({ answer }) => answer !== null)).toEqual([true, true, true, false]);
  expect((await program.get('/api/v1/visits')).status()).toBe(403);

  await programs.getByRole('button', { name: 'Change Fleet desk' }).click();
  await programs.getByRole('button', { name: 'Revoke' }).click();
  await expect(programs).toContainText(/Revoked/);
  expect((await program.get(`/api/v1/batches/${id}`)).status()).toBe(401);
  await program.dispose();
});
