// Runs every clock and countdown of the page on one beat, also those that came with a refreshed part.
import { elapsed, left } from '../calc/elapsed.js';

export function clocks(document) {
  const beat = () => {
    document.querySelectorAll('[data-clock]').forEach((e) => { e.textContent = elapsed(Number(e.dataset.clock), Date.now()); });
    document.querySelectorAll('[data-until]').forEach((e) => { e.textContent = left(Number(e.dataset.until), Date.now()); });
  };
  beat();
  setInterval(beat, 1000);
}
