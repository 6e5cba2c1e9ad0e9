// Rows appear by themselves: once the last one is used there is another.
export function grows(rows, enhance) {
  const blank = rows.lastElementChild.cloneNode(true);

  rows.addEventListener('change', (event) => {
    const last = rows.lastElementChild;
    if (!last.contains(event.target) || ![...last.querySelectorAll('select')].some((s) => s.value && s.name.endsWith('Id'))) {
      return;
    }
    const number = rows.children.length + 1;
    const next = blank.cloneNode(true);
    next.querySelectorAll('input').forEach((input) => {
      if (input.type === 'checkbox') {
        input.checked = false;
        input.value = String(number - 1);
      } else {
        input.value = '';
      }
    });
    next.querySelectorAll('[data-in]').forEach((place) => {
      place.dataset.in = place.dataset.in.replace(/\d+$/, String(number - 1));
      place.textContent = '';
    });
    next.querySelectorAll('[aria-label]').forEach((named) => named.setAttribute('aria-label', named.getAttribute('aria-label').replace(/\d+/, String(number))));
    next.querySelectorAll('.field-problem').forEach((problem) => problem.remove());
    rows.append(next);
    next.querySelectorAll('[data-choose]').forEach(enhance);
  });
}
