import { effortTimeline } from '../effort/effort-timeline.js';
import { fatigueCourses } from '../effort/fatigue-course.js';
import { openEnds, untilLetGo } from '../effort/open-sets.js';
import { hardSeconds } from '../effort/past.js';
import { accountOf, HAND_FIGURES } from '../effort/session-account.js';
import type { Person } from '../mechanics/capacity.js';
import { equipmentFor, type MovementLookup } from '../model/movement.js';
import type { Round } from '../model/round.js';
import { roundOf, turnsOf } from '../model/rounds.js';
import type { Block, Sequence } from '../model/sequence.js';
import { compileTimeline, turnOf } from '../timeline/compile-timeline.js';
import { AT_THE_START, milliseconds, moveTo, type Whereabouts } from '../timeline/timeline.js';
import { itemAt } from '../vocabulary/lists.js';
import { HANDS } from '../vocabulary/hands.js';
import { SIDE_GROUPS } from '../vocabulary/muscles.js';
import { loadByAmount } from './by-amount.js';
import { movementsOf, rememberer } from './known.js';
import { FIGURES, HAND_COUNT, type Move, type PieceLoad } from './piece-figures.js';

/** Neighbouring blocks that are counted together: one, or those of a round. */
export interface Piece {
  readonly blocks: readonly Block[];
  readonly round: Round | undefined;
}

/** The pieces of a sequence, in order. */
export function piecesOfSequence(sequence: Sequence): Piece[] {
  const pieces: Piece[] = [];
  for (let at = 0; at < sequence.blocks.length;) {
    const round = roundOf(sequence, itemAt(sequence.blocks, at).id);
    const count = round?.blockIds.length ?? 1;
    pieces.push({ blocks: sequence.blocks.slice(at, at + count), round });
    at += count;
  }
  return pieces;
}

/** What a piece comes to for somebody. @throws SequenceError when it is not sound */
export function pieceLoad(person: Person, sequence: Sequence, piece: Piece, lookup: MovementLookup): PieceLoad {
  const { blocks, round } = piece;
  const parts = [person, sequence.pacing, round, ...blocks, ...movementsOf(piece, lookup)];
  return remember(itemAt(blocks, 0), parts, () => {
    const exact = (alone: Block) => computed(person, sequence, { blocks: [alone], round: undefined }, lookup);
    const alone = blocks.length === 1 && !round ? loadByAmount(itemAt(blocks, 0), parts.slice(0, 2), exact) : null;
    return alone ?? computed(person, sequence, piece, lookup);
  });
}
const remember = rememberer<PieceLoad>();

function computed(person: Person, { rounds: _, ...frame }: Sequence, { blocks, round }: Piece, lookup: MovementLookup): PieceLoad {
  const alone: Sequence = { ...frame, blocks: [...blocks], ...(round && { rounds: [round] }) };
  const timeline = compileTimeline(alone, lookup);
  const course = effortTimeline(person, alone, timeline, lookup);
  // An open set ends where somebody who begins it rested lets go: what came before it in the session is not known here.
  const isOpen = timeline.stints.some(({ open }) => open !== null);
  const efforts = isOpen ? untilLetGo(course, openEnds(fatigueCourses(course))) : course;
  const { doses, hands } = accountOf(alone, timeline, efforts, lookup);
  const moves = turnsOf(alone).map((turn): Move => {
    const { movement, level, dose } = turnOf(alone, turn, lookup);
    return [level.posture, equipmentFor(movement, level, dose)];
  });
  const readyMs = timeline.events.find(({ kind }) => kind === 'ready')?.durationMs ?? 0;
  const figures = new Float64Array(FIGURES.count);
  figures[FIGURES.lengthMs] = timeline.durationMs - readyMs - movesFrom(AT_THE_START, moves).ms;
  SIDE_GROUPS.forEach((key, index) => {
    figures[FIGURES.dose + index] = doses.get(key) ?? 0;
    figures[FIGURES.hardS + index] = hardSeconds(efforts.spans.get(key) ?? []);
  });
  HANDS.forEach((hand, at) =>
    HAND_FIGURES.forEach((name, index) => (figures[FIGURES.hands + at * HAND_COUNT + index] = hands[hand][name])),
  );
  return { moves, figures };
}

/** What getting to every turn of a piece takes, for somebody who comes from somewhere. */
export function movesFrom(from: Whereabouts, moves: readonly Move[]): { ms: number; to: Whereabouts } {
  let [ms, to] = [0, from];
  for (const [posture, needs] of moves) {
    const move = moveTo(to, posture, needs);
    ms += milliseconds(move.seconds);
    to = move.to;
  }
  return { ms, to };
}
