// Lets a long list be chosen from by typing. The list stays what the form sends, and is all there is without this.
import { matching } from '../calc/choices.js';

const SHOWN = 60;
/** Pixels at the foot of the page that results stand on. */
const ROOM_BELOW = 60;
let count = 0;

/** What is known of all choices: what each brings, what else it answers to, what it is like. Names alone do until it is here. */
let asked = null;
let known = {};

function ask(then) {
  asked ??= fetch('/plan/known').then((answer) => (answer.ok ? answer.json() : {})).then((all) => { known = all; }).catch(() => {});
  asked.then(then);
}

export function choose(select) {
  const kind = select.dataset.choose;
  const id = `choices-${++count}`;
  const field = document.createElement('input');
  const list = document.createElement('ul');
  let at = -1;

  field.className = 'choose-field';
  field.autocomplete = 'off';
  field.placeholder = select.options[0].text;
  for (const [name, value] of Object.entries({
    role: 'combobox', 'aria-autocomplete': 'list', 'aria-expanded': 'false', 'aria-controls': id, 'aria-label': select.getAttribute('aria-label'),
  })) {
    field.setAttribute(name, value);
  }
  list.id = id;
  list.className = 'choose-list';
  list.setAttribute('role', 'listbox');
  list.setAttribute('aria-label', select.getAttribute('aria-label'));
  list.hidden = true;
  const box = document.createElement('span');
  box.className = 'choose';
  select.before(box);
  box.append(field, list, select);
  select.classList.add('visually-hidden');
  select.tabIndex = -1;
  select.setAttribute('aria-hidden', 'true');

  const chosen = () => (select.value ? select.selectedOptions[0].text : '');
  const choices = () => [...select.options].filter((o) => o.value).map((o) => {
    const fact = known[kind]?.[o.value.replace(/@.*/, '')] ?? {};
    return {
      value: o.value, name: o.text, also: fact.also, like: fact.like, brings: fact.brings, own: o.value.includes('@') || o.value.startsWith('own-'),
    };
  });

  function show() {
    const found = matching(field.value === chosen() ? '' : field.value, choices()).slice(0, SHOWN);
    list.replaceChildren(...found.map((choice, i) => {
      const item = document.createElement('li');
      item.id = `${id}-${i}`;
      item.setAttribute('role', 'option');
      item.dataset.value = choice.value;
      const name = document.createElement('b');
      name.textContent = choice.name;
      item.append(name);
      if (choice.brings) {
        const brings = document.createElement('span');
        brings.textContent = choice.brings;
        item.append(brings);
      }
      return item;
    }));
    if (!found.length) {
      const none = document.createElement('li');
      none.className = 'none';
      none.setAttribute('role', 'option');
      none.setAttribute('aria-disabled', 'true');
      none.textContent = `Nothing is called “${field.value}” here. Try a part of its name, or “like lard”.`;
      list.append(none);
    }
    list.hidden = false;
    if (list.getBoundingClientRect().bottom > window.innerHeight - ROOM_BELOW) {
      field.scrollIntoView({ block: 'center' });
    }
    field.setAttribute('aria-expanded', 'true');
    mark(field.value && field.value !== chosen() && found.length ? 0 : -1);
  }

  function mark(next) {
    const items = [...list.querySelectorAll('[data-value]')];
    at = items.length ? Math.max(-1, Math.min(next, items.length - 1)) : -1;
    items.forEach((item, i) => item.setAttribute('aria-selected', String(i === at)));
    if (at >= 0) {
      field.setAttribute('aria-activedescendant', items[at].id);
      items[at].scrollIntoView({ block: 'nearest' });
    } else {
      field.removeAttribute('aria-activedescendant');
    }
  }

  function hide() {
    list.hidden = true;
    field.setAttribute('aria-expanded', 'false');
    field.removeAttribute('aria-activedescendant');
  }

  function take(value) {
    const changed = select.value !== value;
    select.value = value;
    field.value = chosen();
    hide();
    if (changed) {
      select.dispatchEvent(new Event('input', { bubbles: true }));
      select.dispatchEvent(new Event('change', { bubbles: true }));
    }
  }

  field.value = chosen();
  select.addEventListener('change', () => {
    field.value = chosen();
  });
  field.addEventListener('input', (event) => {
    event.stopPropagation();
    show();
  });
  field.addEventListener('focus', () => {
    field.select();
    ask(() => {
      if (!list.hidden) {
        show();
      }
    });
  });
  field.addEventListener('click', show);
  field.addEventListener('keydown', (event) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      if (list.hidden) {
        show();
      } else {
        mark(at + (event.key === 'ArrowDown' ? 1 : -1));
      }
    } else if (event.key === 'Enter' && !list.hidden) {
      event.preventDefault();
      const item = list.querySelector('[aria-selected="true"]');
      if (item) {
        take(item.dataset.value);
      }
    } else if (event.key === 'Escape' && !list.hidden) {
      event.stopPropagation();
      field.value = chosen();
      hide();
    }
  });
  list.addEventListener('pointerdown', (event) => event.preventDefault());
  list.addEventListener('click', (event) => {
    const item = event.target.closest('[data-value]');
    if (item) {
      take(item.dataset.value);
      field.focus();
    }
  });
  // Left with what can mean one thing alone, or with the marked one: that is taken. Cleared: nothing is chosen. Else it is as before.
  field.addEventListener('blur', () => {
    const marked = list.hidden ? null : list.querySelector('[aria-selected="true"]');
    if (!field.value.trim()) {
      take('');
    } else if (field.value !== chosen() && marked) {
      take(marked.dataset.value);
    } else {
      field.value = chosen();
      hide();
    }
  });
}
