// What opens when the server is gone: first aid, the bench that was open with its sheet, and what waits to be sent. While the server answers, all
// comes from there. Pages are kept on this device for whoever is signed in, and go when she signs out.
const SHELF = 'causticon-2';
const PAGES = 'causticon-pages-1';
const MOST_PAGES = 40;
const FIRST = [
  '/splash', '/offline', '/css/app.css', '/favicon.svg', '/fonts/text.woff2', '/fonts/text-ext.woff2', '/fonts/figures.woff2', '/fonts/figures-bold.woff2',
];
const STILL = /^\/(css|js|fonts|icons)\/|^\/favicon\.svg$/;
const KEPT = /^\/bench\/[0-9a-f-]{36}$|^\/plan\/batch\/[0-9a-f-]{36}\/sheet$/;

/** A script and all that it brings in. */
async function scripts(path, found = new Set()) {
  if (!found.has(path)) {
    found.add(path);
    const text = await (await fetch(path)).text();
    for (const [, other] of text.matchAll(/from '(\.[^']+)'/g)) {
      await scripts(new URL(other, new URL(path, self.location)).pathname, found);
    }
  }
  return found;
}

self.addEventListener('install', (event) => {
  event.waitUntil((async () => {
    const shelf = await caches.open(SHELF);
    await shelf.addAll([...FIRST, ...await scripts('/js/main.js')]);
    await self.skipWaiting();
  })());
});

self.addEventListener('activate', (event) => {
  event.waitUntil((async () => {
    const names = await caches.keys();
    await Promise.all(names.filter((n) => n !== SHELF && n !== PAGES).map((n) => caches.delete(n)));
    await self.clients.claim();
  })());
});

self.addEventListener('message', (event) => {
  if (event.data === 'serve') {
    event.waitUntil(self.clients.claim());
  }
});

async function keepPage(path, search, answer) {
  const pages = await caches.open(PAGES);
  await pages.put(path + search, answer);
  const all = await pages.keys();
  await Promise.all(all.slice(0, Math.max(0, all.length - MOST_PAGES)).map((old) => pages.delete(old)));
  // The plan of what is on the bench, before it is asked for.
  const batch = /^\/bench\/([0-9a-f-]{36})$/.exec(path);
  if (batch && !(await pages.match(`/plan/batch/${batch[1]}/sheet`))) {
    const sheet = await fetch(`/plan/batch/${batch[1]}/sheet`);
    if (sheet.ok && !sheet.redirected) {
      await pages.put(`/plan/batch/${batch[1]}/sheet`, sheet);
    }
  }
}

async function page(event, path, search) {
  try {
    const answer = await fetch(event.request);
    if (answer.ok && answer.url && new URL(answer.url).pathname === '/sign-in') {
      event.waitUntil(caches.delete(PAGES));
    } else if (answer.ok && !answer.redirected && KEPT.test(path)) {
      event.waitUntil(keepPage(path, search, answer.clone()).catch(() => {}));
    }
    return answer;
  } catch {
    const pages = await caches.open(PAGES);
    const shelf = await caches.open(SHELF);
    return (await pages.match(path + search))
      ?? (KEPT.test(path) ? await pages.match(path, { ignoreSearch: true }) : undefined)
      ?? (await shelf.match(path === '/splash' ? '/splash' : '/offline'))
      ?? Response.error();
  }
}

async function still(request, path) {
  const shelf = await caches.open(SHELF);
  try {
    const answer = await fetch(request);
    if (answer.ok) {
      await shelf.put(path, answer.clone());
    }
    return answer;
  } catch {
    return (await shelf.match(path)) ?? Response.error();
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { pathname, search, origin } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin || request.cache === 'no-store') {
    return;
  }
  if (request.mode === 'navigate') {
    event.respondWith(page(event, pathname, search));
  } else if (STILL.test(pathname)) {
    event.respondWith(still(request, pathname));
  }
});
