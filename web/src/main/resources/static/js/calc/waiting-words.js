// How a line that waits, or could not be logged, is told.
export function words(line, made) {
  return `Not taken: ${said(line, made)}.`;
}

// To whoever is signed in now and did not make it.
export function wordsToAnother(line, made) {
  const maker = line.whose?.shown || line.whose?.name;
  return maker
    ? `${said(line, made)} waits here. ${maker} made it, and it is logged when ${maker} signs in on this device.`
    : `${said(line, made)} waits here, and nobody knows who made it.`;
}

function said(line, made) {
  const form = new URLSearchParams(line.body);
  const parts = [form.get('quick'), form.get('degrees'), form.get('what'), form.get('name'), form.get('amount'), form.get('mass')]
    .filter((part) => part)
    .join(' ');
  const two = (n) => String(n).padStart(2, '0');
  const at = line.since ? ` of ${two(made.getHours())}:${two(made.getMinutes())}` : '';
  return `“${parts || 'a tap'}”${at}`;
}
