import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { CaseFile, Diagnosis, Paper, SharedSheet, SheetLink } from '@keen/contract';
import { signInAs, headline, open, step } from './shop.ts';

/** Cars of every kind: saw, soft, loose, waves, read in 32nds, tires of mixed age. */
const PLATES = ['418 KQ', 'HT 2207', 'RC 5', '552 BD', '907 HG', 'WG 58 N'];

/** Keeps what the page's worker works out, as text, for the test to read. */
async function listenToTheWorker(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const full: string[] = [];
    Object.assign(window, { fullAnswers: full });
    const Plain = window.Worker;
    window.Worker = class extends Plain {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        this.addEventListener('message', ({ data }: MessageEvent) => {
          const reply = data as { kind?: string; answer?: { diagnosis: unknown } };
          if (reply.kind === 'full') full.push(JSON.stringify(reply.answer!.diagnosis));
        });
      }
    };
  });
}

/** The diagnosis on the screen, once it is the full one. */
async function onTheScreen(page: Page): Promise<Diagnosis> {
  await expect(page.getByText('Worked out in full.')).toBeVisible();
  const text = await page.evaluate(() =>
    (window as unknown as { fullAnswers: string[] }).fullAnswers.at(-1),
  );
  return JSON.parse(text!) as Diagnosis;
}

/** What the headless command prints for a case. */
function byTheCommand(file: CaseFile): Diagnosis {
  const printed = execFileSync('npm', ['run', '-s', 'keen', '--', 'diagnose', '-'], {
    input: JSON.stringify(file),
    cwd: new URL('..', import.meta.url),
    encoding: 'utf8',
    stdio: ['pipe', 'pipe', 'ignore'],
  });
  return JSON.parse(printed) as Diagnosis;
}

/** The customer's sheet as the server makes it. */
async function onThePaper(page: Page, visit: string): Promise<Paper> {
  const made = await page.request.post(`/api/visits/${visit}/links`, {
    data: { id: randomUUID(), days: 7 },
  });
  expect(made.ok()).toBe(true);
  const [link] = (await made.json()) as SheetLink[];
  const shared = await page.request.get(`/api/shared/${link!.token}`);
  return ((await shared.json()) as SharedSheet).paper;
}

for (const plate of PLATES) {
  test(`${plate}: screen, API, command and paper say the same to the last digit`, async ({
    page,
  }) => {
    await listenToTheWorker(page);
    await signInAs(page);
    await open(page, plate);
    await step(page, 'Explain');
    const screen = await onTheScreen(page);
    const said = await headline(page).textContent();
    const visit = /visits\/([^/]+)/.exec(page.url())![1]!;
    const get = async (what: string): Promise<unknown> =>
      (await page.request.get(`/api/visits/${visit}/${what}`)).json();
    expect(await get('diagnosis')).toEqual(screen);
    expect(byTheCommand((await get('case')) as CaseFile)).toEqual(screen);

    const paper = await onThePaper(page, visit);
    expect(paper.headline).toBe(said);
    await step(page, 'Hand over');
    const sheet = page.getByRole('article');
    await expect(sheet).toContainText(paper.headline);
    for (const { strong, text } of linesOf(paper)) {
      if (strong) await expect(sheet).toContainText(strong);
      if (text) await expect(sheet).toContainText(text);
    }
  });
}

/** Every line of a sheet that has figures of the answer in it. */
function linesOf({ intro, blocks }: Paper) {
  const inBlocks = blocks.flatMap((block) => {
    if (block.kind === 'lines') return block.lines;
    return block.kind === 'pair' ? [...block.left.lines, ...block.right.lines] : [];
  });
  return [intro, ...inBlocks];
}
