// Runs every clock of the page on one beat.
import { elapsed } from '../calc/elapsed.js';

export function clocks(document) {
  const all = [...document.querySelectorAll('[data-clock]')];
  if (all.length === 0) {
    return;
  }
  const beat = () => all.forEach((e) => { e.textContent = elapsed(Number(e.dataset.clock), Date.now()); });
  beat();
  setInterval(beat, 1000);
}
