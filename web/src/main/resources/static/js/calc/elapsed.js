// A stopwatch's words: hours, minutes, seconds since a moment, never negative.
const two = (n) => String(n).padStart(2, '0');

export function elapsed(since, now) {
  const seconds = Math.max(0, Math.floor((now - since) / 1000));
  return `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
}

// What is left until a moment, counting on past it with a plus sign.
export function countdown(now, end) {
  const left = Math.round((end - now) / 1000);
  const size = Math.abs(left);
  const clock = `${String(Math.floor(size / 60)).padStart(2, '0')}:${String(size % 60).padStart(2, '0')}`;
  return left < 0 ? `+${clock}` : clock;
}

const DEAD_AFTER = 10_000;

// That a device is silent, in words; empty while it speaks.
export function silent(heard, now) {
  if (!heard) {
    return 'not heard yet';
  }
  const seconds = Math.round((now - heard) / 1000);
  return now - heard > DEAD_AFTER ? `silent for ${seconds} s` : '';
}

/** Minutes until a moment: whole ones while there are ten, then with seconds; "now" when it is past. */
export function left(until, now) {
  const seconds = Math.round((until - now) / 1000);
  if (seconds <= 0) {
    return 'now';
  }
  if (seconds >= 100 * 60) {
    return `${(seconds / 3600).toFixed(1)} h`;
  }
  return seconds >= 600 ? `${Math.round(seconds / 60)} min` : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} min`;
}
