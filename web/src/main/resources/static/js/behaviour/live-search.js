// Shows what typed words may mean while they are typed; the form itself asks for the same as a page.
const PAUSE = 160;

export function liveSearch(form) {
  const input = form.querySelector('[name="find"]');
  const place = document.querySelector(form.dataset.liveSearch);
  let timer = 0;
  let newest = 0;

  async function look() {
    const mine = ++newest;
    const answer = await fetch(`${form.dataset.answers}?${new URLSearchParams({ find: input.value })}`).catch(() => null);
    if (answer?.ok && mine === newest) {
      place.innerHTML = await answer.text();
    }
  }

  form.closest('details')?.addEventListener('toggle', (event) => {
    if (event.target.open) {
      input.focus({ preventScroll: true });
      form.scrollIntoView({ block: 'center' });
    }
  });
  input.addEventListener('input', () => {
    clearTimeout(timer);
    timer = setTimeout(look, PAUSE);
  });
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    clearTimeout(timer);
    look();
  });
}
