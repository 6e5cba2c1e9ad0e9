// All keys of a page, asked for with "?". They are read off the page itself, so none can be missing.
export function keyList(document) {
  const dialog = document.createElement('dialog');
  dialog.className = 'key-list';
  dialog.setAttribute('aria-label', 'Keys of this page');
  document.addEventListener('keydown', (event) => {
    const typing = event.target.closest?.('input, select, textarea, dialog');
    if (event.key === '?' && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault();
      fill(document, dialog);
      document.body.append(dialog);
      dialog.showModal();
    }
  });
}

function fill(document, dialog) {
  const title = document.createElement('h2');
  title.textContent = 'Keys';
  const list = document.createElement('dl');
  const tell = (pressed, what) => {
    const key = document.createElement('dt');
    const does = document.createElement('dd');
    key.textContent = pressed;
    does.textContent = what;
    list.append(key, does);
  };
  document.querySelectorAll('[data-key]').forEach((element) => tell(element.dataset.key.toUpperCase(), words(element)));
  // What works only while the keyboard is in it.
  document.querySelectorAll('[data-keys]').forEach((element) => tell(element.dataset.keys, element.dataset.does));
  const form = document.createElement('form');
  form.method = 'dialog';
  const close = document.createElement('button');
  close.className = 'button wide';
  close.textContent = 'Close';
  form.append(close);
  dialog.replaceChildren(title, list, form);
}

// The key itself stands beside, it is no part of what it does.
function words(element) {
  const copy = element.cloneNode(true);
  copy.querySelectorAll('kbd').forEach((kbd) => kbd.remove());
  return element.getAttribute('aria-label') || element.labels?.[0]?.textContent.trim() || copy.textContent.trim() || element.placeholder || '';
}
