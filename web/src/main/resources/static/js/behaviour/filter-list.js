// Hides the rows of a list whose words do not hold what is typed. Groups that hold a match are opened, the others go away with their rows.
export function filterList(input) {
  const rows = [...document.querySelectorAll(input.dataset.filter)];
  const groups = [...new Set(rows.map((row) => row.closest('details.finding-group')).filter(Boolean))];
  input.addEventListener('input', () => {
    const asked = input.value.trim().toLowerCase();
    rows.forEach((row) => {
      row.hidden = !row.dataset.words.toLowerCase().includes(asked);
    });
    groups.forEach((group) => {
      const matches = [...group.querySelectorAll('[data-words]')].some((row) => !row.hidden);
      group.hidden = !matches;
      group.open = asked !== '' && matches;
    });
  });
}
