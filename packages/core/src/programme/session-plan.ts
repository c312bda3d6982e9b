import type { RecordedCaution } from '../model/athlete.js';
import { type Dose, withAmounts } from '../model/dose.js';
import { applyEdits } from '../model/edits.js';
import type { Method } from '../model/method.js';
import { findLevel, type Movement, type MovementLookup } from '../model/movement.js';
import { inDayOrder, type PlannedDay, type Programme, type ProgrammePlan, weekIndexOf } from '../model/programme.js';
import { type Block, type Sequence } from '../model/sequence.js';
import { WORK } from '../vocabulary/phases.js';
import { inAmount } from '../rules/doses/in-amount.js';
import { type HeldGrowth, heldGrowth } from '../rules/gate/held-growth.js';
import { handsUsed } from '../rules/safety/hands-used.js';
import { STEP_OF } from '../rules/progress/level-standing.js';
import { daysBetween } from '../vocabulary/days.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { USUAL_RANGES, type UsualRange } from '../vocabulary/usual-ranges.js';
import { UNIT_OF } from '../vocabulary/work.js';
import { inAnotherAmount } from './by-amount.js';
import { movementsOf, rememberer } from './known.js';

/** The sequences of a programme, by the id of the plan; one that is missing was removed. */
export type PlanSequences = ReadonlyMap<string, Sequence>;

/** The plan of a session. */
export const planOf = ({ plans }: Pick<Programme, 'plans'>, planId: string): ProgrammePlan =>
  must(
    plans.find(({ id }) => id === planId),
    `a plan ${planId}`,
  );

/**
 * How far the plan of each session has grown by itself until then: with each session or each week that it is planned in, and never sooner than the method lets
 * anything grow.
 */
export function riseSteps(programme: Programme, { daysPerStep }: Pick<Method, 'daysPerStep'>): (session: PlannedDay) => number {
  const steps = new Map<string, number>();
  for (const { id: planId, rise } of programme.plans) {
    if (!rise) continue;
    let [grown, last]: [number, PlannedDay | undefined] = [0, undefined];
    for (const session of inDayOrder(programme.sessions.filter((each) => each.planId === planId))) {
      const isNext = last && (rise.each === 'session' || weekIndexOf(programme, session.day) > weekIndexOf(programme, last.day));
      if (last && isNext && daysBetween(last.day, session.day) >= daysPerStep) grown += rise.steps;
      if (!last || steps.get(last.id) !== grown) last = session;
      steps.set(session.id, grown);
    }
  }
  return ({ id }) => steps.get(id) ?? 0;
}

/** How much of its plan’s loading work the week of a day holds, percent. */
export const amountAt = (programme: Programme, on: string): number => programme.weeks[weekIndexOf(programme, on)]?.amountPercent ?? 100;

/** A plan as accepted suggestions have changed it until a day. */
export function changedBy(programme: Programme, { planId, day }: Omit<PlannedDay, 'id'>, sequence: Sequence): Sequence {
  const mine = programme.changes?.filter((change) => change.planId === planId && change.fromDay <= day) ?? [];
  if (mine.length === 0) return sequence;
  return changedPlan(sequence, mine, () => {
    const inOrder = [...mine].sort((a, b) => a.fromDay.localeCompare(b.fromDay));
    return applyEdits(
      sequence,
      inOrder.flatMap(({ edits }) => edits),
    );
  });
}

/** For whom, and by which amounts, the sequences of a programme are found. */
export interface PlannedFor {
  /** As restrictions stand today: what uses a hand that hurts or is not cleared doesn’t grow by itself. */
  readonly cautions: readonly RecordedCaution[];
  /** The programme’s: how soon anything may grow. */
  readonly method: Pick<Method, 'daysPerStep'>;
  /** How much of its plan’s loading work a day holds, percent; as its week has it where this is left out. */
  readonly percentOn?: (day: string) => number;
}

/**
 * The sequence of a session: its plan as changed until that day, grown by its own steps, with as much of what loads as its week holds.
 * The same plan, steps and amount give the same objects, so that what is known of them stays known.
 */
