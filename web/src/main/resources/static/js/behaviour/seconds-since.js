/** Counts on from the seconds that had passed when the page was made: a clock to work against. */
export function secondsSince(clock) {
  const before = Number(clock.dataset.seconds) || 0;
  const from = performance.now();
  setInterval(() => {
    clock.textContent = `${before + Math.floor((performance.now() - from) / 1000)} s`;
  }, 250);
}
