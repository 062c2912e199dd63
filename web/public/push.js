// What the service worker does with a reminder: shows it, and opens what is due when it is tapped.
self.addEventListener('push', (event) => {
  let said = { title: 'Due tomorrow', body: '' };
  try {
    said = { ...said, ...event.data.json() };
  } catch {
    // A message without words is a reminder all the same.
  }
  event.waitUntil(
    self.registration.showNotification(said.title, {
      body: said.body,
      tag: 'due-tomorrow',
      icon: '/icon.svg',
    }),
  );
});

self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then((pages) => {
      const [open] = pages;
      return open
        ? open.focus().then((page) => page.navigate('/inspections'))
        : self.clients.openWindow('/inspections');
    }),
  );
});
