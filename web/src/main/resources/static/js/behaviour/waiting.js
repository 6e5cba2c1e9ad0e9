// Lines and taps of an earlier visit that never got an answer. They are sent from whichever page is opened next, at the moment they were made;
// their keys make sure that none stands twice. One that the server will not take is shown with the reason until the maker lays it aside. One that
// somebody else made is not sent: it waits for her, or is handed over by whoever knows of it.
import { outbox, places } from '../calc/outbox.js';
import { words, wordsToAnother } from '../calc/waiting-words.js';
import { whoseIs } from '../calc/who.js';
import { deliver } from './deliver.js';

export async function sendWhatWaits(body) {
  const me = whoseIs(document);
  let logged = 0;
  for (const place of places(window.localStorage)) {
    const kept = outbox(window.localStorage, place);
    for (const line of kept.all()) {
      if (line.whose?.name !== me?.name) {
        ask(place, kept, line);
      } else if (line.refused) {
        show(line, line.refused);
      } else {
        await send(place, kept, line);
      }
    }
  }
  tellOfLogged();

  function tellOfLogged() {
    if (logged > 0) {
      document.dispatchEvent(new Event('bench:delivered'));
      tell('by-hand-note', logged === 1 ? 'A line that had waited here is logged, at the moment it was made.' : `${logged} lines that had waited here are logged, at the moments they were made.`);
      logged = 0;
    }
  }

  async function send(place, kept, line, handedOver = '') {
    const form = new URLSearchParams(line.body);
    const token = document.querySelector('meta[name="csrf"]')?.content;
    if (token) {
      form.set('_csrf', token);
    }
    if (handedOver) {
      form.set('handedOver', handedOver);
    }
    await deliver({
      action: place,
      kept,
      key: line.key,
      body: form,
      since: line.since || Date.now(),
      whose: me,
      say: () => {},
      taken: () => { logged++; },
      denied: () => {},
      refused: (page) => {
        const why = [...page.querySelectorAll('.field-problem')].map((p) => p.textContent.trim()).find((p) => p) ?? 'The server did not take it.';
        kept.put(line.key, line.body, line.since, me);
        kept.refuse(line.key, why);
        show(line, why);
      },
    });
  }

  // Kept, unless she who is here takes it on: then it is logged as hers, and the trail tells whose it was.
  function ask(place, kept, line) {
    const note = tell('by-hand-note not-mine', `${wordsToAnother(line, new Date(line.since))} `);
    const batch = /^\/(?:bench|batch)\/[0-9a-f-]{36}/.exec(place);
    if (batch) {
      const link = document.createElement('a');
      [link.href] = batch;
      link.className = 'button small';
      link.textContent = 'Its batch';
      note.append(link);
    }
    note.append(button('Keep it', () => note.remove()));
    if (me?.writes) {
      note.append(button('Log it as mine', async () => {
        note.remove();
        await send(place, kept, line, line.whose?.name || 'somebody');
        tellOfLogged();
      }));
    }
  }

  function show(line, why) {
    const note = tell('problem not-taken', `${words(line, new Date(line.since))} ${why} `);
    note.append(button('Lay it aside', () => {
      places(window.localStorage).forEach((place) => outbox(window.localStorage, place).drop(line.key));
      note.remove();
    }));
  }

  function button(text, act) {
    const made = document.createElement('button');
    made.type = 'button';
    made.className = 'button small';
    made.textContent = text;
    made.addEventListener('click', act);
    return made;
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
