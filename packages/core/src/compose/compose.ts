import { freshBlockId } from '../model/edits.js';
import type { Round } from '../model/round.js';
import type { Block, Sequence } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import type { Structure } from './structure.js';
import type { Finding } from '../rules/checks/index.js';
import { arranged } from './arrange.js';
import { type Candidate, candidateOf } from './candidate.js';
import { candidatesFor, lockedCandidates } from './candidates.js';
import type { Linear, Relaxed, Solved, SolveOptions, Solver } from './linear.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { exchanged } from './exchange.js';
import { mended } from './mend.js';
import { type Programme, programmeOf } from './programme.js';
import { type ComposeQuestion, type Composing, composingOf } from './question.js';
import { blockOf, type Excluded } from './suitable.js';
import { type Binding, bindingOf, notesFor, type Reason, reasonsFor } from './reasons.js';
import { type GiveUp, giveUpOf } from './give-up.js';
import { wantWorths, worthOf } from './worth.js';

/** A composed sequence, and how near it is to the best that there could be. */
export interface Composed {
  readonly sequence: Sequence;
  readonly chosen: readonly Candidate[];
  readonly worth: number;
  /** Nothing that keeps the rules can be worth more. */
  readonly bound: number;
  /** How much better the best could still be, percent. */
  readonly gapPercent: number;
  /** What the checks still say of it: what nothing on the shelf could have mended. */
  readonly findings: readonly Finding[];
  readonly reasons: () => readonly Reason[];
  /** How much of each want it has, in the goal’s order: seconds of each hand, and all that is wanted. */
  readonly wants: readonly { readonly words: string; readonly gotS: number; readonly targetS: number }[];
  readonly binding: readonly Binding[];
  readonly excluded: readonly Excluded[];
  /** What is to be known about goal and person before any of it. */
  readonly notes: readonly string[];
}

/** Nothing keeps all that was asked: what would have to give way, or why there is nothing to choose from. */
export interface NotComposed {
  readonly giveUp: readonly GiveUp[];
  readonly excluded: readonly Excluded[];
  readonly notes: readonly string[];
}
/** Whether something was composed. */
export const isComposed = (answer: Composed | NotComposed): answer is Composed => 'sequence' in answer;

/** Good enough to stop at, percent. */
export const GAP_PERCENT = 1;

/** Told of each better sequence; composing stops when it answers false. */
export type Progress = (composed: Composed) => boolean;

/**
 * Composes a sequence: a sound answer at once by exchanging, then better ones by the solver until none can be better by more than `GAP_PERCENT`. What it makes keeps
 * the checks wherever the shelf allows it. The same question has the same answer.
 * @param progress told of each better sequence; composing stops when it answers false
 */
export function compose(
  question: ComposeQuestion,
  solver: Solver,
  progress: Progress = () => true,
): Composed | NotComposed {
  const composing = composingOf(question);
  const locked = lockedCandidates(composing);
  const shelf = candidatesFor(composing);
  const candidates = [
    ...locked,
    ...shelf.candidates.filter(({ movement }) => !locked.some((each) => each.movement.id === movement.id)),
  ];
  const notes = notesFor(composing);
  const programme = programmeOf(composing, candidates);
  const relaxed = solver.relax(programme.linear);
  const binding = relaxed.values ? bindingOf(programme, relaxed) : [];
  const search = new Search(
    { composing, programme, candidates, relaxed, solver },
    { bound: relaxed.bound, excluded: shelf.excluded, notes, binding },
    progress,
  );
  const best = relaxed.values && candidates.length > 0 ? search.run() : null;
  if (best) return best;
  return { giveUp: candidates.length > 0 ? giveUpOf(programme.linear, solver) : [], excluded: shelf.excluded, notes };
}

/** What a search goes by. */
interface Searched {
  readonly composing: Composing;
  readonly programme: Programme;
  readonly candidates: readonly Candidate[];
  readonly relaxed: Relaxed;
  readonly solver: Solver;
}

/** Looks for the best choice, from what is near at hand to what is proven. */
class Search {
  private best: Composed | null = null;
  private readonly few: readonly number[];

  constructor(
    private readonly of: Searched,
    private readonly frame: Frame,
    private readonly progress: Progress,
  ) {
    this.few = of.relaxed.values ? promising(of.programme.linear, of.relaxed, of.candidates) : [];
  }

  run(): Composed | null {
    const { programme, candidates, relaxed } = this.of;
    const start = this.few.filter((at) => candidates[at]?.locked || this.inRelaxed(at) > HALF);
    const near = exchanged(programme.structure, start, this.few);
    if (!this.found(near?.chosen, relaxed.bound)) return this.best;
    const enough = relaxed.bound * (1 - CLOSE);
    const ofFew = this.solved(this.few, near?.chosen, { branches: FEW_BRANCHES, progress: (worth) => worth < enough });
    if (!this.found(chosenOf(ofFew, this.few), relaxed.bound)) return this.best;
    // What cannot be part of anything better by more than the gap is left out; what is left is solved to its end.
    const known = Math.max(near?.worth ?? -Infinity, ofFew.worth);
    const chosen = (ofFew.worth >= known ? chosenOf(ofFew, this.few) : near?.chosen) ?? [];
    const wanted = known / (1 - CLOSE);
    const left = [...candidates.keys()].filter(
      (at) => chosen.includes(at) || this.inRelaxed(at) > TINY || relaxed.worth + (relaxed.reduced[at] ?? 0) >= wanted,
    );
    const all = this.solved(left, chosen, {});
    this.found(chosenOf(all, left), Math.min(relaxed.bound, Math.max(all.bound, wanted)));
    return this.best;
  }

