import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

/** Comes in as one of the made-up staff. */
export async function signInAs(page: Page, name = 'Mira'): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: new RegExp(name) }).click();
  // A host that is busy elsewhere may keep the first answer for a while; nothing here is timed.
  await expect(page.getByRole('list', { name: 'Visits' })).toBeVisible({ timeout: 90_000 });
}

/** A plate nobody else uses in this run. */
export function newPlate(): string {
  return `T ${Date.now().toString(36).slice(-5).toUpperCase()}`;
}

/** Takes in a new car from the front page. */
export async function startVisit(page: Page, plate: string): Promise<void> {
  await page.getByRole('button', { name: 'New visit' }).first().click();
  await page.getByLabel('Plate').fill(plate);
  await page.getByRole('button', { name: 'Start the visit' }).click();
  await expect(page.getByRole('heading', { name: 'What brings the car in?' })).toBeVisible();
}

/** What each step's page says first, so that a test knows it is there. */
const HEADINGS = {
  Arrive: /What brings/,
  Read: /outer|centre|inner|All twelve/,
  Inspect: /Walk round the car/,
  Explain: /./,
  Decide: /./,
  Measure: /Measure the alignment/,
  'Set right': /set|in\.|measured|out\.|again|tell|wheel|first/,
  'Hand over': /customer’s sheet/,
} as const;

/** The headline of the step at hand. */
export function headline(page: Page) {
  return page.getByRole('main').getByRole('heading', { level: 2 });
}

/** Opens a step of the visit at hand by its rail, and waits for it. */
export async function step(page: Page, name: keyof typeof HEADINGS): Promise<void> {
  const rail = page.getByRole('navigation', { name: 'Steps of the visit' });
  await rail.getByRole('link', { name }).click();
  const path = name === 'Set right' ? 'set' : name.toLowerCase().replace(' ', '-');
  await expect(page).toHaveURL(new RegExp(`/${path}$`));
  await expect(headline(page)).toHaveText(HEADINGS[name]);
}

/** Opens a car of the front page. */
export async function open(page: Page, plate: string): Promise<void> {
  await page.getByRole('link', { name: new RegExp(plate) }).click();
  await expect(page).toHaveURL(/visits/);
  await expect(headline(page)).toBeVisible();
}

/** Strokes the four tires in walk-round order by a key each (o, s, i), on the walk of Inspect. */
export async function strokeAll(page: Page, keys: string): Promise<void> {
  for (const [i, key] of [...keys].entries()) {
    if (i > 0) await page.keyboard.press('ArrowDown');
    await page.keyboard.press(key);
  }
}

/** Moves the focus with Tab until it is on the control of that name. */
export async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press('Tab');
    const text = await page.evaluate(() => {
      const at = document.activeElement;
      const label =
        at instanceof HTMLInputElement || at instanceof HTMLTextAreaElement
          ? at.labels?.[0]?.textContent
          : null;
      return (label ?? at?.getAttribute('aria-label') ?? at?.textContent ?? '').trim();
    });
    if (typeof name === 'string' ? text.startsWith(name) : name.test(text)) return;
  }
  throw new Error(`Tab never reached ${String(name)}`);
}

/** Twelve depths of a car that toes in in front, in walk-round order: lf, lr, rr, rf, outer to inner. */
export const TOE_IN_KEYS = ['34', '45', '53', '62', '62', '61', '62', '62', '61', '33', '44', '52'];

/** Presses so far in a page: keys and taps. */
export interface Presses {
  keys: number;
  taps: number;
}

/** Counts every key press and tap from now on, over page loads. */
export async function countPresses(page: Page): Promise<() => Presses> {
  const presses: Presses = { keys: 0, taps: 0 };
  await page.exposeFunction('countPress', (kind: keyof Presses) => {
    presses[kind] += 1;
  });
  await page.addInitScript(() => {
    const { countPress } = window as unknown as { countPress: (kind: string) => void };
    addEventListener('keydown', () => countPress('keys'), true);
    addEventListener('pointerdown', () => countPress('taps'), true);
  });
  return () => ({ ...presses });
}

/**
 * Seconds that somebody at ease with the tool takes, by the keystroke-level model (Card, Moran and
 * Newell, 1980, as recalled): 0.28 s a key, 1.1 s to point at something and press it, 1.35 s to think
 * before each decision; the gauge and the hand take their own time (common practice, no source).
 */
export function secondsFor({ keys, taps }: Presses, { decisions, readings, strokes }: HandWork) {
  return keys * 0.28 + taps * 1.1 + decisions * 1.35 + readings * 4 + strokes * 5;
}

interface HandWork {
  decisions: number;
  /** Ribs that the gauge is set down on. */
  readings: number;
  /** Tires that the hand strokes. */
  strokes: number;
}
