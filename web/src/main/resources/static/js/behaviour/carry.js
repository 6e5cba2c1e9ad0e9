// What was answered beside one drawing goes along when another is touched, or when other words are looked for: nothing that was typed is lost.
const goesAlong = (name) => name === 'at' || name === 'bars' || name.startsWith('also-');

export function carry(main) {
  main.addEventListener('click', (event) => {
    const link = event.target.closest('a[href]');
    if (link) {
      const target = new URL(link.getAttribute('href') ?? '', window.location.href);
      answered().forEach((value, name) => target.searchParams.set(name, value));
      link.setAttribute('href', target.pathname + target.search);
    }
  });
  document.querySelector('form[role=search]')?.addEventListener('formdata', (event) => {
    answered().forEach((value, name) => event.formData.set(name, value));
  });

  // What stands in the form; of what is not asked now, what was said before.
  function answered() {
    const answers = new Map();
    new URLSearchParams(window.location.search).forEach((value, name) => goesAlong(name) && answers.set(name, value));
    const form = main.querySelector('form[method=post]');
    if (form) {
      new FormData(form).forEach((value, name) => goesAlong(name) && typeof value === 'string' && answers.set(name, value));
    }
    return answers;
  }
}
