import type { StateStorage } from 'zustand/middleware';

const REST_MS = 500;

let waiting: { name: string; value: string } | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;

function write(): void {
  clearTimeout(timer);
  timer = undefined;
  if (waiting) localStorage.setItem(waiting.name, waiting.value);
  waiting = null;
}

/** The browser's storage, written at most twice a second and once more when the page goes: a running clock changes ten times as often. */
export const restfulStorage: StateStorage = {
  getItem: (name) => localStorage.getItem(name),
  setItem: (name, value) => {
    waiting = { name, value };
    timer ??= setTimeout(write, REST_MS);
  },
  removeItem: (name) => {
    waiting = null;
    localStorage.removeItem(name);
  },
};

if (typeof window !== 'undefined') window.addEventListener('pagehide', write);
