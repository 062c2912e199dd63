import { hostname } from 'node:os';
import { chromium, expect, test, type Browser, type Page } from '@playwright/test';
import { startOwnServer, type OwnServer } from '../scripts/ownServer.ts';

const PASSWORD = 'three quiet hives';
const PORT = 4340;
const LAN_PORT = 4343;
const HERE = `http://127.0.0.1:${PORT}`;
const NAME = `${hostname().toLowerCase().split('.')[0]}.local`;
const THERE = `https://${NAME}:${LAN_PORT}`;

let server: OwnServer;
let browser: Browser;

test.beforeAll(async () => {
  server = await startOwnServer(PORT, LAN_PORT);
  // The name of this machine in its home network, as a phone would find it out. That the certificate is trusted is checked
  // where the authority is: here the browser does not know it.
  browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', `--host-resolver-rules=MAP ${NAME} 127.0.0.1`],
  });
});
test.afterAll(async () => {
  await browser.close();
  await server.stop();
});

const person = () => browser.newPage({ ignoreHTTPSErrors: true, locale: 'en-GB' });

/** What the server says to the page itself, with the cookie that it has. */
const answer = (page: Page, path: string) =>
  page.evaluate(async (p) => {
    const res = await fetch(p);
    return { status: res.status, body: (await res.json()) as unknown };
  }, path);

