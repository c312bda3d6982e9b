import {
  alternativesFor,
  assessed,
  BLOCK,
  BLOCK_LIMITS,
  compose,
  type Composed,
  type Edit,
  EQUIPMENT,
  instant,
  isComposed,
  list,
  loadSolver,
  must,
  type Of,
  oneOf,
  optional,
  PLACES,
  record,
  ROUND,
  SEQUENCE,
  SEQUENCE_LIMITS,
  type Sequence,
  type Severity,
  type Solver,
  text,
  trueOrFalse,
  within,
} from '@clay-pot/core';
import { GOAL_NAMES } from '@clay-pot/core/library';
import { askedIn, type ComposeWork, questionOf } from './compose-work.js';
import { WHOM_INPUT } from './mechanics.js';

const ASKED = {
  ...WHOM_INPUT,
  /** What the session is for: the id of a goal. */
  goal: oneOf(GOAL_NAMES, 'Goal'),
  minutes: within(SEQUENCE_LIMITS.budgetMin, 'Minutes'),
  /** Things at hand; those on the athlete’s record where it is left out, else what is found in any room. */
  equipment: optional(list(oneOf(EQUIPMENT, 'Equipment'), { max: EQUIPMENT.length, unique: true })),
  methodId: optional(text(SEQUENCE_LIMITS.methodIdLength, 1, 'Method')),
  /** Where nobody can be today. */
  notAt: optional(list(oneOf(PLACES, 'Place'), { max: PLACES.length, unique: true })),
  /** Blocks that stay as they are, and the rounds that they are taken in. */
  locked: optional(list(BLOCK, { max: SEQUENCE_LIMITS.blocks })),
  rounds: optional(list(ROUND, { max: SEQUENCE_LIMITS.rounds })),
  /** A sequence to be fitted anew: its movements are kept where they can be. */
  from: optional(SEQUENCE),
  /** Of a sequence that is fitted anew: whether other movements may come in. */
  others: optional(trueOrFalse()),
  /** When the session would begin; now when left out. */
  at: optional(instant()),
};

/** For whom and for what a sequence is composed. */
export const COMPOSE_QUESTION = record(ASKED);
/** For whom and for what a sequence is composed. */
export type ComposeQuestion = Of<typeof COMPOSE_QUESTION>;

/** Which block of a sequence is to be another movement, and for whom. */
export const SWAP_QUESTION = record({
  ...ASKED,
  from: SEQUENCE,
  blockId: text(BLOCK_LIMITS.idLength, 1, 'Block'),
});
/** Which block of a sequence is to be another movement, and for whom. */
export type SwapQuestion = Of<typeof SWAP_QUESTION>;

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
  wants: { words: string; gotS: number; targetS: number }[];
  reasons: { blockId: string; text: string }[];
  /** What keeps it from being better, the most first. */
  binding: { rule: string; text: string; points: number }[];
  /** Movements that this person cannot be given now, and why. */
  excluded: { movementId: string; why: string }[];
  /** What the checks still say: nothing on the shelf could have mended it. */
  findings: { check: string; severity: Severity; text: string }[];
  /** What is to be known first: referrals, ranges that the goal asks beyond. */
  notes: string[];
  /** With no sequence: the least that would have to give way. */
  giveUp: { rule: string; text: string }[];
}

/** Another movement for a block. */
export interface SwapAnswer {
  alternatives: {
    movementId: string;
    name: string;
    levelId: string;
    points: number;
    seconds: number;
    text: string;
    edits: Edit[];
  }[];
}

/** Finds what a composition will choose from, before anybody waits for it. */
export const prepareFor = (work: ComposeWork): void => void askedIn(work);

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
  const answer = compose(askedIn(work), solver, {
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
    wants: [...wants],
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
  const found = alternativesFor(askedIn(work), must(work.from, 'a sequence'), blockId);
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

let solverOfThread: Promise<Solver> | undefined;
/** Composes in a thread of its own; past its time it answers with the best that it has. */
export async function answerCompose({
  work,
  withinMs,
}: {
  readonly work: ComposeWork;
  readonly withinMs: number;
}): Promise<ComposeAnswer> {
  solverOfThread ??= loadSolver();
  return composeWith(work, await solverOfThread, { now: Date.now, goOn: (elapsedMs) => elapsedMs < withinMs });
}

/** Finds other movements for a block in a thread of its own. */
export const answerSwap = ({ work, blockId }: { readonly work: ComposeWork; readonly blockId: string }): SwapAnswer =>
  swapsIn(work, blockId);
