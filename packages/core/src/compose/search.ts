import type { Candidate } from './candidate.js';
import type { Composed, Frame } from './composed.js';
import { Choice } from './choice.js';
import { type Exchanged, exchanged } from './exchange.js';
import { fitting, gapOf } from './fitting.js';
import type { Relaxed, Solved, SolveOptions, Solver } from './linear.js';
import { type IntegerProgramme, integerProgrammeOf } from './integer-programme.js';
import type { Composing } from './question.js';
import { itemAt } from '../vocabulary/lists.js';
import { VISIT_COST } from './worth.js';

/** Good enough to stop at, percent. */
export const GAP_PERCENT = 1;

/** Who follows a search. */
export interface Follower {
  /** Told of each better sequence, and of each that is proven to be nearer to the best; the search is over when it answers false. */
  readonly better?: (composed: Composed) => boolean;
  /** Asked now and then whether to go on looking. */
  readonly goOn?: () => boolean;
}

/** The data that a search reads. */
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
  /** Nothing that keeps the rules is worth more: what is proven by now. */
  private bound: number;
  /** Whoever follows it has enough. */
  private isOver = false;
  /** Among which candidates the solver looks first, and what is too long is exchanged for shorter ones. */
  private few: readonly number[] = [];
  /** Choices that were arranged already. */
  private readonly arranged = new Set<string>();

  constructor(
    private readonly of: Searched,
    private readonly frame: Frame,
    private readonly follower: Follower,
  ) {
    this.bound = of.relaxed.bound;
  }

  run(): Composed | null {
    const { candidates, relaxed } = this.of;
    const near = this.exchanging();
    if (!this.goesOn()) return this.best;
    this.few = [...new Set([...promising(this.of), ...(near?.chosen ?? [])])].sort((a, b) => a - b);
    // Small improvements aren’t reported on the way: being near enough ends the search anyway.
    const enough = relaxed.bound * (1 - CLOSE);
    const ofFew = this.solved(this.few, near?.chosen, {
      branches: FEW_BRANCHES,
      goOn: (worth) => worth < enough && this.goesOn(),
    });
    if (!this.found(chosenOf(ofFew, this.few))) return this.best;
    // What cannot be part of anything better by more than the gap is left out; what is left is solved to its end.
    const bestSoFar = Math.max(near?.worth ?? -Infinity, ofFew.worth);
    const chosen = (ofFew.worth >= bestSoFar ? chosenOf(ofFew, this.few) : near?.chosen) ?? [];
    const wanted = bestSoFar / (1 - CLOSE);
    const left = [...candidates.keys()].filter(
      (at) => chosen.includes(at) || this.inRelaxed(at) > TINY || relaxed.worth + (relaxed.reduced[at] ?? 0) >= wanted,
    );
    const goOn = (_: number, bound: number) => {
      this.proven(Math.max(bound, wanted));
      return this.goesOn();
    };
    const all = this.solved(left, chosen, { goOn });
    this.proven(Math.max(all.bound, wanted), TINY);
    this.found(chosenOf(all, left));
    return this.best;
  }

  /** A choice that goes to fewer places for hardly less: looked for from a choice that is sound. */
  private inFewerPlaces(chosen: readonly number[]): readonly number[] {
    const { structure } = this.of.programme;
    const least = Choice.of(structure, chosen).worth() * (1 - HARDLY_LESS);
    for (const share of COST_SHARES) {
      const better = exchanged({ ...structure, visitCost: share * VISIT_COST }, chosen, this.few, FEW_EXCHANGES);
      if (better && Choice.of(structure, better.chosen).worth() >= least) return better.chosen;
    }
    return chosen;
  }

  /** The best that exchanging comes to: among few first, then among more, where what was not worth looking at may be what is missing; among all where nothing was sound. */
  private exchanging(): Exchanged | null {
    const { programme, candidates } = this.of;
    let near: Exchanged | null = null;
    for (const share of WIDER) {
      this.few = promising(this.of, share > 1 && !near ? Infinity : share);
      const start = this.few.filter((at) => candidates[at]?.locked || this.inRelaxed(at) > HALF);
      const next = exchanged(programme.structure, start, this.few);
      if (next && (!near || next.worth > near.worth)) near = next;
      if (!this.found(near?.chosen)) break;
    }
    return near;
  }

  /** Before there is anything nobody stops it; what is near enough needs nobody to. */
  private goesOn(): boolean {
    if (!this.best) return true;
    return !this.isOver && this.best.gapPercent > GAP_PERCENT && (this.follower.goOn?.() ?? true);
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
      if (worth > (this.best?.worth ?? -Infinity) * (1 + WORTH_TELLING)) this.tell(chosenAmong(values, indices));
    };
    return this.of.solver.solve(linear, { gap: CLOSE, better, ...from, ...options });
  }

  /** Keeps the better of what was found and what is known; whether the search goes on. */
  private found(chosen: readonly number[] | null | undefined): boolean {
    if (chosen) this.tell(chosen);
    return this.goesOn();
  }

  /** Arranges what was found, and tells it where it is better than what is known. */
  private tell(chosen: readonly number[]): void {
    const next = this.isOver ? null : this.fitted(chosen);
    if (next && next.worth > (this.best?.worth ?? -Infinity)) this.reportBest(next);
  }

  /** Lowers the bound, and tells what is known with it where that is worth telling. @param worthTelling smaller by so much, percent */
  private proven(bound: number, worthTelling = CLOSER_TELLING): void {
    this.bound = Math.min(this.bound, bound);
    if (!this.best || this.isOver) return;
    const gapPercent = gapOf(this.best.worth, this.bound);
    const isThere = gapPercent <= GAP_PERCENT && this.best.gapPercent > GAP_PERCENT;
    if (isThere || this.best.gapPercent - gapPercent >= worthTelling) this.reportBest(this.best);
  }

  private reportBest(best: Composed): void {
    const gapPercent = gapOf(best.worth, this.bound);
    // A bound that is passed is no bound: what it proved would be wrong.
    if (gapPercent < -ROUNDING) throw new RangeError(`A sequence is worth ${best.worth}, more than its bound of ${this.bound}.`);
    this.best = { ...best, bound: this.bound, gapPercent: Math.max(0, gapPercent) };
    this.isOver = this.follower.better?.(this.best) === false;
  }

  private fitted(chosen: readonly number[]): Composed | null {
    const key = chosen.join(' ');
    if (this.arranged.has(key)) return null;
    this.arranged.add(key);
    const { composing, programme } = this.of;
    return fitting(composing, programme.structure, this.inFewerPlaces(chosen), this.few, this.frame);
  }
}
const pick = (candidates: readonly Candidate[], indices: readonly number[]) => indices.map((at) => itemAt(candidates, at));
const chosenAmong = (values: ArrayLike<number>, indices: readonly number[]) => indices.filter((_, index) => (values[index] ?? 0) > HALF);
const chosenOf = ({ values }: Solved, indices: readonly number[]) => values && chosenAmong(values, indices);
/** Beyond half a whole unknown is chosen. */
const HALF = 0.5;
const FEW_BRANCHES = 20;
/** An improvement by this share is reported at once. */
const WORTH_TELLING = 0.005;
/** A better bound is reported when the gap shrinks by this much, percent. */
const CLOSER_TELLING = 0.1;
/** A gap that leaves room for what mending costs. */
const CLOSE = 0.006;
const TINY = 1e-6;
/** For fewer places so much less is given up: what is left of the gap when the solver is done. */
const HARDLY_LESS = 0.004;
/** The cost of a place is tried doubled first: where too much would be given up for it, less. */
const COST_SHARES = [2, 1, 0.5];
/** So many exchanges look for fewer places. */
const FEW_EXCHANGES = 40;

