/** What a browser has and the document of the tests has not, or has only in name. */
import { TextDecoder, TextEncoder } from 'node:util';
import { afterEach, jest } from '@jest/globals';
import { cleanup } from '@testing-library/react';

Object.assign(globalThis, { TextEncoder, TextDecoder, IS_REACT_ACT_ENVIRONMENT: true });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.matchMedia ??= (query) => ({
  matches: false,
  media: query,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
});
Element.prototype.scrollIntoView ??= () => undefined;
// In name only: it throws.
window.scrollTo = () => undefined;
Element.prototype.getAnimations ??= () => [];
// No canvas draws here: pictures take their flat form.
HTMLCanvasElement.prototype.getContext = () => null;

// Typing letter by letter into a full screen takes seconds on a busy machine.
jest.setTimeout(20_000);

afterEach(() => {
  cleanup();
  localStorage.clear();
  jest.restoreAllMocks();
});
