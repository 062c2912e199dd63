import { expect, test } from './fixtures.ts';

const yarrow = async (records: { colonyId: (name: string) => Promise<string> }, by = 'frames') =>
  `/colonies/${await records.colonyId('Yarrow')}/count?by=${by}`;

test('a quick count is spread as a typical nest, kept as estimated, and keeps frames that were read', async ({
  page,
  records,
}) => {
  await page.goto(await yarrow(records, 'frames'));
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  await page.keyboard.type('h40');
  await page.getByRole('tab', { name: 'Quick' }).click();
  const field = (name: string) => page.getByLabel(`${name}, frames`);
  await field('Bees').fill('8');
  await field('Capped brood').fill('3');
  await field('Open brood').fill('1,5');
  await page.getByRole('button', { name: 'Eggs: not looked' }).first().click();
  await page.getByRole('button', { name: 'Eggs: seen' }).click();
  await field('Stores').fill('2½');
  await expect(page.getByText(/of 10 frames are named/)).toBeVisible();
  await field('Stores').fill('12');
  await expect(page.getByRole('alert')).toContainText('frames are named; there is room for 10');
  await expect(page.getByRole('button', { name: /^Save/ })).toBeDisabled();
  await field('Stores').fill('2.5');
  await page.getByRole('button', { name: 'Save, 9 frames estimated' }).click();
  await expect(page.getByText('Counted today.')).toBeVisible();
  const { records: r } = await records.get();
  const today = r.reading.filter((x) => x.day === '2026-05-15').map((x) => x.body);
  expect(today).toHaveLength(10);
  expect(today.filter((b) => b.estimated)).toHaveLength(9);
  const eggs = today.reduce((n, b) => n + b.sides.reduce((m, s) => m + (s.contents.eggs ?? 0), 0), 0) / 20;
  expect(Math.abs(eggs - 0.75)).toBeLessThan(0.2);
});

