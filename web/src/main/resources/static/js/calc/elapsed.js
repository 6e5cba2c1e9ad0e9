// A stopwatch's words: hours, minutes, seconds since a moment, never negative.
const two = (n) => String(n).padStart(2, '0');

export function elapsed(since, now) {
  const seconds = Math.max(0, Math.floor((now - since) / 1000));
  return `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
}
