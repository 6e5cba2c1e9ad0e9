// Counts the seconds that a button is held, by finger, pointer or space bar, and sends them when it is let go. A touch too short to be a burst
// only says what to do.
const LEAST = 0.8;
const LONGEST = 900;

export function hold(button) {
  const words = button.querySelector('[data-hold-words]');
  const resting = words.textContent;
  let since = 0;
  let beat = 0;

  const begin = (event) => {
    event.preventDefault();
    if (!since) {
      since = performance.now();
      button.classList.add('running');
      beat = setInterval(() => { words.textContent = `${Math.floor((performance.now() - since) / 1000)} s`; }, 200);
    }
  };
  const end = () => {
    if (!since) {
      return;
    }
    const seconds = (performance.now() - since) / 1000;
    since = 0;
    clearInterval(beat);
    button.classList.remove('running');
    words.textContent = resting;
    if (seconds < LEAST) {
      words.textContent = 'Keep it pressed';
      return;
    }
    button.value = `blend ${Math.min(LONGEST, Math.max(1, Math.round(seconds)))}`;
    button.form.requestSubmit(button);
  };

  button.addEventListener('pointerdown', (event) => { button.setPointerCapture?.(event.pointerId); begin(event); });
  ['pointerup', 'pointercancel', 'lostpointercapture'].forEach((name) => button.addEventListener(name, end));
  button.addEventListener('keydown', (event) => {
    if (event.key === ' ' || event.key === 'Enter') {
      event.preventDefault();
      begin(event);
    }
  });
  button.addEventListener('keyup', (event) => {
    if (event.key === ' ' || event.key === 'Enter') {
      event.preventDefault();
      end();
    }
  });
  // What is left of a press is a click; it must not send a second time.
  button.addEventListener('click', (event) => event.preventDefault());
  button.addEventListener('contextmenu', (event) => event.preventDefault());
}
