import { spawn } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, devices, type Page } from '@playwright/test';
import { ROOT } from './dataFolder.ts';
import { pictureOfPeople } from './picturesOfPeople.ts';
import { buildWeb } from './serve.ts';

// npm run screenshots: one picture of each main view, from the demonstration, into docs/screenshots.
const PORT = 4340;
const folder = join(ROOT, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
buildWeb();
const server = spawn(join(ROOT, 'node_modules/.bin/tsx'), ['scripts/serveForTests.ts'], {
  cwd: ROOT,
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
  ],
});

async function open(phone: boolean): Promise<Page> {
  const context = await browser.newContext({
    baseURL: `http://127.0.0.1:${PORT}`,
    locale: 'en-GB',
    ...(phone
      ? { ...devices['Pixel 7'], viewport: { width: 390, height: 844 }, deviceScaleFactor: 1 }
      : { viewport: { width: 1280, height: 800 } }),
  });
  return context.newPage();
}

async function shoot(page: Page, name: string, fullPage = false): Promise<void> {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(folder, `${name}.png`), fullPage });
}

async function colony(page: Page, name: string): Promise<void> {
  await page.goto('/yard');
  await page
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .first()
    .click();
  await page.getByRole('heading', { level: 1, name, exact: true }).waitFor();
}

/** The address of the inspection that tells which part of the split has the queen. */
async function inspectionDue(page: Page): Promise<string> {
  const [operation] = (await (await page.request.get('/api/operations')).json()) as { id: string }[];
  const file = (await (await page.request.get(`/api/operations/${operation?.id}/snapshot`)).json()) as {
    records: { followUp: { id: string; topic: string; status: string }[] };
  };
  const due = file.records.followUp.find((f) => f.topic === 'which-part' && f.status === 'open');
  if (!due) throw new Error('no inspection is due');
  return `/look/${due.id}`;
}

const QUESTION = '1 What is it mostly?';

try {
  for (let i = 0; ; i++) {
    const up = await fetch(`http://127.0.0.1:${PORT}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) break;
    if (i > 300) throw new Error('the server did not come up');
    await new Promise((r) => setTimeout(r, 100));
  }
  const page = await open(false);
  await page.goto('/');
  await page.getByRole('region', { name: 'Must open' }).waitFor();
  await page.getByText(/^Hives can be opened/).waitFor();
  await shoot(page, 'today');
  await page.goto('/yard');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await shoot(page, 'board');
  await colony(page, 'Tansy');
  await shoot(page, 'colony');
  await page.goto(`${page.url()}/choices`);
  await page.getByRole('heading', { name: 'Days that matter' }).waitFor();
  await page.waitForTimeout(800);
  await shoot(page, 'choices');
  await colony(page, 'Tansy');
  await page.getByRole('link', { name: 'Count', exact: true }).click();
  await page.getByText(QUESTION).waitFor();
  await page.keyboard.type('h43h33y24m34c34c');
  await shoot(page, 'count');
  await page.goto('/plan');
  await page.getByRole('button', { name: /^Make nucs/ }).click();
  await page.getByLabel('Add a goal').selectOption('level');
  await page.getByText(/best (plan )?there (can be|is)/).waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop', exact: true }).waitFor({ state: 'hidden', timeout: 60_000 });
  await shoot(page, 'plan-bench');
  await colony(page, 'Sorrel');
  const sorrel = page.url();
  await page.goto(`${sorrel}/ways`);
  await page.getByRole('list', { name: 'Split methods, best first' }).waitFor();
  await shoot(page, 'ways');
  await page.goto(`${sorrel}/plan`);
  await page.getByRole('list', { name: 'Rules' }).waitFor();
  await page.getByRole('button', { name: /^Start/ }).click();
  for (let i = 0; i < 3; i++)
    await page
      .getByRole('button', { name: /^Done:/ })
      .first()
      .click();
  await shoot(page, 'work');
  await page.goto('/callout');
  await page.getByRole('button', { name: 'More: new colonies' }).click();
  await page.getByRole('button', { name: 'Begin to call' }).click();
  await page.getByText('Say what is on it').waitFor();
  const pad = new URL(page.url());
  const answer = page.getByRole('group', { name: 'Where it goes' });
  for (let i = 1; i <= 9; i++) {
    await page.getByRole('button', { name: /As last time/ }).click();
    await answer.getByRole('button').first().click();
    await page.getByText(new RegExp(`^${i} frames? called`)).waitFor();
  }
  await page.getByRole('button', { name: /^Mixed brood/ }).click();
  await answer.waitFor();
  await shoot(page, 'pad');
  await page.goto('/feed');
  await page.getByText('No', { exact: true }).click();
  await shoot(page, 'feed');
  await page.goto('/queens');
  await page.getByRole('table', { name: 'Queens in colonies' }).waitFor();
  await shoot(page, 'queens');
  await page.goto('/season');
  await page.getByRole('region', { name: 'Plans to choose from' }).waitFor({ timeout: 120_000 });
  await page.getByRole('progressbar', { name: 'Search' }).waitFor({ state: 'hidden', timeout: 120_000 });
  await page.getByText(/^10,000 seasons run\./).waitFor({ timeout: 60_000 });
  await shoot(page, 'season', true);
  await page.goto('/records');
  await page.getByRole('region', { name: 'Visits' }).waitFor();
  await shoot(page, 'records');
  await page.goto(await inspectionDue(page));
  for (const [part, seen] of [
    ['Campion', { eggs: 'None', 'queen cells': 'Found' }],
    ['Campion II', { eggs: 'Found', 'queen cells': 'None' }],
  ] as const) {
    await page.getByRole('region', { name: part, exact: true }).getByText('All 10').click();
    for (const [what, answer] of Object.entries(seen))
      await page
        .getByRole('group', { name: `${part}: ${what}` })
        .getByText(answer)
        .click();
  }
  await page.evaluate(() => window.scrollTo(0, 0));
  await shoot(page, 'inspection');
  await page.goto('/inspections');
  await shoot(page, 'inspections');
  const phone = await open(true);
  await phone.goto('/');
  await phone.getByRole('region', { name: 'Must open' }).waitFor();
  await shoot(phone, 'phone-today');
  await colony(phone, 'Tansy');
  await phone.getByRole('link', { name: 'Count', exact: true }).click();
  await phone.getByRole('button', { name: 'Mixed brood' }).tap();
  await shoot(phone, 'phone-count');
  await phone.goto(pad.pathname);
  await phone.getByRole('button', { name: /^Capped/ }).tap();
  await phone.getByRole('group', { name: 'Where it goes' }).waitFor();
  await phone.goto('/worksheet');
  await phone
    .getByRole('link', { name: /Go on|Open the work at Sorrel/ })
    .first()
    .click();
  await phone.getByRole('progressbar').waitFor();
  await shoot(phone, 'phone-work');
  writeFileSync(join(folder, 'people.png'), await pictureOfPeople(browser));
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await new Promise((done) => server.once('exit', done));
}
