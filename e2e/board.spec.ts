import { expect, test } from './fixtures.ts';

test('the board looks ahead and back, puts in order, finds, and says why each colony is where it is', async ({
  page,
  records,
}) => {
  await records.get();
  await page.goto('/yard');
  const tansy = page.getByRole('link', { name: /^Tansy/ });
  const bees = async () =>
    Number(/([\d.]+)\s*frames of bees/.exec((await tansy.innerText()).replaceAll('\n', ' '))?.[1]);
  await expect(tansy).toBeVisible();
  const today = await bees();
  const slider = page.getByRole('slider', { name: 'Day that the board shows' });
  await slider.fill('7');
  await expect(page.getByText('Fri 22 May, in 7 days')).toBeVisible();
  await expect.poll(bees).toBeGreaterThan(today);
  await slider.fill('-14');
  await expect(page.getByText('Fri 1 May, 14 days ago')).toBeVisible();
  // Tansy was counted on 18 April; by 1 May its brood has hatched on.
  await expect.poll(bees).toBeLessThan(today);
  await page.getByRole('button', { name: 'back to today' }).click();
  await page.getByRole('button', { name: 'As counted' }).click();
  await expect.poll(bees).toBeCloseTo(16.8, 1);

  await page.getByLabel('Order').selectOption('stores');
  await page.getByLabel('Lane').selectOption('even');
  const names = page.getByRole('region', { name: 'Steady' }).getByRole('link');
  await expect(names.first()).toContainText('Mallow');
  await page.getByLabel('Find a colony by name').fill('nobody');
  await page.getByRole('button', { name: 'Show all 8' }).click();
  await expect(tansy).toBeVisible();
});

test('two to four colonies are compared side by side', async ({ page, records }) => {
  await records.get();
  await page.goto('/yard');
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByRole('button', { name: 'Pick two to four' })).toBeDisabled();
  for (const name of ['Tansy', 'Mallow', 'Burnet'])
    await page.getByRole('button', { name: `Compare ${name}` }).click();
  await page.getByRole('link', { name: 'Compare these 3' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tansy · Mallow · Burnet');
  await expect(page.getByRole('region', { name: 'Comparison' })).toContainText('Honey-bound');
});

test('all yards are seen at a glance and lead to each', async ({ page, records }) => {
  await records.get();
  await page.goto('/yard');
  await page.getByRole('link', { name: 'All', exact: true }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText(['Ferry Field', 'Sallow Bank']);
  await expect(page.getByText('1 inspection due')).toBeVisible();
  await page.getByRole('heading', { level: 2, name: 'Ferry Field' }).getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ferry Field' })).toBeVisible();
});

test('a colony shows what hatches, how its nest was laid, its growth and where it came from', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Tansy')}`);
  await expect(page.getByText('Lays as steadily as two weeks ago.')).toBeVisible();
  await expect(page.getByText(/^by Fri 22 May/)).toBeVisible();
  await expect(page.getByText(/Bees cover nearly all combs about/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Strength of Tansy' }).getByRole('row')).toHaveCount(4);
  await page.goto(`/colonies/${await records.colonyId('Campion II')}`);
  await expect(page.getByRole('region', { name: 'Line of descent' }).getByRole('link')).toHaveText([
    /^Campion/,
    /^Campion II/,
  ]);
  await page.getByRole('button', { name: 'Rename Campion II' }).click();
  await page.getByLabel('Name of the colony').fill('Campion');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('There already is a colony called Campion');
  await page.getByLabel('Name of the colony').fill('Lychnis');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lychnis' })).toBeVisible();
});

test('a hive is arranged: a super over an excluder, boxes turned, one into the store and back', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Tansy')}/hive`);
  await page.getByText('Put another box on top').click();
  await page.getByRole('button', { name: 'Put it on top' }).click();
  await page
    .getByRole('group', { name: 'Box 3 from the bottom: excluder' })
    .getByText('Excluder under it')
    .click();
  await page.getByRole('button', { name: 'Box 1 from the bottom: up' }).click();
  await page.getByRole('button', { name: 'Save this layout' }).click();
  await expect(page.getByRole('img', { name: /^Tansy: 3 boxes, 30 frames/ })).toBeVisible();
  await page.getByRole('link', { name: 'Boxes' }).click();
  await page.getByRole('button', { name: 'Box 3 from the bottom: into the store' }).click();
  await page.getByRole('button', { name: 'Save this layout' }).click();
  await expect(page.getByRole('img', { name: /^Tansy: 2 boxes, 20 frames/ })).toBeVisible();
  expect(
    (await records.get()).records.frame.filter((f) => f.sizeId === 'langstroth-medium').length,
  ).toBeGreaterThanOrEqual(10);
});

test('partitioned hives with a super in common and frames of one’s own size', async ({ page, records }) => {
  await records.empty();
  await page.goto('/setup');
  await page.getByLabel('Name of the yard').fill('Home');
  await page.getByLabel('Names of the hives').fill('N1, N2');
  await page.getByLabel('Frame size', { exact: true }).selectOption('own');
  await expect(page.getByRole('button', { name: /^Put 2 hives/ })).toBeDisabled();
  await page.getByLabel('What you call it').fill('Barn frame');
  await page.getByLabel('Comb depth, mm').fill('20');
  await expect(page.getByText('between 80 and 999 mm')).toBeVisible();
  await page.getByLabel('Comb depth, mm').fill('280');
  await page.getByText('Supers and partitions').click();
  await page.getByRole('group', { name: 'Supers on each hive' }).getByText('1', { exact: true }).click();
  await page
    .getByRole('group', { name: 'Colonies in each hive, behind partitions' })
    .getByText('2', { exact: true })
    .click();
  await page.getByRole('button', { name: 'Put 2 hives on their stands' }).click();
  await expect(page.getByRole('link', { name: /^N\d [AB]/ })).toHaveCount(4);
  await page.getByRole('link', { name: /^N1 A/ }).click();
  await expect(page.getByText(/Behind a partition: N1 B. 1 super in common/)).toBeVisible();
  const { records: r } = await records.get();
  expect(r.operation[0]!.ownSizes).toEqual([{ id: 'own:430x280', name: 'Barn frame' }]);
  expect(r.box.filter((b) => b.role === 'super').map((b) => b.chambers.length)).toEqual([1, 1]);
});

test('a frame that hangs in a box made for another size is flagged', async ({ page, records }) => {
  const file = await records.get();
  const colonyId = await records.colonyId('Yarrow');
  const box = file.records.box.find((b) => b.chambers.some((c) => c.colonyId === colonyId));
  const frame = file.records.frame.find((f) => f.boxId === box?.id && f.slot === 4);
  frame!.sizeId = 'langstroth-medium';
  await records.put(file);
  await page.goto(`/colonies/${colonyId}`);
  await expect(page.getByText('Frame 4 is Langstroth medium in a box for Langstroth deep')).toBeVisible();
  await expect(page.getByRole('img', { name: /1 hang in a box made for another size/ })).toBeVisible();
});
