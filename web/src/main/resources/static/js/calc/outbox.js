// Lines that were typed and not yet acknowledged, one slot of the browser's store for each place they are sent to.
export function outbox(store, place) {
  const slot = `outbox:${place}`;

  function read() {
    try {
      const lines = JSON.parse(store.getItem(slot) ?? '{}');
      return lines && typeof lines === 'object' ? lines : {};
    } catch {
      return {};
    }
  }

  function write(lines) {
    try {
      if (Object.keys(lines).length === 0) {
        store.removeItem(slot);
      } else {
        store.setItem(slot, JSON.stringify(lines));
      }
    } catch {
      // A full or forbidden store must not keep anybody from logging.
    }
  }

  return {
    put(key, body) {
      write({ ...read(), [key]: body });
    },
    drop(key) {
      const { [key]: gone, ...rest } = read();
      write(rest);
      return gone !== undefined;
    },
    all() {
      return Object.entries(read());
    },
  };
}
