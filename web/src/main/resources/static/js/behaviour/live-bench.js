// What devices read, as it happens. When something was logged, by whomever, the parts of the page that tell of it are fetched anew; what is
// being typed is never touched.
import { silent } from '../calc/elapsed.js';

const BEAT = 1000;
const HAND_TYPES = 4000;
const LOOKS = 10_000;

export function liveBench(strip) {
  const feed = new EventSource(strip.dataset.liveBench);
  const devices = () => [...strip.querySelectorAll('[data-device]')];
  // The server tells how long ago, not when: its clock and this one need not agree.
  devices().forEach((d) => { d.dataset.heard = Number(d.dataset.age) < 0 ? '0' : String(Date.now() - Number(d.dataset.age)); });
  let fetching = false;
  let again = false;

  feed.addEventListener('reading', (event) => {
    const reading = JSON.parse(event.data);
    const device = devices().find((d) => d.dataset.device === reading.device);
    if (!device) {
      return;
    }
    device.dataset.heard = String(Date.now());
    device.querySelector('[data-value]').textContent = reading.value;
    const tap = device.querySelector('[data-tap]');
    if (tap) {
      tap.value = `${tap.dataset.tap} ${reading.value}`;
    }
    if (device.dataset.scale) {
      document.querySelectorAll('[data-from-scale]').forEach((amount) => fill(amount, reading.value));
    }
    const ring = document.querySelector('[data-ring]');
    if (device.dataset.scale && ring) {
      const off = Number(reading.value) - Number(ring.dataset.ring);
      ring.dataset.state = Math.abs(off) <= Number(ring.dataset.tolerance) ? 'in' : off > 0 ? 'over' : 'under';
      ring.querySelector('[data-off]').textContent = `${off > 0 ? '+' : ''}${off.toFixed(1).replace('-', '\u2212')}`;
    }
  });
  feed.addEventListener('logged', refresh);
  // What was logged before the feed was there, or while it was away, is not told by it.
  document.addEventListener('bench:delivered', refresh);
  let heard = false;
  feed.addEventListener('open', () => {
    if (heard) {
      refresh();
    }
    heard = true;
  });
  // More benches are open than can be told: this one then looks by itself.
  feed.addEventListener('enough', () => {
    feed.close();
    setInterval(refresh, LOOKS);
  });

  // The scale writes into its field, also while that has the cursor, until a hand has written there; emptied, it is the scale's again, once the
  // hand has had the time to type what it emptied it for.
  const byHand = (event) => {
    if (event.target.matches?.('[data-from-scale]')) {
      event.target.dataset.hand = String(Date.now());
    }
  };
  document.addEventListener('input', byHand);
  document.addEventListener('change', byHand);

  function fill(amount, value) {
    const emptied = amount.value === '' && Date.now() - Number(amount.dataset.hand ?? 0) > HAND_TYPES;
    if (emptied || (amount.value !== '' && amount.value === amount.dataset.filled)) {
      amount.value = value;
      amount.dataset.filled = value;
    }
  }

  async function refresh() {
    if (fetching) {
      again = true;
      return;
    }
    fetching = true;
    const answer = await fetch(location.href).catch(() => null);
    if (answer?.ok) {
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      document.querySelectorAll('[data-part]').forEach((part) => {
        const fresh = page.querySelector(`[data-part="${part.dataset.part}"]`);
        if (fresh && !part.contains(document.activeElement)) {
          part.innerHTML = fresh.innerHTML;
          part.className = fresh.className;
        }
      });
    }
    fetching = false;
    if (again) {
      again = false;
      refresh();
    }
  }

  // A working time goes on shrinking while nobody taps.
  if (document.querySelector('[data-part="mix-head"], [data-part="pour-head"], [data-part="cook-head"]')) {
    setInterval(refresh, 20_000);
  }

  setInterval(() => devices().forEach((device) => {
    const words = silent(Number(device.dataset.heard), Date.now());
    device.classList.toggle('dead', words !== '');
    device.querySelector('[data-silent]').textContent = words;
  }), BEAT);
}

// The screen stays awake while a bench is open.
export function stayAwake() {
  const ask = () => {
    if (document.visibilityState === 'visible') {
      navigator.wakeLock?.request('screen').catch(() => {});
    }
  };
  document.addEventListener('visibilitychange', ask);
  ask();
}
