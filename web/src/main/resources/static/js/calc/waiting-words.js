// How a line that could not be logged is told to the one who made it.
export function words(line, made) {
  const form = new URLSearchParams(line.body);
  const said = [form.get('quick'), form.get('degrees'), form.get('what'), form.get('name'), form.get('amount'), form.get('mass')]
    .filter((part) => part)
    .join(' ');
  const two = (n) => String(n).padStart(2, '0');
  const at = line.since ? ` of ${two(made.getHours())}:${two(made.getMinutes())}` : '';
  return `Not taken: “${said || 'a tap'}”${at}.`;
}
