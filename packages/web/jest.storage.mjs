/** The browser's storage for tests that run without a browser. */
const kept = new Map();
globalThis.localStorage = {
  getItem: (name) => kept.get(name) ?? null,
  setItem: (name, value) => void kept.set(name, String(value)),
  removeItem: (name) => void kept.delete(name),
  clear: () => kept.clear(),
};
globalThis.window = { localStorage: globalThis.localStorage, addEventListener: () => undefined };
