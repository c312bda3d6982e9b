import type { RecordedCaution } from '../model/athlete.js';
import type { Method } from '../model/method.js';
import type { MovementLookup } from '../model/movement.js';
import { inDayOrder, type Programme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import type { ComingPlan } from '../rules/suggestions/question.js';
import { WORK } from '../vocabulary/phases.js';
import { daysBetween } from '../vocabulary/days.js';
import { type DoneDay, matchDone } from './done-days.js';
import { type PlanSequences, sequencesOn } from './session-plan.js';

/** A programme with the sequences of its plans. */
export interface StandingProgramme {
  readonly id: string;
  readonly programme: Programme;
  readonly sequences: PlanSequences;
}

/** What was led last, whichever plan it was of. */
export interface LedLast {
  readonly sequenceId: string;
  readonly plan: Sequence;
  /** ISO day, the studio’s. */
  readonly onDay: string;
}

/** A sequence that is assigned by itself, as it will be led. */
export interface AssignedSequence {
  readonly sequenceId: string;
  readonly sequence: Sequence;
  /** ISO day on which it comes next, the studio’s. */
  readonly day: string;
}

/** The method of a sequence or a programme. */
export type MethodOf = (of: Pick<Programme, 'methodId'>) => Method;

/** What comes next of an athlete is found from this. */
export interface ComingQuestion {
  readonly programmes: readonly StandingProgramme[];
  /** Sequences that are assigned by themselves. */
  readonly assigned: readonly AssignedSequence[];
  /** Of each sequence the last one, without those that an own version has replaced. */
  readonly ledLast: readonly LedLast[];
  readonly done: readonly DoneDay[];
  readonly lookup: MovementLookup;
  readonly methodOf: MethodOf;
  /** As they stand today. */
  readonly cautions: readonly RecordedCaution[];
  readonly today: string;
}

/** What was led by itself in the last two weeks is led again; working value. */
const LED_LATELY_DAYS = 14;

/**
 * The sequences that come next: of each plan of a programme its next session at the whole of its amount, what is assigned by itself, and what was led lately
 * without either.
 */
export function comingPlans(question: ComingQuestion): ComingPlan[] {
  const { assigned, ledLast, today } = question;
  const planned = question.programmes.flatMap((standing) => comingIn(standing, question));
  const isIn = (plans: readonly ComingPlan[], sequenceId: string) => plans.some(({ place }) => place.sequenceId === sequenceId);
  // One that is assigned twice comes on the sooner of both days.
  const soonest = new Map(assigned.toSorted((one, other) => other.day.localeCompare(one.day)).map((each) => [each.sequenceId, each]));
  const alone = [...soonest.values()]
    .filter(({ sequenceId }) => !isIn(planned, sequenceId))
    .map(({ sequenceId, sequence, day }) => byItself(sequenceId, sequence, day));
  const known = [...planned, ...alone];
  const lately = ledLast
    .filter(({ sequenceId, onDay }) => !isIn(known, sequenceId) && daysBetween(onDay, today) <= LED_LATELY_DAYS)
    .map(({ sequenceId, plan }) => byItself(sequenceId, plan, null));
  return [...known, ...lately];
}

const byItself = (sequenceId: string, sequence: Sequence, day: string | null): ComingPlan => ({
  ...{ place: { programmeId: null, sequenceId }, sequence, day, days: day === null ? [] : [day] },
  rises: false,
  loads: loads(sequence),
});

function comingIn(
  { id: programmeId, programme, sequences }: StandingProgramme,
  { done, lookup, methodOf, cautions, today }: ComingQuestion,
): ComingPlan[] {
  const stateOf = matchDone(programme, done, today);
  const sequenceOf = sequencesOn(programme, lookup, { cautions, method: methodOf(programme), percentOn: () => 100 });
  return programme.plans.flatMap(({ id: planId, sequenceId, rise }): ComingPlan[] => {
    const plan = sequences.get(planId);
    const ahead = inDayOrder(programme.sessions).filter(
      (session) => session.planId === planId && session.day >= today && stateOf(session) !== 'done',
    );
    const [next] = ahead;
    if (!plan || !next) return [];
    return [
      {
        place: { programmeId, planId, sequenceId },
        sequence: sequenceOf(next, plan),
        day: next.day,
        days: ahead.map(({ day }) => day),
        rises: rise !== undefined,
        loads: loads(plan),
      },
    ];
  });
}

const loads = ({ blocks }: Pick<Sequence, 'blocks'>) => blocks.some(({ phase }) => WORK.includes(phase));
