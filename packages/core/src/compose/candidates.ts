import { viewOf } from '../effort/session-view.js';
import type { Dose } from '../model/dose.js';
import { type Block, inPhaseOrder } from '../model/sequence.js';
import { failingHold } from '../rules/checks/failing-hold.js';
import { unusualInDose } from '../rules/usual-dose.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { type Candidate, candidateOf, withFewerSets } from './candidate.js';
import { phasesOf } from './phase-of.js';
import { examined, type Composing } from './question.js';
import { alone, blockOf, type Excluded, suiting } from './suitable.js';

/** What a sequence may be composed of, and what may not be in it. */
export interface Shelf {
  readonly candidates: readonly Candidate[];
  readonly excluded: readonly Excluded[];
}

/** Everything that may be chosen for this person, in the shelf's teaching order. */
export function candidatesFor(composing: Composing): Shelf {
  const candidates: Candidate[] = [];
  const excluded: Excluded[] = [];
  for (const movement of composing.shelf) {
    const suits = suiting(composing, movement);
    if ('why' in suits) {
      excluded.push({ movementId: movement.id, why: suits.why });
      continue;
    }
    const mine = inDoses(composing, { movement, ...suits });
    candidates.push(...mine, ...moreForTheWeaker(composing, mine));
  }
  return { candidates, excluded };
}

/** Blocks that stand whatever else is chosen, in the rounds that they are taken in. @throws SequenceError where they are not sound */
export function lockedCandidates(composing: Composing): Candidate[] {
  const { locked = [], rounds, goal } = composing;
  if (locked.length === 0) return [];
  const view = viewOf(examined(composing, inPhaseOrder(locked), rounds));
  return view.blocks.map(({ block, movement, level }, index) => ({
    ...candidateOf(view, { movement, level, dose: block.dose, phase: block.phase }, goal, index),
    key: block.id,
    locked: true as const,
  }));
}

/** As it usually is, a set more where that is held and usual, and sets less. */
function inDoses(
  composing: Composing,
  {
    movement,
    level,
    dose,
    phase: kept,
  }: Pick<Candidate, 'movement' | 'level' | 'dose'> & Partial<Pick<Candidate, 'phase'>>,
): Candidate[] {
  const block = (of: Dose): Block => blockOf(movement, level, of, 'strength');
  const isUsual = (of: Dose) => unusualInDose(of, level.dosing).length === 0;
  const varies = dose.then === undefined;
  const more = { ...dose, sets: dose.sets + 1, restS: dose.sets === 1 ? Math.max(dose.restS, 15) : dose.restS };
  // What is kept of a sequence gets no more than it had, and may be brought down to a set.
  const most = !kept && varies && isUsual(more) && isHeld(composing, block(more)) ? more : dose;
  const view = alone(composing, block(most));
  const effortPercent = view.blocks[0]?.effortPercent ?? 0;
  const counts = kept
    ? Array.from({ length: dose.sets - 1 }, (_, less) => dose.sets - 1 - less)
    : [dose.sets, dose.sets - 1];
  const fewer = varies
    ? counts.filter((sets) => sets >= 1 && sets < most.sets).map((sets): Dose => ({ ...most, sets }))
    : [];
  const phases = kept ? [kept] : phasesOf(movement, level, effortPercent, composing.method);
  return phases.flatMap((phase) => {
    const whole = candidateOf(view, { movement, level, dose: most, phase }, composing.goal);
    return [
      whole,
      ...fewer
        .filter(isUsual)
        .map((less) => withFewerSets(whole, less, whole.seconds - savedS(composing, block(most), block(less)))),
    ];
  });
}

/** Where the method gives the weaker hand more: a set of its own, on top of what both hands do. */
function moreForTheWeaker(composing: Composing, [both]: readonly Candidate[]): Candidate[] {
  const { method, weaker, goal } = composing;
  const isMeant = method.sides === 'weaker first' && method.weakerSideRatio > 1 && weaker !== null;
  if (!both || !isMeant || both.level.loading !== 'resisted' || both.phase === 'prepare') return [];
  const { movement, level, phase } = both;
  if (!movement.sides.includes(weaker) || both.dose.then) return [];
  const dose: Dose = { ...both.dose, sets: 1, sides: weaker };
  const view = alone(composing, blockOf(movement, level, dose, phase));
  return [{ ...candidateOf(view, { movement, level, dose, phase }, goal), key: `${movement.id} more`, extra: true }];
}

const isHeld = (composing: Composing, block: Block) =>
  failingHold.find(viewOf(examined(composing, [block]))).length === 0;

function savedS(composing: Composing, more: Block, less: Block): number {
  const lengthMs = (block: Block) =>
    compileTimeline({ ...composing.frame, blocks: [block] }, composing.lookup).durationMs;
  return (lengthMs(more) - lengthMs(less)) / 1000;
}
