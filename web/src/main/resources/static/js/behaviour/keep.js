// Keeps what a form of the bench sends until the server has it. A tap that finds no server waits here and is sent when it is back; its key makes
// sure that it stands once, and the seconds it waited tell when it was made.
import { outbox } from '../calc/outbox.js';
import { deliver } from './deliver.js';

export function keep(form) {
  const kept = outbox(window.localStorage, form.getAttribute('action'));
  const note = document.querySelector('[data-kept]');

  form.addEventListener('submit', (event) => {
    event.preventDefault();
    const body = new URLSearchParams(new FormData(form, event.submitter));
    const key = body.get('key') + (event.submitter?.value ? `-${event.submitter.value}`.slice(0, 30) : '');
    body.set('key', key);
    deliver({ action: form.action, kept, key, body, say, refused });
  });

  function say(words) {
    if (note) {
      note.hidden = false;
      note.textContent = words;
    }
  }

  // What cannot be taken comes back as a page with its message and with what was typed.
  function refused(page) {
    document.querySelector('main').replaceWith(page.querySelector('main'));
    document.dispatchEvent(new Event('bench:replaced'));
  }
}
