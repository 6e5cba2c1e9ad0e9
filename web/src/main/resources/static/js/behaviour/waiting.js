// Lines and taps of an earlier visit that never got an answer. They are sent from whichever page is opened next, at the moment they were made;
// their keys make sure that none stands twice. One that the server will not take is shown with the reason until the maker lays it aside.
import { outbox, places } from '../calc/outbox.js';
import { words } from '../calc/waiting-words.js';
import { deliver } from './deliver.js';

export async function sendWhatWaits(body) {
  let logged = 0;
  for (const place of places(window.localStorage)) {
    const kept = outbox(window.localStorage, place);
    for (const line of kept.all()) {
      if (line.refused) {
        show(line, line.refused);
      } else {
        await send(place, kept, line);
      }
    }
  }
  if (logged > 0) {
    document.dispatchEvent(new Event('bench:delivered'));
    tell('by-hand-note', logged === 1 ? 'A line that had waited here is logged, at the moment it was made.' : `${logged} lines that had waited here are logged, at the moments they were made.`);
  }

  async function send(place, kept, line) {
    const form = new URLSearchParams(line.body);
    const token = document.querySelector('meta[name="csrf"]')?.content;
    if (token) {
      form.set('_csrf', token);
    }
    await deliver({
      action: place,
      kept,
      key: line.key,
      body: form,
      since: line.since || Date.now(),
      say: () => {},
      taken: () => { logged++; },
      denied: () => {},
      refused: (page) => {
        const why = [...page.querySelectorAll('.field-problem')].map((p) => p.textContent.trim()).find((p) => p) ?? 'The server did not take it.';
        kept.put(line.key, line.body, line.since);
        kept.refuse(line.key, why);
        show(line, why);
      },
    });
  }

  function show(line, why) {
    const note = tell('problem not-taken', `${words(line, new Date(line.since))} ${why} `);
    const aside = document.createElement('button');
    aside.type = 'button';
    aside.className = 'button small';
    aside.textContent = 'Lay it aside';
    aside.addEventListener('click', () => {
      places(window.localStorage).forEach((place) => outbox(window.localStorage, place).drop(line.key));
      note.remove();
    });
    note.append(aside);
  }

  function tell(style, text) {
    const note = document.createElement('p');
    note.className = style;
    note.setAttribute('role', 'status');
    note.textContent = text;
    body.querySelector('main').before(note);
    return note;
  }
}
