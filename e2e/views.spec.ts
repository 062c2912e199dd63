import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';

/** `npm run soak`: every check in its full size. */
const SOAK = process.env['SOAK'] === '1';

const VIEWS = [
  'today',
  'board',
  'all yards',
  'compare',
  'colony',
  'boxes',
  'count',
  'quick count',
  'line',
  'seen',
  'outbox',
  'store',
  'ways',
  'tags',
  'plan',
  // Before the other, which is kept on the device.
  'empty bench',
  'plan bench',
  'work',
  'call-out',
  'pad',
  'cells',
  'happened',
  'queens',
  'queen',
  'stands',
  'several hives',
  'all colonies',
  'scan',
  'spares',
  'season',
  'season odds',
  'sheets',
  'feed',
  'weather',
  'inspections',
  'settings',
  'words',
  'weak units',
  'what to do',
  'action',
  'look',
  'records',
  'year',
  'counts file',
  'house rules',
  'chances',
  'set up',
  'people',
  'sign in',
] as const;

/** The widths at which the soak checks every view in every look. */
const SOAKED_WIDTHS = [390, 768, 1280, 1920];

/** From the narrowest phone to a wide screen; 640 is a laptop at twice the zoom. */
const WIDTHS = [360, 640, 768, 1280, 1920];

/** What stands out of the screen, or has words that are cut off: nothing of a view may. */
function tooWide(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const root = document.documentElement;
    const wider = root.scrollWidth - root.clientWidth;
    const cut = [...document.querySelectorAll('h1, h2, h3, a, button, label, dt, dd, th, td')].filter(
      (el) => {
        const { overflowX, textOverflow } = getComputedStyle(el);
        return (
          el.scrollWidth > el.clientWidth + 1 &&
          el.clientWidth > 1 &&
          (overflowX === 'hidden' || overflowX === 'clip') &&
          textOverflow !== 'ellipsis'
        );
      },
    );
    return [
      ...(wider > 0 ? [`${wider} px wider than the screen`] : []),
      ...cut.map((el) => `cut off: ${el.textContent?.trim().slice(0, 60)}`),
    ];
  });
}

/** Waits for what fades in or out: half-faded colours are nobody's. */
async function settled(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const passing = document
      .getAnimations()
      .filter((a) => a.effect?.getComputedTiming().endTime !== Number.POSITIVE_INFINITY);
    await Promise.allSettled(passing.map((a) => a.finished));
  });
}

