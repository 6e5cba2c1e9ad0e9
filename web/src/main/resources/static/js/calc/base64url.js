// Bytes as text that fits into an address (RFC 4648, 5), without the filling at its end.
export const text = (buffer) =>
  btoa(String.fromCharCode(...new Uint8Array(buffer)))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');

export const bytes = (written) =>
  Uint8Array.from(atob(written.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0));
