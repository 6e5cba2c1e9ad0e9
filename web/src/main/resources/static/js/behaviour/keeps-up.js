// Keeps a page that stays open up with the workshop: what somebody else logged, or what is held since, shows without anybody loading it again.
// Whatever is being read or typed into is left alone until the next time.
// The number it asks for costs the server nothing; the whole page is asked for when that moved, and each minute, as batches age as well.
const EVERY = 3_000;
const ANYWAY = 60_000;

const isInUse = (part) =>
  part.contains(document.activeElement) ||
  part.querySelector('details[open]') !== null ||
  [...part.querySelectorAll('input:not([type=hidden])')].some((input) => input.value !== input.defaultValue);

const answerOf = async (address) => {
  const answer = await fetch(address, { headers: { Accept: 'text/html, text/plain' } }).catch(() => null);
  // Signed out elsewhere, or no server: the page stays as it is, and its next link tells.
  return answer?.ok && !answer.redirected ? answer.text() : null;
};

async function catchUp() {
  const text = document.hidden ? null : await answerOf(location.href);
  if (text === null) {
    return;
  }
  const now = new DOMParser().parseFromString(text, 'text/html');
  document.querySelectorAll('[data-keeps-up]').forEach((part) => {
    const other = now.querySelector(`[data-keeps-up="${part.dataset.keepsUp}"]`);
    if (other && other.innerHTML !== part.innerHTML && !isInUse(part)) {
      part.replaceChildren(...other.childNodes);
    }
  });
}

async function look(main) {
  const moved = document.hidden ? null : await answerOf('/moved');
  if (moved !== null && moved !== main.dataset.moved) {
    main.dataset.moved = moved;
    await catchUp();
  }
}

export function keepsUp(page) {
  const main = page.querySelector('[data-moved]');
  if (main) {
    setInterval(() => look(main), EVERY);
    setInterval(catchUp, ANYWAY);
    page.addEventListener('visibilitychange', catchUp);
  }
}
