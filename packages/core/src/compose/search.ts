import type { Candidate } from './candidate.js';
import type { Composed, Frame } from './composed.js';
import { exchanged } from './exchange.js';
import { fitting, gapOf } from './fitting.js';
import type { Linear, Relaxed, Solved, SolveOptions, Solver } from './linear.js';
import { type IntegerProgramme, integerProgrammeOf } from './integer-programme.js';
import type { Composing } from './question.js';
import { itemAt } from '../vocabulary/lists.js';

/** Good enough to stop at, percent. */
export const GAP_PERCENT = 1;

/** Who follows a search. */
export interface Follower {
  /** Told of each better sequence, and of each that is proven to be nearer to the best; the search is over when it answers false. */
  readonly better?: (composed: Composed) => boolean;
  /** Asked now and then whether to go on looking. */
  readonly goOn?: () => boolean;
}

/** What a search goes by. */
export interface Searched {
  readonly composing: Composing;
  readonly programme: IntegerProgramme;
  readonly candidates: readonly Candidate[];
  readonly relaxed: Relaxed;
  readonly solver: Solver;
}

/** Looks for the best choice, from what is near at hand to what is proven. */
export class Search {
  private best: Composed | null = null;
  /** Whoever follows it has enough. */
  private isOver = false;
  private readonly few: readonly number[];

  constructor(
    private readonly of: Searched,
    private readonly frame: Frame,
    private readonly follower: Follower,
  ) {
    this.few = of.relaxed.values ? promising(of.programme.linear, of.relaxed, of.candidates) : [];
  }

  run(): Composed | null {
    const { programme, candidates, relaxed } = this.of;
    const start = this.few.filter((at) => candidates[at]?.locked || this.inRelaxed(at) > HALF);
    const near = exchanged(programme.structure, start, this.few);
    if (!this.found(near?.chosen, relaxed.bound)) return this.best;
    const enough = relaxed.bound * (1 - CLOSE);
    const ofFew = this.solved(this.few, near?.chosen, {
      branches: FEW_BRANCHES,
      goOn: (worth) => worth < enough && this.goesOn(),
    });
    if (!this.found(chosenOf(ofFew, this.few), relaxed.bound)) return this.best;
    // What cannot be part of anything better by more than the gap is left out; what is left is solved to its end.
    const known = Math.max(near?.worth ?? -Infinity, ofFew.worth);
    const chosen = (ofFew.worth >= known ? chosenOf(ofFew, this.few) : near?.chosen) ?? [];
    const wanted = known / (1 - CLOSE);
    const left = [...candidates.keys()].filter(
      (at) => chosen.includes(at) || this.inRelaxed(at) > TINY || relaxed.worth + (relaxed.reduced[at] ?? 0) >= wanted,
    );
    const all = this.solved(left, chosen, { goOn: () => this.goesOn() });
    this.found(chosenOf(all, left), Math.min(relaxed.bound, Math.max(all.bound, wanted)));
    return this.best;
  }

  /** Before there is anything nobody stops it. */
  private goesOn(): boolean {
    return this.best === null || (!this.isOver && (this.follower.goOn?.() ?? true));
  }

  private inRelaxed(at: number): number {
    return this.of.relaxed.values?.[at] ?? 0;
  }

  /** The programme of some of the candidates, solved from a choice of them. */
  private solved(indices: readonly number[], chosen: readonly number[] | undefined, options: SolveOptions): Solved {
    const { linear } = integerProgrammeOf(this.of.composing, pick(this.of.candidates, indices));
    const from = chosen && { chosen: indices.map((at) => chosen.includes(at)) };
    const better = (values: Float64Array, worth: number) => {
      // What is hardly better is not worth the arranging: it is found at the end of the stage.
      if (worth > (this.best?.worth ?? -Infinity) * (1 + WORTH_TELLING)) this.tell(chosenAmong(values, indices), this.of.relaxed.bound); // prettier-ignore
    };
    return this.of.solver.solve(linear, { gap: CLOSE, better, ...from, ...options });
  }

  /** Keeps the better of what was found and what is known; whether the search goes on. */
  private found(chosen: readonly number[] | null | undefined, bound: number): boolean {
    this.tell(chosen, bound);
    return this.best === null || (this.goesOn() && this.best.gapPercent > GAP_PERCENT);
  }

  /** Arranges what was found and tells the best that is known, by this bound. */
  private tell(chosen: readonly number[] | null | undefined, bound: number): void {
    if (this.isOver) return;
    const { composing, programme } = this.of;
    const next = chosen ? fitting(composing, programme.structure, chosen, this.few, { ...this.frame, bound }) : null;
    if (next && (!this.best || next.worth > this.best.worth)) this.best = next;
    if (!this.best) return;
    this.best = { ...this.best, bound, gapPercent: gapOf(this.best.worth, bound) };
    this.isOver = this.follower.better?.(this.best) === false;
  }
}
const pick = (candidates: readonly Candidate[], indices: readonly number[]) =>
  indices.map((at) => itemAt(candidates, at));
const chosenAmong = (values: ArrayLike<number>, indices: readonly number[]) =>
  indices.filter((_, index) => (values[index] ?? 0) > HALF);
const chosenOf = ({ values }: Solved, indices: readonly number[]) => values && chosenAmong(values, indices);
/** Beyond half a whole unknown is chosen. */
const HALF = 0.5;
const FEW_BRANCHES = 20;
/** Better by this share than what is known is told at once. */
const WORTH_TELLING = 0.005;

/** A gap that leaves room for what mending costs. */
const CLOSE = 0.006;
const TINY = 1e-6;

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
