import type { Sentence } from '../vocabulary/sentence.js';
import type { Severity } from '../rules/checks/finding.js';
import type { ProgrammeEdit } from './edits.js';
import type { ProgrammeContext } from './seen.js';

/** A change that answers a finding, named by what it does. */
export interface ProgrammeFix {
  readonly label: Sentence;
  readonly edits: readonly ProgrammeEdit[];
}

/** What a rule says of a programme. */
export interface ProgrammeObservation {
  /** The day it is about. */
  readonly day: string;
  readonly sessionIds: readonly string[];
  /** A sentence with the numbers that it rests on. */
  readonly text: Sentence;
  readonly fix?: ProgrammeFix | undefined;
}

/** One rule that programmes are held against. */
export interface ProgrammeRule {
  readonly id: string;
  readonly title: string;
  readonly severity: Severity;
  readonly why: string;
  readonly source: string;
  readonly find: (view: ProgrammeContext) => readonly ProgrammeObservation[];
}

/** An observation with the rule it comes from. */
export interface ProgrammeFinding extends ProgrammeObservation {
  readonly rule: string;
  readonly title: string;
  readonly severity: Severity;
  /** Which week of the programme it is about, from 1. */
  readonly week: number;
}
