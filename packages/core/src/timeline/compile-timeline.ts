import { checkSequence, resolveBlock, SequenceError } from '../model/check-sequence.js';
import { setCount } from '../model/dose.js';
import { equipmentFor, findLevel, type MovementLookup } from '../model/movement.js';
import { doseInRound, inRound, levelIdInRound } from '../model/round.js';
import { roundOf, type Turn, turnsOf } from '../model/rounds.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { handsInTurn } from '../vocabulary/hands.js';
import { firstOf, itemAt, must } from '../vocabulary/lists.js';
import type { LookStop } from '../vocabulary/rechecks.js';
import { TimelineWriter } from './timeline-writer.js';
import { AT_THE_START, LOOK_S, moveTo, type Timeline } from './timeline.js';
import type { OneTurn } from './one-turn.js';
import { directionsOf, writeWork } from './write-work.js';

/**
 * Turns a sequence into timed events. Everything that needs a duration or an order reads this one result.
 *
 * plan asked for it once. Work that was eased to another kind is counted in its own unit. Work that the plan does not know (an
 * announce → get into position → for each set, each hand in turn, each direction: the work, with a change of direction or of hands in
 * between → rest after every set but the last, in which hands and direction change as well → looking again.
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
  return { block, movement, level, dose: doseInRound(block.dose, as), pace: as.pace, pacing: sequence.pacing };
}

function writeTurn(draft: TimelineWriter, sequence: Sequence, { round }: Turn, one: OneTurn, positionS: number) {
  const { block, dose, movement, pacing } = one;
  const hands = dose.sides === 'alternating' ? (['both'] as const) : handsInTurn(dose.sides);
  const directions = directionsOf(movement, dose);
  const sets = setCount(dose);
  const from = { set: 1, side: firstOf(hands), direction: firstOf(directions) };
  draft.leadTo(from);
  const group = roundOf(sequence, block.id);
  const opens = group?.blockIds[0] === block.id;
  // A round is rested from before it begins again; the break before it was taken before the first.
  if (opens && round > 1) draft.event('round-rest', group.restS);
  else if (block.breakS !== undefined) draft.event('break', block.breakS);
  draft.event('announce', pacing.announceS);
  draft.event('position', positionS);
  const looks = (stop: LookStop) => block.lookAgain?.includes(stop) ?? false;
  for (let set = 1; set <= sets; set++) {
    hands.forEach((side, handIndex) => {
      directions.forEach((direction, directionIndex) => {
        draft.leadTo({ set, side, direction });
        if (directionIndex > 0) draft.event('change-direction', pacing.changeSidesS);
        else if (handIndex > 0) {
          if (set === 1 && looks('between hands')) draft.look('between hands', LOOK_S);
          draft.event('change-sides', pacing.changeSidesS);
        }
        draft.stint(one, set, () => writeWork(draft, one, set));
      });
    });
    if (set < sets) {
      draft.leadTo({ ...from, set: set + 1 });
      // Hands and direction change while one rests.
      const changes = hands.length > 1 || directions.length > 1;
      draft.event('rest', Math.max(dose.restS, changes ? pacing.changeSidesS : 0));
    }
  }
  if (round === (group?.times ?? 1) && looks('after')) draft.look('after', LOOK_S);
}
