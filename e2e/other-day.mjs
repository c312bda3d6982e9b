// Loaded before the server under test: its days can be moved, so that weeks are gone through one after the other.
const Real = Date;
let movedMs = 0;

globalThis.Date = class Date extends Real {
  constructor(...parts) {
    if (parts.length === 0) super(Real.now() + movedMs);
    else super(...parts);
  }

  static now() {
    return Real.now() + movedMs;
  }
};

process.on('message', (message) => {
  if (typeof message?.movedMs !== 'number') return;
  movedMs = message.movedMs;
  process.send?.('moved');
});
