// What was typed and not answered yet, or kept by nobody else, so that it is there again when its page is opened before the server knew of it.
export function typing(store, name) {
  const slot = `typing:${name}`;
  const forgiving = (act) => {
    try {
      return act();
    } catch {
      // A full or forbidden store must not keep anybody from typing.
      return null;
    }
  };
  return {
    keep: (body) => forgiving(() => store.setItem(slot, body.toString())),
    done: () => forgiving(() => store.removeItem(slot)),
    left: () => forgiving(() => store.getItem(slot)) ?? '',
  };
}

// Recipes under way of which the server has not heard the last.
export function drafts(store) {
  return Array.from({ length: store.length }, (_, i) => store.key(i) ?? '')
    .filter((slot) => /^typing:[0-9a-f-]{36}$/.test(slot))
    .map((slot) => slot.slice('typing:'.length));
}

// Fields that say of which page something is, and not what was typed.
const OF_THE_PAGE = new Set(['_csrf', 'key', 'page', 'seen', 'version']);

export function sameWords(one, other) {
  const words = (body) => [...new URLSearchParams(body)].filter(([name]) => !OF_THE_PAGE.has(name)).join('\n');
  return words(one) === words(other);
}
