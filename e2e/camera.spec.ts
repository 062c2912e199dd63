import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import encodeQR from 'qr';
import { expect, test } from './fixtures.ts';

const [WIDTH, HEIGHT] = [640, 480];

/** A film of one picture that shows a code, as the browser's stand-in for a camera reads it (YUV4MPEG2). */
function filmOf(says: string): string {
  const code = encodeQR(says, 'raw', { ecc: 'medium', border: 4 });
  const scale = Math.floor(HEIGHT / code.length);
  const left = Math.floor((WIDTH - code.length * scale) / 2);
  const grey = Buffer.alloc(WIDTH * HEIGHT, 235);
  code.forEach((row, y) =>
    row.forEach((dark, x) => {
      if (!dark) return;
      for (let dy = 0; dy < scale; dy++)
        grey.fill(
          16,
          (y * scale + dy) * WIDTH + left + x * scale,
          (y * scale + dy) * WIDTH + left + (x + 1) * scale,
        );
    }),
  );
  const colour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  const path = join(mkdtempSync(join(tmpdir(), 'camera-')), 'code.y4m');
  writeFileSync(
    path,
    Buffer.concat([Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420\nFRAME\n`), grey, colour]),
  );
  return path;
}

test('a tag before the camera leads to its hive; a code of something else is told apart', async ({
  baseURL,
  records,
}) => {
  const tansy = await records.colonyId('Tansy');
  for (const [says, leads] of [
    [`https://shed.local:4443/colonies/${tansy}`, true],
    ['https://elsewhere.example/shop', false],
  ] as const) {
    const browser = await chromium.launch({
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--use-fake-device-for-media-stream',
        `--use-file-for-fake-video-capture=${filmOf(says)}`,
      ],
    });
    const page = await (
      await browser.newContext({ baseURL: baseURL ?? '', permissions: ['camera'] })
    ).newPage();
    await page.goto('/scan');
    if (leads) await expect(page.getByRole('heading', { level: 1, name: 'Tansy' })).toBeVisible();
    else await expect(page.getByText(/^That code is not a tag of yours/)).toBeVisible();
    await browser.close();
  }
});

test('without leave for the camera the page says what to do', async ({ page, records }) => {
  await records.get();
  await page.goto('/scan');
  await expect(page.getByRole('alert')).toContainText(/camera/);
  await expect(page.getByRole('link', { name: 'Pick the hive in the yard.' })).toBeVisible();
});
