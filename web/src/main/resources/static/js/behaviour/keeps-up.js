// Keeps a page that stays open up with the workshop: what somebody else logged, or what is held since, shows without
// anybody loading it again. What is typed into, or answered with a problem, is left alone until the next minute.

// Milliseconds. The edition costs the server no look at its rows; the page is asked for when that moved, and each
// minute all the same, as batches age.
const LOOKS_EVERY = 3_000;
const ANEW_EVERY = 60_000;

const isInUse = (part) =>
  part.contains(document.activeElement?.closest('input, textarea, select') ?? null) ||
  part.querySelector('.field-problem') !== null ||
  [...part.querySelectorAll('input:not([type=hidden])')].some((input) => input.value !== input.defaultValue);

// Whoever opened something in it, or stands on a link of it by the keyboard, still does.
function renew(part, other, attach) {
  const open = [...part.querySelectorAll('details')].map((details) => details.open);
  const held = part.contains(document.activeElement) ? document.activeElement.outerHTML : null;
  part.replaceChildren(...other.childNodes);
  part.querySelectorAll('details').forEach((details, i) => { details.open = open[i] ?? false; });
  attach(part);
  [...part.querySelectorAll('a, summary, button')].find((element) => element.outerHTML === held)?.focus();
}

// Signed out elsewhere, or no server: the page stays as it is, and its next link tells.
async function textOf(address) {
  const answer = document.hidden ? null : await fetch(address).catch(() => null);
  return answer?.ok && !answer.redirected ? answer.text() : null;
}

async function catchUp(main, attach) {
  const text = await textOf(location.href);
  if (text === null) {
    return;
  }
  const now = new DOMParser().parseFromString(text, 'text/html');
  main.dataset.edition = now.querySelector('[data-edition]')?.dataset.edition;
  document.querySelectorAll('[data-keeps-up]').forEach((part) => {
    const other = now.querySelector(`[data-keeps-up="${part.dataset.keepsUp}"]`);
    if (other && other.innerHTML !== part.innerHTML && !isInUse(part)) {
      renew(part, other, attach);
    }
  });
}

async function look(main, attach) {
  const edition = await textOf('/edition');
  if (edition !== null && edition !== main.dataset.edition) {
    await catchUp(main, attach);
  }
}

// On a slow line nothing is asked for while the last answer is still awaited.
function oneAtATime(work) {
  let busy = false;
  return async () => {
    if (!busy) {
      busy = true;
      await work().finally(() => { busy = false; });
    }
  };
}

// Attach: what makes the behaviours of a page out of the elements of a part that is new.
export function keepsUp(page, attach) {
  const main = page.querySelector('[data-edition]');
  if (main) {
    const anew = oneAtATime(() => catchUp(main, attach));
    setInterval(oneAtATime(() => look(main, attach)), LOOKS_EVERY);
    setInterval(anew, ANEW_EVERY);
    page.addEventListener('visibilitychange', anew);
  }
}
