// Hides the rows of a list whose words do not hold what is typed.
export function filterList(input) {
  input.addEventListener('input', () => {
    const asked = input.value.trim().toLowerCase();
    document.querySelectorAll(input.dataset.filter).forEach((row) => {
      row.hidden = !row.dataset.words.toLowerCase().includes(asked);
    });
  });
}
