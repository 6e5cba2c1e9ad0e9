// Alt with an arrow moves the row that the keyboard is in: fats are weighed in the order in which they stand. The rows are the form's, so their
// order in the page is the order that is sent.
export function reorder(rows) {
  rows.addEventListener('keydown', (event) => {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) {
      return;
    }
    const row = [...rows.children].find((r) => r.contains(event.target));
    const other = event.key === 'ArrowUp' ? row?.previousElementSibling : row?.nextElementSibling;
    event.preventDefault();
    if (!row || !other) {
      return;
    }
    const held = event.target;
    if (event.key === 'ArrowUp') {
      other.before(row);
    } else {
      other.after(row);
    }
    number(rows);
    held.focus();
    held.dispatchEvent(new Event('input', { bubbles: true }));
  });
}

// What tells the number of its row tells the new one.
function number(rows) {
  [...rows.children].forEach((row, i) => {
    row.querySelectorAll('input[type=checkbox]').forEach((box) => { box.value = String(i); });
    row.querySelectorAll('[data-in]').forEach((place) => { place.dataset.in = place.dataset.in.replace(/\d+$/, String(i)); });
    row.querySelectorAll('[aria-label]').forEach((named) => named.setAttribute('aria-label', named.getAttribute('aria-label').replace(/\d+/, String(i + 1))));
  });
}
