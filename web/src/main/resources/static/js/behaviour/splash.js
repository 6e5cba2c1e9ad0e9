// First aid opens at once from the page itself; a worker keeps its own page for when a reload finds no server.
export function splash(link) {
  const card = document.getElementById('splash');
  link.addEventListener('click', (event) => {
    if (card?.showModal) {
      event.preventDefault();
      card.showModal();
    }
  });
}

export function keepSplashAtHand() {
  if ('serviceWorker' in navigator && window.isSecureContext) {
    navigator.serviceWorker.register('/worker.js').catch(() => {});
  }
}
