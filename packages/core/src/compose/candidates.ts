import { viewOf } from '../effort/session-view.js';
import type { Dose } from '../model/dose.js';
import type { Movement } from '../model/movement.js';
import { WORK } from '../vocabulary/phases.js';
import { failingHold } from '../rules/checks/failing-hold.js';
import { unusualInDose } from '../rules/doses/usual-dose.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { type Candidate, type Excluded, candidateFor, type Possible, possibleOf, type PossibleShelf, withFewerSets } from './candidate.js';
import { working } from '../vocabulary/constant.js';
import { firstOf } from '../vocabulary/lists.js';
import { say } from '../vocabulary/sentence.js';
import { phasesOf } from './phase-of.js';
import { type ComposeQuestion, type Composing, composingOf, examined } from './question.js';
import { alone, blockOf, type Suited, suiting } from './suitable.js';

/** What a sequence may be composed of, and what may not be in it. */
export interface Shelf {
  readonly candidates: readonly Candidate[];
  readonly excluded: readonly Excluded[];
}

/** Everything that may be chosen for this person and goal, in the shelf's teaching order. */
export function candidatesFor(composing: Composing): Shelf {
  const { possible, excluded } = composing.possible ?? possibleFor(composing);
  const leftOut = [...(composing.leftOut ?? []), ...(composing.athlete?.leftOut ?? [])];
  const wanted = leftOut.length > 0 ? possible.filter(({ movement }) => !leftOut.includes(movement.id)) : possible;
  const enough = composing.minutes < TWO_SETS_FROM_MIN ? wanted : wanted.filter(isEnough);
  const byCoach = composing.shelf.filter(({ id }) => leftOut.includes(id) && !excluded.some(({ movementId }) => movementId === id));
  return {
    candidates: enough.map((each) => candidateFor(each, composing.goal)),
    excluded: [...excluded, ...byCoach.map(({ id, name }) => ({ movementId: id, why: say`${name}: left out by you.` }))],
  };
}

/** What trains comes in two sets at least, where its dose goes so far; of what a set is usual, and of a piece of a day, one will do. */
function isEnough({ dose, phase, extra, movement }: Possible, _index: number, all: readonly Possible[]): boolean {
  if (extra || dose.then || dose.sets >= FEWEST_SETS || !WORK.includes(phase)) return true;
  return !all.some((other) => other.movement === movement && other.phase === phase && other.dose.sets >= FEWEST_SETS);
}
/** In fewer minutes one set of each is all that there is time for. */
const TWO_SETS_FROM_MIN = working('Two sets from', 7, 'min', 'five movements of a set each take as long', [5, 10]).value;
const FEWEST_SETS = working('Sets of what trains', 2, 'sets', 'one set is a try, two are training', [1, 3]).value;

/**
 * What is possible for this person now: of the goal only where it is trained for matters, of the rest of the question neither minutes nor what is locked. It takes
 * a tenth of a second, so whoever asks again, or is about to ask, finds it once.
 */
export function possibleFor(question: ComposeQuestion): PossibleShelf {
  const composing = composingOf(question);
  const possible: Possible[] = [];
  const excluded: Excluded[] = [];
  for (const movement of composing.shelf) {
    const suits = suiting(composing, movement);
    if ('why' in suits) {
      excluded.push({ movementId: movement.id, why: suits.why });
      continue;
    }
    const mine = inDoses(composing, movement, suits);
    possible.push(...mine, ...moreForTheWeaker(composing, mine));
  }
  return { possible, excluded };
}

/** Blocks that stand whatever else is chosen, in the rounds that they are taken in. @throws SequenceError where they are not sound */
export function lockedCandidates(composing: Composing): Candidate[] {
  const { locked = [], rounds, goal } = composing;
  if (locked.length === 0) return [];
  const view = viewOf(examined(composing, locked, rounds));
  return view.blocks.map(({ block, movement, level }, index) => ({
    ...candidateFor(possibleOf(view, { movement, level, dose: block.dose, phase: block.phase }, index), goal),
    key: block.id,
    locked: true as const,
  }));
}

/** As it usually is, a set more where that is held and usual, and sets less; of what is kept of a sequence no more than it had, down to a set. */
function inDoses(composing: Composing, movement: Movement, suited: Suited): Possible[] {
  const { level, dose, phase: kept } = suited;
  const isUsual = (of: Dose) => unusualInDose(of, level.dosing).length === 0;
  const varies = dose.then === undefined;
  const { dose: most, view } = (!kept && varies && isUsual(withASetMore(dose)) && heldWithMore(composing, movement, suited)) || suited;
  const fewest = kept ? 1 : Math.max(1, dose.sets - 1);
  const counts = varies ? Array.from({ length: most.sets - fewest }, (_, less) => most.sets - 1 - less) : [];
  const fewer = counts.map((sets): Dose => ({ ...most, sets })).filter(isUsual);
  const { effortPercent } = firstOf(view.blocks);
  const phases = kept ? [kept] : phasesOf(movement, level, effortPercent, composing.method);
  const lengthS = (of: Dose) =>
    compileTimeline({ ...composing.frame, blocks: [blockOf(movement, level, of, 'strength')] }, composing.lookup).durationMs / 1000;
  const savedS = fewer.map((less) => view.timeline.durationMs / 1000 - lengthS(less));
  return phases.flatMap((phase) => {
    const whole = possibleOf(view, { movement, level, dose: most, phase });
    return [whole, ...fewer.map((less, index) => withFewerSets(whole, less, whole.seconds - (savedS[index] ?? 0)))];
  });
}

const withASetMore = (dose: Dose): Dose => ({
  ...dose,
  sets: dose.sets + 1,
  restS: dose.sets === 1 ? Math.max(dose.restS, 15) : dose.restS,
});

/** With a set more, where that is held to its end. */
function heldWithMore(composing: Composing, movement: Movement, { level, dose }: Suited): Pick<Suited, 'dose' | 'view'> | null {
  const more = withASetMore(dose);
  const view = alone(composing, blockOf(movement, level, more, 'strength'));
  return failingHold.find(view).length === 0 ? { dose: more, view } : null;
}

/** Where the method gives the weaker hand more: a set of its own, on top of what both hands do. */
function moreForTheWeaker(composing: Composing, [both]: readonly Possible[]): Possible[] {
  const { method, weaker } = composing;
  const isMeant = method.sides === 'weaker first' && method.weakerSideRatio > 1 && weaker !== null;
  if (!both || !isMeant || both.level.loading !== 'resisted' || both.phase === 'prepare') return [];
  const { movement, level, phase } = both;
  if (!movement.sides.includes(weaker) || both.dose.then) return [];
  const dose: Dose = { ...both.dose, sets: 1, sides: weaker };
  const view = alone(composing, blockOf(movement, level, dose, phase));
  return [{ ...possibleOf(view, { movement, level, dose, phase }), key: `${movement.id} more`, extra: true }];
}
