import type { Sentence } from '../vocabulary/sentence.js';
import { alternativesFor } from '../compose/alternatives.js';
import { compose, isComposed } from '../compose/compose.js';
import type { Composed } from '../compose/composed.js';
import { assessed } from '../compose/fitting.js';
import type { Solver } from '../compose/linear.js';
import type { Edit } from '../model/edits.js';
import type { Sequence } from '../model/sequence.js';
import type { Severity } from '../rules/checks/finding.js';
import { must } from '../vocabulary/lists.js';
import { fullQuestion, type ComposeWork, questionOf } from './compose-work.js';

/** A composed sequence with its reasons, or what would have to give way. */
export interface ComposeAnswer {
  /** Null where not all that was asked can be had together. */
  sequence: Sequence | null;
  /** How much better the best could be at most, percent. */
  gapPercent: number;
  elapsedMs: number;
  durationMs: number;
  /** How much of what the goal wants there is. */
  goalPercent: number;
  /** What the programme maximises, and what nothing can be worth more than: the gap is between them. */
  worth: number;
  bound: number;
  wants: { words: string; gotS: number; targetS: number; heldBack: Sentence | null }[];
  reasons: { blockId: string; text: Sentence; figures: Sentence }[];
  /** What keeps it from being better, the most first. */
  binding: { rule: string; text: Sentence; points: number }[];
  /** Movements that this person cannot be given now, and why. */
  excluded: { movementId: string; why: Sentence }[];
  /** What the checks still say: nothing on the shelf could have mended it. */
  findings: { check: string; severity: Severity; text: Sentence }[];
  /** What is to be known first: referrals, ranges that the goal asks beyond. */
  notes: Sentence[];
  /** With no sequence: the least that would have to give way. */
  giveUp: { rule: string; text: Sentence }[];
}

/** Another movement for a block. */
export interface SwapAnswer {
  alternatives: {
    movementId: string;
    name: string;
    levelId: string;
    points: number;
    seconds: number;
    text: Sentence;
    edits: Edit[];
  }[];
}

/** Finds what a composition will choose from, before anybody waits for it. */
export const prepareFor = (work: ComposeWork): void => void fullQuestion(work);

/** Who follows a composition. */
export interface Following {
  /** A clock, ms. */
  readonly now: () => number;
  /** Told of each better answer; composing stops when it says false. */
  readonly better?: (answer: ComposeAnswer) => boolean;
  /** Asked now and then whether to go on, ms after the beginning. */
  readonly goOn?: (elapsedMs: number) => boolean;
}

/** Composes, telling of each better sequence. */
export function composeWith(work: ComposeWork, solver: Solver, { now, better, goOn }: Following): ComposeAnswer {
  const startedAt = now();
  const elapsed = () => now() - startedAt;
  const answer = compose(fullQuestion(work), solver, {
    ...(better && { better: (composed) => better(answerOf(composed, elapsed())) }),
    ...(goOn && { goOn: () => goOn(elapsed()) }),
  });
  if (isComposed(answer)) return answerOf(answer, elapsed());
  const { giveUp, excluded, notes } = answer;
  const lists = { wants: [], reasons: [], binding: [], findings: [] };
  const figures = { gapPercent: 0, durationMs: 0, goalPercent: 0, worth: 0, bound: 0, elapsedMs: elapsed() };
  return { sequence: null, ...figures, ...lists, excluded: [...excluded], notes: [...notes], giveUp: [...giveUp] };
}

/** The answer for a sequence that somebody has changed since it was composed: its own figures and findings, against the same bound. */
export function judgedWith(work: ComposeWork, sequence: Sequence, before: ComposeAnswer): ComposeAnswer {
  return answerOf(assessed(questionOf(work), sequence, before), before.elapsedMs);
}

function answerOf(composed: Composed, elapsedMs: number): ComposeAnswer {
  const { sequence, durationMs, goalPercent, worth, bound, gapPercent } = composed;
  const { wants, binding, excluded, findings, notes } = composed;
  return {
    ...{ sequence, durationMs, goalPercent, worth, bound, gapPercent, elapsedMs },
    wants: wants.map((want, index) => ({ ...want, heldBack: composed.heldBack()[index] ?? null })),
    reasons: [...composed.reasons()],
    binding: [...binding],
    excluded: [...excluded],
    findings: findings.map(({ check: { id, severity }, text: says }) => ({ check: id, severity, text: says })),
    notes: [...notes],
    giveUp: [],
  };
}

/** Other movements for a block of the sequence that the work is from. */
export function swapsIn(work: ComposeWork, blockId: string): SwapAnswer {
  const found = alternativesFor(fullQuestion(work), must(work.from, 'a sequence'), blockId);
  return {
    alternatives: found.map(({ candidate: { movement, level }, points, seconds, text: says, edits }) => ({
      movementId: movement.id,
      name: movement.name,
      levelId: level.id,
      points,
      seconds,
      text: says,
      edits: [...edits],
    })),
  };
}
