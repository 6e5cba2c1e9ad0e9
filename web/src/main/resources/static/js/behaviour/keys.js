// Keys for everything that names one in data-key: a letter, or two in a row ("g r"). Not while something is typed.
const PATIENCE = 900;

export function keys(document) {
  let first = '';
  let at = 0;
  document.addEventListener('keydown', (event) => {
    const typing = event.target.closest?.('input, select, textarea, dialog');
    if (typing || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const pressed = event.key.toLowerCase();
    const chord = event.timeStamp - at < PATIENCE && first ? `${first} ${pressed}` : pressed;
    const target = find(document, chord) ?? find(document, pressed);
    first = pressed;
    at = event.timeStamp;
    if (target) {
      event.preventDefault();
      act(target);
    }
  });
}

function find(document, key) {
  return [...document.querySelectorAll('[data-key]')].find((e) => e.dataset.key === key);
}

function act(target) {
  if (target.matches('input, textarea, [data-hold]')) {
    target.focus();
  } else {
    target.click();
    // What opens is typed into next.
    if (target.matches('summary') && target.parentElement.open) {
      target.parentElement.querySelector('input:not([type=hidden]), textarea')?.focus();
    }
  }
}
