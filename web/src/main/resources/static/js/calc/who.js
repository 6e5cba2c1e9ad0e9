// Who a page was made for: what is tapped on it is hers, whoever signs in on the same device later.
export function whoseIs(page) {
  const mark = page.querySelector('meta[name="who"]');
  return mark ? { name: mark.content, shown: mark.dataset.shown, writes: mark.dataset.writes === 'true' } : null;
}
