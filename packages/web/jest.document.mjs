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
Element.prototype.getAnimations ??= () => [];

afterEach(() => {
  cleanup();
  localStorage.clear();
  jest.restoreAllMocks();
});