test('shorthand is read as it is typed: mistakes at their letter, completions, and one undo', async ({
  page,
  records,
}) => {
  await page.goto(await yarrow(records, 'line'));
  const line = page.getByLabel('The count in shorthand');
  await line.fill('h3 c *8; m *9 q; w5 *8');
  await expect(page.locator('mark')).toHaveText('w5');
  await expect(page.getByText('means nothing here')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save 2 of 10' })).toBeVisible();
  await line.fill('h3 c *8; m *9 q; c6 ');
  await page.getByRole('button', { name: 'Insert *8: 8 tenths bees' }).click();
  await expect(line).toHaveValue('h3 c *8; m *9 q; c6 *8');
  await expect(line).toBeFocused();
  await expect(page.getByRole('button', { name: 'Save 3 of 10' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(line).toHaveValue('h3 c *8; m *9 q; c6 ');
  await line.fill('all nonsense, nothing here %%');
  await expect(page.getByRole('button', { name: /^Save/ })).toBeDisabled();
  await expect(line).toHaveValue('all nonsense, nothing here %%');
  await page.getByText('How to write it').click();
});

test('side by side: each side has its own contents and the queen’s frame is kept', async ({
  page,
  records,
}) => {
  await page.goto(await yarrow(records));
  await page.getByRole('button', { name: 'Read the first side alone' }).click();
  await page.keyboard.type('h44c43q');
  await page.getByRole('button', { name: 'Save 2 of 10' }).click();
  await expect(page).toHaveURL(/\/colonies\/[^/]+$/);
  const { records: r } = await records.get();
  const [first] = r.reading.filter((x) => x.day === '2026-05-15' && x.slot === 1);
  expect(first!.body.sides[0].contents.honey).toBe(10);
  expect(first!.body.sides[1].contents.capped).toBe(10);
});

test('what is seen besides frames: three answers apart, a caution for sick brood, photos, all in the diary', async ({
  page,
  records,
}) => {
  await page.goto(await yarrow(records, 'seen'));
  const say = (group: string, answer: string) =>
    page
      .getByRole('group', { name: `Yarrow: ${group}`, exact: true })
      .getByText(answer, { exact: true })
      .click();
  await say('queen', 'Found');
  await say('build of the queen', 'Long, laying');
  await page.getByRole('group', { name: 'Yarrow: mark of the queen' }).getByTitle('red').click();
  await say('eggs', 'Found');
  await page.getByRole('button', { name: 'Undo' }).click();
  await say('eggs', 'None');
  await say('signs of brood disease', 'Found');
  await page.getByRole('button', { name: 'foul smell' }).click();
  await expect(page.getByText('ask your bee inspector').first()).toBeVisible();
  await page.getByTitle('seen', { exact: true }).first().click();
  await page.getByLabel('Temperature').fill('18');
  await page.getByRole('textbox', { name: /^Note/ }).fill('Odd. [h2 c *9 q]');
  const photos = page.getByLabel('Photos of this visit');
  await photos.setInputFiles({
    name: 'notes.txt',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByRole('alert')).toContainText('notes.txt is not a photo that this browser can read.');
  await photos.setInputFiles({ name: 'huge.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(40_000_000) });
  await expect(page.getByRole('alert')).toContainText('huge.jpg has 40 MB');
  await photos.setInputFiles({ name: 'comb.png', mimeType: 'image/png', buffer: await picture(page) });
  await expect(page.getByRole('button', { name: 'Open photo 1' })).toBeVisible();
  // The page is closed in the middle of it and opened again: nothing is lost, the photo neither.
  await page.reload();
  await expect(page.getByRole('button', { name: 'Open photo 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect(page.getByText('Disease suspected (foul smell)').first()).toBeVisible();
  await expect(page.getByText('She may be another queen')).toBeVisible();
  await expect(
    page.getByText(/queen seen, long, red mark, no eggs, foul smell, pollen coming in/),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: '[h2 c *9 q]' })).toBeVisible();
  await page
    .getByRole('button', { name: /^Open photo 1/ })
    .first()
    .click();
  await expect(page.getByRole('dialog').getByRole('img')).toBeVisible();
  const { records: r } = await records.get();
  expect(r.photo).toMatchObject([{ mediaType: 'image/jpeg', widthPx: 1600, heightPx: 800 }]);
  expect(r.visit.find((v) => v.id === r.photo[0]!.visitId)?.evidence).toMatchObject({
    eggs: { look: 'notFound' },
    youngLarvae: { look: 'notLooked' },
    pollen: { look: 'found' },
  });
});

test('frames and evidence that contradict each other are refused together, and nothing is lost', async ({
  page,
  records,
}) => {
  await page.goto(await yarrow(records));
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  await page.keyboard.type('y24');
  await page.getByRole('tab', { name: 'Queen, brood and notes' }).click();
  await page
    .getByRole('group', { name: 'Yarrow: eggs', exact: true })
    .getByText('None', { exact: true })
    .click();
  await page.getByRole('button', { name: 'Save 1 of 10' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'You noted that there is no eggs, and marked it on frame 1.',
  );
  await page
    .getByRole('group', { name: 'Yarrow: eggs', exact: true })
    .getByText('Found', { exact: true })
    .click();
  await page.getByRole('button', { name: 'Save 1 of 10' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Yarrow' })).toBeVisible();
});

test('a day to come is refused beside the date', async ({ page, records }) => {
  await page.goto(await yarrow(records));
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  await page.keyboard.type('h44');
  await page.getByLabel('Counted on').fill('2027-05-15');
  await expect(page.getByRole('alert')).toContainText('The count is dated 2027-05-15; today is 2026-05-15.');
  await expect(page.getByRole('button', { name: /^Save/ })).toBeDisabled();
  await page.getByRole('button', { name: 'Today' }).click();
  await expect(page.getByRole('button', { name: /^Save/ })).toBeEnabled();
});

test('a queen may be in one of several, until a look finds her', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Tansy')}`);
  await page.getByRole('button', { name: 'Correct' }).click();
  await page.getByText('Not sure that she is here?').click();
  await page.getByRole('button', { name: 'Yarrow', exact: true }).click();
  await page.getByRole('button', { name: 'Mallow', exact: true }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(/Ottoline is in one of these: Tansy, Yarrow, Mallow/)).toBeVisible();
});

/** A picture of 2400 × 1200 pixels, made by the browser. */
async function picture(page: import('@playwright/test').Page): Promise<Buffer> {
  const base64 = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 2400;
    canvas.height = 1200;
    const ink = canvas.getContext('2d')!;
    ink.fillStyle = '#e3a72f';
    ink.fillRect(0, 0, 2400, 1200);
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  return Buffer.from(base64, 'base64');
}
