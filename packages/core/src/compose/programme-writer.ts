import { groupedBy } from '../vocabulary/lists.js';
import type { Candidate } from './candidate.js';
import { LinearWriter } from './linear.js';
import type { Composing } from './question.js';
import type { RuleId } from './rule-id.js';
import type { Structure } from './structure.js';

/** A candidate with the unknown that says whether it is chosen. */
export interface Chosen {
  readonly candidate: Candidate;
  readonly y: number;
}

type Which = (candidate: Candidate) => boolean;

/** At most one candidate of a movement is chosen; a locked or added block counts by itself. */
const groupOf = ({ key, movement, locked, extra }: Candidate) => (locked || extra ? key : movement.id);

/** What is recorded of the rules while they are written, so that they can be held against a choice without solving anything. */
type Recorded = { -readonly [K in 'sums' | 'answered' | 'pairs']: Structure[K][number][] } & {
  secondsMost: number;
  changesMost: number;
  releases: boolean[];
};

/** Writes the programme of a composition: the first unknowns are the candidates’, in their order. */
export class ProgrammeWriter {
  readonly writer = new LinearWriter();
  readonly all: readonly Chosen[];
  readonly recorded: Recorded = {
    sums: [],
    answered: [],
    pairs: [],
    secondsMost: Infinity,
    changesMost: Infinity,
    releases: [],
  };

  constructor(
    readonly composing: Composing,
    candidates: readonly Candidate[],
    own: readonly number[],
  ) {
    this.all = candidates.map((candidate, at) => ({
      candidate,
      y: this.writer.unknown({ worth: own[at] ?? 0, whole: true }),
    }));
  }

  /** A sum over the chosen stays within bounds. */
  limit(
    rule: RuleId,
    amounts: readonly [number, number][],
    { min = -Infinity, max = Infinity }: { readonly min?: number; readonly max?: number },
    about?: string,
  ): void {
    const kept = amounts.filter(([, amount]) => amount !== 0);
    this.writer.row(rule, kept, { min, max }, about);
    this.recorded.sums.push({ rule, amounts: kept, min, max, ...(about !== undefined && { about }) });
  }

  where(which: Which): Chosen[] {
    return this.all.filter(({ candidate }) => which(candidate));
  }

  /** What the chosen come to together. */
  sum(amount: (candidate: Candidate) => number): [number, number][] {
    return this.all.map(({ candidate, y }) => [y, amount(candidate)]);
  }

  /** How many of these are chosen. */
  count(chosen: readonly Chosen[]): [number, number][] {
    return chosen.map(({ y }) => [y, 1]);
  }

  /** At least one of these, where there are any. */
  once(rule: RuleId, which: Which, about?: string): void {
    const mine = this.where(which);
    if (mine.length > 0) this.limit(rule, this.count(mine), { min: 1 }, about);
  }

  /** Whoever is one of these needs an unknown: summed over each movement, of which one at most is chosen, so that half of one does for half of the other. */
  each(rule: RuleId, chosen: readonly Chosen[], unknown: number, about?: string): void {
    const groups = groupedBy(chosen, ({ candidate }) => groupOf(candidate));
    for (const mine of groups.values()) this.writer.row(rule, [...this.count(mine), [unknown, -1]], { max: 0 }, about);
  }

  /** Whoever is one of these needs an answer; what answers itself needs none. */
  answered(rule: RuleId, about: string, who: readonly Chosen[], answers: readonly Chosen[]): void {
    const asking = who.filter((each) => !answers.includes(each));
    if (asking.length === 0) return;
    this.recorded.answered.push({ rule, about, asking: asking.map(({ y }) => y), answers: answers.map(({ y }) => y) });
    const answer = this.writer.unknown();
    this.writer.needs(
      rule,
      answer,
      answers.map(({ y }) => y),
      about,
    );
    this.each(rule, asking, answer, about);
  }

  /** One of each movement at most. */
  oneOfEach(): void {
    const groups = groupedBy(this.all, ({ candidate }) => groupOf(candidate));
    for (const mine of groups.values()) if (mine.length > 1) this.limit('one-level', this.count(mine), { max: 1 });
  }
}
