import type { MovementLookup } from '../model/movement.js';
import { inDayOrder, type Programme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { STOP_RULES } from '../vocabulary/stop-signs.js';
import { type PlannedFor, type PlanSequences, planOf, sequencesOn } from './session-plan.js';

/** A session as a calendar outside shows it. */
export interface CalendarEntry {
  /** The same for as long as the session is there, wherever it is moved to. */
  readonly id: string;
  readonly day: string;
  /** Hours and minutes where the studio is; null for a session of the day, whenever it suits. */
  readonly beginsAt: string | null;
  readonly durationMs: number;
  readonly title: string;
  readonly description: string;
}

/** The sessions and the event of a programme as entries of a calendar, each with the rules for stopping; those of removed sequences are left out. */
export function calendarEntries(
  programmeId: string,
  programme: Programme,
  sequences: PlanSequences,
  lookup: MovementLookup,
  planned: Pick<PlannedFor, 'cautions' | 'method'>,
): CalendarEntry[] {
  const sequenceOf = sequencesOn(programme, lookup, planned);
  // Weeks of the same amount have the same sequences.
  const lengths = new Map<Sequence, number>();
  const lengthOf = (sequence: Sequence) => {
    let ms = lengths.get(sequence);
    if (ms === undefined) lengths.set(sequence, (ms = compileTimeline(sequence, lookup).durationMs));
    return ms;
  };
  const sessions = inDayOrder(programme.sessions).flatMap((session): CalendarEntry[] => {
    const plan = sequences.get(session.planId);
    if (!plan) return [];
    const sequence = sequenceOf(session, plan);
    return [
      {
        id: `${programmeId}-${session.id}`,
        day: session.day,
        beginsAt: planOf(programme, session.planId).beginsAt ?? null,
        durationMs: lengthOf(sequence),
        title: sequence.title,
        description: [sequence.purpose, ...STOP_RULES].filter(Boolean).join('\n'),
      },
    ];
  });
  const { event } = programme;
  return event
    ? [
        ...sessions,
        { id: `${programmeId}-event`, day: event.day, beginsAt: null, durationMs: 0, title: event.name, description: programme.title },
      ]
    : sessions;
}