test.describe('every view', () => {
  for (const look of ['light', 'dark', 'sunlight']) {
    test(`passes WCAG 2.2 AA checks and fits its width: ${look}`, async ({ page, records, isMobile }) => {
      test.skip(isMobile && look !== 'light', 'the colours are the same on a phone');
      test.setTimeout(SOAK ? 3_600_000 : 480_000);
      const { records: r } = await records.get();
      const tansy = r.colony.find((c) => c.name === 'Tansy')?.id ?? '';
      const due = r.followUp.find((f) => f.topic === 'which-part' && f.status === 'open')?.id ?? '';
      await page.addInitScript((name) => localStorage.setItem('incremen.look', name), look);
      await page.goto(`/colonies/${tansy}/plan`);
      await page.getByRole('button', { name: /^Start/ }).click();
      await expect(page.getByRole('progressbar')).toBeVisible();
      const work = new URL(page.url()).pathname;
      await page.goto('/callout');
      await page.getByRole('button', { name: 'Begin to call' }).click();
      await page.getByRole('button', { name: /As last time/ }).click();
      await expect(page.getByRole('group', { name: 'Where it goes' })).toBeVisible();
      const pad = new URL(page.url()).pathname;
      const address: Record<(typeof VIEWS)[number], string> = {
        today: '/',
        board: '/yard',
        colony: `/colonies/${r.colony.find((c) => c.name === 'Campion')?.id}`,
        count: `/colonies/${tansy}/count`,
        'quick count': `/colonies/${tansy}/count?by=quick`,
        line: `/colonies/${tansy}/count?by=line`,
        seen: `/colonies/${tansy}/count?by=seen`,
        boxes: `/colonies/${tansy}/hive`,
        'all yards': '/yards',
        compare: `/compare?c=${tansy}&c=${r.colony.find((c) => c.name === 'Mallow')?.id}`,
        outbox: '/outbox',
        store: '/store',
        ways: `/colonies/${r.colony.find((c) => c.name === 'Sorrel')?.id}/ways`,
        tags: `${work}/tags`,
        plan: `/colonies/${r.colony.find((c) => c.name === 'Sorrel')?.id}/plan`,
        'plan bench': `/plan?goal=hiveUp&colony=${r.colony.find((c) => c.name === 'Clary')?.id}`,
        'empty bench': '/plan',
        work,
        'call-out': '/callout',
        pad,
        cells: '/cells',
        happened: `/colonies/${tansy}/happened?what=moved`,
        queens: '/queens',
        queen: `/queens/${r.queen[0]?.id}`,
        'several hives': '/several?did=fed',
        'all colonies': '/compare',
        scan: '/scan',
        spares: '/spares',
        season: '/season',
        'season odds': '/season/odds',
        stands: `/yards/${r.yard[0]?.id}/stands`,
        sheets: `/yards/${r.yard[0]?.id}/sheets`,
        feed: '/feed',
        weather: '/weather',
        inspections: '/inspections',
        settings: '/settings',
        words: '/words',
        'weak units': '/weak',
        'what to do': `/colonies/${tansy}/act`,
        action: `/colonies/${tansy}/act/combine`,
        look: `/look/${due}`,
        records: '/records',
        year: '/records/year',
        'counts file': '/records/counts',
        'house rules': '/rules',
        chances: '/rules/chances',
        'set up': '/setup',
        people: '/people',
        'sign in': '/sign-in',
      };
      const views =
        look === 'light' || SOAK
          ? VIEWS
          : ([
              'today',
              'board',
              'colony',
              'count',
              'seen',
              'line',
              'ways',
              'plan',
              'plan bench',
              'look',
            ] as const);
      for (const view of views) {
        await page.goto(address[view]);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        if (view === 'plan') {
          await expect(page.getByRole('region', { name: 'Rules of the plan' })).toBeVisible();
          await expect(page.getByRole('button', { name: /^Start/ })).toBeEnabled();
        }
        if (view === 'plan bench') await expect(page.getByText(/frames? to carry/)).toBeVisible();
        await settled(page);
        for (const width of SOAK && !isMobile ? SOAKED_WIDTHS : [null]) {
          if (width !== null) {
            await page.setViewportSize({ width, height: 800 });
            await settled(page);
          }
          // What passes is not listed, which takes most of the time.
          const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
          // Only the colours differ between looks; the rest is checked once.
          const checked =
            look === 'light' || SOAK
              ? axe
                  .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
                  // The longest of the rules; on a phone, where colours are those of the laptop, in the soak only.
                  .disableRules(isMobile && !SOAK ? ['color-contrast'] : [])
              : axe.withRules(['color-contrast']);
          const { violations } = await checked.analyze();
          expect
            .soft(
              violations.map(
                (v) =>
                  `${view}${width === null ? '' : ` at ${width}`}: ${v.id}: ${v.nodes[0]?.html.slice(0, 160)} ${v.nodes[0]?.failureSummary ?? ''}`,
              ),
            )
            .toEqual([]);
        }
        // A phone has one width; a window on a laptop any, and twice the zoom is half of it.
        // With gloves in the sun everything is larger: nothing may be cut off by that.
        const widths = isMobile
          ? [null]
          : look === 'light'
            ? WIDTHS
            : look === 'sunlight'
              ? [360, 768]
              : [null];
        for (const width of widths) {
          if (width !== null) await page.setViewportSize({ width, height: 800 });
          expect.soft(await tooWide(page), `${view} at ${width ?? 'its width'}`).toEqual([]);
        }
        if (!isMobile) await page.setViewportSize({ width: 1280, height: 800 });
      }
    });
  }

  test('has a keyboard path: skip link, rail, board, colony', async ({ page, isMobile }) => {
    test.skip(isMobile, 'phones have no Tab key');
    await page.goto('/yard');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.keyboard.press('Tab');
    await expect(page.getByRole('link', { name: 'Skip to the view' })).toBeFocused();
    await page.getByRole('link', { name: /Tansy/ }).first().focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Tansy' })).toBeVisible();
  });

  test('an address that leads nowhere says so', async ({ page }) => {
    await page.goto('/colonies/nothing');
    await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  });
});
