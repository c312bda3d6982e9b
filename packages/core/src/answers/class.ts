import { viewOf } from '../effort/session-view.js';
import type { ClassMember, ClassSession, KnownClassEvent } from '../model/class-session.js';
import { type ClassBlockPlan, classPlan, soreBlocks } from '../rules/class/class-plan.js';
import { type ClassRecord, classRecord } from '../rules/class/class-record.js';
import { classAfter, classAt } from '../rules/class/class-state.js';
import { timelineOf } from '../timeline/timeline-of.js';
import type { EffortWork } from './effort.js';
import { type OwnShelf, shelfOf } from './own-shelf.js';

/** What one person does in a class, block by block. */
export interface ClassPlanAnswer {
  blocks: ClassBlockPlan[];
  sore: ClassMember['sore'];
}

/** Plans a class for one person, away from the event loop. */
export function answerClassPlan({ own, removedIds, estimated: _estimated, ...question }: EffortWork): ClassPlanAnswer {
  const view = viewOf({ ...question, ...shelfOf({ own, removedIds }) });
  return { blocks: classPlan(view), sore: soreBlocks(view) };
}

/** A class with everything that was pressed in it, as of a moment. */
export interface ClassRecordsWork extends OwnShelf {
  readonly session: ClassSession;
  readonly events: readonly KnownClassEvent[];
  /** In the class’s time, milliseconds since 1970. */
  readonly nowMs: number;
  /** What nobody ended is over after so long, where it was last touched. */
  readonly longestMs: number;
}

/** What there is to record of a class by now, and when it ended, in its own time; null while it goes on. */
export interface ClassRecordsAnswer {
  records: ClassRecord[];
  endedMs: number | null;
}

/** What each person of a class did, away from the event loop. */
export function answerClassRecords({ session, events, nowMs, longestMs, ...own }: ClassRecordsWork): ClassRecordsAnswer {
  const { lookup } = shelfOf(own);
  const last = classAfter(session, events, lookup);
  const state = classAt(session, timelineOf(session.sequence, lookup), last, nowMs);
  const isForgotten = state.endedMs === null && nowMs - Date.parse(session.startedAt) > longestMs;
  const all: readonly KnownClassEvent[] = isForgotten ? [...events, { id: 'end', event: { kind: 'end', at: last.nowMs } }] : events;
  const over = isForgotten ? classAfter(session, all, lookup) : state;
  return { records: session.members.flatMap((member) => classRecord(session, all, over, member, lookup) ?? []), endedMs: over.endedMs };
}
