import type { RuleId } from './rule-id.js';

/** An unknown of a linear programme, from nothing to `most`. */
export interface Unknown {
  /** What one of it is worth. */
  readonly worth: number;
  readonly most: number;
  /** Whether it is whole, or may be a part. */
  readonly whole: boolean;
}

/** A sum of unknowns that has to lie between two bounds. */
export interface Row {
  /** Which rule of composing it is, and of what: so that it can be spoken of (`rule-words.ts`). */
  readonly rule: RuleId;
  readonly about?: string;
  /** Index of an unknown and its factor; each unknown once. */
  readonly terms: readonly (readonly [unknown: number, factor: number])[];
  readonly min: number;
  readonly max: number;
}

/** Maximise the worth of unknowns within rows. */
export interface Linear {
  readonly unknowns: readonly Unknown[];
  readonly rows: readonly Row[];
}

/** How far a solver got. */
export interface Solved {
  /** Values of the unknowns; null where nothing fits, or nothing was found before it had to stop. */
  readonly values: readonly number[] | null;
  readonly worth: number;
  /** Nothing can be worth more than this. */
  readonly bound: number;
}

/** A programme of which parts of whole unknowns were allowed: a bound, and what one learns from it. */
export interface Relaxed extends Solved {
  /** What one more of each row’s bound would be worth. */
  readonly prices: readonly number[];
  /** What one more of each unknown would be worth, its costs in the rows taken off. */
  readonly reduced: readonly number[];
}

/** Options of a solver, beside the programme. */
export interface SolveOptions {
  /** Stop once nothing better by more than this share can be left. */
  readonly gap?: number;
  /** A choice to start from: whether each of the first unknowns is chosen; what the others are follows. */
  readonly chosen?: readonly boolean[];
  /** Stop after so many branches, so that the same question has the same answer however fast the machine is. */
  readonly branches?: number;
  /** Asked now and then, with the worth that was reached and what is proven to be the most, whether to go on. */
  readonly goOn?: (worth: number, bound: number) => boolean;
  /** Told of each better solution while it is still looking; the solver may not be asked anything in it. */
  readonly better?: (values: Float64Array, worth: number) => void;
}

/** Solves linear programmes. */
export interface Solver {
  readonly solve: (linear: Linear, options?: SolveOptions) => Solved;
  readonly relax: (linear: Linear) => Relaxed;
}

/** Builds a programme unknown by unknown and row by row. */
export class LinearWriter {
  readonly unknowns: Unknown[] = [];
  readonly rows: Row[] = [];

  unknown({ worth = 0, most = 1, whole = false }: Partial<Unknown> = {}): number {
    return this.unknowns.push({ worth, most, whole }) - 1;
  }

  row(
    rule: RuleId,
    terms: Iterable<readonly [number, number]>,
    { min = -Infinity, max = Infinity }: Partial<Pick<Row, 'min' | 'max'>>,
    about?: string,
  ): void {
    const sums = new Map<number, number>();
    for (const [at, factor] of terms) sums.set(at, (sums.get(at) ?? 0) + factor);
    const kept = [...sums].filter(([, factor]) => factor !== 0);
    this.rows.push({ rule, terms: kept, min, max, ...(about !== undefined && { about }) });
  }

  /** One is there only if some of the others are. */
  needs(rule: RuleId, one: number, others: readonly number[], about?: string): void {
    this.row(rule, [[one, 1], ...others.map((at) => [at, -1] as const)], { max: 0 }, about);
  }
}
