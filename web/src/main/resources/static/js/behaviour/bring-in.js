// Sends a file of whatever size as it is, so that it is written to the disk while it comes, and shows how far it has come.
export function bringIn(form) {
  const file = form.querySelector('input[type="file"]');
  const problem = form.querySelector('[data-problem]');
  const bar = form.querySelector('progress');
  const token = document.querySelector('meta[name="csrf"]')?.content;

  const told = (words) => {
    bar.hidden = true;
    problem.textContent = words;
    form.querySelector('button').disabled = false;
  };

  form.addEventListener('submit', (event) => {
    const [chosen] = file.files;
    if (!chosen) {
      return;
    }
    event.preventDefault();
    problem.textContent = '';
    bar.hidden = false;
    form.querySelector('button').disabled = true;
    const request = new XMLHttpRequest();
    request.open('POST', form.action);
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    request.setRequestHeader('X-XSRF-TOKEN', token);
    request.setRequestHeader('X-File-Name', encodeURIComponent(chosen.name));
    request.upload.addEventListener('progress', (sent) => { bar.value = sent.total > 0 ? sent.loaded / sent.total : 0; });
    request.addEventListener('load', () => {
      if (request.status === 200 && request.responseText.startsWith('/')) {
        location.assign(request.responseText);
      } else {
        told(request.status === 400 ? request.responseText : 'It could not be sent. Nothing was kept; try again.');
      }
    });
    request.addEventListener('error', () => told('The server is not there. Nothing was kept; try again when it is back.'));
    request.send(chosen);
  });
}
