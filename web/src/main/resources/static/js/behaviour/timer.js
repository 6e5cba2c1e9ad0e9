// Kitchen timers that are seen from a metre and heard across the room. They are kept in the browser, so that they go on when the page changes,
// and ring on every page until they are stopped.
import { countdown } from '../calc/elapsed.js';
import { minutes, read, rings, start, stop } from '../calc/timers.js';

const SLOT = 'bench-timers';
const TONES = 6;

export function timer(box) {
  const list = box.querySelector('[data-running]');
  const own = box.querySelector('[data-own]');
  let audio = null;
  let rung = rings(timers(), Date.now());

  function timers() {
    return read(localStorage.getItem(SLOT));
  }

  function keep(changed) {
    localStorage.setItem(SLOT, JSON.stringify(changed));
    rung = rings(changed, Date.now());
    beat();
  }

  function begin(much) {
    const name = document.querySelector('.steps [aria-current="step"]')?.lastElementChild?.textContent ?? '';
    keep(start(timers(), much, name, Date.now()));
  }

  box.addEventListener('click', (event) => {
    const button = event.target.closest('button');
    if (button?.dataset.minutes) {
      begin(Number(button.dataset.minutes));
    } else if (button?.dataset.stop) {
      keep(stop(timers(), Number(button.dataset.stop)));
    }
  });
  own?.addEventListener('keydown', (event) => {
    if (event.key !== 'Enter') {
      return;
    }
    event.preventDefault();
    const much = minutes(own.value);
    const before = timers().length;
    begin(much);
    own.setAttribute('aria-invalid', String(timers().length === before));
    if (timers().length > before) {
      own.value = '';
    }
  });

  function beat() {
    const now = Date.now();
    const running = timers();
    if (list.childElementCount !== running.length || running.some((t, i) => list.children[i].dataset.id !== String(t.id))) {
      list.replaceChildren(...running.map(chip));
    }
    running.forEach((t, i) => {
      list.children[i].classList.toggle('over', now >= t.end);
      list.children[i].querySelector('output').textContent = countdown(now, t.end);
    });
    const due = rings(running, now);
    if (due > rung) {
      ring();
    }
    rung = due;
    box.classList.toggle('silent', due > 0 && audio?.state === 'suspended');
  }

  function chip(t) {
    const piece = document.createElement('span');
    piece.className = 'timer-chip';
    piece.dataset.id = String(t.id);
    const face = document.createElement('output');
    face.className = 'figure';
    face.setAttribute('aria-live', 'off');
    const name = document.createElement('small');
    name.textContent = t.name;
    const end = document.createElement('button');
    end.type = 'button';
    end.className = 'button small';
    end.dataset.stop = String(t.id);
    end.textContent = '✕';
    end.setAttribute('aria-label', `Stop the timer ${t.name}`);
    piece.append(face, name, end);
    return piece;
  }

  function ring() {
    try {
      audio ??= new AudioContext();
      audio.resume();
      for (let i = 0; i < TONES; i++) {
        const tone = audio.createOscillator();
        const level = audio.createGain();
        tone.frequency.value = i % 2 ? 880 : 1320;
        level.gain.value = 0.3;
        tone.connect(level).connect(audio.destination);
        tone.start(audio.currentTime + i * 0.35);
        tone.stop(audio.currentTime + i * 0.35 + 0.25);
      }
    } catch {
      // Without sound the face still tells.
    }
  }

  beat();
  setInterval(beat, 500);
}

// Away from the bench a timer that runs is shown in a corner.
export function timerInACorner(body) {
  if (read(localStorage.getItem(SLOT)).length === 0) {
    return;
  }
  const box = document.createElement('div');
  box.className = 'timer corner';
  const list = document.createElement('span');
  list.dataset.running = '';
  box.append(list);
  body.append(box);
  timer(box);
}
