import { freshBlockId } from '../model/edits.js';
import type { Block, Sequence } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import type { Structure } from './structure.js';
import type { Finding } from '../rules/checks/index.js';
import { arranged } from './arrange.js';
import { type Candidate, candidateOf } from './candidate.js';
import { candidatesFor, lockedCandidates } from './candidates.js';
import type { Linear, Relaxed, Solved, Solver } from './linear.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { exchanged } from './exchange.js';
import { mended } from './mend.js';
import { programmeOf } from './programme.js';
import { type ComposeQuestion, type Composing, composingOf } from './question.js';
import { blockOf, type Excluded } from './suitable.js';
import { worthOf } from './worth.js';

/** A composed sequence, and how near it is to the best that there could be. */
export interface Composed {
  readonly sequence: Sequence;
  readonly chosen: readonly Candidate[];
  readonly worth: number;
  /** Nothing that keeps the rules can be worth more. */
  readonly bound: number;
  /** How much better the best could still be, percent. */
  readonly gapPercent: number;
  readonly findings: readonly Finding[];
  readonly excluded: readonly Excluded[];
}

/** Good enough to stop at, percent. */
export const GAP_PERCENT = 1;

/** Told of each better sequence; composing stops when it answers false. */
export type Progress = (composed: Composed) => boolean;

export function compose(question: ComposeQuestion, solver: Solver, progress: Progress = () => true): Composed | null {
  const composing = composingOf(question);
  const locked = lockedCandidates(composing);
  const shelf = candidatesFor(composing);
  const candidates = [...locked, ...shelf.candidates.filter(({ movement }) => !locked.some((each) => each.movement.id === movement.id))];
  const { linear, structure } = programmeOf(composing, candidates);
  const relaxed = solver.relax(linear);
  if (!relaxed.values) return null;
  let best: Composed | null = null;
  const few = promising(linear, relaxed, candidates);
  /** Keeps the better of what was found and what is known; whether composing goes on. */
  const found = (chosen: readonly number[] | null, bound: number): boolean => {
    const next = chosen && fitting(composing, structure, chosen, few, { bound, excluded: shelf.excluded });
    if (next && (!best || next.worth > best.worth)) best = next;
    if (best) best = { ...best, bound, gapPercent: gapOf(best.worth, bound) };
    return best === null || (progress(best) && best.gapPercent > GAP_PERCENT);
  };
  const start = few.filter((at) => candidates[at]?.locked || (relaxed.values?.[at] ?? 0) > 0.5);
  const near = exchanged(structure, start, few);
  if (!found(near && near.chosen, relaxed.bound)) return best;
  const enough = relaxed.bound * (1 - CLOSE);
  const ofFew = solver.solve(programmeOf(composing, pick(candidates, few)).linear, {
    gap: CLOSE,
    branches: FEW_BRANCHES,
    ...(near && { chosen: marked(few, near.chosen) }),
    progress: (worth) => worth < enough,
  });
  if (!found(chosenOf(ofFew, few), relaxed.bound)) return best;
  // What cannot be part of anything better by more than the gap is left out; what is left is solved to its end.
  const known = Math.max(near?.worth ?? -Infinity, ofFew.worth);
  const wanted = known / (1 - CLOSE);
  const chosen = (ofFew.worth >= known ? chosenOf(ofFew, few) : near?.chosen) ?? [];
  const left = [...candidates.keys()].filter((at) => chosen.includes(at) || (relaxed.values?.[at] ?? 0) > TINY || relaxed.worth + (relaxed.reduced[at] ?? 0) >= wanted);
  const all = solver.solve(programmeOf(composing, pick(candidates, left)).linear, { gap: CLOSE, chosen: marked(left, chosen) });
  found(chosenOf(all, left), Math.min(relaxed.bound, Math.max(all.bound, wanted)));
  return best;
}

