import { expect, test } from './fixtures.ts';

test.use({ serviceWorkers: 'allow' });

test('a reminder that a push service delivers is shown, with what is due', async ({
  page,
  records,
  context,
  baseURL,
}) => {
  await records.get();
  await context.grantPermissions(['notifications']);
  await page.goto('/');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  // What the browser maker's service would do is done through the protocol of the debugger.
  const session = await context.newCDPSession(page);
  const registered = new Promise<string>((resolve) => {
    session.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const found = registrations.find((r) => r.scopeURL.startsWith(baseURL ?? ''));
      if (found) resolve(found.registrationId);
    });
  });
  await session.send('ServiceWorker.enable');
  const registrationId = await registered;
  const data = JSON.stringify({ title: '2 things are due tomorrow', body: 'Sorrel: act on its swarm cells' });
  await session.send('ServiceWorker.deliverPushMessage', { origin: baseURL ?? '', registrationId, data });
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const worker = await navigator.serviceWorker.ready;
        return (await worker.getNotifications()).map((n) => `${n.title}: ${n.body}`);
      }),
    )
    .toEqual(['2 things are due tomorrow: Sorrel: act on its swarm cells']);
});

test('settings say whether this device can be reminded', async ({ page, records }) => {
  await records.get();
  await page.goto('/settings');
  const group = page.getByRole('region', { name: 'Reminders' });
  await expect(group.getByText('The evening before, what is due tomorrow.', { exact: false })).toBeVisible();
  await group.getByRole('button', { name: 'Remind this device' }).click();
  // No push service can be reached from here: said, and nothing breaks.
  await expect(group.getByRole('status')).toContainText(/allowed here|could not be reached/, {
    timeout: 30_000,
  });
});
