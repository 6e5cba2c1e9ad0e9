// Works a form out on the server while it is typed, and puts the answer beside it. What is typed is never touched.
import { drafts, sameWords, typing } from '../calc/typing.js';

const PAUSE = 180;

// Milliseconds between one try and the next, and the first status that speaks of the server and not of what was sent.
const PAUSES = [1000, 3000, 9000, 27000];
const BUSY = 500;

export function liveForm(form) {
  let timer = 0;
  let newest = 0;
  let typed = 0;
  let waits = false;
  const draft = form.elements.draft?.value;
  const kept = typing(window.sessionStorage, draft ?? form.dataset.liveForm);
  const body = () => new URLSearchParams(new FormData(form));

  async function reckon() {
    const mine = ++newest;
    const known = typed;
    const answer = await fetch(form.dataset.liveForm, {
      method: 'POST',
      body: body(),
      headers: { Accept: 'text/html' },
    }).catch(() => null);
    // A slower, older answer must not overwrite a newer one.
    if (!heard(answer) || mine !== newest) {
      return;
    }
    if (known === typed) {
      waits = false;
      if (draft) {
        kept.done();
      }
    }
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const fresh = page.querySelector('[data-reckoning]');
    const old = form.querySelector('[data-reckoning]');
    if (fresh && old) {
      const held = document.activeElement?.dataset?.focus;
      old.replaceWith(fresh);
      // What is drawn anew keeps the keyboard where it was.
      if (held) {
        fresh.querySelector(`[data-focus="${held}"]`)?.focus();
      }
      spread(fresh);
    }
  }

  function spread(fresh) {
    fresh.querySelector('template[data-outs]')?.content.querySelectorAll('[data-out]').forEach((out) => {
      const place = form.querySelector(`[data-in="${out.dataset.out}"]`);
      if (place) {
        place.textContent = out.textContent;
      }
    });
  }

  // The same liquid said in another way is another number: 33 % is 2.03 to 1.
  form.addEventListener('change', (event) => {
    const number = form.querySelector('[name=liquidValue]');
    const same = event.target.name === 'liquidWay' && form.querySelector(`[data-way="${event.target.value}"]`)?.dataset.number;
    if (number && same) {
      number.value = same;
      number.dispatchEvent(new Event('input', { bubbles: true }));
    }
  });

  function changed() {
    clearTimeout(timer);
    timer = setTimeout(reckon, PAUSE);
    typed += 1;
    waits = true;
    kept.keep(body());
    // A new recipe gets an address of its own with its first letter, so that Back finds it again.
    if (window.location.pathname === '/plan/new') {
      window.history.replaceState(null, '', `/plan/new/${form.elements.draft.value}`);
    }
  }
  form.addEventListener('input', changed);
  // On a slow device the first word may be there before this is.
  if (isNew() && [...form.elements].some(isFilledIn)) {
    changed();
  }

  // Who leaves in the middle of a word loses nothing; what is sent by a button is kept by that.
  form.addEventListener('submit', () => {
    clearTimeout(timer);
    waits = false;
    kept.done();
  });
  window.addEventListener('pagehide', () => {
    if (waits) {
      navigator.sendBeacon(form.dataset.liveForm, body());
    }
  });
  putBack();

  // The last words of an earlier page may not have come before this page was made. A draft is kept by the server: it is told, and asked again.
  async function putBack() {
    const left = kept.left();
    if (!left || sameWords(left, body())) {
      return;
    }
    const said = new URLSearchParams(left);
    if (!draft) {
      said.forEach((value, name) => {
        const field = form.elements[name];
        if (field?.matches?.('input:not([type=hidden]), textarea') && !field.value) {
          field.value = value;
          field.dispatchEvent(new Event('input', { bubbles: true }));
        }
      });
      return;
    }
    const answer = await tell(form.dataset.liveForm, said);
    if (heard(answer) && typed === 0) {
      kept.done();
      window.location.reload();
    }
  }
}

// Who is signed out meanwhile is led to the door, which is an answer too, but nothing was kept.
const heard = (answer) => Boolean(answer?.ok) && !answer.redirected;

// A page that is come back to holds what the browser remembers of it, which is no word of now.
const isNew = () => performance.getEntriesByType('navigation')[0]?.type === 'navigate';

const isFilledIn = (field) =>
  field.matches('input[type=text][name], input:not([type])[name], textarea[name]') && field.value !== field.defaultValue;

// A server that is busy or not there is told again: what was typed must not wait for the next page.
async function tell(action, said, pauses = PAUSES) {
  said.set('_csrf', document.querySelector('meta[name="csrf"]')?.content ?? '');
  const answer = await fetch(action, { method: 'POST', body: said }).catch(() => null);
  if ((answer && answer.status < BUSY) || pauses.length === 0) {
    return answer;
  }
  await new Promise((go) => { setTimeout(go, pauses[0]); });
  return tell(action, said, pauses.slice(1));
}

// The last words of recipes whose page is not open: the list of those under way is asked for again once the server has them.
export async function tellLastWords() {
  const here = document.querySelector('[data-live-form] [name=draft]')?.value;
  const others = drafts(window.sessionStorage).filter((draft) => draft !== here);
  let told = 0;
  for (const draft of others) {
    const kept = typing(window.sessionStorage, draft);
    const answer = await tell('/plan/reckon', new URLSearchParams(kept.left()));
    if (heard(answer)) {
      kept.done();
      told += 1;
    }
  }
  const { pathname, hash } = window.location;
  if (told > 0 && pathname === '/plan') {
    if (others.includes(hash.slice(1))) {
      window.location.replace(`/plan/new/${hash.slice(1)}`);
    } else {
      window.location.reload();
    }
  }
}
