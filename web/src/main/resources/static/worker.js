// Keeps the first-aid card for when the server is gone. Everything else always comes from the server.
const SHELF = 'splash-1';
const KEPT = ['/splash', '/css/app.css', '/fonts/text.woff2'];

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(SHELF).then((shelf) => shelf.addAll(KEPT)).then(() => self.skipWaiting()));
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches.keys()
      .then((names) => Promise.all(names.filter((n) => n !== SHELF).map((n) => caches.delete(n))))
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const page = request.mode === 'navigate';
  const path = new URL(request.url).pathname;
  if (!page && !KEPT.includes(path)) {
    return;
  }
  event.respondWith(
    fetch(request).catch(async () => {
      const shelf = await caches.open(SHELF);
      return (await shelf.match(page ? '/splash' : path)) ?? Response.error();
    }),
  );
});
