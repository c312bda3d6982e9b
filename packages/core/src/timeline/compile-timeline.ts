import { checkSequence, resolveBlock, SequenceError } from '../model/check-sequence.js';
import { type Dose, setCount } from '../model/dose.js';
import { equipmentFor, findLevel, type Level, type MovementLookup } from '../model/movement.js';
import { quicker } from '../model/pace.js';
import { doseInRound, type InRound, inRound, levelIdInRound } from '../model/round.js';
import { roundOf, type Turn, turnsOf } from '../model/rounds.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { handsInTurn, type WorkingSide } from '../vocabulary/hands.js';
import { itemAt, must } from '../vocabulary/lists.js';
import type { LookStop } from '../vocabulary/rechecks.js';
import { TimelineWriter } from './timeline-writer.js';
import { AT_THE_START, LOOK_S, moveTo, type Timeline } from './timeline.js';
import type { OneTurn } from './one-turn.js';
import { type Way, waysOf } from './ways.js';
import { USUAL_TEMPO, writeWork } from './write-work.js';

/**
 * Turns a sequence into timed events. Everything that needs a duration or an order reads this one result.
 *
 * announce → get into position → for each set, each hand in turn, each direction: the work, with a change of direction or of hands in
 * between → rest after every set but the last, in which hands and direction change as well → looking again. A block at once with the one before is
 * neither announced nor got ready for.
 * @throws SequenceError with every fault when the sequence is not sound.
 */
export function compileTimeline(sequence: Sequence, lookup: MovementLookup): Timeline {
  const faults = checkSequence(sequence, lookup);
  if (faults.length) throw new SequenceError(faults);
  const draft = new TimelineWriter(sequence.blocks);
  let whereabouts = AT_THE_START;
  turnsOf(sequence).forEach((turn, index) => {
    const one = turnOf(sequence, turn, lookup);
    const { seconds, to } = moveTo(whereabouts, one.level.posture, equipmentFor(one.movement, one.level, one.dose));
    draft.turn(turn, () => {
      if (index === 0) draft.event('ready', sequence.pacing.readyS ?? USUAL_PACING.readyS);
      writeTurn(draft, sequence, turn, one, seconds);
    });
    whereabouts = to;
  });
  return draft.timeline();
}

/** A block as it is done in a round: its level and dose, at its pace. */
export function turnOf(sequence: Sequence, { blockIndex, round }: Turn, lookup: MovementLookup): OneTurn {
  const block = itemAt(sequence.blocks, blockIndex);
  const { movement } = resolveBlock(block, lookup);
  const as = inRound(roundOf(sequence, block.id)?.change, round);
  const levelId = levelIdInRound(movement, block.levelId, as);
  const level = must(findLevel(movement, levelId), 'a level of the ladder');
  return { block, movement, level, dose: doseInRound(block.dose, as), pace: paceOver(level, as), pacing: sequence.pacing };
}

/** How many times as fast as its level a block goes in a round, where its dose has no tempo of its own. */
function paceOver({ dose }: Level, as: InRound): number {
  const usual = dose.tempo ?? USUAL_TEMPO;
  const { outS, backS } = quicker(usual, as);
  return (usual.outS + usual.backS) / (outS + backS);
}

/** One hand’s share of a set in one of its ways. */
interface Piece {
  readonly set: number;
  readonly side: WorkingSide;
  readonly way: Way;
}

/** The pieces of a dose in their order: hands change in every set, or after all sets of one. */
function piecesInOrder(ways: readonly Way[], dose: Dose): Piece[] {
  const hands = dose.sides === 'alternating' ? (['both'] as const) : handsInTurn(dose.sides);
  const sets = Array.from({ length: setCount(dose) }, (_, index) => index + 1);
  const pieces = (set: number, side: WorkingSide) => ways.map((way): Piece => ({ set, side, way }));
  return dose.oneHandFirst
    ? hands.flatMap((side) => sets.flatMap((set) => pieces(set, side)))
    : sets.flatMap((set) => hands.flatMap((side) => pieces(set, side)));
}

function writeTurn(draft: TimelineWriter, sequence: Sequence, { blockIndex, round }: Turn, one: OneTurn, positionS: number) {
  const { block, dose, movement, pacing } = one;
  const pieces = piecesInOrder(waysOf(movement, dose), dose);
  const first = itemAt(pieces, 0);
  const changes = pieces.some(({ side, way }) => side !== first.side || way !== first.way);
  const leadTo = ({ set, side, way }: Piece) => draft.leadTo({ set, side, direction: way.name });
  const group = roundOf(sequence, block.id);
  const opens = group?.blockIds[0] === block.id;
  leadTo(first);
  // A round is rested from before it begins again; the break before it was taken before the first.
  if (opens && round > 1) draft.event('round-rest', group.restS);
  else if (block.breakS !== undefined) draft.event('break', block.breakS);
  if (!(block.atOnce && blockIndex > 0)) {
    draft.event('announce', pacing.announceS);
    draft.event('position', positionS);
  }
  const looks = (stop: LookStop) => block.lookAgain?.includes(stop) ?? false;
  pieces.forEach((piece, index) => {
    const before = pieces[index - 1];
    leadTo(piece);
    if (before && before.side !== piece.side && (piece.set === 1 || before.set === piece.set)) {
      if (piece.set === 1 && looks('between hands')) draft.look('between hands', LOOK_S);
      draft.event('change-sides', pacing.changeSidesS);
    } else if (before && before.set !== piece.set) {
      // Hands and direction change while one rests.
      draft.event('rest', Math.max(dose.restS, changes ? pacing.changeSidesS : 0));
    } else if (before) draft.event('change-direction', pacing.changeSidesS);
    draft.stint(one, piece.set, () => writeWork(draft, one, piece));
  });
  if (round === (group?.times ?? 1) && looks('after')) draft.look('after', LOOK_S);
}
