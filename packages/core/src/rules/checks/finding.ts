import type { Sentence } from '../../vocabulary/sentence.js';
import type { Doubt } from '../../effort/doubt.js';
import type { SessionView } from '../../effort/session-view.js';
import type { Edit } from '../../model/edits.js';

/**
 * How much a finding weighs: `stop` keeps hands off until somebody has looked, `mend` is a fault of the sequence, `look` is worth a
 * second thought.
 */
export const SEVERITIES = ['stop', 'mend', 'look'] as const;
/** How grave a finding is, the gravest first. */
export type Severity = (typeof SEVERITIES)[number];

/** A change that answers a finding, named by what it does. */
export interface Fix {
  readonly label: Sentence;
  /** Given as a function where finding them takes a search: it is begun when somebody asks. */
  readonly edits: readonly Edit[] | (() => readonly Edit[]);
}
/** The edits of a fix, searched for now where it takes a search. */
export const editsOf = ({ edits }: Fix): readonly Edit[] => (typeof edits === 'function' ? edits() : edits);

/** What a check says of a sequence. */
export interface Observation {
  readonly blockIds: readonly string[];
  /** A sentence with the numbers that it rests on. */
  readonly text: Sentence;
  readonly fix?: Fix | undefined;
  /** What nobody has measured and it rests on. */
  readonly doubt?: Doubt | undefined;
}

/** One rule that sequences are held against. */
export interface Check {
  readonly id: string;
  readonly title: string;
  readonly severity: Severity;
  /** Why it matters, in a plain sentence. */
  readonly why: string;
  readonly source: string;
  /** A rule of safety: cannot be muted. */
  readonly stopRule?: true;
  readonly find: (view: SessionView) => readonly Observation[];
}

/** The source of rules that nobody has measured. */
export const PRACTICE = 'common practice among coaches';
