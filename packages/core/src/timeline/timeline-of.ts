import type { MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import { compileTimeline } from './compile-timeline.js';
import type { Timeline } from './timeline.js';

const compiled = new WeakMap<MovementLookup, WeakMap<Sequence, Timeline>>();

/**
 * The timeline of a document, compiled once for each library however many ask: screens, rules and sums that concern the same sequence share it.
 * A document is never changed, only replaced, and so is a library.
 * @throws SequenceError when it is not sound
 */
export function timelineOf(sequence: Sequence, lookup: MovementLookup): Timeline {
  const ofLibrary = compiled.get(lookup) ?? new WeakMap<Sequence, Timeline>();
  compiled.set(lookup, ofLibrary);
  const cached = ofLibrary.get(sequence);
  if (cached) return cached;
  const timeline = compileTimeline(sequence, lookup);
  ofLibrary.set(sequence, timeline);
  return timeline;
}
