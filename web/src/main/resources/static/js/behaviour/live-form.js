// Works a form out on the server while it is typed, and puts the answer beside it. What is typed is never touched.
const PAUSE = 180;

export function liveForm(form) {
  let timer = 0;
  let newest = 0;
  let waits = false;

  async function reckon() {
    const mine = ++newest;
    waits = false;
    const answer = await fetch(form.dataset.liveForm, {
      method: 'POST',
      body: new URLSearchParams(new FormData(form)),
      headers: { Accept: 'text/html' },
    }).catch(() => null);
    // A slower, older answer must not overwrite a newer one.
    if (!answer || !answer.ok || mine !== newest) {
      return;
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

  form.addEventListener('input', () => {
    clearTimeout(timer);
    timer = setTimeout(reckon, PAUSE);
    waits = true;
    // A new recipe gets an address of its own with its first letter, so that Back finds it again.
    if (window.location.pathname === '/plan/new') {
      window.history.replaceState(null, '', `/plan/new/${form.elements.draft.value}`);
    }
  });

  // Who leaves in the middle of a word loses nothing; what is sent by a button is kept by that.
  form.addEventListener('submit', () => {
    clearTimeout(timer);
    waits = false;
  });
  window.addEventListener('pagehide', () => {
    if (waits) {
      navigator.sendBeacon(form.dataset.liveForm, new URLSearchParams(new FormData(form)));
    }
  });
}
