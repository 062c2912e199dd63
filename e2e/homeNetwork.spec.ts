import { expect, test, type BrowserContext } from '@playwright/test';
import { startOwnServer, type OwnServer } from '../scripts/ownServer.ts';
import { canLayNetworks, HomeNetwork } from './homeNetwork.ts';

const PASSWORD = 'three quiet hives';

let server: OwnServer;
let network: HomeNetwork;

test.skip(() => !canLayNetworks(), 'needs root, ip and certutil to lay a network of its own');
test.beforeAll(async () => {
  // First the wire: a server finds its addresses when the door is opened.
  network = new HomeNetwork();
  server = await startOwnServer(4350, 4353);
});
test.afterAll(async () => {
  await server?.stop();
  network?.remove();
});

/** How a phone is met that opens an address in a tab of its own. */
async function refusalOf(phone: BrowserContext, address: string): Promise<string | null> {
  const tab = await phone.newPage();
  const refusal = await tab.goto(address).then(
    () => null,
    (error: Error) => /net::(ERR_\w+)/.exec(error.message)?.[1] ?? error.message,
  );
  await tab.close();
  return refusal;
}

test('a phone in another network: trusts once, signs in, installs; the wire is pulled and counts wait; back, they arrive', async ({
  page: owner,
}) => {
  await owner.goto(`${server.here}/people`);
  await owner.getByLabel('Your name').fill('Ada');
  await owner.getByLabel('Name to sign in').fill('ada');
  await owner.getByLabel('Password').fill(PASSWORD);
  await owner.getByRole('button', { name: 'Make the owner account' }).click();
  const there = `https://${network.address}:${server.lanPort}`;
  const pairing = `http://${network.address}:${server.lanPort + 1}`;
  let phone = await network.browser();
  let page = phone.pages()[0] ?? (await phone.newPage());
  // Until the door is opened nobody answers, neither there nor at the port for this machine alone.
  expect(await refusalOf(phone, there)).toBe('ERR_CONNECTION_REFUSED');
  expect(await refusalOf(phone, `http://${network.address}:4350`)).toBe('ERR_CONNECTION_REFUSED');
  await owner.getByRole('button', { name: 'Open the home network' }).click();
  await expect(owner.getByText(there, { exact: true })).toBeVisible();

  // The pairing page hands over the authority; before it is trusted the browser lets nobody on.
  expect(await refusalOf(phone, there)).toBe('ERR_CERT_AUTHORITY_INVALID');
  await page.goto(pairing);
  await expect(page.getByRole('heading', { name: 'Incremen on this phone' })).toBeVisible();
  const loaded = page.waitForEvent('download');
  await page.getByRole('link', { name: '1. Load the certificate' }).click();
  const certificate = await (await loaded).createReadStream();
  network.trust(Buffer.concat(await certificate.toArray()));
  await phone.close();
  phone = await network.browser();
  page = phone.pages()[0] ?? (await phone.newPage());
  await page.goto(pairing);
  await page.getByRole('link', { name: 'Open Incremen' }).click();
  await page.getByLabel('Name').fill('ada');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('navigation', { name: 'Views' })).toBeVisible();

  // A yard, and the application is on the phone: a secure address, which may install.
  await page.goto(`${there}/setup`);
  await page.getByLabel('Name of the yard').fill('Sallow Bank');
  await page.getByLabel('Names of the hives').fill('E1 to E3');
  await page.getByRole('button', { name: 'Put 3 hives on their stands' }).click();
  await page.goto(`${there}/yard`);
  await expect(page.getByRole('link', { name: /^E1/ }).first()).toBeVisible();
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((r) => setTimeout(r, 50));
  });

  // Out in the yard the wire is pulled, and the phone is put away and opened again.
  network.plug(false);
  await page.close();
  page = await phone.newPage();
  page.setDefaultTimeout(12_000);
  await page.goto(`${there}/yard`);
  // In winter nothing is opened to be counted: what is known is entered.
  await page.getByRole('link', { name: /^(Count|Enter what you know of) E1$/ }).click();
  for (const n of ['8 frames', '3 frames', '1 frame', 'Eggs: seen', '2 frames', '1 frame', '0 frames'])
    await page.getByRole('button', { name: n, exact: true }).first().click();
  await page.getByRole('button', { name: /^Save, / }).click();
  await expect(page.getByText(/The server is out of reach/)).toBeVisible();
  const journal = async () => {
    const [operation] = (await owner.evaluate(() => fetch('/api/operations').then((r) => r.json()))) as {
      id: string;
    }[];
    return (await owner.evaluate(
      (id) => fetch(`/api/operations/${id}/journal`).then((r) => r.json()),
      operation?.id,
    )) as { entries: { summary: string; by: string | null }[] };
  };
  expect((await journal()).entries.some((e) => e.summary.startsWith('E1 counted'))).toBe(false);

  network.plug(true);
  await expect
    .poll(async () => (await journal()).entries.filter((e) => e.summary.startsWith('E1 counted')).length, {
      timeout: 90_000,
    })
    .toBe(1);
  await expect(page.getByText(/The server is out of reach/)).toBeHidden({ timeout: 60_000 });
  await phone.close();
});