  private inRelaxed(at: number): number {
    return this.of.relaxed.values?.[at] ?? 0;
  }

  /** The programme of some of the candidates, solved from a choice of them. */
  private solved(indices: readonly number[], chosen: readonly number[] | undefined, options: SolveOptions): Solved {
    const { linear } = programmeOf(this.of.composing, pick(this.of.candidates, indices));
    const from = chosen && { chosen: indices.map((at) => chosen.includes(at)) };
    return this.of.solver.solve(linear, { gap: CLOSE, ...from, ...options });
  }

  /** Keeps the better of what was found and what is known; whether the search goes on. */
  private found(chosen: readonly number[] | null | undefined, bound: number): boolean {
    const { composing, programme } = this.of;
    const next = chosen ? fitting(composing, programme.structure, chosen, this.few, { ...this.frame, bound }) : null;
    if (next && (!this.best || next.worth > this.best.worth)) this.best = next;
    if (!this.best) return true;
    this.best = { ...this.best, bound, gapPercent: gapOf(this.best.worth, bound) };
    return this.progress(this.best) && this.best.gapPercent > GAP_PERCENT;
  }
}
const HALF = 0.5;

const pick = (candidates: readonly Candidate[], indices: readonly number[]) =>
  indices.map((at) => itemAt(candidates, at));
const chosenOf = ({ values }: Solved, indices: readonly number[]) =>
  values && indices.filter((_, index) => (values[index] ?? 0) > 0.5);
const FEW_BRANCHES = 20;

/** A gap that leaves room for what mending costs. */
const CLOSE = 0.006;
const TINY = 1e-6;
const gapOf = (worth: number, bound: number) => Math.max(0, (100 * (bound - worth)) / bound);

/** Candidates that the relaxation chooses or nearly so, and the nearest of each that is asked for. */
function promising({ rows }: Linear, { values, reduced }: Relaxed, candidates: readonly Candidate[]): number[] {
  const score = (index: number) => ((values?.[index] ?? 0) > TINY ? 1 : (reduced[index] ?? 0));
  const kept = new Set<number>();
  const best = (list: readonly number[], count: number) => {
    for (const index of [...list].sort((a, b) => score(b) - score(a) || a - b).slice(0, count)) kept.add(index);
  };
  const all = candidates.map((_, index) => index);
  best(all, 60);
  const wants = candidates[0]?.gives.length ?? 0;
  for (let want = 0; want < wants; want++)
    best(
      all.filter((index) => (candidates[index]?.gives[want] ?? 0) > 0),
      8,
    );
  for (const { min, terms } of rows) {
    if (min >= 1)
      best(
        terms.map(([at]) => at).filter((at) => at < candidates.length),
        4,
      );
  }
  return all.filter((index) => kept.has(index) || candidates[index]?.locked);
}

type Frame = Pick<Composed, 'bound' | 'excluded' | 'notes' | 'binding'>;

/** Tries to fit a choice that turns out longer than its minutes, before sets are taken from it. */
const MOST_FITTINGS = 3;

/** A choice as a sequence. The ways from place to place are known exactly only now: where they are longer than was thought, the choice is exchanged for a shorter one. */
function fitting(
  composing: Composing,
  structure: Structure,
  chosen: readonly number[],
  among: readonly number[],
  frame: Frame,
): Composed {
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
  const { locked = [], rounds = [] } = composing;
  const blocks = arranged(chosen, composing.method).map(
    (candidate) => locked.find(({ id }) => candidate.locked && id === candidate.key) ?? freshBlock(candidate, locked),
  );
  const inRounds = rounds.reduce(gathered, blocks);
  return { ...composing.frame, blocks: inRounds, ...(rounds.length > 0 && { rounds: [...rounds] }) };
}

/** The blocks of a round stand together, in their own order, where the first of them stands. */
function gathered(blocks: readonly Block[], { blockIds }: Round): Block[] {
  const mine = blockIds.map((id) =>
    must(
      blocks.find((block) => block.id === id),
      `a block ${id} of a round`,
    ),
  );
  const first = blocks.findIndex(({ id }) => blockIds.includes(id));
  const others = (list: readonly Block[]) => list.filter(({ id }) => !blockIds.includes(id));
  return [...others(blocks.slice(0, first)), ...mine, ...others(blocks.slice(first))];
}

/** A block of a candidate; its id is made from the movement, so that the same answer is the same document. */
function freshBlock({ movement, level, dose, phase, extra }: Candidate, locked: readonly Block[]): Block {
  const id = freshBlockId({ blocks: locked } as Sequence, movement.id);
  return { ...blockOf(movement, level, dose, phase), id: extra ? `${id}-more` : id };
}

/** A sequence mended where the checks find something, with what it came to. */
function finished(composing: Composing, sequence: Sequence, frame: Frame): Composed {
  const { view, findings } = mended(composing, sequence);
  const chosen = view.blocks.map(({ movement, level, block }, index) =>
    candidateOf(view, { movement, level, dose: block.dose, phase: block.phase }, composing.goal, index),
  );
  const worth = worthOf(chosen, composing);
  const wants = wantWorths(composing).map(({ targetS }, index) => ({
    words: itemAt(composing.goal.wants, index).words,
    gotS: chosen.reduce((sum, { gives }) => sum + (gives[index] ?? 0), 0),
    targetS,
  }));
  const composed = {
    ...frame,
    sequence: view.sequence,
    chosen,
    worth,
    gapPercent: gapOf(worth, frame.bound),
    findings,
    wants,
  };
  let reasons: readonly Reason[] | undefined;
  // Found when somebody reads them: most of what is tried on the way nobody does.
  return { ...composed, reasons: () => (reasons ??= reasonsFor(composing, view, chosen)) };
}
