import type { Timeline, TimelineEvent } from '../../timeline/timeline.js';
import { itemAt } from '../../vocabulary/lists.js';
import { spokenMs, type Utterance, UTTERANCE_KINDS, type UtteranceKind } from './utterance.js';

/** Something that would be said, with what may be done to find room for it. */
export interface Wish {
  readonly kind: UtteranceKind;
  readonly text: string;
  /** What is said instead where there is less time, longest first. */
  readonly shorter?: readonly string[];
  readonly event: number;
  readonly from: 'start' | 'end';
  readonly offsetMs: number;
  /** How much later it may begin within its event. */
  readonly latestMs: number;
  /** Whether it may begin in the rest before, so that it is over in time. */
  readonly mayBeginEarlier?: boolean;
}

/** Between two utterances, so that they are two. */
const GAP_MS = 120;
/** Nobody remembers what was said longer before. */
const EARLIEST_MS = 8000;
const STEP_MS = 250;

interface Span {
  readonly startMs: number;
  readonly endMs: number;
}

/** Puts what is wished for on the timeline, the most important first, where it is said over nothing else. What finds no room is left out. */
export function fittedTogether(timeline: Timeline, wishes: readonly Wish[]): Utterance[] {
  const taken: Span[] = [];
  const order = (wish: Wish) => UTTERANCE_KINDS.indexOf(wish.kind);
  const said = wishes
    .toSorted((a, b) => order(a) - order(b) || a.event - b.event)
    .flatMap((wish): Utterance[] => {
      const utterance = placed(timeline, wish, taken);
      if (!utterance) return [];
      taken.push({ startMs: utterance.atMs, endMs: utterance.atMs + utterance.lengthMs });
      return [utterance];
    });
  return said.toSorted((a, b) => a.atMs - b.atMs);
}

function placed(timeline: Timeline, wish: Wish, taken: readonly Span[]): Utterance | null {
  const event = itemAt(timeline.events, wish.event);
  const idealMs = wish.from === 'start' ? event.startMs + wish.offsetMs : event.startMs + event.durationMs - wish.offsetMs;
  for (const text of [wish.text, ...(wish.shorter ?? [])]) {
    const lengthMs = spokenMs(text);
    for (const atMs of startsFor(timeline, wish, idealMs, lengthMs)) {
      if (isFree({ startMs: atMs, endMs: atMs + lengthMs }, taken)) return anchored(timeline, wish, { text, atMs, lengthMs });
    }
  }
  return null;
}

/** When it may begin, the best first. */
function* startsFor(
  timeline: Timeline,
  { event, latestMs, mayBeginEarlier = false }: Wish,
  idealMs: number,
  lengthMs: number,
): Generator<number> {
  if (mayBeginEarlier) {
    // It is over when the work begins.
    const work = timeline.events.slice(event).find(({ stint }) => stint !== null);
    const dueMs = (work?.startMs ?? timeline.durationMs) - lengthMs;
    const restSinceMs = restBefore(timeline, event);
    for (let atMs = Math.min(idealMs, dueMs); atMs >= Math.max(restSinceMs, idealMs - EARLIEST_MS); atMs -= STEP_MS) yield atMs;
    for (let atMs = idealMs + STEP_MS; atMs <= dueMs; atMs += STEP_MS) yield atMs;
    return;
  }
  for (let laterMs = 0; laterMs <= latestMs; laterMs += STEP_MS) yield idealMs + laterMs;
}

/** Since when nobody has worked before an event. */
function restBefore({ events }: Timeline, index: number): number {
  const last = events.slice(0, index).findLastIndex(({ stint }) => stint !== null);
  return events[last + 1]?.startMs ?? 0;
}

const isFree = (span: Span, taken: readonly Span[]): boolean =>
  taken.every(({ startMs, endMs }) => span.endMs + GAP_MS <= startMs || span.startMs >= endMs + GAP_MS);

/** By the event in which it begins: what is before the end of a rest stays there when the rest is made longer. */
function anchored({ events }: Timeline, wish: Wish, { text, atMs, lengthMs }: Pick<Utterance, 'text' | 'atMs' | 'lengthMs'>): Utterance {
  const { kind } = wish;
  if (wish.from === 'end') return { kind, text, event: wish.event, from: 'end', offsetMs: wish.offsetMs, atMs, lengthMs };
  const event = atMs >= itemAt(events, wish.event).startMs ? wish.event : eventAt(events, atMs);
  const { startMs, durationMs } = itemAt(events, event);
  // What leads into the next event keeps its distance to that.
  if (event !== wish.event) return { kind, text, event, from: 'end', offsetMs: startMs + durationMs - atMs, atMs, lengthMs };
  return { kind, text, event, from: 'start', offsetMs: atMs - startMs, atMs, lengthMs };
}

const eventAt = (events: readonly TimelineEvent[], atMs: number): number =>
  Math.max(
    0,
    events.findLastIndex(({ startMs }) => startMs <= atMs),
  );
