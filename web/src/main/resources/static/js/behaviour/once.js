// A form that was sent is not sent again by a second tap; the server would take it once in any case.
export function once(form) {
  let sent = false;
  form.addEventListener('submit', (event) => {
    if (sent) {
      event.preventDefault();
      return;
    }
    sent = true;
    // Back in history brings the page as it was left; then the form may be used again.
    window.addEventListener('pageshow', () => { sent = false; }, { once: true });
    setTimeout(() => { sent = false; }, 4000);
  });
}