/** How many candidates an exchange considers in each round: a multiple of those it starts with. */
const WIDER = [1, 2.5];
/** Of all, of those that bring something of a want, and of those that a rule asks for: so many are looked at first. */
const FIRST = { ofAll: 60, ofWant: 8, ofRule: 4 } as const;

/** Candidates that the relaxation chooses or nearly so, and the nearest of each that is asked for. @param share more or fewer of them */
function promising({ programme, relaxed, candidates }: Searched, share = 1): number[] {
  const { values, reduced } = relaxed;
  const score = (index: number) => ((values?.[index] ?? 0) > TINY ? 1 : (reduced[index] ?? 0));
  const kept = new Set<number>();
  const best = (list: readonly number[], count: number) => {
    for (const index of [...list].sort((a, b) => score(b) - score(a) || a - b).slice(0, share * count)) kept.add(index);
  };
  const all = candidates.map((_, index) => index);
  best(all, FIRST.ofAll);
  const wants = candidates[0]?.gives.length ?? 0;
  for (let want = 0; want < wants; want++) {
    const giving = all.filter((index) => (candidates[index]?.gives[want] ?? 0) > 0);
    best(giving, FIRST.ofWant);
  }
  for (const { min, terms } of programme.linear.rows) {
    if (min < 1) continue;
    const chosen = terms.map(([at]) => at).filter((at) => at < candidates.length);
    best(chosen, FIRST.ofRule);
  }
  return all.filter((index) => kept.has(index) || candidates[index]?.locked);
}

/** The solver’s figures are exact to so many percent. */
const ROUNDING = 1e-3;
