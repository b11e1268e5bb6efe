import { expect, test } from '@playwright/test';

test('the screens in Spanish: picked at the door, kept on the device, and back to English', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Español' }).click();
  await expect(page.locator('html')).toHaveAttribute('lang', 'es');
  await page.getByRole('button', { name: /Mira/ }).click();
  await page.getByRole('link', { name: /418 KQ/ }).click();
  const steps = page.getByRole('navigation', { name: 'Pasos de la visita' });

  // The answer speaks of this car in the language of the page, reasons and advice too.
  await steps.getByRole('link', { name: /Explicar/ }).click();
  await expect(
    page.getByText(/^Convergencia excesiva|^Demasiada convergencia/).first(),
  ).toBeVisible();
  await expect(page.getByText(/bordes exteriores|borde exterior/).first()).toBeVisible();
  await steps.getByRole('link', { name: /Decidir/ }).click();
  await expect(page.getByRole('heading', { name: /Aline/ })).toBeVisible();
  await expect(page.getByText(/probable en un \d+\s%/).first()).toBeVisible();

  // What the core says of a step comes along.
  await steps.getByRole('link', { name: /Medir/ }).click();
  await expect(page.getByText('Volante recto y bloqueado').first()).toBeVisible();
  await page.reload();
  await expect(page.getByText('Volante recto y bloqueado').first()).toBeVisible();

  // So does what the server refuses.
  await page.goto('/garage/00000000-0000-4000-8000-000000000000');
  await expect(page.getByText('No existe ese coche')).toBeVisible();

  // And what was expected in the place of something wrong.
  await page.goto('/');
  await page.getByLabel('Archivo de caso').setInputFiles({
    name: 'case.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify({ format: 'keen-groove/case', version: 1, units: { depth: 'cm' } }),
    ),
  });
  await expect(page.getByText('units.depth: se esperaba uno de mm, in32')).toBeVisible();

  await page.goto('/');
  await page.getByRole('button', { name: /Mira/ }).click();
  await page.getByRole('button', { name: 'English' }).click();
  await expect(page.getByRole('button', { name: 'New visit' }).first()).toBeVisible();
});
