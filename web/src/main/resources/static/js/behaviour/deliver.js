// Sends one kept form until the server has taken it. Nothing is dropped before, and nothing is sent in the name of another.
import { whoseIs } from '../calc/who.js';

const AGAIN = 2500; // ms
// While a server comes back, several requests of one page may each be given a session of their own, and a token is good for one of them.
const TOKENS = 5;
const SETTLES = 400; // ms, longer with each

const goTo = (address) => location.assign(address);

// kept: the outbox it waits in; since: when it was made; say: tells the maker; refused: shows the page that says why it cannot be taken;
// whose: who tapped it, by default whom the page was made for;
// taken: what follows once it stands in the log, by default the page that the server names; denied: what follows when nobody is signed in who
// may log.
export async function deliver(parcel) {
  const { action, kept, key, body, say, refused, taken = goTo, denied = () => goTo('/sign-in'), since = Date.now() } = parcel;
  const whose = parcel.whose ?? whoseIs(document);
  kept.put(key, body.toString(), since, whose);
  try {
    const late = Math.round((Date.now() - since) / 1000);
    body.set('late', String(late > 3 ? late : 0));
    const answer = await fetch(action, { method: 'POST', body });
    if (answer.status === 502 || answer.status === 503 || answer.status === 504) {
      throw new Error('the server is not there yet');
    }
    if (answer.status >= 500) {
      say('The server could not take this. It is kept here; write it down and go on.');
      return;
    }
    // A server that was away may have given out new form tokens. A few new tokens are enough to tell that from somebody who may not log.
    const tokens = parcel.tokens ?? 0;
    if (answer.status === 403 && tokens < TOKENS) {
      const token = await freshToken(whoseIs(document));
      if (token) {
        body.set('_csrf', token);
        const next = () => deliver({ ...parcel, whose, since, tokens: tokens + 1 });
        if (tokens === 0) {
          await next();
        } else {
          setTimeout(next, tokens * SETTLES);
        }
        return;
      }
    }
    if (answer.status === 401 || answer.status === 403 || answer.url.includes('/sign-in')) {
      denied();
      return;
    }
    kept.drop(key);
    if (answer.redirected) {
      taken(answer.url);
    } else {
      refused(new DOMParser().parseFromString(await answer.text(), 'text/html'));
    }
  } catch {
    say('No answer from the server. What you tapped is kept here and sent when it is back.');
    setTimeout(() => deliver({ ...parcel, whose, since, tokens: 0 }), AGAIN);
  }
}

// The form token of the page as the server would give it now; empty when nobody is signed in any more, or somebody else is.
async function freshToken(mine) {
  const answer = await fetch(location.href);
  if (!answer.ok || answer.url.includes('/sign-in')) {
    return '';
  }
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  return whoseIs(page)?.name === mine?.name ? page.querySelector('meta[name="csrf"]')?.content ?? '' : '';
}
