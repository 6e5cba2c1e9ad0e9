// Keeps a page that stays open up with the workshop: what somebody else logged, or what is held since, shows without anybody loading it again.
// Whatever is being read or typed into is left alone until the next time.
const EVERY = 20_000;

const isInUse = (part) =>
  part.contains(document.activeElement) ||
  part.querySelector('details[open]') !== null ||
  [...part.querySelectorAll('input:not([type=hidden])')].some((input) => input.value !== input.defaultValue);

async function catchUp() {
  if (document.hidden) {
    return;
  }
  const answer = await fetch(location.href, { headers: { Accept: 'text/html' } }).catch(() => null);
  // Signed out elsewhere, or no server: the page stays as it is, and its next link tells.
  if (!answer?.ok || answer.redirected) {
    return;
  }
  const now = new DOMParser().parseFromString(await answer.text(), 'text/html');
  document.querySelectorAll('[data-keeps-up]').forEach((part) => {
    const other = now.querySelector(`[data-keeps-up="${part.dataset.keepsUp}"]`);
    if (other && other.innerHTML !== part.innerHTML && !isInUse(part)) {
      part.replaceChildren(...other.childNodes);
    }
  });
}

export function keepsUp(page) {
  if (page.querySelector('[data-keeps-up]')) {
    setInterval(catchUp, EVERY);
    page.addEventListener('visibilitychange', catchUp);
  }
}
