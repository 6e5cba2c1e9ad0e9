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

// A network that fails while the worker is fetched would leave the device without first aid until another page is opened: it is tried again.
const AGAIN = 5000; // ms

export function keepSplashAtHand() {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) {
    return;
  }
  navigator.serviceWorker.register('/worker.js').then((registration) => {
    const worker = registration.installing;
    worker?.addEventListener('statechange', () => {
      if (worker.state === 'redundant' && !registration.active) {
        setTimeout(keepSplashAtHand, AGAIN);
      }
    });
  }).catch((reason) => {
    // A certificate that nobody trusts yet does not change by asking again.
    if (reason.name !== 'SecurityError') {
      setTimeout(keepSplashAtHand, AGAIN);
    }
  });
  // A page that was just on its way when the worker began to serve is passed over by it, and would stay without first aid: it asks to be served.
  navigator.serviceWorker.ready.then((registration) => {
    if (!navigator.serviceWorker.controller) {
      registration.active.postMessage('serve');
    }
  });
}
