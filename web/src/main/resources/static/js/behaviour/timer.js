// A kitchen timer that is seen from a metre and heard across the room. It is kept in the browser, so that it goes on when the page changes.
import { countdown } from '../calc/elapsed.js';

const SLOT = 'bench-timer';
const RINGS = 6;

export function timer(box) {
  const face = box.querySelector('[data-face]');
  let rung = false;

  box.addEventListener('click', (event) => {
    const button = event.target.closest('button');
    if (!button) {
      return;
    }
    if (button.dataset.minutes) {
      localStorage.setItem(SLOT, String(Date.now() + 60_000 * Number(button.dataset.minutes)));
      rung = false;
    } else {
      localStorage.removeItem(SLOT);
    }
    beat();
  });

  function beat() {
    const end = Number(localStorage.getItem(SLOT) ?? 0);
    box.classList.toggle('running', end > 0);
    face.textContent = end > 0 ? countdown(Date.now(), end) : '';
    const over = end > 0 && Date.now() >= end;
    box.classList.toggle('over', over);
    if (over && !rung) {
      rung = true;
      ring();
    }
  }

  function ring() {
    try {
      const audio = new AudioContext();
      for (let i = 0; i < RINGS; i++) {
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
