// Loaded before the server under test: its days can be moved, so that weeks are gone through one after the other.
const Real = Date;
let movedMs = 0;
const now = () => Real.now() + movedMs;

// The same prototype, so that what extends dates finds all that it extends.
globalThis.Date = new Proxy(Real, {
  construct: (target, parts, made) => Reflect.construct(target, parts.length === 0 ? [now()] : parts, made),
  get: (target, name, receiver) => (name === 'now' ? now : Reflect.get(target, name, receiver)),
});

process.on('message', (message) => {
  if (typeof message?.movedMs !== 'number') return;
  movedMs = message.movedMs;
  process.send?.('moved');
});
