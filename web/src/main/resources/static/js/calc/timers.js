// Kitchen timers: which run, what each shows, when one rings.
const MOST = 6;
const LONGEST_MINUTES = 24 * 60;
const RINGS_EVERY = 6_000;
const RINGS_FOR = 120_000;

// The timers that a store's text holds; none when it holds no timers.
export function read(text) {
  try {
    const timers = JSON.parse(text ?? '[]');
    return Array.isArray(timers) ? timers.filter((t) => Number.isFinite(t?.end) && typeof t.name === 'string') : [];
  } catch {
    return [];
  }
}

// With one more; the same list when it cannot be: no minutes, more than a day, or more timers than one can watch.
export function start(timers, minutes, name, now) {
  if (!(minutes > 0) || minutes > LONGEST_MINUTES || timers.length >= MOST) {
    return timers;
  }
  const id = timers.reduce((most, t) => Math.max(most, t.id ?? 0), 0) + 1;
  return [...timers, { id, name, end: now + 60_000 * minutes }].sort((a, b) => a.end - b.end);
}

export function stop(timers, id) {
  return timers.filter((t) => t.id !== id);
}

// How many rings were due by now since the first of them that is over; a timer rings again until it is stopped, for two minutes.
export function rings(timers, now) {
  return timers
    .filter((t) => now >= t.end)
    .reduce((sum, t) => sum + Math.floor(Math.min(now - t.end, RINGS_FOR) / RINGS_EVERY) + 1, 0);
}

// "7", "7,5" and "90 s" as minutes; NaN for anything else.
export function minutes(typed) {
  const found = /^\s*(\d+(?:[.,]\d+)?)\s*(s|sec|m|min|h)?\s*$/i.exec(typed);
  if (!found) {
    return NaN;
  }
  const number = Number(found[1].replace(',', '.'));
  const unit = (found[2] ?? 'm').toLowerCase();
  return unit.startsWith('s') ? number / 60 : unit === 'h' ? number * 60 : number;
}
