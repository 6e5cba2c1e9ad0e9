// A browser's store, for tests.
export function store() {
  const slots = new Map();
  return {
    getItem: (k) => slots.get(k) ?? null,
    setItem: (k, v) => slots.set(k, v),
    removeItem: (k) => slots.delete(k),
    key: (i) => [...slots.keys()][i] ?? null,
    get length() {
      return slots.size;
    },
    size: () => slots.size,
  };
}
