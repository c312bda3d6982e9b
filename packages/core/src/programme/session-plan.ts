import { amountLimit, amountOf, type Dose, DOSE_LIMITS, withAmounts, workOf } from '../model/dose.js';
import { applyEdits } from '../model/edits.js';
import { findLevel, type Movement, type MovementLookup } from '../model/movement.js';
import { inDayOrder, type PlannedDay, type Programme, type ProgrammePlan, weekIndexOf } from '../model/programme.js';
import { type Block, type Sequence } from '../model/sequence.js';
import { WORK } from '../rules/checks/block-views.js';
import { USUAL_PACE } from '../rules/level-standing.js';
import { must } from '../vocabulary/lists.js';
import { USUAL_RANGES, type UsualRange } from '../vocabulary/usual-ranges.js';
import { UNIT_OF } from '../vocabulary/work.js';
import { movementsOf, rememberer } from './known.js';

/** The sequences of a programme, by the id of the plan; one that is missing was removed. */
export type PlanSequences = ReadonlyMap<string, Sequence>;

/** The plan that a session goes by. */
export const planOf = ({ plans }: Pick<Programme, 'plans'>, planId: string): ProgrammePlan =>
  must(
    plans.find(({ id }) => id === planId),
    `a plan ${planId}`,
  );

/** How often the plan of each session has grown by itself until then. */
export function riseSteps(programme: Programme): (session: PlannedDay) => number {
  const steps = new Map<string, number>();
  for (const { id: planId, rise } of programme.plans) {
    if (!rise) continue;
    const mine = inDayOrder(programme.sessions.filter((session) => session.planId === planId));
    const first = mine[0] && weekIndexOf(programme, mine[0].day);
    mine.forEach(({ id, day }, index) => {
      const times = rise.each === 'session' ? index : weekIndexOf(programme, day) - (first ?? 0);
      steps.set(id, rise.steps * times);
    });
  }
  return ({ id }) => steps.get(id) ?? 0;
}

/** How much of its plan’s loading work the week of a day holds, percent. */
export const amountAt = (programme: Programme, on: string): number =>
  programme.weeks[weekIndexOf(programme, on)]?.amountPercent ?? 100;

/** A plan as accepted calls have changed it until a day. */
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

/**
 * The sequence of a session: its plan as changed until that day, grown by its own steps, with as much of what loads as its week holds.
 * The same plan, steps and amount give the same objects, so that what is known of them stays known.
 */
export function sequencesOn(
  programme: Programme,
  lookup: MovementLookup,
): (session: PlannedDay, plan: Sequence) => Sequence {
  const stepsOf = riseSteps(programme);
  return (session, plan) => {
    const changed = changedBy(programme, session, plan);
    const [steps, percent] = [stepsOf(session), amountAt(programme, session.day)];
    if (steps === 0 && percent === 100) return changed;
    const movements = movementsOf(changed, lookup);
    return grownPlan(changed, [steps, percent, ...movements], () => ({
      ...changed,
      blocks: changed.blocks.map((block, index) => grownBlock(block, [steps, percent, movements[index]], () => madeAnew(block, steps, percent, movements[index]))), // prettier-ignore
    }));
  };
}

const changedPlan = rememberer<Sequence>();
const grownPlan = rememberer<Sequence>();
const grownBlock = rememberer<Block>();

function madeAnew(block: Block, steps: number, percent: number, movement: Movement | undefined): Block {
  const risen = steps === 0 || block.phase === 'settle' ? block.dose : grown(block, steps, movement);
  const dose = WORK.includes(block.phase) ? inAmount(risen, percent) : risen;
  return dose === block.dose ? block : { ...block, dose };
}

/** A dose grown by steps of the usual pace, up to what is usual for its kind; what is above that already stays. */
function grown({ levelId, dose }: Block, steps: number, movement: Movement | undefined): Dose {
  const level = movement && findLevel(movement, levelId);
  const range: UsualRange | undefined = level && USUAL_RANGES[level.dosing];
  const most = range?.amount[dose.work.kind]?.[1];
  if (most === undefined) return dose;
  const by = steps * USUAL_PACE[UNIT_OF[dose.work.kind]];
  return withAmounts(dose, (now, { open }) => (open === 'form' ? now : Math.max(now, Math.min(most, now + by))));
}

/** So near to the wanted amount is near enough to have fewer sets. */
const NEAR = 0.1;

/**
 * A dose of another amount: fewer sets where that comes near, else less in each; never its effort: easier weeks are shorter and no lighter, so that what
 * was gained stays (Bosquet et al. 2007, Med Sci Sports Exerc 39:1358–65, on volume and intensity of a taper).
 * @example printSets(inAmount(parseDose('3x10'), 60)) → '2x9'
 */
export function inAmount(dose: Dose, percent: number): Dose {
  if (percent === 100) return dose;
  const share = percent / 100;
  if (dose.then) return withAmounts(dose, (now) => now * share);
  const each = amountOf(dose.work);
  const wanted = each * dose.sets * share;
  const { min } = amountLimit(dose.work.kind);
  const counts = Array.from({ length: Math.max(dose.sets, Math.round(dose.sets * share)) }, (_, less) => less + 1);
  // Sets of an easier week are no longer ones.
  const choices = counts.map((sets) => {
    const amount = Math.max(min, Math.round(share < 1 ? Math.min(each, wanted / sets) : wanted / sets));
    return { sets, amount, off: Math.abs(sets * amount - wanted) / wanted };
  });
  const inReach = choices.filter(({ amount }) => share < 1 || amount <= 1.5 * each);
  const nearest = [...inReach].sort((a, b) => a.off - b.off)[0];
  const { sets, amount } = inReach.find(({ off }) => off <= NEAR) ?? nearest ?? { sets: dose.sets, amount: each };
  return { ...dose, sets: Math.min(sets, DOSE_LIMITS.sets.max), work: workOf(dose.work.kind, amount, dose.work.open) };
}
