/** The browser's storage and window for tests that run without a browser. */
const kept = new Map();
globalThis.localStorage = {
  getItem: (name) => kept.get(name) ?? null,
  setItem: (name, value) => void kept.set(name, String(value)),
  removeItem: (name) => void kept.delete(name),
  key: (index) => [...kept.keys()][index] ?? null,
  clear: () => kept.clear(),
  get length() {
    return kept.size;
  },
};
globalThis.window = Object.assign(new EventTarget(), { localStorage: globalThis.localStorage });
