// What was typed or tapped and not yet acknowledged, one slot of the browser's store for each place it is sent to. Each line knows when it was
// made, so that it can be logged at its own moment however late it arrives, and by whom, so that nobody else signs it.
export function outbox(store, place) {
  const slot = `${PREFIX}${place}`;

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
    put(key, body, since, whose) {
      write({ ...read(), [key]: { body: withoutToken(body), since, whose } });
    },
    drop(key) {
      const { [key]: gone, ...rest } = read();
      write(rest);
      return gone !== undefined;
    },
    // Why the server will not take it. It stays until the maker has read that.
    refuse(key, why) {
      const lines = read();
      if (lines[key]) {
        write({ ...lines, [key]: { ...lines[key], refused: why } });
      }
    },
    // The oldest first.
    all() {
      return Object.entries(read())
        .map(([key, line]) => ({
          key,
          body: String(line?.body ?? line),
          since: Number(line?.since) || 0,
          refused: line?.refused ?? '',
          whose: line?.whose ?? null,
        }))
        .sort((a, b) => a.since - b.since);
    },
  };
}

// A token of a form serves one sign-in, and has no business in a store.
function withoutToken(body) {
  const form = new URLSearchParams(body);
  form.delete('_csrf');
  return form.toString();
}

const PREFIX = 'outbox:';

// All places that something waits for.
export function places(store) {
  return Array.from({ length: store.length }, (_, i) => store.key(i) ?? '')
    .filter((slot) => slot.startsWith(PREFIX))
    .map((slot) => slot.slice(PREFIX.length));
}