const pick = (candidates: readonly Candidate[], indices: readonly number[]) => indices.map((at) => itemAt(candidates, at));
const marked = (indices: readonly number[], chosen: readonly number[]) => indices.map((at) => chosen.includes(at));
const chosenOf = ({ values }: Solved, indices: readonly number[]) => values && indices.filter((_, index) => (values[index] ?? 0) > 0.5);
const FEW_BRANCHES = 20;

/** A gap that leaves room for what mending costs. */
const CLOSE = 0.006;
const TINY = 1e-6;
const gapOf = (worth: number, bound: number) => Math.max(0, (100 * (bound - worth)) / bound);

/** Candidates that the relaxation chooses or nearly so, and the nearest of each that is asked for. */
export function promising({ rows }: Linear, { values, reduced }: Relaxed, candidates: readonly Candidate[]): number[] {
  const score = (index: number) => ((values?.[index] ?? 0) > TINY ? 1 : (reduced[index] ?? 0));
  const kept = new Set<number>();
  const best = (list: readonly number[], count: number) => {
    for (const index of [...list].sort((a, b) => score(b) - score(a) || a - b).slice(0, count)) kept.add(index);
  };
  const all = candidates.map((_, index) => index);
  best(all, 60);
  const wants = candidates[0]?.gives.length ?? 0;
  for (let want = 0; want < wants; want++) best(all.filter((index) => (candidates[index]?.gives[want] ?? 0) > 0), 8);
  for (const { min, terms } of rows) {
    if (min >= 1) best(terms.map(([at]) => at).filter((at) => at < candidates.length), 4);
  }
  return all.filter((index) => kept.has(index) || candidates[index]?.locked);
}

type Frame = Pick<Composed, 'bound' | 'excluded'>;

/** Tries to fit a choice that turns out longer than its minutes, before sets are taken from it. */
const MOST_FITTINGS = 3;

/** A choice as a sequence. The ways from place to place are known exactly only now: where they are longer than was thought, the choice is exchanged for a shorter one. */
function fitting(composing: Composing, structure: Structure, chosen: readonly number[], among: readonly number[], frame: Frame): Composed {
  let [best, indices, { secondsMost }] = [null as Composed | null, chosen, structure];
  for (let tries = 0; tries < MOST_FITTINGS; tries++) {
    const sequence = asSequence(composing, pick(structure.candidates, indices));
    const overS = compileTimeline(sequence, composing.lookup).durationMs / 1000 - 60 * composing.minutes;
    const next = finished(composing, sequence, frame);
    if (!best || next.worth > best.worth) best = next;
    if (overS <= 0) break;
    secondsMost -= overS;
    const shorter = exchanged({ ...structure, secondsMost }, indices, among);
    if (!shorter) break;
    indices = shorter.chosen;
  }
  return must(best, 'a sequence of a choice');
}

function asSequence(composing: Composing, chosen: readonly Candidate[]): Sequence {
  const { locked = [], rounds } = composing;
  const blocks = arranged(chosen, composing.method).map(
    (candidate) => locked.find(({ id }) => candidate.locked && id === candidate.key) ?? freshBlock(candidate, locked),
  );
  return { ...composing.frame, blocks, ...(rounds?.length && { rounds: [...rounds] }) };
}

/** A block of a candidate; its id is made from the movement, so that the same answer is the same document. */
function freshBlock({ movement, level, dose, phase, extra }: Candidate, locked: readonly Block[]): Block {
  const id = freshBlockId({ blocks: locked } as Sequence, movement.id);
  return { ...blockOf(movement, level, dose, phase), id: extra ? `${id}-more` : id };
}

/** A sequence mended where the checks find something, with what it came to. */
function finished(composing: Composing, sequence: Sequence, { bound, excluded }: Frame): Composed {
  const { view, findings } = mended(composing, sequence);
  const chosen = view.blocks.map(({ movement, level, block }, index) =>
    candidateOf(view, { movement, level, dose: block.dose, phase: block.phase }, composing.goal, index),
  );
  const worth = worthOf(chosen, composing);
  return { sequence: view.sequence, chosen, worth, bound, gapPercent: gapOf(worth, bound), findings, excluded };
}
