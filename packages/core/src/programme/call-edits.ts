import { inDayOrder, PROGRAMME_LIMITS, type Programme } from '../model/programme.js';
import type { CallEffect } from '../rules/calls/call.js';
import type { ComingPlan } from '../rules/calls/question.js';
import { addDays } from '../vocabulary/days.js';
import type { ProgrammeEdit } from './edits.js';
import { lastDayOf } from './seen.js';

/** What an accepted call does to a programme, and what takes it back. */
export interface CarriedOutCall {
  readonly edits: readonly ProgrammeEdit[];
  readonly back: readonly ProgrammeEdit[];
}

/** An accepted call, as a programme reads it. */
export interface AcceptedCall {
  /** The answer’s; changes of plans are kept under it. */
  readonly id: string;
  readonly reason: string;
  readonly effect: CallEffect;
}

/** What an accepted call does to one programme: plans change from their next session on, or the next session that loads is later. */
export function carriedOutIn(
  programmeId: string,
  programme: Programme,
  { id, reason, effect }: AcceptedCall,
  coming: readonly Pick<ComingPlan, 'place' | 'day' | 'loads'>[],
): CarriedOutCall {
  if (effect.kind === 'blocks') {
    const edits = effect.plans.flatMap(({ place, edits: mine }, index): ProgrammeEdit[] => {
      if (place.programmeId !== programmeId) return [];
      const fromDay = coming.find((plan) => plan.place.programmeId === programmeId && plan.place.planId === place.planId)?.day; // prettier-ignore
      const blocks = mine.filter((edit) => edit.kind === 'change' || edit.kind === 'remove' || edit.kind === 'add');
      if (!fromDay || blocks.length === 0) return [];
      return [
        {
          kind: 'change',
          change: {
            id: index === 0 ? id : `${id} ${index + 1}`,
            fromDay,
            planId: place.planId,
            edits: blocks.slice(0, PROGRAMME_LIMITS.edits),
            reason: shortened(reason),
          },
        },
      ];
    });
    const back = edits.flatMap((edit): ProgrammeEdit[] =>
      edit.kind === 'change' ? [{ kind: 'take back', changeId: edit.change.id }] : [],
    );
    return { edits, back };
  }
  return effect.kind === 'later' ? laterIn(programmeId, programme, effect.days, coming) : NOTHING;
}

const NOTHING: CarriedOutCall = { edits: [], back: [] };

/** The next session that loads, so many days later; out where the programme ends before. */
function laterIn(
  programmeId: string,
  programme: Programme,
  days: number,
  coming: readonly Pick<ComingPlan, 'place' | 'day' | 'loads'>[],
): CarriedOutCall {
  const mine = coming.filter(({ place, loads }) => place.programmeId === programmeId && loads);
  const next = inDayOrder(programme.sessions).find((session) =>
    mine.some(({ place, day }) => place.programmeId !== null && place.planId === session.planId && day === session.day),
  );
  if (!next) return NOTHING;
  const to = addDays(next.day, days);
  if (to > lastDayOf(programme)) {
    return { edits: [{ kind: 'remove', sessionId: next.id }], back: [{ kind: 'add', session: next }] };
  }
  return {
    edits: [{ kind: 'move', sessionId: next.id, day: to }],
    back: [{ kind: 'move', sessionId: next.id, day: next.day }],
  };
}

const shortened = (text: string): string =>
  text.length <= PROGRAMME_LIMITS.reasonLength ? text : `${text.slice(0, PROGRAMME_LIMITS.reasonLength - 1)}…`;
