/** What of a line is a dose, in the parts of the shorthand, and what is left of it. */
export interface DosePhrases {
  /** Sets, where they were said. */
  readonly sets: number | null;
  /** What is done in each set, as shorthand: `10`, `30s`, `5br`, `40m`, `max`; several sets that differ: `2x10,1xmax`. */
  readonly amount: string | null;
  /** Seconds of a hold: in each repetition, or all that is done where nothing is repeated. */
  readonly holdS: number | null;
  /** Everything else, in shorthand: effort, load, tempo, rest. */
  readonly parts: readonly string[];
  readonly sides: string | null;
  readonly directions: string | null;
  /** Amounts of each hand, where they differ, in their order. */
  readonly perHand: readonly { readonly side: string; readonly amount: string }[] | null;
  /** Whether each finger or position has the amount, or which fingers do. */
  readonly fingers: 'each' | readonly string[] | null;
  /** Words of the dose that may name a level as well. */
  readonly hints: readonly string[];
  /** What a dose cannot say yet, kept in the words of the text. */
  readonly notes: readonly string[];
  /** Words that are no dose, cut where they were separated; the first ones name the movement. */
  readonly clauses: readonly Clause[];
}

/** Words between two marks. */
export interface Clause {
  readonly text: string;
  /** Behind a dash or in brackets: it may name a level, and else it is a remark. */
  readonly isAside: boolean;
}
