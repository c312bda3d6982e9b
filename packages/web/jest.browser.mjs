/** What a browser has and the document of the tests has not, or has only in name: there before anything else is read. */
import { TextDecoder, TextEncoder } from 'node:util';
import { MessageChannel } from 'node:worker_threads';

Object.assign(globalThis, { TextEncoder, TextDecoder, MessageChannel, IS_REACT_ACT_ENVIRONMENT: true });
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
// Nothing comes near a screen here: a list of hundreds of movements is read by its words, without their pictures.
globalThis.IntersectionObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
