import type { EffortSpan, EffortTimeline } from './effort-timeline.js';
import type { GroupCourse } from './fatigue-course.js';
import { doneOf } from '../timeline/playhead.js';
import type { Stint, Timeline } from '../timeline/timeline.js';
import type { SideGroup } from '../vocabulary/muscles.js';
import type { SetUnit } from '../vocabulary/work.js';

/** When an open set is likely to end, by the stint that it is: the first of its muscles lets go. */
export type OpenEnds = ReadonlyMap<number, number>;

/** Where open sets end before their ceiling. */
export function openEnds(courses: ReadonlyMap<SideGroup, GroupCourse>): OpenEnds {
  const ends = new Map<number, number>();
  for (const { givesOut } of courses.values()) {
    for (const { open, atMs } of givesOut) ends.set(open, Math.min(atMs, ends.get(open) ?? atMs));
  }
  return ends;
}

/** The efforts without what lies behind the end of an open set: once one muscle lets go, the others are free too. The same where none does. */
export function untilLetGo(efforts: EffortTimeline, ends: OpenEnds): EffortTimeline {
  if (ends.size === 0) return efforts;
  const cut = (span: EffortSpan): EffortSpan[] => {
    const endMs = span.open === undefined ? undefined : ends.get(span.open);
    if (endMs === undefined || span.endMs <= endMs) return [span];
    return span.startMs < endMs ? [{ ...span, endMs }] : [];
  };
  return { ...efforts, spans: new Map([...efforts.spans].map(([key, list]) => [key, list.flatMap(cut)])) };
}

/** How much of an open set somebody is likely to do: the amount at which a muscle lets go, else the ceiling. */
export function likelyAmount(timeline: Timeline, stint: Stint, ends: OpenEnds): number {
  const endMs = ends.get(stint.index);
  if (endMs === undefined) return stint.plannedAmount;
  const event = timeline.events.findIndex(({ startMs, durationMs, stint: of }) => of === stint.index && startMs + durationMs > endMs);
  const now = timeline.events[event];
  if (!now) return stint.plannedAmount;
  const done = doneOf(timeline, stint, { event, elapsedMs: endMs - now.startMs, addedMs: 0 });
  return Math.min(stint.plannedAmount, ...done.map(({ amount }) => amount));
}

/** How much somebody is likely to do of the sets of a block that go on until the form fails, from the least to the most of them. */
export interface Likely {
  readonly least: number;
  readonly most: number;
  readonly unit: SetUnit;
}

/** What the open sets of a block are likely to come to; null where none goes on until the form fails. */
export function likelyOfBlock(timeline: Timeline, ends: OpenEnds, blockId: string): Likely | null {
  const open = timeline.stints.filter((stint) => stint.blockId === blockId && stint.open === 'form');
  const [first] = open;
  if (!first) return null;
  const amounts = open.map((stint) => likelyAmount(timeline, stint, ends));
  return { least: Math.min(...amounts), most: Math.max(...amounts), unit: first.unit };
}

/** @example likelyWords({ least: 9, most: 14, unit: 'repetitions' }) → 'likely 9–14 repetitions' */
export const likelyWords = ({ least, most, unit }: Likely): string => `likely ${least === most ? most : `${least}–${most}`} ${unit}`;
