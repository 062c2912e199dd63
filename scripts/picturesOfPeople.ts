import { hostname } from 'node:os';
import type { Browser, Page } from '@playwright/test';
import { startOwnServer } from './ownServer.ts';

const PORT = 4345;
const LAN_PORT = 4348;
/** The name of the server in the picture. */
const CALLED = 'apiary';

/**
 * How others come in, on one sheet: the members as the owner sees them, the page that a phone opens first, and the door. Made on a
 * server of its own that begins empty, since the demonstration signs in by itself.
 *
 * @returns the picture, as PNG
 */
export async function pictureOfPeople(browser: Browser): Promise<Buffer> {
  const server = await startOwnServer(PORT, LAN_PORT);
  try {
    const { here } = server;
    const open = async (width: number, height: number) =>
      (
        await browser.newContext({ ignoreHTTPSErrors: true, locale: 'en-GB', viewport: { width, height } })
      ).newPage();
    const owner = await open(1100, 900);
    await owner.goto(`${here}/people`);
    await owner.getByLabel('Your name').fill('Ada');
    await owner.getByLabel('Name to sign in').fill('ada');
    await owner.getByLabel('Password').fill('three quiet hives');
    await owner.getByRole('button', { name: 'Make the owner account' }).click();
    await owner.getByRole('button', { name: 'Open the home network' }).click();
    await owner
      .getByText(/^https:/)
      .first()
      .waitFor();
    await owner.getByRole('button', { name: 'Code for a day in the yard' }).click();
    await owner.getByRole('region', { name: 'To be handed over' }).waitFor();
    const pairing = await open(390, 900);
    await pairing.goto(`http://127.0.0.1:${LAN_PORT + 1}/`);
    const door = await open(390, 900);
    await door.goto(`https://127.0.0.1:${LAN_PORT}/sign-in`);
    await door.getByRole('heading', { name: 'Sign in' }).waitFor();
    const shots = [];
    for (const page of [owner, pairing, door]) shots.push(await shotOf(page));
    const sheet = await open(1960, 940);
    await sheet.setContent(
      `<body style="margin:20px;background:#d5dad3;display:flex;gap:20px;align-items:flex-start">${shots
        .map((s) => `<img src="data:image/png;base64,${s.toString('base64')}" style="height:900px">`)
        .join('')}`,
    );
    return await sheet.screenshot();
  } finally {
    await server.stop();
  }
}

/** A picture with a made-up name and address of the server. */
async function shotOf(page: Page): Promise<Buffer> {
  await page.evaluate(
    ([own, called]) => {
      const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      const name = new RegExp(own as string, 'gi');
      // Addresses of this network are nobody's business either.
      const address = /\b(?!127\.)\d{1,3}(\.\d{1,3}){3}\b/g;
      for (let node = walker.nextNode(); node; node = walker.nextNode())
        node.nodeValue = (node.nodeValue ?? '')
          .replace(name, called as string)
          .replace(address, '192.168.1.20');
    },
    [hostname().split('.')[0] ?? '', CALLED],
  );
  await page.waitForTimeout(400);
  return page.screenshot();
}
