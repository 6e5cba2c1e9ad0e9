// Tells when a page is not the server's but what this device kept of it; and lists what it kept where nothing else can be shown.
const PAGES = 'causticon-pages-1';

export async function tellWhenAway(body) {
  if (!('serviceWorker' in navigator) || !navigator.serviceWorker.controller) {
    return;
  }
  const there = await fetch('/favicon.svg', { method: 'HEAD', cache: 'no-store' }).then(() => true, () => false);
  if (there || body.querySelector('[data-offline]')) {
    return;
  }
  const note = document.createElement('p');
  note.className = 'by-hand-note away-note';
  note.setAttribute('role', 'status');
  note.textContent = 'The server does not answer. This page is as you last saw it; what you tap is kept here and sent when the server is back.';
  body.querySelector('main').before(note);
}

export async function listKept(list) {
  const pages = await caches.open(PAGES);
  const seen = new Set();
  for (const request of await pages.keys()) {
    const { pathname } = new URL(request.url);
    if (!seen.has(pathname)) {
      seen.add(pathname);
      const text = await (await pages.match(request)).text();
      const link = document.createElement('a');
      link.href = pathname;
      link.className = 'button';
      link.textContent = new DOMParser().parseFromString(text, 'text/html').title.replace(/ · Causticon$/, '');
      const item = document.createElement('li');
      item.append(link);
      list.append(item);
    }
  }
  if (!seen.size) {
    list.replaceWith('No bench was open on this device since somebody signed in.');
  }
}
