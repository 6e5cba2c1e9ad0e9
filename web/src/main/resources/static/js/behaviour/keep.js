// Keeps what a form of the bench sends until the server has it. A tap that finds no server waits here and is sent when it is back; its key makes
// sure that it stands once, and the seconds it waited tell when it was made.
import { outbox } from '../calc/outbox.js';

const AGAIN = 2500;

export function keep(form) {
  const kept = outbox(window.localStorage, form.getAttribute('action'));
  const note = document.querySelector('[data-kept]');

  form.addEventListener('submit', async (event) => {
    event.preventDefault();
    const body = new URLSearchParams(new FormData(form, event.submitter));
    const key = body.get('key') + (event.submitter?.value ? `-${event.submitter.value}`.slice(0, 30) : '');
    body.set('key', key);
    kept.put(key, body.toString());
    await send(key, body, Date.now());
  });

  function say(words) {
    if (note) {
      note.hidden = false;
      note.textContent = words;
    }
  }

  async function send(key, body, since) {
    try {
      const late = Math.round((Date.now() - since) / 1000);
      body.set('late', String(late > 3 ? late : 0));
      const answer = await fetch(form.action, { method: 'POST', body });
      if (answer.status === 502 || answer.status === 503 || answer.status === 504) {
        throw new Error('the server is not there yet');
      }
      if (answer.status >= 500) {
        say('The server could not take this. It is kept here; write it down and go on.');
        return;
      }
      // Nothing is dropped before it is taken: signed out is not taken.
      if (answer.status === 401 || answer.status === 403 || answer.url.includes('/sign-in')) {
        location.assign('/sign-in');
        return;
      }
      kept.drop(key);
      if (answer.redirected) {
        location.assign(answer.url);
      } else {
        // What cannot be taken comes back as a page with its message and with what was typed.
        const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
        document.querySelector('main').replaceWith(page.querySelector('main'));
        document.dispatchEvent(new Event('bench:replaced'));
      }
    } catch {
      say('No answer from the server. What you tapped is kept here and sent when it is back.');
      setTimeout(() => send(key, body, since), AGAIN);
    }
  }
}

// Taps of an earlier visit that never got an answer: sent once, whichever form they came from.
export function sendWhatWaits() {
  const token = document.querySelector('meta[name="csrf"]')?.content;
  Object.keys(window.localStorage)
    .filter((slot) => slot.startsWith('outbox:/bench/'))
    .forEach((slot) => {
      const place = slot.slice('outbox:'.length);
      const kept = outbox(window.localStorage, place);
      kept.all().forEach(async ([key, text]) => {
        const body = new URLSearchParams(text);
        if (token) {
          body.set('_csrf', token);
        }
        const answer = await fetch(place, { method: 'POST', body }).catch(() => null);
        if (answer && answer.status < 400 && !answer.url.includes('/sign-in')) {
          kept.drop(key);
        }
      });
    });
}