test('the owner makes an account, opens the home network, and a phone and a helper come in by it', async () => {
  // From the home network nothing answers yet.
  expect(
    await fetch(`http://127.0.0.1:${LAN_PORT + 1}/`).then(
      (r) => r.status,
      () => 'nobody',
    ),
  ).toBe('nobody');
  const owner = await person();
  await owner.goto(`${HERE}/people`);
  await owner.getByLabel('Your name').fill('Ada');
  await owner.getByLabel('Name to sign in').fill('ada');
  await owner.getByLabel('Password').fill('short');
  await owner.getByRole('button', { name: 'Make the owner account' }).click();
  await expect(owner.getByText(/A password has 10 to 200 characters/)).toBeVisible();
  await owner.getByLabel('Password').fill(PASSWORD);
  await owner.getByRole('button', { name: 'Make the owner account' }).click();
  await expect(owner.getByText('Signed in as Ada.')).toBeVisible();
  await owner.getByRole('button', { name: 'Open the home network' }).click();
  await expect(owner.getByText(THERE, { exact: true })).toBeVisible();
  const pairing = await fetch(`http://127.0.0.1:${LAN_PORT + 1}/`);
  expect(await pairing.text()).toContain('Incremen on this phone');

  // A phone that nobody is signed in on sees a door and no record.
  const phone = await person();
  await phone.goto(THERE);
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  expect((await answer(phone, '/api/operations')).status).toBe(401);
  await phone.getByLabel('Name').fill('ada');
  await phone.getByLabel('Password').fill('another three hives');
  await phone.getByRole('button', { name: 'Sign in' }).click();
  await expect(phone.getByText('Name and password do not go together.')).toBeVisible();
  await phone.getByLabel('Password').fill(PASSWORD);
  await phone.getByRole('button', { name: 'Sign in' }).click();
  await expect(phone.getByRole('navigation', { name: 'Views' })).toBeVisible();

  // A helper with the code of the day is named in the journal, and may not see who the members are.
  await owner.getByRole('button', { name: 'Code for a day in the yard' }).click();
  const handed = owner.getByRole('region', { name: 'To be handed over' });
  const code = (await handed.getByText(/^[2-9A-Z]{8}$/).textContent()) ?? '';
  const helper = await person();
  await helper.goto(`${THERE}/join?help=${code}`);
  await helper.getByLabel('Your name').fill('Bo');
  await helper.getByRole('button', { name: 'Begin' }).click();
  await expect(helper.getByRole('navigation', { name: 'Views' })).toBeVisible();
  const [operation] = (await answer(helper, '/api/operations')).body as { id: string }[];
  const journal = `/api/operations/${operation?.id}/journal`;
  expect((await answer(helper, `/api/operations/${operation?.id}/access`)).status).toBe(403);
  await helper.goto(`${THERE}/setup`);
  await helper.getByLabel('Name of the yard').fill('Sallow Bank');
  await helper.getByLabel('Names of the hives').fill('E1 to E3');
  await helper.getByRole('button', { name: 'Put 3 hives on their stands' }).click();
  await expect
    .poll(
      async () =>
        ((await answer(owner, journal)).body as { entries: { by: string | null }[] }).entries[0]?.by,
    )
    .toBe('Bo');

  // At the hive the phone loses the home network: what is counted waits there, and goes in when it is back.
  await phone.goto(`${THERE}/yard`);
  // Its authority is not known to this browser, so nothing is installed: what is shown after the count is fetched before.
  await phone.getByRole('link', { name: /^E1/ }).click();
  await expect(phone.getByRole('heading', { level: 1, name: 'E1' })).toBeVisible();
  await phone.goBack();
  // In winter nothing is opened to be counted: what is known is entered.
  await phone.getByRole('link', { name: /^(Count|Enter what you know of) E1$/ }).click();
  for (const n of ['8 frames', '3 frames', '1 frame', 'Eggs: seen', '2 frames', '1 frame', '0 frames']) {
    await phone.getByRole('button', { name: n, exact: true }).first().click();
    if (n === '8 frames') await phone.context().setOffline(true);
  }
  await phone.getByRole('button', { name: /^Save, / }).click();
  await expect(phone.getByText(/The server is out of reach/)).toBeVisible();
  const before = ((await answer(owner, journal)).body as { entries: unknown[] }).entries.length;
  await phone.context().setOffline(false);
  await expect
    .poll(async () => {
      const { entries } = (await answer(owner, journal)).body as { entries: { by: string | null }[] };
      return [entries.length, entries[0]?.by];
    })
    .toEqual([before + 1, 'Ada']);

  // Sent home: the next thing that is asked shows the door.
  await owner.reload();
  await owner.getByRole('button', { name: 'Shut out: Helps today Bo' }).click();
  await expect(owner.getByRole('button', { name: 'Shut out: Helps today Bo' })).toBeHidden();
  await helper.reload();
  await expect(helper.getByText(/You are signed out here/)).toBeVisible();

  // Two share the owner's tablet: what is entered bears the name of who is there.
  await owner.goto(`${HERE}/people`);
  await owner.getByLabel('Name of one who shares this device').fill('Cleo');
  await owner.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(owner.getByRole('button', { name: 'Cleo', exact: true, pressed: true })).toBeVisible();
  await owner.goto(`${HERE}/records`);
  const backups = owner.getByRole('region', { name: 'Backups' });
  await backups.getByRole('button', { name: 'Keep one now' }).click();
  await expect(backups.getByText(/^asked for, /)).toBeVisible();
  await owner.goto(`${HERE}/setup`);
  await owner.getByLabel('Name of the yard').fill('Too Much');
  await owner.getByLabel('Names of the hives').fill('F1 to F2');
  await owner.getByRole('button', { name: 'Put 2 hives on their stands' }).click();
  await expect
    .poll(
      async () =>
        ((await answer(owner, journal)).body as { entries: { by: string | null }[] }).entries[0]?.by,
    )
    .toBe('Cleo (Ada)');

  // Back to what was kept: the yard that came later is gone, and what stood there is kept too.
  await owner.goto(`${HERE}/records`);
  await backups
    .getByRole('listitem')
    .filter({ hasText: 'asked for' })
    .getByRole('button', { name: /^Go back to/ })
    .click();
  await backups.getByRole('button', { name: 'Yes, go back' }).click();
  await expect(backups.getByText(/^before other records came in, /)).toBeVisible();
  await owner.goto(`${HERE}/yards`);
  await expect(owner.getByText('Sallow Bank').first()).toBeVisible();
  await expect(owner.getByText('Too Much')).toBeHidden();

  await phone.goto(`${THERE}/people`);
  await phone.getByRole('button', { name: 'Sign out on every device' }).click();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await owner.goto(`${HERE}/people`);
  await expect(owner.getByText(/You are signed out here/)).toBeVisible();
});
