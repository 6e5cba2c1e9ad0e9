// Shows how a quick line is understood before it is logged, and keeps a line that the server could not take.
import { outbox } from '../calc/outbox.js';
import { typing } from '../calc/typing.js';
import { deliver } from './deliver.js';

const PAUSE = 140;

export function quickLine(form) {
  const line = form.querySelector('[name="quick"]');
  const at = form.querySelector('[name="at"]');
  const under = form.querySelector('[data-under]');
  const kept = outbox(window.localStorage, form.getAttribute('action') ?? location.pathname);
  let timer = 0;
  let newest = 0;

  async function read() {
    const mine = ++newest;
    if (!line.value.trim()) {
      under.textContent = '';
      return;
    }
    const query = new URLSearchParams({ quick: line.value, at: at?.value ?? '' });
    const answer = await fetch(`${form.dataset.reading}?${query}`).catch(() => null);
    if (answer?.ok && mine === newest) {
      under.innerHTML = await answer.text();
    }
  }

  const later = () => {
    clearTimeout(timer);
    timer = setTimeout(read, PAUSE);
  };
  line.addEventListener('input', later);
  // Half a line is there again when somebody looked something up on another page meanwhile.
  const half = typing(window.sessionStorage, form.getAttribute('action') ?? location.pathname);
  line.addEventListener('input', () => (line.value.trim() ? half.keep(line.value) : half.done()));
  form.addEventListener('submit', () => half.done());
  if (!line.value && half.left()) {
    line.value = half.left();
    later();
  }
  at?.addEventListener('input', later);

  if (!form.hasAttribute('data-once') && !form.querySelector('[name="key"]')) {
    return;
  }
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    const body = new URLSearchParams(new FormData(form, event.submitter));
    send(body.get('key'), body);
  });

  function send(key, body) {
    deliver({
      action: form.action,
      kept,
      key,
      body,
      say: (words) => { under.textContent = words; },
      refused: (page) => {
        // What is asked about stands where it can be answered, at the step that it is about.
        if (page.querySelector('main .question')) {
          document.querySelector('main').replaceWith(page.querySelector('main'));
          document.dispatchEvent(new Event('bench:replaced'));
          document.querySelector('main .question button')?.focus();
        }
        under.innerHTML = page.querySelector('[data-quick-line] [data-under]')?.innerHTML ?? '';
        const fresh = page.querySelector('[data-quick-line] [name="key"]');
        if (fresh) {
          form.querySelector('[name="key"]').value = fresh.value;
        }
      },
    });
  }
}
