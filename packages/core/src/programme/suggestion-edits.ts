import { type PlanChange, PROGRAMME_LIMITS, type Programme } from '../model/programme.js';
import { isFree } from '../rules/suggestions/rest.js';
import type { SuggestionEffect } from '../rules/suggestions/suggestion.js';
import type { ComingPlan } from '../rules/suggestions/question.js';
import { addDays } from '../vocabulary/days.js';
import type { ProgrammeEdit } from './edits.js';
import { lastDayOf } from './seen.js';

/** What an accepted suggestion does to a programme, and what takes it back. */
export interface CarriedOutSuggestion {
  readonly edits: readonly ProgrammeEdit[];
  readonly back: readonly ProgrammeEdit[];
}

/** An accepted suggestion, as a programme reads it. */
export interface AcceptedSuggestion {
  /** The answer’s; changes of plans are kept under it. */
  readonly id: string;
  readonly reason: string;
  readonly effect: SuggestionEffect;
}

/** What an accepted suggestion does to one programme: plans change from their next session on, or the next session that loads is later. */
export function carriedOutIn(
  programmeId: string,
  programme: Programme,
  { id, reason, effect }: AcceptedSuggestion,
  coming: readonly Pick<ComingPlan, 'place' | 'day' | 'loads'>[],
): CarriedOutSuggestion {
  if (effect.kind === 'later') return laterIn(programmeId, programme, effect.days, coming);
  if (effect.kind === 'skip') return laterIn(programmeId, programme, null, coming);
  if (effect.kind !== 'blocks') return NOTHING;
  const changes = effect.plans.flatMap(({ place, edits }) => {
    if (place.programmeId !== programmeId) return [];
    const fromDay = coming.find((plan) => plan.place.programmeId === programmeId && plan.place.planId === place.planId)?.day;
    const blocks = edits.filter((edit) => edit.kind === 'change' || edit.kind === 'remove' || edit.kind === 'add');
    return fromDay ? inParts(blocks).map((part) => ({ fromDay, planId: place.planId, edits: part })) : [];
  });
  const numbered = changes.map((change, index): PlanChange => ({
    ...change,
    id: index === 0 ? id : `${id} ${index + 1}`,
    reason: shortened(reason),
  }));
  return {
    edits: numbered.map((change) => ({ kind: 'change', change })),
    back: numbered.map((change) => ({ kind: 'take back', changeId: change.id })),
  };
}

/** A change holds so many edits; more of them are more changes of the same day. */
export const inParts = <T>(edits: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(edits.length / PROGRAMME_LIMITS.edits) }, (_, part) =>
    edits.slice(part * PROGRAMME_LIMITS.edits, (part + 1) * PROGRAMME_LIMITS.edits),
  );

const NOTHING: CarriedOutSuggestion = { edits: [], back: [] };

/**
 * The next session that loads, of all programmes the first one, so many days later; out where its programme ends before, or where it would land on or beside
 * another one that loads: that would be no rest. @param days null to leave it out
 */
function laterIn(
  programmeId: string,
  programme: Programme,
  days: number | null,
  coming: readonly Pick<ComingPlan, 'place' | 'day' | 'loads'>[],
): CarriedOutSuggestion {
  const loading = coming.filter(({ loads, day, place }) => loads && day !== null && place.programmeId !== null);
  const first = [...loading].sort((a, b) => (a.day ?? '').localeCompare(b.day ?? ''))[0];
  if (first?.place.programmeId !== programmeId) return NOTHING;
  const { planId } = first.place;
  const next = programme.sessions.find((session) => session.planId === planId && session.day === first.day);
  if (!next) return NOTHING;
  const to = addDays(next.day, days ?? 0);
  const loadingPlans = new Set(loading.map(({ place }) => (place.programmeId === programmeId ? place.planId : '')));
  const others = programme.sessions.filter(({ id, planId: other }) => id !== next.id && loadingPlans.has(other)).map(({ day }) => day);
  if (days === null || to > lastDayOf(programme) || !isFree(to, others)) {
    return { edits: [{ kind: 'remove', sessionId: next.id }], back: [{ kind: 'add', session: next }] };
  }
  return {
    edits: [{ kind: 'move', sessionId: next.id, day: to }],
    back: [{ kind: 'move', sessionId: next.id, day: next.day }],
  };
}

const shortened = (text: string): string =>
  text.length <= PROGRAMME_LIMITS.reasonLength ? text : `${text.slice(0, PROGRAMME_LIMITS.reasonLength - 1)}…`;