export function sequencesOn(
  programme: Programme,
  lookup: MovementLookup,
  { cautions, method, percentOn = (day) => amountAt(programme, day) }: PlannedFor,
): (session: PlannedDay, plan: Sequence) => Sequence {
  const stepsOf = riseSteps(programme, method);
  const baseOf = stepsBefore(programme, stepsOf);
  const mostOf = stepsHeld(programme, stepsOf, heldGrowth(cautions), lookup);
  const movementsIn = new Map<Sequence, ReturnType<typeof movementsOf>>();
  return (session, plan) => {
    const changed = changedBy(programme, session, plan);
    const [all, percent] = [stepsOf(session), percentOn(session.day)];
    if (all === 0 && percent === 100) return changed;
    const movements = movementsIn.get(changed) ?? movementsOf(changed, lookup);
    movementsIn.set(changed, movements);
    const steps = changed.blocks.map((block) => Math.max(0, Math.min(all, mostOf(session, block)) - baseOf(session, block.id)));
    return grownPlan(changed, [percent, ...steps, ...movements], () => ({
      ...changed,
      blocks: changed.blocks.map((block, index) => {
        const mine = [itemAt(steps, index), percent, upFrom(index), movements[index]] as const;
        return grownBlock(block, mine, () => madeAnew(block, ...mine));
      }),
    }));
  };
}

/** What a suggestion made of a block is where it grows from: the steps that there were until then. */
function stepsBefore(
  { sessions, plans, changes = [] }: Programme,
  stepsOf: (session: PlannedDay) => number,
): (session: PlannedDay, blockId: string) => number {
  const rising = changes.filter(({ planId }) => plans.some(({ id, rise }) => id === planId && rise));
  const bases = rising.flatMap(({ planId, fromDay, edits }) => {
    const first = inDayOrder(sessions).find((session) => session.planId === planId && session.day >= fromDay);
    const touched = edits.flatMap((edit) => (edit.kind === 'change' && edit.dose ? [edit.blockId] : []));
    return first ? touched.map((blockId) => ({ planId, fromDay, blockId, steps: stepsOf(first) })) : [];
  });
  if (bases.length === 0) return () => 0;
  return ({ planId, day }, blockId) =>
    Math.max(
      0,
      ...bases.filter((base) => base.planId === planId && base.blockId === blockId && base.fromDay <= day).map(({ steps }) => steps),
    );
}

/** How far a block may have grown at most: as far as it had when its hand began to hurt, or was barred. */
function stepsHeld(
  { sessions }: Programme,
  stepsOf: (session: PlannedDay) => number,
  held: readonly HeldGrowth[],
  lookup: MovementLookup,
): (session: PlannedDay, block: Block) => number {
  if (held.length === 0) return () => Infinity;
  return ({ planId }, { movementId, levelId, dose }) => {
    const movement = lookup(movementId);
    const level = movement && findLevel(movement, levelId);
    const hands = level ? handsUsed(level, dose.sides) : [];
    const mine = held.filter(({ hand }) => hands.includes(hand));
    const until = ({ since }: HeldGrowth): number => {
      const before = since === null ? [] : sessions.filter((each) => each.planId === planId && each.day < since);
      return Math.max(0, ...before.map(stepsOf));
    };
    return Math.min(Infinity, ...mine.map(until));
  };
}

const changedPlan = rememberer<Sequence>();
const grownPlan = rememberer<Sequence>();
const grownBlock = rememberer<Block>();

const GOLDEN = 0.618;
/** Where a block’s repetitions are rounded up: each elsewhere, so that weeks grow by a repetition here and there and not by one of everything. */
const upFrom = (index: number): number => (1 + index * GOLDEN) % 1 || 1;

function madeAnew(block: Block, steps: number, percent: number, roundedUpFrom: number, movement: Movement | undefined): Block {
  const risen = steps === 0 || block.phase === 'settle' ? block.dose : grown(block, steps, movement);
  const dose = WORK.includes(block.phase) ? inAmount(risen, percent, roundedUpFrom) : risen;
  return dose === block.dose ? block : inAnotherAmount(block, dose);
}

/** A dose grown by steps of the usual pace, up to its own goal or range, else to what is usual for its kind; what is above that already stays. */
function grown({ levelId, dose }: Block, steps: number, movement: Movement | undefined): Dose {
  const level = movement && findLevel(movement, levelId);
  const range: UsualRange | undefined = level && USUAL_RANGES[level.dosing];
  // A goal over a month is risen toward for a month, however soon it leaves the usual range.
  const own = Math.max(dose.goal ?? 0, dose.work.upTo ?? 0);
  const most = own > 0 ? own : range?.amount[dose.work.kind]?.[1];
  if (most === undefined) return dose;
  const by = steps * STEP_OF[UNIT_OF[dose.work.kind]];
  return withAmounts(dose, (now, { open }) => (open === 'form' ? now : Math.max(now, Math.min(most, now + by))));
}
